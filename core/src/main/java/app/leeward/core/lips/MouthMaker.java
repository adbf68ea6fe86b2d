package app.leeward.core.lips;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Clip;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.mouth.Articulation;
import app.leeward.core.mouth.MouthRulers;
import app.leeward.core.mouth.Viseme;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Makes the mouth of any class, in any mood, from one starting mouth.
 *
 * <p>The upper teeth are the skull's and never move. Lower teeth and tongue go with the jaw. The lips keep their length: as
 * the jaw drops, the corners come in, until the outline is within {@link #KEEPS} of the starting one; pursed lips fold and
 * show less of themselves. Every mouth has the points of the starting one, so that any two blend.
 */
final class MouthMaker implements SetMaker {
    /** How far the outline's length may stray, as a share of what the class's pursing leaves of it. */
    public static final double KEEPS = 0.12;
    /** What full pursing hides of the outline's length, as a share: by eye, no source. */
    private static final double PURSED = 0.55;
    /** Full jaw drop as a share of the starting mouth's width. */
    private static final double DROP = 0.5;
    /** How much of the way to the chin a full jaw drop takes at most; by eye. */
    private static final double CHIN = 0.75;
    /** A full drop however near the chin is, as a share of the width: full lips low in a face open all the same. By eye. */
    private static final double LEAST_DROP = 0.1;
    /** How far a mood takes the corners up or down, as a share of the width. */
    private static final double LIFT = 0.13;
    /** Mouths at rest smile a little already, so going down goes further. */
    private static final double FALL = 0.2;
    /** How far a tongue lies down behind pursed lips and bared teeth, as a share of the width. */
    private static final double LOW = 0.14;
    /** Least gap between upper and lower teeth, as a share of the width. */
    private static final double GAP = 0.025;
    /** How far the jaw goes down behind pursed lips, as a share of the width. */
    private static final double JUT = 0.12;

    private static final double LEAST_WIDTH = 0.22;
    private static final double MOST_WIDTH = 1.25;
    /** Least width of an opening as a share of its height: by eye, no source. */
    private static final double SLIM = 0.78;

    /** What is narrower than this share of the width and touches a lip is a tooth. By eye. */
    private static final double TOOTH = 0.3;

    private static final int HALVINGS = 22;
    /** Window, inside, both rows of teeth, tongue and outline. */
    private static final int PIECES = 6;

    private final Artwork drawn;
    private final MouthStart start;
    private final double w;
    private final double length;
    private final LipProfile style;
    private final double chin;

    /** @throws MouthProblem when the drawing has no outline a mouth can be made from */
    public MouthMaker(Artwork startingMouth) {
        this(startingMouth, MouthColours.USUAL, Double.POSITIVE_INFINITY);
    }

    /** @param chin y that no lip comes down to; infinite where there is none */
    MouthMaker(Artwork startingMouth, MouthColours colours, double chin) {
        drawn = startingMouth;
        start = MouthStart.of(startingMouth, colours);
        this.chin = chin - start.hanging();
        w = start.width();
        length = start.lips().length();
        style = LipProfile.of(start);
    }

    @Override
    public boolean closed() {
        return start.closed();
    }

    @Override
    public Artwork starting() {
        return inOrder(start.lips(), LipPose.Front.LIPS, start.opening(), 0, 0, 0);
    }

    @Override
    public boolean unseen() {
        boolean whole = drawn.shapes().stream().anyMatch(s -> s.role().behindWindow());
        return start.lined() && !start.lips().line() && (start.closed() || whole);
    }

    /** The drawing all of it was made from, taken to pieces. */
    MouthStart start() {
        return start;
    }

    /** How long the outline of a class should be, canvas units. */
    double wanted(Viseme v, MouthRulers rulers) {
        return length * (1 - PURSED * Math.min(1, v.articulation().rounding() * rulers.round()));
    }

    @Override
    public Artwork make(Viseme v, MouthRulers rulers, double corners, double tension) {
        Articulation a = v.articulation();
        LipPose pose = LipPose.of(v);
        boolean shut = a.closure() >= 0.5;
        double loose = 1 - 0.3 * tension;
        double round = Math.min(1, a.rounding() * rulers.round());
        double curve = (start.closed() ? start.lipLine() - start.cornerLine() : 0.05 * w) * (1 - rulers.flat());
        double base = start.lipLine() - 0.5 * curve;
        // teeth that meet still leave a line between them
        double bite = start.teethEdge() + GAP * w - start.lowerTeethEdge();
        double least = pose.front() == LipPose.Front.UPPER_TEETH ? 0 : Math.max(0, bite);
        double drop = Math.min(DROP * w, Math.max(LEAST_DROP * w, CHIN * (chin - base)));
        double jaw = shut ? 0 : Math.max(least, drop * a.jaw() * rulers.jaw() * loose);
        // pursed lips have little to lift, and a smile that is smiled already goes no further
        double asked = Math.max(-1, Math.min(1, corners + (v == Viseme.SMILE ? 0.85 : 0)));
        double lift = (asked < 0 ? FALL : LIFT) * w * asked * (1 - 0.75 * round);
        double stretch = 0.1 * (a.width() - 0.5) * 2 * rulers.width()
                + 0.06 * a.jaw()
                + 0.05 * tension
                + 0.03 * Math.abs(corners);
        if (shut && !start.closed()) {
            // the lips of an open mouth are long; shut, they are drawn as short as they may be
            stretch -= 0.1;
        }
        double target = wanted(v, rulers) * (1 + Math.max(-0.095, Math.min(0.095, stretch)));
        // where the chin is near, less of the teeth shows as well
        double tall = drop / DROP;
        Target t =
                shut ? closed(v, base, curve, lift) : open(v, base, curve, lift, jaw, round, rulers, loose, pose, tall);
        Fit fit = fitted(t, target);
        Lips lips = fit.lips;
        // what the lips could not open, the jaw has not dropped
        jaw = Math.max(0, jaw - (t.low - fit.low));
        return plain(inOrder(
                lips,
                pose.front(),
                // pursed lips come forward, and the teeth behind them are not seen
                jaw + (pose.teeth() < 0 ? JUT * w * round : 0),
                shut ? 0 : a.tongue() * rulers.tongue(),
                LOW * w * Math.max(round, Math.min(1, 10 * pose.lip() - 0.2)),
                Math.max(
                        -start.opening(),
                        lips.lower().middlePoint().y()
                                - start.lips().lower().middlePoint().y())));
    }

    /** Pieces called by what they are, and not after the mouth they came from; folds round it keep their names. */
    private Artwork plain(Artwork art) {
        List<Shape> out = new ArrayList<>();
        int first = start.colour().size();
        for (Shape s : art.shapes()) {
            boolean piece = out.size() >= first && out.size() < first + PIECES;
            String name = s.role().name().toLowerCase(Locale.ROOT).replace('_', ' ');
            out.add(piece ? s.withName(name) : s);
        }
        return new Artwork(out);
    }

    /** Heights of corners and lips, and how round the arcs are. */
    private record Target(double corner, double up, double low, double round) {}

    private Target closed(Viseme v, double base, double curve, double lift) {
        boolean pressed = v == Viseme.PBM;
        double bow = pressed ? 0.35 * curve : curve;
        double corner = base - 0.5 * bow - lift;
        double line = base + 0.5 * bow + 0.12 * Math.max(0, lift);
        return new Target(corner, line, line, 0.2);
    }

    private Target open(
            Viseme v,
            double base,
            double curve,
            double lift,
            double jaw,
            double round,
            MouthRulers rulers,
            double loose,
            LipPose pose,
            double tall) {
        double edge = start.teethEdge();
        double shown = pose.teeth() * (pose.teeth() > 0 ? rulers.tooth() : 1) * tall;
        double up = Math.min(edge - shown, base - 0.035 * w);
        if (pose.front() == LipPose.Front.UPPER_TEETH) {
            // the lower lip comes up behind the edge of the teeth
            double low = edge - 0.015 * w;
            return new Target(low - 0.03 * w - 0.8 * lift, Math.min(up, low - 0.08 * w), low, 0.45);
        }
        double low = Math.max(base + jaw + pose.lip() * rulers.tooth() * tall * loose, up + 0.1 * tall * loose);
        double open = Math.min(1, (low - up) / (0.5 * w));
        double middle = (up + low) / 2;
        double corner = base - 0.25 * curve * (1 - open) + 0.35 * open * (middle - base) - lift;
        if (round > 0.3) {
            corner += Math.min(1, round) * (middle - corner - lift) * 0.8;
        }
        return new Target(corner, up, low + 0.1 * Math.max(0, lift), Math.min(1, 0.4 + 0.6 * round + 0.25 * open));
    }

    /** As wide as the length of the lips lets it be; less open where even a narrow mouth would be too long. */
    private Fit fitted(Target wanted, double target) {
        Target t = wanted;
        for (int i = 0; i < 40 && lips(t, least(t)).length() > target; i++) {
            double middle = t.up + 0.35 * (t.low - t.up);
            t = new Target(
                    middle + 0.94 * (t.corner - middle),
                    middle + 0.94 * (t.up - middle),
                    middle + 0.94 * (t.low - middle),
                    t.round);
        }
        double narrow = least(t);
        double wide = MOST_WIDTH * w;
        for (int i = 0; i < HALVINGS; i++) {
            double m = (narrow + wide) / 2;
            if (lips(t, m).length() < target) {
                narrow = m;
            } else {
                wide = m;
            }
        }
        return new Fit(lips(t, narrow), t.low);
    }

    /** Lips that fit, and how far the lower one could go down. */
    private record Fit(Lips lips, double low) {}

    /** No mouth is a slit from nose to chin. */
    private double least(Target t) {
        return Math.max(LEAST_WIDTH * w, SLIM * (t.low - t.up + start.thick()));
    }

    private Lips lips(Target t, double width) {
        return style.lips(start.centre(), width, t.corner, t.up, t.low, t.round);
    }

    /**
     * The shapes of a mouth, back to front.
     *
     * @param jaw how far the lower teeth go down
     * @param tongue how far the tongue comes up, 0 to 1 to the teeth's edge
     * @param low how far the tongue lies down on its own
     * @param chin how far what lies under the mouth goes down
     */
    private Artwork inOrder(Lips window, LipPose.Front front, double jaw, double tongue, double low, double chin) {
        List<Shape> out = new ArrayList<>();
        Path edge = window.path();
        Box opening = edge.bounds().orElseThrow();
        Shape inside = start.inside().withPath(laidOver(start.inside().path(), opening));
        Shape upper = start.upperTeeth();
        Shape lower = start.lowerTeeth().transform(Matrix.translate(0, jaw));
        Shape licking = start.tongue().withPath(tongue(jaw, tongue, low));
        LipColour colour = new LipColour(start.lips(), window);
        for (Shape s : start.colour()) {
            out.add(s.withPath(colour.bent(s.path())));
        }
        out.add(start.window().withPath(edge));
        out.add(inside);
        Shape outline = start.outline().withPath(edge);
        switch (front) {
            case LIPS ->
                out.addAll(
                        tongue > 0.3
                                ? List.of(lower, licking, upper, outline)
                                : List.of(licking, lower, upper, outline));
            case TONGUE -> out.addAll(List.of(lower, upper, licking, outline));
            case UPPER_TEETH -> out.addAll(List.of(licking, lower, outline, before(upper, window)));
        }
        for (Shape s : start.details()) {
            out.add(s.transform(along(s, window, chin)));
        }
        return new Artwork(out);
    }

    /** What fills the opening, with a little to spare all round. */
    private Path laidOver(Path inside, Box opening) {
        Box was = inside.bounds().orElse(opening);
        double spare = 0.03 * w;
        double sx = (opening.width() + 2 * spare) / Math.max(1e-6, was.width());
        double sy = (opening.height() + 2 * spare) / Math.max(1e-6, was.height());
        return inside.transform(new Matrix(
                sx, 0, 0, sy, opening.minX() - spare - sx * was.minX(), opening.minY() - spare - sy * was.minY()));
    }

    /** Down with the jaw, its tip up to the teeth as far as it is raised: grown from its root. */
    private Path tongue(double jaw, double raised, double lying) {
        Path path = start.tongue().path();
        Box at = path.bounds().orElse(null);
        if (at == null || at.height() < 1e-6) {
            return path;
        }
        double root = at.maxY() + jaw;
        double low = at.minY() + jaw + lying * (1 - Math.min(1, raised));
        double high = Math.min(low, start.teethEdge() - 0.01 * w);
        double tip = low + Math.min(1, raised) * (high - low);
        double sy = Math.max(0.2, (root - tip) / at.height());
        // a raised tongue points
        double sx = 1 - 0.25 * Math.min(1, raised);
        double cx = at.centre().x();
        return path.transform(new Matrix(sx, 0, 0, sy, cx - sx * cx, tip - sy * at.minY()));
    }

    /** The upper teeth as they bite on the lower lip: no longer behind it, still behind the upper one. */
    private Shape before(Shape upper, Lips window) {
        double line = start.outline().stroke().width();
        double drop = 0.4 * line;
        Point left = window.upper().start();
        Point right = window.upper().end();
        double bottom = start.teethEdge() + line;
        double in = 0.14 * (right.x() - left.x());
        List<Segment> out = new ArrayList<>();
        Matrix under = new Matrix(
                1 - 2 * in / (right.x() - left.x()), 0, 0, 1, start.centre() * 2 * in / (right.x() - left.x()), drop);
        Arc lip = window.upper();
        out.add(new Segment.Move(under.apply(lip.start())));
        for (int i = 0; i < lip.curves(); i++) {
            out.add(new Segment.Cubic(
                    under.apply(lip.points().get(3 * i + 1)),
                    under.apply(lip.points().get(3 * i + 2)),
                    under.apply(lip.points().get(3 * i + 3))));
        }
        Point to = under.apply(right);
        Point from = under.apply(left);
        out.add(new Segment.Line(new Point(to.x() - 0.4 * in, bottom)));
        out.add(new Segment.Line(new Point(from.x() + 0.4 * in, bottom)));
        out.add(new Segment.Close());
        Shape bared = upper.withRole(upper.role(), false);
        String ink = start.outline().stroke().paint().colours().findFirst().orElse("#2a2f38");
        String white = upper.fill().colours().findFirst().orElse("#fffaf0");
        return bared.painted(white, ink, 0.55 * line).cutBy(List.of(new Clip(new Path(out), FillRule.NONZERO)));
    }

    /** A fold under the mouth goes with the chin, one over it stays, one beside it goes with the corner. */
    private Matrix along(Shape detail, Lips window, double chin) {
        Box at = detail.bounds().orElse(null);
        if (at == null) {
            return Matrix.IDENTITY;
        }
        Point c = at.centre();
        double half = w / 2;
        if (c.x() < start.centre() - half) {
            return between(start.lips().upper().start(), window.upper().start());
        }
        if (c.x() > start.centre() + half) {
            return between(start.lips().upper().end(), window.upper().end());
        }
        Optional<Matrix> standing = standing(detail, at, window);
        if (standing.isPresent()) {
            return standing.get();
        }
        if (c.y() < start.lipLine()) {
            return Matrix.IDENTITY;
        }
        double sx = Math.max(0.6, Math.min(1.1, window.width() / w));
        return new Matrix(sx, 0, 0, 1, c.x() - sx * c.x(), chin);
    }

    /** A lone tooth, or the fold under a nose, stands on the lip it ends at, and goes with that place of it; empty for what touches none. */
    private Optional<Matrix> standing(Shape detail, Box tooth, Lips window) {
        double share = (tooth.centre().x() - start.lips().upper().start().x()) / w;
        double spare = 0.06 * w;
        boolean narrow = tooth.width() < TOOTH * w && share > 0 && share < 1;
        // a lower lip runs from right to left
        Point lower = start.lips().lower().reversed().atShare(share);
        Point upper = start.lips().upper().atShare(share);
        double middle = tooth.centre().y();
        // a tooth comes out from between the lips, a fold runs away from them
        boolean fold = detail.fill() instanceof Paint.None;
        boolean down = narrow && Math.abs(tooth.maxY() - (fold ? upper : lower).y()) < spare;
        boolean up = narrow && Math.abs(tooth.minY() - (fold ? lower : upper).y()) < spare;
        if (fold ? up && middle > lower.y() : down && middle < lower.y()) {
            return Optional.of(between(lower, window.lower().reversed().atShare(share)));
        }
        return (fold ? down && middle < upper.y() : up && middle > upper.y())
                ? Optional.of(between(upper, window.upper().atShare(share)))
                : Optional.empty();
    }

    private static Matrix between(Point from, Point to) {
        return Matrix.translate(to.x() - from.x(), to.y() - from.y());
    }
}
