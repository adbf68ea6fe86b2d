package app.leeward.core.art;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Which points and handles of an outline lie opposite each other about an upright axis. */
public final class OppositePoints {
    /** How far from its mirror image what lies opposite may be, as a share of the outline's size. */
    private static final double NEAR = 0.06;

    private OppositePoints() {}

    private record Grip(Point at, boolean handle) {}

    /**
     * For every point and handle, in the order of {@link Path#points()}, the place in that order of the one opposite; one on
     * the axis is its own opposite.
     *
     * @return empty when the outline is not drawn alike on both sides
     */
    public static Optional<int[]> of(Path path, double axis) {
        List<Grip> grips = new ArrayList<>();
        for (Segment s : path.segments()) {
            if (s instanceof Segment.Cubic c) {
                grips.add(new Grip(c.c1(), true));
                grips.add(new Grip(c.c2(), true));
                grips.add(new Grip(c.to(), false));
            } else if (s instanceof Segment.Line l) {
                grips.add(new Grip(l.to(), false));
            } else if (s instanceof Segment.Move m) {
                grips.add(new Grip(m.to(), false));
            }
        }
        double size = path.bounds().map(b -> Math.max(b.width(), b.height())).orElse(0.0);
        int[] opposite = new int[grips.size()];
        for (int i = 0; i < opposite.length; i++) {
            Grip g = grips.get(i);
            Point image = new Point(2 * axis - g.at.x(), g.at.y());
            double nearest = NEAR * size;
            opposite[i] = -1;
            for (int k = 0; k < opposite.length; k++) {
                double far = grips.get(k).at.distance(image);
                if (grips.get(k).handle == g.handle && far < nearest) {
                    nearest = far;
                    opposite[i] = k;
                }
            }
            if (opposite[i] < 0) {
                return Optional.empty();
            }
        }
        return Optional.of(opposite);
    }
}
