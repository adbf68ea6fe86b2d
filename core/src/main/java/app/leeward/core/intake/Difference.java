package app.leeward.core.intake;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/** Tells two drawings apart as a designer would say it. */
final class Difference {
    /** Editors round what they write; what lies nearer than this is the same place. Units. */
    static final double NEAR = 0.02;

    private Difference() {}

    static boolean same(Artwork a, Artwork b) {
        return pairs(a, b) && samePaints(a, b) && furthest(a, b, 0, 0) <= NEAR;
    }

    /** Whether the outlines correspond point for point. */
    static boolean pairs(Artwork a, Artwork b) {
        if (a.shapes().size() != b.shapes().size()) {
            return false;
        }
        for (int i = 0; i < a.shapes().size(); i++) {
            List<Segment> s = a.shapes().get(i).path().segments();
            List<Segment> t = b.shapes().get(i).path().segments();
            if (s.size() != t.size()) {
                return false;
            }
            for (int j = 0; j < s.size(); j++) {
                if (s.get(j).getClass() != t.get(j).getClass()) {
                    return false;
                }
            }
        }
        return true;
    }

    /** What became of {@code a}; not to be asked of two that are the same. */
    static String message(Artwork a, Artwork b) {
        int more = b.shapes().size() - a.shapes().size();
        if (more != 0) {
            return Math.abs(more) + (Math.abs(more) == 1 ? " shape " : " shapes ") + (more > 0 ? "more" : "fewer");
        }
        List<String> out = new ArrayList<>();
        if (!pairs(a, b)) {
            out.add("redrawn");
        } else {
            Point by = shift(a, b);
            double far = furthest(a, b, 0, 0);
            if (far > NEAR) {
                out.add(
                        furthest(a, b, by.x(), by.y()) <= NEAR
                                ? moved(by)
                                : "outline changed by up to " + plain(far) + " units");
            }
        }
        if (!samePaints(a, b)) {
            out.add(pictures(a).equals(pictures(b)) ? "recoloured" : "repainted");
        }
        return String.join(", ", out);
    }

    static String moved(Point by) {
        List<String> ways = new ArrayList<>();
        if (Math.abs(by.x()) > NEAR) {
            ways.add(plain(Math.abs(by.x())) + (by.x() > 0 ? " right" : " left"));
        }
        if (Math.abs(by.y()) > NEAR) {
            ways.add(plain(Math.abs(by.y())) + (by.y() > 0 ? " down" : " up"));
        }
        return "moved " + String.join(", ", ways);
    }

    static String plain(double v) {
        return String.format(Locale.ROOT, "%.1f", v).replaceAll("\\.0$", "");
    }

    /** How the first point of the drawing went; nowhere without points. */
    private static Point shift(Artwork a, Artwork b) {
        List<Point> from = points(a);
        return from.isEmpty() ? new Point(0, 0) : points(b).get(0).minus(from.get(0));
    }

    private static double furthest(Artwork a, Artwork b, double dx, double dy) {
        List<Point> from = points(a);
        List<Point> to = points(b);
        double far = 0;
        for (int i = 0; i < from.size(); i++) {
            Point p = from.get(i);
            far = Math.max(far, new Point(p.x() + dx, p.y() + dy).distance(to.get(i)));
        }
        return far;
    }

    /** Every point and handle in order. */
    static List<Point> points(Artwork art) {
        return art.shapes().stream()
                .map(Shape::path)
                .map(Path::segments)
                .flatMap(List::stream)
                .flatMap(Difference::points)
                .toList();
    }

    private static Stream<Point> points(Segment s) {
        if (s instanceof Segment.Move m) {
            return Stream.of(m.to());
        }
        if (s instanceof Segment.Line l) {
            return Stream.of(l.to());
        }
        return s instanceof Segment.Cubic c ? Stream.of(c.c1(), c.c2(), c.to()) : Stream.empty();
    }

    private static boolean samePaints(Artwork a, Artwork b) {
        for (int i = 0; i < a.shapes().size(); i++) {
            Shape s = a.shapes().get(i);
            Shape t = b.shapes().get(i);
            boolean lines = s.stroke().visible()
                    ? t.stroke().visible()
                            && same(s.stroke().paint(), t.stroke().paint())
                            && Math.abs(s.stroke().width() - t.stroke().width()) <= NEAR
                    : !t.stroke().visible();
            if (!lines || !same(s.fill(), t.fill()) || Math.abs(s.opacity() - t.opacity()) > 1e-3) {
                return false;
            }
        }
        return true;
    }

    private static boolean same(Paint a, Paint b) {
        if (a instanceof Paint.Picture p && b instanceof Paint.Picture q) {
            return p.image().equals(q.image()) && near(p.place(), q.place(), Math.max(p.width(), p.height()));
        }
        if (a instanceof Paint.Patch p && b instanceof Paint.Patch q) {
            return same(p.picture(), q.picture());
        }
        if (a instanceof Paint.Gradient g && b instanceof Paint.Gradient h) {
            return g.radial() == h.radial() && g.stops().equals(h.stops()) && near(g.place(), h.place(), 1);
        }
        return a.equals(b);
    }

    private static boolean near(Matrix a, Matrix b, double reach) {
        return Stream.of(new Point(0, 0), new Point(reach, 0), new Point(0, reach))
                .allMatch(p -> a.apply(p).distance(b.apply(p)) <= NEAR);
    }

    private static List<String> pictures(Artwork art) {
        return art.shapes().stream()
                .filter(s -> s.fill() instanceof Paint.Picture)
                .map(s -> ((Paint.Picture) s.fill()).image())
                .toList();
    }
}
