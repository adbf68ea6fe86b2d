package app.leeward.core.lips;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A beak drawn as one patch, as most are that were not drawn to be opened: parted from its leftmost point to its rightmost one along the line
 * that was drawn across it, or straight across where there is none.
 */
final class BeakHalves {
    /** A line this wide beside the beak runs across it, where others are nostrils. */
    private static final double ACROSS = 0.5;

    private BeakHalves() {}

    /** @return the drawing with an upper and a lower half; empty where no beak is drawn as one closed patch */
    static Optional<Artwork> of(Artwork art) {
        boolean halves = art.shapes().stream().anyMatch(s -> s.role() == ShapeRole.LOWER_BEAK);
        Optional<Shape> whole = art.shapes().stream()
                .filter(s -> s.role() == ShapeRole.UPPER_BEAK && s.path().closes() && !(s.fill() instanceof Paint.None))
                .max(Comparator.comparingDouble(s -> s.path().width()));
        if (halves || whole.isEmpty() || whole.get().path().width() <= 0) {
            return Optional.empty();
        }
        Shape patch = whole.get();
        Optional<Shape> line = art.shapes().stream()
                .filter(s -> s != patch && s.stroke().visible() && !s.path().closes())
                .filter(s -> s.path().width() >= ACROSS * patch.path().width())
                .max(Comparator.comparingDouble(s -> s.path().width()));
        Lips edge;
        try {
            edge = Lips.of(patch.path());
        } catch (MouthProblem e) {
            return Optional.empty();
        }
        Arc seam = seam(line, edge.upper().start(), edge.upper().end());
        Shape upper = patch.withPath(closed(List.of(edge.upper(), seam.reversed())));
        Shape lower = patch.withPath(closed(List.of(seam, edge.lower()))).withRole(ShapeRole.LOWER_BEAK, false);
        List<Shape> out = new ArrayList<>();
        for (Shape s : art.shapes()) {
            if (s == patch) {
                out.add(lower.withName("lower beak"));
                out.add(upper.withName("upper beak"));
            } else if (!line.equals(Optional.of(s)) || !patch.stroke().visible()) {
                out.add(
                        s.role() == ShapeRole.UPPER_BEAK && below(s, seam)
                                ? s.withRole(ShapeRole.LOWER_BEAK, false)
                                : s);
            }
        }
        return Optional.of(new Artwork(out));
    }

    /** From corner to corner, as the line goes that was drawn between them. */
    private static Arc seam(Optional<Shape> line, Point left, Point right) {
        Arc straight = new Arc(List.of(left, left.towards(right, 1 / 3.0), left.towards(right, 2 / 3.0), right));
        if (line.isEmpty()) {
            return straight;
        }
        List<Point> points;
        try {
            points = new ArrayList<>(Lips.of(line.get().path()).upper().points());
        } catch (MouthProblem e) {
            return straight;
        }
        points.set(0, left);
        points.set(points.size() - 1, right);
        return new Arc(points);
    }

    private static boolean below(Shape s, Arc seam) {
        Box box = s.path().bounds().orElse(null);
        if (box == null) {
            return false;
        }
        double share = (box.centre().x() - seam.start().x())
                / (seam.end().x() - seam.start().x());
        return box.centre().y() > seam.atShare(share).y();
    }

    private static Path closed(List<Arc> arcs) {
        List<Segment> out = new ArrayList<>();
        out.add(new Segment.Move(arcs.get(0).start()));
        for (Arc arc : arcs) {
            arc.addTo(out);
        }
        out.add(new Segment.Close());
        return new Path(out);
    }
}
