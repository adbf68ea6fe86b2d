package app.leeward.core.intake;

import app.leeward.core.art.Box;
import app.leeward.core.art.Lab;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Shape;
import app.leeward.core.rig.PartRole;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.locationtech.jts.geom.Geometry;

/** What each shape of an eye drawn in one layer is, by its place, size and colour. Shares and colours are rules of thumb, no source. */
final class EyeShapes {
    /** From which lightness on a patch in the white is a highlight, or from just under that of the white itself. */
    private static final double SHINES = 80;

    private static final double UNDER = 6;
    /** Below which lightness a patch in the white is a pupil. */
    private static final double DARK = 32;
    /** The least share of what the layer fills that its white does. */
    private static final double MOST = 0.4;
    /** How wide a highlight is at most, as a share of the white. */
    private static final double SMALL = 0.4;
    /** How much of a piece may lie outside the white. */
    private static final double OUTSIDE = 0.01;
    /** A shade falls across most of the white, and is flat. */
    private static final double ACROSS = 0.7;

    private static final double FLAT = 0.55;
    /** What is seen through no more than this is no shade. */
    private static final double SOLID = 0.75;
    /** How little a line about the eye covers, as a share of the white. */
    private static final double THIN = 0.4;
    /** How far a crease is from the white at most, as a share of the white's height. */
    private static final double NEAR = 0.6;
    /** How far from the white's corner a lash is at most, as a share of the white's width. */
    private static final double FLICK = 0.2;
    /** How much wider than the white a line about it is at most. */
    private static final double LONG = 1.7;

    private EyeShapes() {}

    /**
     * @param inWhite whether it is seen inside the white only
     */
    record Piece(PartRole role, String name, Shape shape, boolean inWhite) {
        private static Piece of(PartRole role, Shape shape) {
            return new Piece(role, role.words(), shape, role.insideEye());
        }
    }

    /** Back to front; empty where one cannot be told, or nothing looks about. */
    static List<Piece> of(List<Shape> shapes) {
        Optional<Shape> white =
                shapes.stream().filter(EyeShapes::white).max((a, b) -> Double.compare(area(a), area(b)));
        double all = shapes.stream()
                .filter(EyeShapes::filled)
                .flatMap(s -> s.bounds().stream())
                .reduce(Box::union)
                .map(b -> b.width() * b.height())
                .orElse(0.0);
        if (white.isEmpty() || area(white.get()) < MOST * all) {
            return List.of();
        }
        int at = shapes.indexOf(white.get());
        List<Piece> out = new ArrayList<>();
        for (int i = 0; i < shapes.size(); i++) {
            Optional<Piece> piece = i == at
                    ? Optional.of(Piece.of(PartRole.WHITE, white.get()))
                    : i < at ? behind(shapes.get(i), white.get()) : before(shapes.get(i), white.get());
            if (piece.isEmpty()) {
                return List.of();
            }
            out.add(piece.get());
        }
        boolean looks = out.stream().anyMatch(p -> p.role == PartRole.PUPIL || p.role == PartRole.IRIS);
        return looks ? withIris(out) : List.of();
    }

    /** A dark patch with a smaller dark one in it is an iris. */
    private static List<Piece> withIris(List<Piece> pieces) {
        List<Piece> pupils =
                pieces.stream().filter(p -> p.role == PartRole.PUPIL).toList();
        boolean iris = pupils.size() == 2
                && area(pupils.get(1).shape) < area(pupils.get(0).shape)
                && pieces.stream().noneMatch(p -> p.role == PartRole.IRIS);
        return pieces.stream()
                .map(p -> iris && p == pupils.get(0) ? Piece.of(PartRole.IRIS, p.shape) : p)
                .toList();
    }

    /** A patch that holds the white is the line round it, one that looks out from behind it is painted on the lid. */
    private static Optional<Piece> behind(Shape s, Shape white) {
        if (!filled(s)) {
            return Optional.empty();
        }
        if (within(white, s)) {
            return Optional.of(Piece.of(PartRole.EYE_OUTLINE, s));
        }
        double wide = s.bounds().map(Box::width).orElse(0.0);
        boolean about = wide < LONG * white.path().bounds().orElseThrow().width()
                && Regions.seen(s).intersects(Regions.of(white.path()));
        return about ? Optional.of(new Piece(PartRole.OTHER, "eye paint", s, false)) : Optional.empty();
    }

    private static Optional<Piece> before(Shape drawn, Shape white) {
        Shape s = EyeClips.without(drawn, white);
        boolean cut = s.clips().size() < drawn.clips().size();
        if (cut || within(s, white)) {
            return shade(drawn, white)
                    ? Optional.of(new Piece(PartRole.OTHER, "eye shade", s, true))
                    : inside(drawn, white).map(role -> Piece.of(role, s));
        }
        return line(s, white);
    }

    /** What falls across the white and all that is in it, or is seen through. */
    private static boolean shade(Shape s, Shape white) {
        boolean through = through(s);
        Optional<Box> box = s.bounds();
        Optional<Box> eye = white.path().bounds();
        if (box.isEmpty() || eye.isEmpty() || !filled(s)) {
            return false;
        }
        boolean light = Sighted.colour(s).filter(c -> c.l() > SHINES).isPresent();
        boolean across = box.get().width() > ACROSS * eye.get().width();
        return across && (through || box.get().height() < FLAT * box.get().width()) || through && !light;
    }

    /** Whether what lies behind a layer is seen through all of it. */
    static boolean through(LayerReading.Found f) {
        return f.drawings.stream().flatMap(d -> d.art().shapes().stream()).allMatch(EyeShapes::through);
    }

    private static boolean through(Shape s) {
        return s.opacity() < SOLID
                || s.fill() instanceof Paint.Flat f && f.opacity() < SOLID
                || s.fill() instanceof Paint.Picture p && p.traced().stream().allMatch(EyeShapes::through);
    }

    /** A line at the white's upper edge, at its lower one or all round it, a flick at its corner, or a crease above or below it. */
    private static Optional<Piece> line(Shape s, Shape white) {
        Geometry own = Regions.of(white.path());
        Geometry drawn = painted(s);
        Optional<Box> box = Optional.ofNullable(drawn.isEmpty() ? null : drawn.getEnvelopeInternal())
                .map(e -> new Box(e.getMinX(), e.getMinY(), e.getMaxX(), e.getMaxY()));
        Box eye = white.path().bounds().orElseThrow();
        if (box.isEmpty() || box.get().width() > LONG * eye.width() || drawn.getArea() > THIN * own.getArea()) {
            return Optional.empty();
        }
        double x = box.get().centre().x();
        boolean beside = x < eye.minX() || x > eye.maxX();
        if (drawn.distance(own) > 0 && !beside) {
            return drawn.distance(own) < NEAR * eye.height()
                    ? Optional.of(new Piece(PartRole.OTHER, "eye crease", s, false))
                    : Optional.empty();
        }
        if (drawn.distance(own) > 0) {
            // the flick of a lash
            return drawn.distance(own) < FLICK * eye.width()
                    ? Optional.of(Piece.of(PartRole.LASHES, s))
                    : Optional.empty();
        }
        boolean above = box.get().centre().y() < eye.centre().y() && box.get().height() < eye.height();
        return Optional.of(Piece.of(above ? PartRole.LASHES : PartRole.EYE_OUTLINE, s));
    }

    /** What a shape covers with fill and stroke. */
    private static Geometry painted(Shape s) {
        return Regions.all(Stream.of(
                        filled(s) ? Optional.of(Regions.seen(s)) : Optional.<Geometry>empty(),
                        s.stroke().visible()
                                ? Optional.of(Regions.along(s.path(), s.stroke().width()))
                                : Optional.<Geometry>empty())
                .flatMap(Optional::stream)
                .toList());
    }

    /** What a shape within a white is, by its colour and size; empty where that cannot be told. */
    static Optional<PartRole> inside(Shape s, Shape white) {
        Optional<Lab> colour = Sighted.colour(s);
        if (colour.isEmpty() || !within(s, white)) {
            return Optional.empty();
        }
        double wide = s.bounds().map(Box::width).orElse(0.0)
                / white.path().bounds().map(Box::width).orElse(1.0);
        double shines =
                Sighted.colour(white).map(w -> Math.min(SHINES, w.l() - UNDER)).orElse(SHINES);
        if (colour.get().l() > shines) {
            return wide < SMALL ? Optional.of(PartRole.HIGHLIGHT) : Optional.empty();
        }
        return Optional.of(colour.get().l() < DARK ? PartRole.PUPIL : PartRole.IRIS);
    }

    static boolean within(Shape s, Shape white) {
        Geometry area = Regions.seen(s);
        return area.getArea() > 0
                && Regions.without(area, Regions.of(white.path())).getArea() < OUTSIDE * area.getArea();
    }

    static boolean white(Shape s) {
        return s.opacity() == 1 && Sighted.colour(s).filter(Lab::white).isPresent();
    }

    private static boolean filled(Shape s) {
        return !(s.fill() instanceof Paint.None);
    }

    private static double area(Shape s) {
        return s.bounds().map(b -> b.width() * b.height()).orElse(0.0);
    }
}
