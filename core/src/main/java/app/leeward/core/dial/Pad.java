package app.leeward.core.dial;

import app.leeward.core.art.Point;
import java.util.List;

/**
 * Two dials shown as one square control.
 *
 * @param field the edge of what the two may reach together, in their own units (across, down), once round their rest,
 *     every point of it in sight of the rest; empty when the whole square is free
 */
public record Pad(String name, String across, String down, List<Point> field) {
    public Pad {
        // stored before pads had an edge
        field = field == null ? List.of() : List.copyOf(field);
    }

    public Pad(String name, String across, String down) {
        this(name, across, down, List.of());
    }

    public Pad withField(List<Point> newField) {
        return new Pad(name, across, down, newField);
    }

    /**
     * The value itself inside the field; outside, where the way to it from rest leaves the field.
     *
     * @param rest the rest of both dials
     */
    public Point hold(Point value, Point rest) {
        Point way = value.minus(rest);
        double furthest = Double.POSITIVE_INFINITY;
        for (int i = 0; i < field.size(); i++) {
            Point a = field.get(i).minus(rest);
            Point b = field.get((i + 1) % field.size()).minus(rest);
            double ex = b.x() - a.x();
            double ey = b.y() - a.y();
            double across = way.x() * ey - way.y() * ex;
            if (Math.abs(across) < 1e-12) {
                continue;
            }
            double t = (a.x() * ey - a.y() * ex) / across;
            double s = (a.x() * way.y() - a.y() * way.x()) / across;
            if (t >= 0 && s >= -1e-9 && s <= 1 + 1e-9) {
                furthest = Math.min(furthest, t);
            }
        }
        return furthest < 1 ? new Point(rest.x() + furthest * way.x(), rest.y() + furthest * way.y()) : value;
    }
}
