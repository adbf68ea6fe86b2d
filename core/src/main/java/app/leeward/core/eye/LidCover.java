package app.leeward.core.eye;

import app.leeward.core.art.Regions;
import java.util.Optional;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.util.AffineTransformation;

/**
 * How far lids must travel to close an eye, measured on the fills themselves. Lids move straight up and down; they meet
 * on a line {@link #MEETING} of the way down the white and overlap by {@link #OVERLAP}.
 */
final class LidCover {
    /** Where the lids meet, as a share of the white's height from its top. */
    static final double MEETING = 0.72;
    /** User units by which each lid of an eye {@link #MEANT} wide reaches past what it must cover, so that no hairline shows. */
    static final double OVERLAP = 1.5;

    /** Width of an eye for which lengths in this room are meant, units: drawings ten times as large are not seen any closer. */
    static final double MEANT = 60;

    /** The most a lid is drawn out. */
    private static final double GROWN = 2.5;

    /** In how many steps the way of a lid is looked through, and how many a tip that may stay uncovered is long at the most. */
    private static final int STEPS = 200;

    private static final int TIP = 3;

    private LidCover() {}

    /**
     * The smallest travel that covers {@code target} completely, plus the overlap.
     *
     * @param direction 1 for a lid that comes down, -1 for one that goes up
     * @return empty when the lid is too small to cover it anywhere on its way
     */
    static Optional<Double> travel(Geometry target, Geometry lid, int direction) {
        if (target.isEmpty()) {
            return Optional.of(0.0);
        }
        double far = target.getEnvelopeInternal().getHeight()
                + lid.getEnvelopeInternal().getHeight();
        double step = far / STEPS;
        double slack = target.getArea() * 1e-5;
        // before its leading edge has come to the far end, and once its trailing edge has left the near one, it covers
        // too little; a tip that is next to nothing may show past either
        Envelope white = target.getEnvelopeInternal();
        Envelope blind = lid.getEnvelopeInternal();
        double leading = direction > 0 ? white.getMaxY() - blind.getMaxY() : blind.getMinY() - white.getMinY();
        double trailing = direction > 0 ? white.getMinY() - blind.getMinY() : blind.getMaxY() - white.getMaxY();
        int from = (int) Math.max(0, Math.floor(leading / step) - TIP);
        int to = (int) Math.min(STEPS, Math.ceil(trailing / step) + TIP);
        for (int i = from; i <= to; i++) {
            if (Regions.without(target, moved(lid, direction * i * step)).getArea() <= slack) {
                double exact = bisect(target, lid, direction, Math.max(0, (i - 1) * step), i * step, slack);
                double further = exact + OVERLAP * larger(target);
                boolean stillCovers =
                        Regions.without(target, moved(lid, direction * further)).getArea() <= slack;
                return Optional.of(stillCovers ? further : exact);
            }
        }
        return Optional.empty();
    }

    /**
     * How many times as tall an upper lid must grow downwards to cover {@code target}; 1 for one that covers it already.
     *
     * @return empty when it does not cover it at {@link #GROWN} times its height
     */
    static Optional<Double> growth(Geometry target, Geometry lid) {
        double slack = target.getArea() * 1e-3;
        for (double times = 1; times <= GROWN; times += 0.02) {
            // a lid grown too tall is narrower than the eye at its top
            if (Regions.without(target, grown(lid, times)).getArea() <= slack) {
                return Optional.of(times);
            }
        }
        return Optional.empty();
    }

    /** A lid so many times as tall, its top where it was. */
    static Geometry grown(Geometry lid, double times) {
        return AffineTransformation.scaleInstance(
                        1, times, 0, lid.getEnvelopeInternal().getMinY())
                .transform(lid);
    }

    /** How far a lower lid goes up to cover the most of {@code target}; of several ways the shortest. */
    static double best(Geometry target, Geometry lid) {
        double far = target.getEnvelopeInternal().getHeight();
        double best = 0;
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i <= 40; i++) {
            double way = far * i / 40;
            double left = Regions.without(target, moved(lid, -way)).getArea();
            if (left < least - 1e-3 * target.getArea()) {
                least = left;
                best = way;
            }
        }
        return best;
    }

    /** How many times as large as meant an eye is drawn; 1 for one that is smaller. */
    static double larger(Geometry eye) {
        return Math.max(1, eye.getEnvelopeInternal().getWidth() / MEANT);
    }

    private static double bisect(Geometry target, Geometry lid, int direction, double open, double shut, double slack) {
        double a = open;
        double b = shut;
        for (int i = 0; i < 30; i++) {
            double m = (a + b) / 2;
            if (Regions.without(target, moved(lid, direction * m)).getArea() <= slack) {
                b = m;
            } else {
                a = m;
            }
        }
        return b;
    }

    static Geometry moved(Geometry g, double down) {
        return AffineTransformation.translationInstance(0, down).transform(g);
    }

    /** The part of the white below the line on which the lids meet, {@code share} of the way down. */
    static Geometry beyond(Geometry white, double share) {
        Envelope e = white.getEnvelopeInternal();
        double line = e.getMinY() + share * e.getHeight();
        return Regions.both(
                white,
                white.getFactory().toGeometry(new Envelope(e.getMinX() - 1, e.getMaxX() + 1, line, e.getMaxY() + 1)));
    }

    static Geometry fill(app.leeward.core.rig.Part part) {
        return part.drawing(part.shown())
                .or(() -> part.drawings().stream().findFirst())
                .map(d -> Regions.ofFills(d.art().windowShapes()))
                .orElseThrow(() -> new IllegalArgumentException("'" + part.name() + "' has no drawing"));
    }
}
