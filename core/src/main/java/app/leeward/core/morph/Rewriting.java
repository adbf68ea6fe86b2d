package app.leeward.core.morph;

import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import java.util.ArrayList;
import java.util.List;

/**
 * How an outline is written anew, with more points, as curves only, from another beginning or the other way round. What it encloses
 * stays as it is. It is linear in the points, so that it can be done to the same outline after its points were moved as well.
 */
public final class Rewriting {
    private final List<Row> rows;

    /**
     * One sub-path.
     *
     * @param source which sub-path of the outline it is
     * @param cuts for each curve, in the direction it has in the end, where it is cut
     * @param first the curve it begins with once it is cut
     */
    record Row(int source, boolean closingLine, boolean reversed, List<double[]> cuts, int first) {}

    Rewriting(List<Row> rows) {
        this.rows = List.copyOf(rows);
    }

    /** The outline written anew; it takes the same steps as the one this was found for. */
    public Path of(Path outline) {
        List<Path> subPaths = outline.subPaths();
        List<Segment> out = new ArrayList<>();
        for (Row row : rows) {
            CurveRow curves = CurveRow.of(subPaths.get(row.source), row.closingLine);
            CurveRow turned = row.reversed ? curves.reversed() : curves;
            out.addAll(turned.cut(row.cuts).from(row.first).segments());
        }
        return new Path(out);
    }

    /** Whether a closed sub-path needs a line to close it. */
    static boolean closingLine(Path subPath) {
        if (!subPath.closes()) {
            return false;
        }
        List<Point> points = subPath.points();
        return !points.get(0).equals(points.get(points.size() - 1));
    }
}
