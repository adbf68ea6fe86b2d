package app.leeward.core.art;

import java.util.List;
import org.locationtech.jts.algorithm.LineIntersector;
import org.locationtech.jts.algorithm.RobustLineIntersector;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.noding.BasicSegmentString;
import org.locationtech.jts.noding.MCIndexNoder;
import org.locationtech.jts.noding.SegmentIntersector;
import org.locationtech.jts.noding.SegmentString;

/**
 * Whether a ring crosses itself so often that nobody could say what lies inside it: a scribble, a hatching in one stroke. Working out
 * its area would take a second for each such outline, as every crossing becomes a corner.
 */
final class Tangle implements SegmentIntersector {
    /** From how many crossings on. Drawn outlines have a few; a ring with so many takes some 10 ms to be parted at them. */
    static final int CROSSINGS = 1_000;

    private final LineIntersector intersector = new RobustLineIntersector();
    private int crossings;

    private Tangle() {}

    static boolean is(Coordinate[] ring) {
        Tangle counted = new Tangle();
        new MCIndexNoder(counted).computeNodes(List.of(new BasicSegmentString(ring, null)));
        return counted.isDone();
    }

    @Override
    public void processIntersections(SegmentString a, int i, SegmentString b, int k) {
        if (i == k) {
            return;
        }
        intersector.computeIntersection(
                a.getCoordinate(i), a.getCoordinate(i + 1), b.getCoordinate(k), b.getCoordinate(k + 1));
        if (intersector.hasIntersection() && intersector.isProper()) {
            crossings++;
        }
    }

    @Override
    public boolean isDone() {
        return crossings >= CROSSINGS;
    }
}
