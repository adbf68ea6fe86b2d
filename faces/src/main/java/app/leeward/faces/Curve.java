package app.leeward.faces;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * One outline of cubic pieces through the points of a face. The face's own coordinates: x from the axis to the right of the picture, y
 * down from the middle of the head, one head about 200 wide.
 *
 * @param points start, then control, control and end of each piece
 */
record Curve(List<double[]> points, boolean closed) {
    /** Handles that make a quarter of a circle of four cubic pieces, within 0.03 % of the radius. */
    private static final double CIRCLE = 0.5522847498;

    Curve {
        points = List.copyOf(points);
    }

    static Curve ellipse(double cx, double cy, double rx, double ry) {
        double kx = CIRCLE * rx;
        double ky = CIRCLE * ry;
        double[][] p = {
            {cx + rx, cy},
            {cx + rx, cy + ky},
            {cx + kx, cy + ry},
            {cx, cy + ry},
            {cx - kx, cy + ry},
            {cx - rx, cy + ky},
            {cx - rx, cy},
            {cx - rx, cy - ky},
            {cx - kx, cy - ry},
            {cx, cy - ry},
            {cx + kx, cy - ry},
            {cx + rx, cy - ky},
            {cx + rx, cy}
        };
        return new Curve(List.of(p), true);
    }

    /** Smooth through all points (Catmull and Rom), closed. */
    static Curve blob(double... xy) {
        return through(true, xy);
    }

    /** Smooth through all points, open. */
    static Curve line(double... xy) {
        return through(false, xy);
    }

    private static Curve through(boolean closed, double... xy) {
        int n = xy.length / 2;
        List<double[]> out = new ArrayList<>();
        out.add(new double[] {xy[0], xy[1]});
        for (int i = 0; i < (closed ? n : n - 1); i++) {
            double[] before = at(xy, i - 1, closed);
            double[] from = at(xy, i, closed);
            double[] to = at(xy, i + 1, closed);
            double[] after = at(xy, i + 2, closed);
            out.add(new double[] {from[0] + (to[0] - before[0]) / 6, from[1] + (to[1] - before[1]) / 6});
            out.add(new double[] {to[0] - (after[0] - from[0]) / 6, to[1] - (after[1] - from[1]) / 6});
            out.add(to);
        }
        return new Curve(out, closed);
    }

    private static double[] at(double[] xy, int i, boolean closed) {
        int n = xy.length / 2;
        int k = closed ? Math.floorMod(i, n) : Math.max(0, Math.min(n - 1, i));
        return new double[] {xy[2 * k], xy[2 * k + 1]};
    }

    /** With corners at all points. */
    static Curve polygon(double... xy) {
        List<double[]> out = new ArrayList<>();
        int n = xy.length / 2;
        out.add(new double[] {xy[0], xy[1]});
        for (int i = 0; i < n; i++) {
            double[] a = at(xy, i, true);
            double[] b = at(xy, i + 1, true);
            out.add(new double[] {a[0] + (b[0] - a[0]) / 3, a[1] + (b[1] - a[1]) / 3});
            out.add(new double[] {a[0] + 2 * (b[0] - a[0]) / 3, a[1] + 2 * (b[1] - a[1]) / 3});
            out.add(b);
        }
        return new Curve(out, true);
    }

    static Curve box(double cx, double cy, double w, double h) {
        return polygon(cx - w / 2, cy - h / 2, cx + w / 2, cy - h / 2, cx + w / 2, cy + h / 2, cx - w / 2, cy + h / 2);
    }

    Curve mirrored() {
        return map(p -> new double[] {-p[0], p[1]});
    }

    Curve moved(double dx, double dy) {
        return map(p -> new double[] {p[0] + dx, p[1] + dy});
    }

    /** Turned clockwise about a point, then enlarged about it. */
    Curve turned(double cx, double cy, double degrees, double scale) {
        double c = Math.cos(Math.toRadians(degrees)) * scale;
        double s = Math.sin(Math.toRadians(degrees)) * scale;
        return map(p -> new double[] {cx + c * (p[0] - cx) - s * (p[1] - cy), cy + s * (p[0] - cx) + c * (p[1] - cy)});
    }

    private Curve map(java.util.function.UnaryOperator<double[]> change) {
        return new Curve(points.stream().map(change).toList(), closed);
    }

    /** Left, top, right, bottom of its points and handles. */
    double[] box() {
        double[] b = {Double.MAX_VALUE, Double.MAX_VALUE, -Double.MAX_VALUE, -Double.MAX_VALUE};
        for (double[] p : points) {
            b[0] = Math.min(b[0], p[0]);
            b[1] = Math.min(b[1], p[1]);
            b[2] = Math.max(b[2], p[0]);
            b[3] = Math.max(b[3], p[1]);
        }
        return b;
    }

    String svg() {
        StringBuilder out = new StringBuilder();
        for (int i = 0; i < points.size(); i++) {
            out.append(i == 0 ? "M" : i % 3 == 1 ? "C" : " ")
                    .append(number(points.get(i)[0]))
                    .append(' ')
                    .append(number(points.get(i)[1]));
        }
        return closed ? out.append('Z').toString() : out.toString();
    }

    static String number(double v) {
        String s = String.format(Locale.ROOT, "%.5f", v);
        return s.replaceAll("0+$", "").replaceAll("\\.$", "").replaceAll("^-0$", "0");
    }
}
