package app.leeward.core.dial;

import app.leeward.core.art.Numbers;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import java.util.ArrayList;
import java.util.List;

/**
 * How far a stop takes the points of one outline from where they were drawn.
 *
 * @param drawing id of the drawing
 * @param shape its place in the drawing, 0 for the back
 * @param shifts one for every point and handle, in the order of the path's numbers; in the drawing's coordinates
 */
public record PointDeltas(String drawing, int shape, List<Point> shifts) {
    public PointDeltas {
        shifts = List.copyOf(shifts);
        shifts.forEach(s -> Numbers.finite("shift of a point", s.x() + s.y()));
    }

    /** What takes one outline to another of the same points. */
    public static PointDeltas between(String drawing, int shape, Path from, Path to) {
        List<Point> a = from.points();
        List<Point> b = to.points();
        if (a.size() != b.size()) {
            throw new IllegalArgumentException("one outline has " + a.size() + " points and the other " + b.size());
        }
        List<Point> shifts = new ArrayList<>();
        for (int i = 0; i < a.size(); i++) {
            shifts.add(b.get(i).minus(a.get(i)));
        }
        return new PointDeltas(drawing, shape, shifts);
    }

    /** Whether it is about an outline of so many points and handles; of another it says nothing. */
    public boolean fits(Path path) {
        return path.points().size() == shifts.size();
    }

    public boolean still() {
        return shifts.stream().allMatch(s -> s.x() == 0 && s.y() == 0);
    }

    public PointDeltas times(double factor) {
        return new PointDeltas(
                drawing,
                shape,
                shifts.stream()
                        .map(s -> new Point(s.x() * factor, s.y() * factor))
                        .toList());
    }

    /** This and another word about the same outline, added. */
    public PointDeltas and(PointDeltas o) {
        List<Point> sum = new ArrayList<>();
        for (int i = 0; i < shifts.size(); i++) {
            sum.add(shifts.get(i).plus(o.shifts.get(i)));
        }
        return new PointDeltas(drawing, shape, sum);
    }

    /** Two lists of words about a part's outlines, added where they are about the same one. */
    public static List<PointDeltas> both(List<PointDeltas> a, List<PointDeltas> b) {
        List<PointDeltas> out = new ArrayList<>(a);
        for (PointDeltas more : b) {
            int there = -1;
            for (int i = 0; i < out.size(); i++) {
                PointDeltas o = out.get(i);
                there = o.drawing.equals(more.drawing) && o.shape == more.shape ? i : there;
            }
            if (there < 0) {
                out.add(more);
            } else {
                out.set(there, out.get(there).and(more));
            }
        }
        return out;
    }

    /** The same on the other side of a vertical axis, for an outline that is reflected too. */
    public PointDeltas mirrored(String otherDrawing) {
        return new PointDeltas(
                otherDrawing,
                shape,
                shifts.stream().map(s -> new Point(-s.x() + 0.0, s.y())).toList());
    }
}
