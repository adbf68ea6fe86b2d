package app.leeward.core.intake;

/**
 * The axis of symmetry found in a front view.
 *
 * @param x where it stands, user units
 * @param residual root mean square distance between the outlines and the reflections of their twins, user units
 * @param pairs how many pairs of shapes, or shapes that are their own mirror image, agree on it
 */
public record Axis(double x, double residual, int pairs) {}
