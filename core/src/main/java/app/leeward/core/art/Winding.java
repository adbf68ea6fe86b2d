package app.leeward.core.art;

import java.util.ArrayList;
import java.util.List;

/** Which way round outlines were drawn: where several are put into one path, opposite ways take each other away. */
public final class Winding {
    private Winding() {}

    /** The same outline, drawn the way round that makes the area of all its sub-paths together positive where y runs down. */
    public static Path clockwise(Path path) {
        return area(path) < 0 ? reversed(path) : path;
    }

    /** By Green's theorem, exact for cubic curves: the three-point rule of Gauss is exact up to degree five. */
    private static double area(Path path) {
        double[] sum = new double[1];
        Point[] first = new Point[1];
        Point[] last = new Point[1];
        path.walk(new Path.Walker() {
            @Override
            public void start(Point at) {
                close(first[0]);
                first[0] = at;
                last[0] = at;
            }

            @Override
            public void line(Point from, Point to) {
                sum[0] += (from.x() * to.y() - to.x() * from.y()) / 2;
                last[0] = to;
            }

            @Override
            public void cubic(Point from, Point c1, Point c2, Point to) {
                sum[0] += under(from, c1, c2, to);
                last[0] = to;
            }

            @Override
            public void close(Point at) {
                // a fill closes what the pen left open
                if (at != null && last[0] != null) {
                    line(last[0], at);
                }
            }
        });
        if (first[0] != null) {
            sum[0] += (last[0].x() * first[0].y() - first[0].x() * last[0].y()) / 2;
        }
        return sum[0];
    }

    private static double under(Point a, Point b, Point c, Point d) {
        double sum = 0;
        double off = Math.sqrt(0.6) / 2;
        for (int k = -1; k <= 1; k++) {
            double t = 0.5 + k * off;
            double s = 1 - t;
            double x = s * s * s * a.x() + 3 * s * s * t * b.x() + 3 * s * t * t * c.x() + t * t * t * d.x();
            double y = s * s * s * a.y() + 3 * s * s * t * b.y() + 3 * s * t * t * c.y() + t * t * t * d.y();
            double dx = 3 * (s * s * (b.x() - a.x()) + 2 * s * t * (c.x() - b.x()) + t * t * (d.x() - c.x()));
            double dy = 3 * (s * s * (b.y() - a.y()) + 2 * s * t * (c.y() - b.y()) + t * t * (d.y() - c.y()));
            sum += (k == 0 ? 4 : 2.5) / 9 * (x * dy - y * dx) / 2;
        }
        return sum;
    }

    /** Every sub-path from its end to its start; closed where it was. */
    static Path reversed(Path path) {
        List<Segment> out = new ArrayList<>();
        List<Segment> back = new ArrayList<>();
        Point pen = null;
        boolean closed = false;
        for (Segment s : path.segments()) {
            if (s instanceof Segment.Move m) {
                flush(out, back, pen, closed);
                closed = false;
                pen = m.to();
            } else if (s instanceof Segment.Line l) {
                back.add(0, new Segment.Line(pen));
                pen = l.to();
            } else if (s instanceof Segment.Cubic c) {
                back.add(0, new Segment.Cubic(c.c2(), c.c1(), pen));
                pen = c.to();
            } else {
                closed = true;
            }
        }
        flush(out, back, pen, closed);
        return new Path(out);
    }

    private static void flush(List<Segment> out, List<Segment> back, Point pen, boolean closed) {
        if (pen == null) {
            return;
        }
        out.add(new Segment.Move(pen));
        out.addAll(back);
        if (closed) {
            out.add(new Segment.Close());
        }
        back.clear();
    }
}
