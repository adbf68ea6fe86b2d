package app.leeward.core.art;

import java.util.ArrayList;
import java.util.List;

/** Elliptical arcs as cubics, after the implementation notes of SVG 1.1, appendix F.6. */
final class Arcs {
    private Arcs() {}

    static List<Segment> toCubics(
            double x1,
            double y1,
            double rx,
            double ry,
            double turn,
            boolean large,
            boolean sweep,
            double x2,
            double y2) {
        double phi = Math.toRadians(turn);
        double cos = Math.cos(phi);
        double sin = Math.sin(phi);
        double hx = (x1 - x2) / 2;
        double hy = (y1 - y2) / 2;
        double px = cos * hx + sin * hy;
        double py = -sin * hx + cos * hy;
        double grow = Math.sqrt(px * px / (rx * rx) + py * py / (ry * ry));
        double a = grow > 1 ? rx * grow : rx;
        double b = grow > 1 ? ry * grow : ry;
        double under =
                Math.max(0, (a * a * b * b - a * a * py * py - b * b * px * px) / (a * a * py * py + b * b * px * px));
        double k = (large == sweep ? -1 : 1) * Math.sqrt(under);
        double cxp = k * a * py / b;
        double cyp = -k * b * px / a;
        double cx = cos * cxp - sin * cyp + (x1 + x2) / 2;
        double cy = sin * cxp + cos * cyp + (y1 + y2) / 2;
        double from = Math.atan2((py - cyp) / b, (px - cxp) / a);
        double to = Math.atan2((-py - cyp) / b, (-px - cxp) / a);
        double sweepBy = to - from;
        if (sweep && sweepBy < 0) {
            sweepBy += 2 * Math.PI;
        } else if (!sweep && sweepBy > 0) {
            sweepBy -= 2 * Math.PI;
        }
        Matrix place = Matrix.translate(cx, cy).times(Matrix.rotate(turn)).times(Matrix.scale(a, b));
        return pieces(place, from, sweepBy, new Point(x2, y2));
    }

    private static List<Segment> pieces(Matrix place, double from, double sweepBy, Point end) {
        int n = (int) Math.max(1, Math.ceil(Math.abs(sweepBy) / (Math.PI / 4) - 1e-9));
        double step = sweepBy / n;
        double handle = 4.0 / 3 * Math.tan(step / 4);
        List<Segment> out = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            double t0 = from + i * step;
            double t1 = t0 + step;
            Point c1 =
                    place.apply(new Point(Math.cos(t0) - handle * Math.sin(t0), Math.sin(t0) + handle * Math.cos(t0)));
            Point c2 =
                    place.apply(new Point(Math.cos(t1) + handle * Math.sin(t1), Math.sin(t1) - handle * Math.cos(t1)));
            Point to = i == n - 1 ? end : place.apply(new Point(Math.cos(t1), Math.sin(t1)));
            out.add(new Segment.Cubic(c1, c2, to));
        }
        return out;
    }
}
