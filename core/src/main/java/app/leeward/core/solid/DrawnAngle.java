package app.leeward.core.solid;

import app.leeward.core.art.Point;
import app.leeward.core.rig.HeadShape;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import java.util.List;
import java.util.Optional;

/** How far a head is turned as it was drawn. */
final class DrawnAngle {
    /** Less than so many degrees may as well be how a face from the front was drawn. By eye. */
    private static final double LEAST = 14;

    private static final double MOST = 50;
    private static final int ROUNDS = 8;

    private DrawnAngle() {}

    static Optional<Double> of(HeadArt art, HeadShape shape) {
        Optional<Point> left = eye(art, Side.LEFT);
        Optional<Point> right = eye(art, Side.RIGHT);
        if (left.isEmpty() || right.isEmpty()) {
            return Optional.empty();
        }
        Point between = left.get().towards(right.get(), 0.5);
        Extents rows = Extents.of(art.skin());
        double[] heights = rows.heights();
        int row = 0;
        while (row < heights.length - 1 && heights[row] < between.y()) {
            row++;
        }
        if (!rows.reaches(row)) {
            return Optional.empty();
        }
        double beside = between.x() - (rows.left()[row] + rows.right()[row]) / 2;
        double wide = (rows.right()[row] - rows.left()[row]) / 2;
        double share = (heights[row] - heights[0]) / (heights[heights.length - 1] - heights[0]);
        double depth = (Skull.front(shape, share) + Skull.back(shape, share)) / 2 * art.half();
        double angle = 0;
        for (int i = 0; i < ROUNDS; i++) {
            // pupils further apart look further back round the head; the middle between them lies behind the very front
            double out =
                    Math.abs(right.get().x() - left.get().x()) / 2 / Math.max(1e-9, Math.cos(Math.toRadians(angle)));
            double z = new Profile.Superellipse(shape.roundness()).height(Math.min(0.95, out / wide));
            double sine = Math.max(-0.95, Math.min(0.95, beside / (depth * z)));
            angle = Math.toDegrees(Math.asin(sine));
        }
        double rounded = Math.rint(angle);
        return Math.abs(rounded) < LEAST ? Optional.empty() : Optional.of(Math.max(-MOST, Math.min(MOST, rounded)));
    }

    private static Optional<Point> eye(HeadArt art, Side side) {
        for (PartRole role : List.of(PartRole.WHITE, PartRole.EYE)) {
            Optional<Point> middle = art.pieces().values().stream()
                    .filter(p -> p.part().role() == role
                            && p.part().side() == side
                            && !p.area().isEmpty())
                    .map(p -> p.area().getEnvelopeInternal().centre())
                    .map(at -> new Point(at.x, at.y))
                    .findFirst();
            if (middle.isPresent()) {
                return middle;
            }
        }
        return Optional.empty();
    }
}
