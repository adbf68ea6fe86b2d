/**
 * Dials: controls with a range and a rest value that pose parts and exchange drawings. Start at {@link
 * app.leeward.core.dial.Dial}, then {@link app.leeward.core.dial.Channel} for what they pose and {@link
 * app.leeward.core.dial.OffsetCurve} for the way between two stops. Knows parts only by their ids; uses art for refusing bad numbers.
 */
package app.leeward.core.dial;
