package app.leeward.core.lips;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Stroke;
import app.leeward.core.mouth.Articulation;
import app.leeward.core.mouth.MouthRulers;
import app.leeward.core.mouth.Viseme;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Mouths of a face with a beak or a stiff muzzle: the upper beak is the skull's and never moves, the lower one is the jaw.
 * Seen from the front it goes straight down; seen from the side, where it is taller at its root than at its tip, it turns
 * about its root. A beak has no lips: rounding draws the lower one in, and closing shuts it. Its corners do give way: a mood lifts or lowers
 * them, alike for every sound of its row.
 */
final class BeakMaker implements SetMaker {
    /** Full drop as a share of the beak's width; beaks open further than lips. By eye, no source. */
    private static final double DROP = 0.42;
    /** Full turn of a beak seen from the side, degrees. By eye, no source. */
    private static final double SWING = 32;
    /** From which ratio of its heights at root and tip on a beak is seen from the side. */
    private static final double TAPER = 1.6;

    /** How far a mood takes the corners up or down, as a share of the beak's width. By eye, no source. */
    private static final double LIFT = 0.12;
    /** Where along the half of a beak its corner begins to give way. */
    private static final double STIFF = 0.35;

    private static final String DARK = "#6b1f2e";

    private final List<Shape> shapes;
    private final boolean unseen;
    private final Box lower;
    /** The root it turns about; empty for a beak seen from the front. */
    private final Optional<Point> root;

    static boolean isBeak(Artwork art) {
        return box(art.shapes(), ShapeRole.UPPER_BEAK).isPresent()
                && box(art.shapes(), ShapeRole.LOWER_BEAK).isPresent();
    }

    /** @param unseen whether the drawing itself may have the inside that nobody sees */
    BeakMaker(Artwork start, boolean unseen) {
        this.unseen = unseen;
        lower = box(start.shapes(), ShapeRole.LOWER_BEAK).orElseThrow();
        root = root(start);
        List<Shape> all = new ArrayList<>(start.shapes());
        if (all.stream().noneMatch(s -> s.role() == ShapeRole.INSIDE)) {
            int at = 0;
            while (at < all.size() && all.get(at).role() == ShapeRole.OTHER) {
                at++;
            }
            all.add(
                    at,
                    new Shape(
                            "inside",
                            ShapeRole.INSIDE,
                            gape(0, 1),
                            Paint.flat(DARK),
                            FillRule.NONZERO,
                            line(start),
                            1,
                            false));
        }
        shapes = List.copyOf(all);
    }

    private static Optional<Box> box(List<Shape> shapes, ShapeRole role) {
        return shapes.stream()
                .filter(s -> s.role() == role)
                .flatMap(s -> s.bounds().stream())
                .reduce(Box::union);
    }

    private Optional<Point> root(Artwork start) {
        double quarter = lower.width() / 4;
        double left = height(start, lower.minX(), lower.minX() + quarter);
        double right = height(start, lower.maxX() - quarter, lower.maxX());
        if (Math.max(left, right) < TAPER * Math.min(left, right)) {
            return Optional.empty();
        }
        return Optional.of(new Point(left > right ? lower.minX() : lower.maxX(), lower.minY()));
    }

    /** How tall the lower beak is in a stretch, from its points and handles. */
    private static double height(Artwork art, double from, double to) {
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (Shape s : art.shapes()) {
            if (s.role() == ShapeRole.LOWER_BEAK) {
                for (Point p : s.path().sampled(24)) {
                    if (p.x() >= from && p.x() <= to) {
                        least = Math.min(least, p.y());
                        most = Math.max(most, p.y());
                    }
                }
            }
        }
        return most < least ? 0 : most - least;
    }

    /** What is seen between the beaks when the lower one is {@code drop} further down, or turned so far at its tip. */
    private Path gape(double drop, double narrow) {
        double cx = lower.centre().x();
        double half = 0.455 * lower.width();
        double top = lower.minY();
        double left = root.isPresent() ? cx - half : cx - half * narrow;
        double right = root.isPresent() ? cx + half : cx + half * narrow;
        double leftDrop = root.isPresent() && root.get().x() < cx ? 0 : drop;
        double rightDrop = root.isPresent() && root.get().x() > cx ? 0 : drop;
        double deep = 0.35 * lower.height();
        // the skin between the halves is drawn in as far as it is stretched
        double in = 0.3 * drop;
        return Path.of(
                new Segment.Move(new Point(cx - half, top)),
                new Segment.Line(new Point(cx + half, top)),
                side(new Point(cx + half, top), new Point(right, top + rightDrop + deep), root.isPresent() ? 0 : -in),
                new Segment.Line(new Point(left, top + leftDrop + deep)),
                side(new Point(left, top + leftDrop + deep), new Point(cx - half, top), root.isPresent() ? 0 : in),
                new Segment.Close());
    }

    private static Segment side(Point from, Point to, double in) {
        Point a = from.towards(to, 1 / 3.0);
        Point b = from.towards(to, 2 / 3.0);
        return new Segment.Cubic(new Point(a.x() + in, a.y()), new Point(b.x() + in, b.y()), to);
    }

    /** The cheeks of the opening are lined as the beak is. */
    private static Stroke line(Artwork start) {
        return start.shapes().stream()
                .filter(s -> s.role() == ShapeRole.LOWER_BEAK && s.stroke().visible())
                .map(Shape::stroke)
                .findFirst()
                .orElse(Stroke.NONE);
    }

    @Override
    public boolean closed() {
        return true;
    }

    @Override
    public boolean unseen() {
        return unseen;
    }

    @Override
    public Artwork starting() {
        return new Artwork(shapes);
    }

    @Override
    public Artwork make(Viseme v, MouthRulers rulers, double corners, double tension) {
        Articulation a = v.articulation();
        boolean shut = a.closure() >= 0.5;
        double open = shut ? 0 : Math.max(0.08, a.jaw()) * rulers.jaw() * (1 - 0.3 * tension);
        double narrow = 1 - 0.35 * Math.min(1, a.rounding() * rulers.round());
        double drop =
                root.isPresent() ? lower.width() * Math.sin(Math.toRadians(SWING * open)) : DROP * lower.width() * open;
        Matrix jaw = jaw(open, drop, shut ? 1 : narrow);
        List<Shape> out = new ArrayList<>();
        for (Shape s : shapes) {
            out.add(
                    switch (s.role()) {
                        case LOWER_BEAK, LOWER_TEETH -> s.transform(jaw);
                        case TONGUE -> s.transform(jaw.times(raised(s, shut ? 0 : a.tongue() * rulers.tongue())));
                        case INSIDE -> s.withPath(gape(drop, shut ? 1 : narrow));
                        default -> s;
                    });
        }
        double asked = Math.max(-1, Math.min(1, corners + (v == Viseme.SMILE ? 0.85 : 0)));
        return asked == 0 ? new Artwork(out) : new Artwork(lifted(out, LIFT * lower.width() * asked));
    }

    /** With the corners of the beak, and what lies over them, taken up. */
    private List<Shape> lifted(List<Shape> made, double lift) {
        return made.stream()
                .map(s -> s.withPath(s.path().map(p -> new Point(p.x(), p.y() - lift * give(p.x())))))
                .toList();
    }

    /** How far a corner's way a place goes along, 0 to 1: seen from the side only the root is a corner. */
    private double give(double x) {
        double half = lower.width() / 2;
        double out = root.map(r -> 1 - Math.abs(x - r.x()) / lower.width())
                .orElseGet(() -> Math.abs(x - lower.centre().x()) / half);
        double t = Math.max(0, Math.min(1, (out - STIFF) / (1 - STIFF)));
        return t * t * (3 - 2 * t);
    }

    private Matrix jaw(double open, double drop, double narrow) {
        if (root.isPresent()) {
            double way = root.get().x() < lower.centre().x() ? 1 : -1;
            return about(root.get(), Matrix.rotate(way * SWING * open));
        }
        return Matrix.translate(0, drop).times(about(lower.centre(), Matrix.scale(narrow, 1)));
    }

    /** The tongue stands up on its root. */
    private static Matrix raised(Shape tongue, double by) {
        Box at = tongue.bounds().orElse(null);
        return at == null || by == 0
                ? Matrix.IDENTITY
                : about(new Point(at.centre().x(), at.maxY()), Matrix.scale(1, 1 + by));
    }

    private static Matrix about(Point p, Matrix m) {
        return Matrix.translate(p.x(), p.y()).times(m).times(Matrix.translate(-p.x(), -p.y()));
    }
}
