package app.leeward.core.art;

/**
 * Where a drawing of a hand holds things. The pivot of what is held lies on the grip. Shapes of the drawing in the role {@link
 * ShapeRole#FINGERS} lie before what is held, the others behind it.
 *
 * @param at in the drawing's coordinates
 * @param angle by which what is held is turned, degrees, clockwise
 */
public record Grip(Point at, double angle) {
    public Grip {
        Numbers.finite("grip", at.x() + at.y() + angle);
        angle += 0.0;
    }

    /** From the coordinates of something held, hung with its pivot on the grip, to the hand's. */
    public Matrix holding(Point pivot) {
        return Matrix.translate(at.x(), at.y())
                .times(Matrix.rotate(angle))
                .times(Matrix.translate(-pivot.x(), -pivot.y()));
    }

    /** The same grip of a drawing that was turned, evenly scaled and moved. */
    public Grip transform(Matrix similarity) {
        return new Grip(similarity.apply(at), angle + Math.toDegrees(Math.atan2(similarity.b(), similarity.a())));
    }

    /** Of the drawing's mirror image. */
    public Grip mirrored(double axis) {
        return new Grip(Matrix.mirror(axis).apply(at), -angle);
    }
}
