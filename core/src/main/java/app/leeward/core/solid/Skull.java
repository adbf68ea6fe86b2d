package app.leeward.core.solid;

import app.leeward.core.rig.HeadShape;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;

/** The head's own mass, built from the outline of its skin. */
final class Skull {
    /** The disc that cuts off tufts, as a share of the head's height and at most of its half width. By eye, no source. */
    private static final double DISC = 0.33;

    private static final double SMALL_DISC = 0.2;
    /** How much of the box round it an outline fills: a head with tufts less than the first share, a box more than the second. */
    private static final double RAGGED = 0.7;

    static final double BOXED = 0.93;

    private static final double DISC_OF_WIDTH = 0.8;
    /** Between which shares of the height an outline may have tufts. */
    private static final double TUFTS_FROM = 0.12;

    private static final double TUFTS_TO = 0.9;
    /** What sticks out less than the first share of the width is skull, from the second on a tuft that swings back. */
    private static final double SKULL_EXCESS = 0.015;

    private static final double TUFT_EXCESS = 0.06;
    /** How far a tuft is swept back: 51°, by eye. */
    private static final double SWEEP = 0.8;
    /** How much of the way the near edge of a face comes in where hair lies behind it. By eye. */
    private static final double SEAM = 0.7;

    /** How far down a chin is looked for, as a share of the height, and how wide a head without one still is there; an ellipse has 0.71. */
    private static final double CHIN_AT = 0.85;

    private static final double NO_CHIN = 0.79;

    /** A head so much wider than tall is a frog's or a toad's, without a chin. By eye. */
    private static final double BROAD = 1.3;
    /** Between these a head is a ball: as wide as tall, and as wide near its chin as a circle is there. By eye. */
    private static final double BALL = 0.95;

    private static final double BALL_CHIN = 0.69;

    /** From which roundness on a head is a box. */
    static final double BOX = 4;

    private Skull() {}

    /** Half the width of the outline without what sticks out: what every depth is a share of. */
    static double halfWidth(Geometry skin, double axis) {
        Extents core = core(skin);
        double half = 0;
        for (int i = 0; i < core.heights().length; i++) {
            half = Math.max(half, core.reaches(i) ? (core.right()[i] - core.left()[i]) / 2 : 0);
        }
        return half;
    }

    /** Whether a head is hardly narrower where others have their chin, or much wider than it is tall. */
    static boolean isRound(Geometry skin) {
        Extents core = core(skin);
        double[] heights = core.heights();
        double at = heights[0] + CHIN_AT * (heights[heights.length - 1] - heights[0]);
        int row = 0;
        double widest = 0;
        for (int i = 0; i < heights.length; i++) {
            row = heights[i] <= at ? i : row;
            widest = Math.max(widest, core.reaches(i) ? core.right()[i] - core.left()[i] : 0);
        }
        double tall = heights[heights.length - 1] - heights[0];
        double chin = core.reaches(row) ? core.right()[row] - core.left()[row] : 0;
        return widest > BROAD * tall || chin > NO_CHIN * widest || widest > BALL * tall && chin > BALL_CHIN * widest;
    }

    /**
     * @param skin the area inside the outline
     * @param axis x of the upright axis it is drawn about
     * @param behind what of hair and hoods lies behind it; empty for none
     */
    static Stack of(Geometry skin, double axis, double half, HeadShape shape, Optional<Extents> behind) {
        Extents outer = Extents.of(skin);
        Extents core = core(skin);
        double top = outer.heights()[0];
        double bottom = outer.heights()[outer.heights().length - 1];
        Profile profile = new Profile.Superellipse(shape.roundness());
        List<Slice> slices = new ArrayList<>();
        for (int i = 0; i < outer.heights().length; i++) {
            double y = outer.heights()[i];
            double share = (y - top) / (bottom - top);
            boolean tufts = share > TUFTS_FROM && share < TUFTS_TO && core.reaches(i);
            double left = Math.max(0, axis - (tufts ? core.left()[i] : outer.left()[i]));
            double right = Math.max(0, (tufts ? core.right()[i] : outer.right()[i]) - axis);
            double excess = Math.max(axis - outer.left()[i] - left, outer.right()[i] - axis - right);
            double front = front(shape, share);
            double back = back(shape, share);
            double depth = held(half * (front + back) / 2, (left + right) / 2);
            double seam = behind.map(b -> seam(b, y, left + right, half)).orElse(0.0);
            slices.add(new Slice(
                    left,
                    right,
                    depth,
                    half * (front - back) / 2,
                    profile,
                    seam,
                    SWEEP * smooth((excess / (2 * half) - SKULL_EXCESS) / (TUFT_EXCESS - SKULL_EXCESS))));
        }
        return new Stack(axis, outer.heights(), slices);
    }

    /** How full a head is so far down, a share of its height: 0 at its ends, 1 halfway. */
    private static double full(HeadShape shape, double share) {
        double v = 2 * share - 1;
        // a box is as deep at its top as in its middle
        return shape.roundness() > BOX ? 1 : Math.sqrt(Math.max(0, 1 - v * v));
    }

    /** How far its front stands before the axis so far down, in half widths. */
    static double front(HeadShape shape, double share) {
        double e = full(shape, share);
        return share < 0.5 ? shape.front() * e : shape.chin() + (shape.front() - shape.chin()) * e;
    }

    /** How far its back lies behind it. */
    static double back(HeadShape shape, double share) {
        double v = 2 * share - 1;
        double e = full(shape, share);
        if (v < 0) {
            return shape.back() * e;
        }
        double k = shape.nape() < 0 ? 1 - smooth(v / 0.8) : e;
        return shape.nape() + (shape.back() - shape.nape()) * k;
    }

    /** No slice is deeper than its width allows: else the tip of a chin would be as deep as it is narrow, and flatten as it turns. */
    static double held(double depth, double halfWidth) {
        double most = 1.8 * halfWidth;
        return depth <= 0 || most <= 0 ? 0 : depth * most / Math.pow(Math.pow(depth, 4) + Math.pow(most, 4), 0.25);
    }

    private static double seam(Extents behind, double y, double width, double half) {
        int row = 0;
        while (row < behind.heights().length - 1 && behind.heights()[row] < y) {
            row++;
        }
        if (!behind.reaches(row)) {
            return 0;
        }
        double wider = (behind.right()[row] - behind.left()[row] - width) / 2;
        double above = behind.heights()[behind.heights().length - 1] - y;
        return SEAM * smooth(wider / (0.12 * half)) * smooth(above / (0.25 * half));
    }

    private static Extents core(Geometry skin) {
        Envelope box = skin.getEnvelopeInternal();
        double filled = skin.getArea() / (box.getWidth() * box.getHeight());
        if (filled > BOXED) {
            return Extents.of(skin);
        }
        double share = filled < RAGGED ? DISC : SMALL_DISC;
        double disc = Math.min(share * box.getHeight(), DISC_OF_WIDTH * box.getWidth() / 2);
        Geometry core = null;
        // a head narrower than the disc is tried with smaller ones
        for (int i = 0; i < 4 && (core == null || core.isEmpty()); i++, disc *= 0.7) {
            core = skin.buffer(-disc, 12).buffer(disc, 12);
        }
        return Extents.of(core.isEmpty() ? skin : core, Extents.of(skin).heights());
    }

    /** 0 up to 0, 1 from 1 on, smoothly between. */
    static double smooth(double t) {
        double held = Math.max(0, Math.min(1, t));
        return held * held * (3 - 2 * held);
    }
}
