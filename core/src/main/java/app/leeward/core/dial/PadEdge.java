package app.leeward.core.dial;

import app.leeward.core.art.Point;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Holds the two dials of a pad inside its field, wherever the other dials stand. Compiled once a character, asked for every
 * pose.
 */
public final class PadEdge {
    private final Pad pad;
    private final int across;
    private final int down;
    private final Point rest;
    private final List<Along> alongs = new ArrayList<>();

    /** How the field changes along one other dial, in rising order of where that dial stands. */
    private record Along(int dial, double rest, List<FieldAt> fields) {}

    private PadEdge(Pad pad, int across, int down, List<Dial> dials) {
        this.pad = pad;
        this.across = across;
        this.down = down;
        rest = new Point(dials.get(across).rest(), dials.get(down).rest());
        for (int i = 0; i < dials.size(); i++) {
            Dial d = dials.get(i);
            List<FieldAt> fields = new ArrayList<>(pad.elsewhere().stream()
                    .filter(f -> f.dial().equals(d.id()))
                    .toList());
            if (!fields.isEmpty()) {
                fields.add(new FieldAt(d.id(), d.rest(), pad.field()));
                fields.sort(Comparator.comparingDouble(FieldAt::at));
                alongs.add(new Along(i, d.rest(), fields));
            }
        }
    }

    /** Empty for a pad without an edge, or one whose dials are not there. */
    public static Optional<PadEdge> of(Pad pad, List<Dial> dials) {
        int across = indexOf(dials, pad.across());
        int down = indexOf(dials, pad.down());
        return pad.field().isEmpty() || across < 0 || down < 0
                ? Optional.empty()
                : Optional.of(new PadEdge(pad, across, down, dials));
    }

    private static int indexOf(List<Dial> dials, String id) {
        for (int i = 0; i < dials.size(); i++) {
            if (dials.get(i).id().equals(id)) {
                return i;
            }
        }
        return -1;
    }

    /**
     * Leaves the two dials where they are inside the field; outside, takes them to where the way from rest leaves it.
     * Between two places of another dial the edge goes evenly; what several dials leave of the field is multiplied.
     *
     * @param settings where every dial stands, in the order of the dials; changed
     */
    public void hold(double[] settings) {
        Point way = new Point(settings[across], settings[down]).minus(rest);
        if (way.x() == 0 && way.y() == 0) {
            return;
        }
        double whole = reach(pad.field(), way);
        double furthest = whole;
        for (Along a : alongs) {
            if (settings[a.dial] != a.rest && whole > 0 && whole < Double.POSITIVE_INFINITY) {
                furthest *= reach(a, settings[a.dial], way) / whole;
            }
        }
        if (furthest < 1) {
            settings[across] = rest.x() + furthest * way.x();
            settings[down] = rest.y() + furthest * way.y();
        }
    }

    private double reach(Along a, double at, Point way) {
        FieldAt below = a.fields.get(0);
        for (FieldAt f : a.fields) {
            if (f.at() > at) {
                double low = reach(below.field(), way);
                double share = at <= below.at() ? 0 : (at - below.at()) / (f.at() - below.at());
                return low + (reach(f.field(), way) - low) * share;
            }
            below = f;
        }
        return reach(below.field(), way);
    }

    /** How many times the way reaches to the edge of a field. */
    private double reach(List<Point> field, Point way) {
        double furthest = Double.POSITIVE_INFINITY;
        for (int i = 0; i < field.size(); i++) {
            Point a = field.get(i).minus(rest);
            Point b = field.get((i + 1) % field.size()).minus(rest);
            double ex = b.x() - a.x();
            double ey = b.y() - a.y();
            double cross = way.x() * ey - way.y() * ex;
            if (Math.abs(cross) < 1e-12) {
                continue;
            }
            double t = (a.x() * ey - a.y() * ex) / cross;
            double s = (a.x() * way.y() - a.y() * way.x()) / cross;
            if (t >= 0 && s >= -1e-9 && s <= 1 + 1e-9) {
                furthest = Math.min(furthest, t);
            }
        }
        return furthest;
    }
}
