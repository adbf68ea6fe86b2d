package app.leeward.formats.lottie;

import app.leeward.core.art.Box;
import app.leeward.core.art.GradientStop;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** Gradients that are repeated or thrown back beyond their ends, which Lottie does not know, as long ones that are not. */
final class Repeated {
    /** Most times one is written one after the other; what lies beyond has the last colour. */
    private static final int MOST = 40;

    private Repeated() {}

    /** Whether a shape has one that cannot be written out: a focus that is repeated is no gradient about one focus. */
    static boolean cannotBeSaid(Shape s) {
        return cannotBeSaid(s.fill()) || cannotBeSaid(s.stroke().paint());
    }

    private static boolean cannotBeSaid(Paint paint) {
        return paint instanceof Paint.Gradient g
                && g.spread() != Paint.Spread.PAD
                && g.radial()
                && !g.focus().equals(new Point(0, 0));
    }

    /** @param reach what is painted lies within it */
    static Paint.Gradient unrolled(Paint.Gradient g, Box reach) {
        if (g.spread() == Paint.Spread.PAD || cannotBeSaid(g)) {
            return g;
        }
        Matrix in = g.place().inverse();
        double least = 0;
        double most = 1;
        for (Point corner : List.of(
                new Point(reach.minX(), reach.minY()),
                new Point(reach.maxX(), reach.minY()),
                new Point(reach.minX(), reach.maxY()),
                new Point(reach.maxX(), reach.maxY()))) {
            Point p = in.apply(corner);
            double along = g.radial() ? Math.hypot(p.x(), p.y()) : p.x();
            least = Math.min(least, along);
            most = Math.max(most, along);
        }
        int from = g.radial() ? 0 : (int) Math.max(-MOST / 2, Math.floor(least));
        int to = (int) Math.min(MOST / 2, Math.ceil(most));
        List<GradientStop> stops = new ArrayList<>();
        for (int k = from; k < to; k++) {
            List<GradientStop> once = new ArrayList<>(g.stops());
            boolean back = g.spread() == Paint.Spread.REFLECT && Math.floorMod(k, 2) == 1;
            if (back) {
                Collections.reverse(once);
            }
            for (GradientStop s : once) {
                double at = (k - from + (back ? 1 - s.at() : s.at())) / (to - from);
                stops.add(new GradientStop(Math.min(1, at), s.colour(), s.opacity()));
            }
        }
        Matrix longer =
                g.radial() ? Matrix.scale(to, to) : Matrix.translate(from, 0).times(Matrix.scale(to - from, 1));
        return new Paint.Gradient(g.radial(), g.place().times(longer), stops, Paint.Spread.PAD, g.focus());
    }
}
