/**
 * Dials: controls with a range and a rest value that pose parts and exchange drawings. Start at {@link
 * app.leeward.core.dial.Dial}. Knows parts only by their ids; uses art for refusing bad numbers.
 */
package app.leeward.core.dial;
