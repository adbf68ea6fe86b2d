/**
 * Acting that is played while the line runs: what the hands did is smoothed, brought onto exposures and reduced to keys. Start at
 * {@link app.leeward.core.live.LiveReduction}. Uses shots.
 */
package app.leeward.core.live;
