/**
 * Cues: small reusable animations that are dropped over anything, and where blinks fall in a shot. Start at {@link
 * app.leeward.core.cue.Cue} and {@link app.leeward.core.cue.BlinkPlan}.
 */
package app.leeward.core.cue;
