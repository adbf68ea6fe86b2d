package app.leeward.core.solid;

import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.rig.HeadShape;
import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;

/** The solids that sit on a skull, behind it and round it, built from what they cover. */
final class Stacks {
    private static final double SHELL_BACK = 0.28;
    private static final double SHELL_DEPTH = 0.9;
    /** Rows of the side of a box. */
    private static final int UNFOLDED = 8;

    private final Stack skull;
    private final double axis;
    private final double half;
    private final HeadShape shape;

    /** @param half half the head's width, of which the depths of {@code shape} are shares */
    Stacks(Stack skull, double half, HeadShape shape) {
        this.skull = skull;
        this.axis = skull.axis();
        this.half = half;
        this.shape = shape;
    }

    /** Stuck on the skull: from the skull's surface at its rim, deepest a little above its middle. */
    Stack muzzle(Geometry area) {
        Extents rows = Extents.of(area);
        Envelope box = area.getEnvelopeInternal();
        double middle = box.getMinY() + 0.45 * box.getHeight();
        double out = shape.muzzle() * box.getWidth() / 2;
        List<Slice> slices = new ArrayList<>();
        for (int i = 0; i < rows.heights().length; i++) {
            double y = rows.heights()[i];
            double left = Math.max(0, axis - rows.left()[i]);
            double right = Math.max(0, rows.right()[i] - axis);
            Slice under = skull.at(y);
            double a = (under.left() + under.right()) / 2;
            double rim = a > 0 ? Math.min(1, (left + right) / 2 / a) : 1;
            double base = under.middle() + under.depth() * under.profile().height(rim);
            double v = (y - middle) / (0.78 * box.getHeight());
            double depth = under.middle() + under.depth() - base + out * Math.sqrt(Math.max(0, 1 - v * v));
            slices.add(new Slice(left, right, depth, base, new Profile.Bump(), 1, 0));
        }
        return new Stack(axis, rows.heights(), slices);
    }

    /** Behind the head, and deep: it goes the other way. */
    Stack shell(Geometry area) {
        Extents rows = Extents.of(area);
        List<Slice> slices = new ArrayList<>();
        for (int i = 0; i < rows.heights().length; i++) {
            double left = Math.max(0, axis - rows.left()[i]);
            double right = Math.max(0, rows.right()[i] - axis);
            double depth = SHELL_DEPTH * (left + right) / 2;
            slices.add(new Slice(left, right, depth, -SHELL_BACK * half, new Profile.Superellipse(2), 0, 0));
        }
        return new Stack(axis, rows.heights(), slices);
    }

    /** As deep as it is wide at every height: a hat. */
    Stack revolved(Geometry area) {
        Extents rows = Extents.of(area);
        List<Slice> slices = new ArrayList<>();
        int held = heldFrom(rows);
        for (int i = 0; i < rows.heights().length; i++) {
            // what narrows below is the front of a brim or a peak, which does not go further back
            int row = Math.min(i, held);
            double left = Math.max(0, axis - rows.left()[row]);
            double right = Math.max(0, rows.right()[row] - axis);
            slices.add(new Slice(
                    left,
                    right,
                    (left + right) / 2,
                    half * (shape.front() - shape.back()) / 2,
                    new Profile.Superellipse(2),
                    0,
                    0));
        }
        return new Stack(axis, rows.heights(), slices);
    }

    /** The lowest row nearly as wide as the widest of the lowest fifth. */
    private static int heldFrom(Extents rows) {
        int n = rows.heights().length;
        double low = rows.heights()[n - 1] - 0.2 * (rows.heights()[n - 1] - rows.heights()[0]);
        double widest = 0;
        for (int i = 0; i < n; i++) {
            widest = rows.heights()[i] >= low ? Math.max(widest, rows.right()[i] - rows.left()[i]) : widest;
        }
        for (int i = n - 1; i > 0; i--) {
            if (rows.right()[i] - rows.left()[i] >= 0.9 * widest) {
                return i;
            }
        }
        return n - 1;
    }

    /** On a muzzle deepest in its middle; on a face the bridge lies flat and the tip stands out. */
    static Stack nose(Geometry area, double axis, double deep, boolean round) {
        Extents rows = Extents.of(area);
        Envelope box = area.getEnvelopeInternal();
        List<Slice> slices = new ArrayList<>();
        for (int i = 0; i < rows.heights().length; i++) {
            double down = (rows.heights()[i] - box.getMinY()) / box.getHeight();
            double out = round ? Math.sqrt(Math.max(0, 1 - Math.pow((2 * down - 1) / 1.1, 2))) : 0.25 + 0.75 * down;
            double half =
                    rows.reaches(i) ? Math.max(axis - rows.left()[i], rows.right()[i] - axis) : box.getWidth() / 2;
            slices.add(new Slice(
                    half, half, round ? Math.min(deep, half) * out : deep * out, 0, new Profile.Bump(), 1, 0));
        }
        return new Stack(axis, rows.heights(), slices);
    }

    /** The skull seen from its side, as {@link HeadSolids#sideView} says. */
    List<Point> sideView() {
        List<Point> front = new ArrayList<>();
        List<Point> back = new ArrayList<>();
        for (int i = 0; i < skull.heights().length; i += 5) {
            Slice s = skull.slices().get(i);
            double y = (skull.heights()[i] - skull.top()) / (skull.bottom() - skull.top());
            front.add(new Point(-(s.middle() + s.depth()) / half, y));
            back.add(0, new Point((s.depth() - s.middle()) / half, y));
        }
        front.addAll(back);
        return front;
    }

    /** From the edge of the face outwards, as wide as the head is deep. */
    Path unfolded(boolean screenRight) {
        List<Segment> out = new ArrayList<>();
        List<Segment> back = new ArrayList<>();
        int way = screenRight ? 1 : -1;
        for (int i = 0; i <= UNFOLDED; i++) {
            double y = skull.top() + (skull.bottom() - skull.top()) * i / UNFOLDED;
            Slice s = skull.at(y);
            double a = screenRight ? s.right() : s.left();
            Point front = new Point(axis + way * a, y);
            out.add(i == 0 ? new Segment.Move(front) : new Segment.Line(front));
            back.add(0, new Segment.Line(new Point(axis + way * (a + 2 * s.depth()), y)));
        }
        out.addAll(back);
        out.add(new Segment.Close());
        return new Path(out);
    }
}
