/**
 * Art: the immutable geometry and paint a drawing is made of. Start at {@link app.leeward.core.art.Shape}.
 *
 * <p>Convention for the whole of core: SVG user units, x to the right, y down; angles in degrees, clockwise positive as
 * seen on screen. Matrices act on column vectors, so in {@code a.times(b)} the transform {@code b} is applied first.
 * This room uses JTS for areas and nothing else.
 */
package app.leeward.core.art;
