package app.leeward.core.rig;

import app.leeward.core.art.Matrix;
import app.leeward.core.art.Numbers;
import app.leeward.core.art.Point;

/**
 * Where one drawing of a hand holds things. The pivot of what is held lies on the grip. Shapes of the drawing in the role
 * {@link app.leeward.core.art.ShapeRole#FINGERS} lie before what is held, the others behind it.
 *
 * @param at in the drawing's coordinates
 * @param angle by which what is held is turned, degrees, clockwise
 */
public record DrawnGrip(String part, String drawing, Point at, double angle) {
    public DrawnGrip {
        Numbers.finite("grip", at.x() + at.y() + angle);
    }

    /** From the coordinates of something held, hung with its pivot on the grip, to the hand's. */
    public Matrix holding(Point pivot) {
        return Matrix.translate(at.x(), at.y())
                .times(Placement.matrix(0, 0, angle, 1, 1, 0, 0, 0))
                .times(Matrix.translate(-pivot.x(), -pivot.y()));
    }

    /** The same grip of a drawing that was turned, scaled and moved. */
    public DrawnGrip moved(Matrix similarity) {
        return new DrawnGrip(
                part,
                drawing,
                similarity.apply(at),
                angle + Math.toDegrees(Math.atan2(similarity.b(), similarity.a())));
    }

    public DrawnGrip mirrored(String twin, double axis) {
        return new DrawnGrip(twin, drawing, Matrix.mirror(axis).apply(at), -angle + 0.0);
    }
}
