package app.leeward.core.art;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;

/**
 * An outline taken down by an amount that changes along the x axis, as near to it as its own curves can come: points go where they
 * are taken, curves go on as smoothly as they did, and a handle that nothing ties down leads the whole curve nearest (least squares
 * over places along it). Handles taken down as points are would leave a kink wherever curves meet, since the way is another there.
 */
final class BentCurves {
    /** Places along a curve that are looked at, ends not counted. */
    private static final int PLACES = 7;
    /** Sine of the angle up to which a curve goes on smoothly past a point. */
    private static final double SMOOTH = 0.1;

    private static final double NOTHING = 1e-9;

    private final DoubleUnaryOperator down;
    private final DoubleUnaryOperator slope;

    /**
     * @param down how far an x is taken down
     * @param slope its derivative
     */
    BentCurves(DoubleUnaryOperator down, DoubleUnaryOperator slope) {
        this.down = down;
        this.slope = slope;
    }

    /** One line or curve; a line's handles are its ends. */
    private record Piece(Point from, Point c1, Point c2, Point to) {
        Point setsOut() {
            Point d = c1.minus(from);
            return longEnough(d) ? d : longEnough(c2.minus(from)) ? c2.minus(from) : to.minus(from);
        }

        Point arrives() {
            Point d = to.minus(c2);
            return longEnough(d) ? d : longEnough(to.minus(c1)) ? to.minus(c1) : to.minus(from);
        }

        boolean goesOnSmoothly(Piece next) {
            Point a = arrives();
            Point b = next.setsOut();
            double lengths = Math.hypot(a.x(), a.y()) * Math.hypot(b.x(), b.y());
            return a.x() * b.x() + a.y() * b.y() > 0 && Math.abs(a.x() * b.y() - a.y() * b.x()) <= SMOOTH * lengths;
        }

        private static boolean longEnough(Point d) {
            return Math.abs(d.x()) + Math.abs(d.y()) > NOTHING;
        }
    }

    /** The same commands, so that outlines before and after can be led into each other. */
    Path of(Path path) {
        List<Segment> out = new ArrayList<>(path.segments().size());
        for (Path sub : path.subPaths()) {
            List<Piece> pieces = pieces(sub);
            int last = pieces.size() - 1;
            boolean round = last > 0
                    && sub.closes()
                    && apart(pieces.get(last).to(), pieces.get(0).from()) < NOTHING;
            int k = 0;
            for (Segment s : sub.segments()) {
                if (s instanceof Segment.Move move) {
                    out.add(new Segment.Move(taken(move.to())));
                } else if (s instanceof Segment.Close) {
                    out.add(s);
                } else {
                    Piece piece = pieces.get(k);
                    Piece before = k > 0 ? pieces.get(k - 1) : round ? pieces.get(last) : null;
                    Piece after = k < last ? pieces.get(k + 1) : round ? pieces.get(0) : null;
                    out.add(
                            s instanceof Segment.Line
                                    ? new Segment.Line(taken(piece.to()))
                                    : curve(
                                            piece,
                                            before != null && before.goesOnSmoothly(piece),
                                            after != null && piece.goesOnSmoothly(after)));
                    k++;
                }
            }
        }
        return new Path(out);
    }

    private static double apart(Point a, Point b) {
        return Math.hypot(a.x() - b.x(), a.y() - b.y());
    }

    private static List<Piece> pieces(Path sub) {
        List<Piece> pieces = new ArrayList<>();
        Point at = new Point(0, 0);
        for (Segment s : sub.segments()) {
            if (s instanceof Segment.Move move) {
                at = move.to();
            } else if (s instanceof Segment.Line line) {
                pieces.add(new Piece(at, at, line.to(), line.to()));
                at = line.to();
            } else if (s instanceof Segment.Cubic c) {
                pieces.add(new Piece(at, c.c1(), c.c2(), c.to()));
                at = c.to();
            }
        }
        return pieces;
    }

    private Point taken(Point p) {
        return lowered(p, down.applyAsDouble(p.x()));
    }

    private static Point lowered(Point p, double by) {
        return new Point(p.x(), p.y() + by);
    }

    /**
     * @param tiedFirst whether its first handle must go on from the piece before
     * @param tiedLast whether its second handle must lead into the piece after
     */
    private Segment curve(Piece p, boolean tiedFirst, boolean tiedLast) {
        double from = down.applyAsDouble(p.from().x());
        double to = down.applyAsDouble(p.to().x());
        double first = from
                + slope.applyAsDouble(p.from().x()) * (p.c1().x() - p.from().x());
        double last = to + slope.applyAsDouble(p.to().x()) * (p.c2().x() - p.to().x());
        if (!tiedFirst || !tiedLast) {
            double aa = 0;
            double ab = 0;
            double bb = 0;
            double ar = 0;
            double br = 0;
            for (int k = 1; k <= PLACES; k++) {
                double t = k / (PLACES + 1.0);
                double u = 1 - t;
                double a = 3 * u * u * t;
                double b = 3 * u * t * t;
                double x = u * u * u * p.from().x() + a * p.c1().x() + b * p.c2().x() + t * t * t * p.to().x();
                double rest = down.applyAsDouble(x) - u * u * u * from - t * t * t * to;
                rest -= (tiedFirst ? a * first : 0) + (tiedLast ? b * last : 0);
                aa += a * a;
                ab += a * b;
                bb += b * b;
                ar += a * rest;
                br += b * rest;
            }
            if (tiedFirst) {
                last = br / bb;
            } else if (tiedLast) {
                first = ar / aa;
            } else {
                double det = aa * bb - ab * ab;
                first = (ar * bb - br * ab) / det;
                last = (br * aa - ar * ab) / det;
            }
        }
        return new Segment.Cubic(lowered(p.c1(), first), lowered(p.c2(), last), lowered(p.to(), to));
    }
}
