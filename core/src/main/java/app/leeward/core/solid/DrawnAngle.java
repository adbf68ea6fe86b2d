package app.leeward.core.solid;

import app.leeward.core.art.Point;
import app.leeward.core.rig.HeadShape;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** How far a head is turned as it was drawn. */
final class DrawnAngle {
    /** Less than so many degrees may as well be how a face from the front was drawn. By eye. */
    private static final double LEAST = 14;

    private static final double MOST = 50;
    /** How far the features on the axis stand over at the least, as a share of how far the eyes do. By eye. */
    private static final double AGREES = 0.4;

    private static final Set<PartRole> MIDDLE = Set.of(PartRole.NOSE, PartRole.MOUTH, PartRole.MUZZLE);
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
        int row = row(rows, between.y());
        if (!rows.reaches(row)) {
            return Optional.empty();
        }
        double beside = beside(rows, between);
        if (!agree(art, rows, beside)) {
            return Optional.empty();
        }
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

    private static int row(Extents rows, double y) {
        int row = 0;
        while (row < rows.heights().length - 1 && rows.heights()[row] < y) {
            row++;
        }
        return row;
    }

    /** How far to the right of the middle of its row a point lies. */
    private static double beside(Extents rows, Point p) {
        int row = row(rows, p.y());
        return rows.reaches(row) ? p.x() - (rows.left()[row] + rows.right()[row]) / 2 : 0;
    }

    /** Whether nose, mouth and muzzle, of which there must be one, stand to the same side: else it is the outline that is uneven. */
    private static boolean agree(HeadArt art, Extents rows, double eyes) {
        List<Double> others = art.pieces().values().stream()
                .filter(p -> MIDDLE.contains(p.part().role()) && !p.area().isEmpty())
                .map(p -> p.area().getEnvelopeInternal().centre())
                .map(at -> beside(rows, new Point(at.x, at.y)))
                .toList();
        return !others.isEmpty() && others.stream().allMatch(x -> x * Math.signum(eyes) > AGREES * Math.abs(eyes));
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
