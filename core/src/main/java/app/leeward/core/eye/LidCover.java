package app.leeward.core.eye;

import app.leeward.core.art.Regions;
import java.util.Optional;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.util.AffineTransformation;

/**
 * How far lids must travel to close an eye, measured on the fills themselves. Lids move straight up and down; they meet
 * on a line {@link #MEETING} of the way down the white and overlap by {@link #OVERLAP}.
 */
final class LidCover {
    /** Where the lids meet, as a share of the white's height from its top. */
    static final double MEETING = 0.72;
    /** User units by which each lid reaches past what it must cover, so that no hairline shows. */
    static final double OVERLAP = 1.5;

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
        double step = far / 200;
        double slack = target.getArea() * 1e-5;
        for (int i = 0; i <= 200; i++) {
            if (Regions.without(target, moved(lid, direction * i * step)).getArea() <= slack) {
                double exact = bisect(target, lid, direction, Math.max(0, (i - 1) * step), i * step, slack);
                double further = exact + OVERLAP;
                boolean stillCovers =
                        Regions.without(target, moved(lid, direction * further)).getArea() <= slack;
                return Optional.of(stillCovers ? further : exact);
            }
        }
        return Optional.empty();
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

    /** The part of the white above (or below) the line on which the lids meet. */
    static Geometry beyondMeeting(Geometry white, boolean above) {
        org.locationtech.jts.geom.Envelope e = white.getEnvelopeInternal();
        double line = e.getMinY() + MEETING * e.getHeight();
        org.locationtech.jts.geom.Envelope half = above
                ? new org.locationtech.jts.geom.Envelope(e.getMinX() - 1, e.getMaxX() + 1, e.getMinY() - 1, line)
                : new org.locationtech.jts.geom.Envelope(e.getMinX() - 1, e.getMaxX() + 1, line, e.getMaxY() + 1);
        return Regions.both(white, white.getFactory().toGeometry(half));
    }

    static Geometry fill(app.leeward.core.rig.Part part) {
        return part.drawing(part.shown())
                .or(() -> part.drawings().stream().findFirst())
                .map(d -> Regions.ofFills(d.art().windowShapes()))
                .orElseThrow(() -> new IllegalArgumentException("'" + part.name() + "' has no drawing"));
    }
}
