package app.leeward.core.solid;

import app.leeward.core.art.Matrix;
import app.leeward.core.art.Point;
import java.util.List;

/**
 * The placement that comes nearest to what a motion does to the points of a piece, for pieces that keep their drawing: x by x
 * and y, y by y (least squares).
 */
final class Affine {
    private Affine() {}

    /**
     * @param leastWide and {@code mostWide}: between what its width is held, as a share of the width at rest
     * @param slant how much of the shear is kept
     */
    static Matrix of(HeadSolids.Sampled points, View view, double leastWide, double mostWide, double slant) {
        List<Point> rest = points.rest();
        int n = rest.size();
        if (n == 0) {
            return Matrix.IDENTITY;
        }
        double mx = 0;
        double my = 0;
        double tx = 0;
        double ty = 0;
        Point[] moved = new Point[n];
        for (int i = 0; i < n; i++) {
            moved[i] = points.follows().get(i).at(view);
            mx += rest.get(i).x() / n;
            my += rest.get(i).y() / n;
            tx += moved[i].x() / n;
            ty += moved[i].y() / n;
        }
        double xx = 0;
        double xy = 0;
        double yy = 0;
        double xt = 0;
        double yt = 0;
        double yu = 0;
        for (int i = 0; i < n; i++) {
            double x = rest.get(i).x() - mx;
            double y = rest.get(i).y() - my;
            double t = moved[i].x() - tx;
            xx += x * x;
            xy += x * y;
            yy += y * y;
            xt += x * t;
            yt += y * t;
            yu += y * (moved[i].y() - ty);
        }
        double det = xx * yy - xy * xy;
        boolean flat = det < 1e-9 * xx * yy || xx == 0 || yy == 0;
        double a = flat ? (xx > 0 ? xt / xx : 1) : (xt * yy - yt * xy) / det;
        double c = flat ? 0 : slant * (yt * xx - xt * xy) / det;
        double d = yy > 0 ? yu / yy : 1;
        a = Math.max(leastWide, Math.min(mostWide, a));
        d = Math.max(leastWide, Math.min(mostWide, d));
        return new Matrix(a, 0, c, d, tx - a * mx - c * my, ty - d * my);
    }
}
