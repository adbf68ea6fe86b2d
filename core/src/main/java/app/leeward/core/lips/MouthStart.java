package app.leeward.core.lips;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.Lab;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Stroke;
import app.leeward.core.refusal.RefusalCode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * The pieces of a starting mouth, with what it lacks laid behind its opening.
 *
 * @param lowerTeeth as they lie while the jaw is shut; the tongue too
 * @param outline the line round it; its path is the lips'
 * @param lined whether the outline was drawn as a line, and not made of the edge of a fill
 * @param colour of the lips, behind everything
 * @param details lines and folds round the mouth, which go with the lip or the corner they are nearest to
 */
record MouthStart(
        Lips lips,
        Shape window,
        Shape inside,
        Shape lowerTeeth,
        Shape tongue,
        Shape upperTeeth,
        Shape outline,
        boolean lined,
        List<Shape> colour,
        List<Shape> details) {
    /** From which lightness on a patch is no inside of a mouth. By eye, as the others here. */
    private static final double LIGHT = 45;
    /** From this lightness on, and with no more colour than this, it is bared teeth. */
    private static final double WHITE = 88;

    private static final double PALE = 14;
    /** Or what is no further from the whites of the eyes. */
    private static final double ALIKE = 12;
    /** How thick a line is that was never drawn, and a lip, as shares of the mouth's width. */
    private static final double LINE = 0.05;

    private static final double LIP = 0.09;
    /** The line of a mouth that has neither line nor colour. */
    private static final String INK = "#2a2f38";

    /** What is closed and narrower than this share of the widest piece is a tooth or a dimple. */
    private static final double TOOTH = 0.3;

    /** Below this share of its width an opening counts as closed lips. */
    private static final double CLOSED = 0.1;

    /**
     * @throws MouthProblem when there is no outline, or none that a mouth can be made from
     */
    static MouthStart of(Artwork art, MouthColours colours) {
        Optional<Shape> dotted = DottedMouth.line(art);
        Optional<Shape> pair = dotted.or(() -> LipPair.opening(art));
        Shape drawn = pair.orElseGet(() -> outlineOf(art));
        Optional<MouthStroke> strokes = pair.isPresent() ? Optional.empty() : MouthStroke.of(drawn, art.shapes());
        Shape line = asLine(strokes.map(s -> drawn.withPath(s.line())).orElse(drawn));
        Lips lips = Lips.of(line.path());
        Path edge = lips.path();
        double w = lips.width();
        double cx = (lips.upper().start().x() + lips.upper().end().x()) / 2;
        double lip = lipLine(lips);
        // a white patch is a row of bared teeth, a light one without a line a pair of lips or a beak, a dark one the
        // mouth's inside
        Optional<String> bared = patch(drawn)
                .filter(c -> white(c, colours.white()))
                .filter(c -> drawn.stroke().visible()
                        && art.shapes().stream().noneMatch(s -> s.role().behindWindow()));
        String dark = patch(drawn)
                .filter(c -> bared.isEmpty() && (drawn.stroke().visible() || !light(c)))
                .orElse(colours.inside());
        String teeth = bared.orElse(colours.teeth());
        Shape window = first(art, ShapeRole.WINDOW)
                .orElse(filled("window", ShapeRole.WINDOW, edge, dark, false))
                .withPath(edge);
        Shape inside = masked(first(art, ShapeRole.INSIDE)
                .orElse(filled("inside", ShapeRole.INSIDE, box(cx, lip, 0.5 * w, 0.1 * w), dark, true)));
        // the edges of the teeth meet a little over the line where the lips meet, as bared teeth show
        double edges = lip - 0.03 * w;
        Shape upper = masked(row(art, ShapeRole.UPPER_TEETH)
                .orElse(filled(
                        "upper teeth", ShapeRole.UPPER_TEETH, teeth(cx, edges, 0.45 * w, -0.3 * w), teeth, true)));
        // what an open mouth shows of jaw and tongue has been taken down by its opening
        Matrix shut = Matrix.translate(0, -opening(lips));
        Shape lower = masked(row(art, ShapeRole.LOWER_TEETH)
                .map(s -> s.transform(shut))
                .orElse(filled(
                        "lower teeth", ShapeRole.LOWER_TEETH, teeth(cx, edges, 0.36 * w, 0.3 * w), teeth, true)));
        Shape tongue = masked(first(art, ShapeRole.TONGUE)
                .map(s -> s.transform(shut))
                .orElse(filled("tongue", ShapeRole.TONGUE, tongue(cx, lip, w), colours.tongue(), true)));
        List<Shape> colour = new ArrayList<>();
        List<Shape> rest = new ArrayList<>();
        for (Shape s : art.shapes()) {
            boolean piece = s == drawn
                    || dotted.isPresent() && DottedMouth.isDot(s, art)
                    || s.role() == ShapeRole.WINDOW
                    || s.role().behindWindow()
                    || strokes.filter(of -> of.strokes().contains(s)).isPresent();
            if (!piece) {
                (s.role() == ShapeRole.LIPS ? colour : rest).add(s);
            }
        }
        strokes.ifPresent(s -> rest.addAll(s.folds()));
        return new MouthStart(
                lips,
                window,
                inside,
                lower,
                tongue,
                upper,
                line.withPath(edge),
                drawn.stroke().visible(),
                colour,
                rest);
    }

    /** The longest line round the mouth, or else the window's edge, or else the largest filled shape. */
    private static Shape outlineOf(Artwork art) {
        Comparator<Shape> longest = Comparator.comparingDouble(s -> s.path().length());
        Optional<Shape> line = art.shapes().stream()
                .filter(s -> s.role() == ShapeRole.OUTLINE && s.stroke().visible())
                .max(longest)
                .filter(s -> s.path().closes() || first(art, ShapeRole.WINDOW).isEmpty());
        List<Shape> others = art.shapes().stream()
                .filter(s -> !s.role().behindWindow() && s.role() != ShapeRole.LIPS)
                .toList();
        double widest = others.stream().mapToDouble(s -> s.path().width()).max().orElse(0);
        Optional<Shape> found = line.or(() -> first(art, ShapeRole.WINDOW)).or(() -> others.stream()
                // a long fold of the cheek is no mouth while something closed is there, and a lone tooth on the lips is
                // none either
                .max(Comparator.<Shape, Boolean>comparing(
                                s -> s.path().closes() && s.path().width() > TOOTH * widest)
                        .thenComparing(longest)));
        return found.orElseThrow(() -> new MouthProblem(
                RefusalCode.MOUTH_NO_OUTLINE, "The starting mouth has no outline to make mouths from."));
    }

    private static Shape asLine(Shape shape) {
        if (shape.stroke().visible()) {
            return new Shape(
                    shape.name(),
                    ShapeRole.OUTLINE,
                    shape.path(),
                    Paint.NONE,
                    shape.rule(),
                    shape.stroke(),
                    shape.opacity(),
                    false,
                    shape.clips());
        }
        double width = shape.path().width();
        // what was drawn without a line gets none of another colour
        Optional<String> own = patch(shape);
        double share = own.filter(MouthStart::light).isPresent() ? LIP : LINE;
        return shape.withRole(ShapeRole.OUTLINE, false).painted("", own.orElse(INK), Math.max(1, share * width));
    }

    private static Optional<String> patch(Shape shape) {
        return shape.fill().mainColour();
    }

    private static boolean light(String colour) {
        return Lab.of(colour).l() > LIGHT;
    }

    /** @param eyes what the eyes of the same face show as white */
    private static boolean white(String colour, String eyes) {
        Lab c = Lab.of(colour);
        return c.l() >= WHITE && c.chroma() <= PALE || c.white() && c.difference(Lab.of(eyes)) < ALIKE;
    }

    private static Optional<Shape> first(Artwork art, ShapeRole role) {
        return art.shapes().stream().filter(s -> s.role() == role).findFirst();
    }

    /** Teeth that were drawn one by one are a row: a shape of several pieces, painted as the first. */
    private static Optional<Shape> row(Artwork art, ShapeRole teeth) {
        List<Segment> all = new ArrayList<>();
        art.shapes().stream()
                .filter(s -> s.role() == teeth)
                .forEach(s -> all.addAll(s.path().segments()));
        return first(art, teeth).map(s -> s.withPath(new Path(all)));
    }

    private static Shape masked(Shape s) {
        return s.withRole(s.role(), true);
    }

    private static Shape filled(String name, ShapeRole role, Path path, String colour, boolean masked) {
        return new Shape(name, role, path, Paint.flat(colour), FillRule.NONZERO, Stroke.NONE, 1, masked);
    }

    private static Path box(double cx, double cy, double halfWidth, double halfHeight) {
        return Path.of(
                new Segment.Move(new Point(cx - halfWidth, cy - halfHeight)),
                new Segment.Line(new Point(cx + halfWidth, cy - halfHeight)),
                new Segment.Line(new Point(cx + halfWidth, cy + halfHeight)),
                new Segment.Line(new Point(cx - halfWidth, cy + halfHeight)),
                new Segment.Close());
    }

    /** A row of teeth: its edge slightly round, its root {@code away} from it. */
    private static Path teeth(double cx, double edge, double halfWidth, double away) {
        double bow = 0.13 * Math.abs(away) * Math.signum(-away);
        return Path.of(
                new Segment.Move(new Point(cx - halfWidth, edge + away)),
                new Segment.Line(new Point(cx + halfWidth, edge + away)),
                new Segment.Line(new Point(cx + halfWidth, edge - bow)),
                new Segment.Cubic(
                        new Point(cx + 0.6 * halfWidth, edge),
                        new Point(cx - 0.6 * halfWidth, edge),
                        new Point(cx - halfWidth, edge - bow)),
                new Segment.Close());
    }

    private static Path tongue(double cx, double lip, double w) {
        double top = lip - 0.1 * w;
        double bottom = lip + 0.2 * w;
        double half = 0.31 * w;
        return Path.of(
                new Segment.Move(new Point(cx - half, lip + 0.1 * w)),
                new Segment.Cubic(
                        new Point(cx - half, top + 0.01 * w),
                        new Point(cx - 0.12 * w, top - 0.02 * w),
                        new Point(cx, top + 0.025 * w)),
                new Segment.Cubic(
                        new Point(cx + 0.12 * w, top - 0.02 * w),
                        new Point(cx + half, top + 0.01 * w),
                        new Point(cx + half, lip + 0.1 * w)),
                new Segment.Cubic(
                        new Point(cx + 0.2 * w, bottom),
                        new Point(cx - 0.2 * w, bottom),
                        new Point(cx - half, lip + 0.1 * w)),
                new Segment.Close());
    }

    /** Where the lips meet, or would meet: nearer to the upper one, since the lower one does the opening. */
    private static double lipLine(Lips lips) {
        double up = lips.upper().middlePoint().y();
        double low = lips.lower().middlePoint().y();
        double share = low - up < CLOSED * lips.width() ? 0.5 : 0.3;
        return up + share * (low - up);
    }

    /** How far the jaw has dropped in the starting mouth. */
    double opening() {
        return opening(lips);
    }

    private static double opening(Lips lips) {
        double low = lips.lower().middlePoint().y();
        double open = low - lipLine(lips);
        return open < CLOSED * lips.width() / 2 ? 0 : open;
    }

    double width() {
        return lips.width();
    }

    double lipLine() {
        return lipLine(lips);
    }

    /** How much higher the lips are together than what opens between them; 0 without any colour of lips. */
    double thick() {
        return coloured()
                .map(c -> c.height() - opened().height())
                .filter(t -> t > 0)
                .orElse(0.0);
    }

    /** How far the colour of the lips hangs below what opens; 0 without any. */
    double hanging() {
        return coloured()
                .map(c -> c.maxY() - opened().maxY())
                .filter(t -> t > 0)
                .orElse(0.0);
    }

    private Optional<Box> coloured() {
        return new Artwork(colour).bounds();
    }

    private Box opened() {
        return lips.path().bounds().orElseThrow();
    }

    boolean closed() {
        return lips.lower().middlePoint().y() - lips.upper().middlePoint().y() < CLOSED * width();
    }

    double cornerLine() {
        return (lips.upper().start().y() + lips.upper().end().y()) / 2;
    }

    double centre() {
        return (lips.upper().start().x() + lips.upper().end().x()) / 2;
    }

    /** The lower edge of the upper teeth. */
    double teethEdge() {
        return upperTeeth.bounds().map(Box::maxY).orElse(lipLine());
    }

    /** The upper edge of the lower teeth. */
    double lowerTeethEdge() {
        return lowerTeeth.bounds().map(Box::minY).orElse(lipLine());
    }
}
