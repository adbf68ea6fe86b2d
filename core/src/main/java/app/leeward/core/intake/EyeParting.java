package app.leeward.core.intake;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Lab;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Shape;
import app.leeward.core.rig.Note;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.locationtech.jts.geom.Geometry;

/**
 * Takes eyes that were drawn in one layer to pieces: the white, and inside it iris, pupil and highlights, so that they look about
 * and shut. Only where nothing of the picture changes by it. Shares and colours are rules of thumb, no source.
 */
final class EyeParting {
    /** From which lightness on a patch in the white is a highlight, or from just under that of the white itself. */
    private static final double SHINES = 80;

    private static final double UNDER = 6;
    /** Below which lightness a patch in the white is a pupil. */
    private static final double DARK = 32;
    /** The least share of what the layer covers that its white does. */
    private static final double MOST = 0.5;
    /** How wide a highlight is at most, as a share of the white. */
    private static final double SMALL = 0.4;
    /** How much of a piece may lie outside the white. */
    private static final double OUTSIDE = 0.01;

    private final List<LayerReading.Found> found;
    private final List<Note> notes;

    private EyeParting(List<LayerReading.Found> found, List<Note> notes) {
        this.found = found;
        this.notes = notes;
    }

    static void part(List<LayerReading.Found> found, List<Note> notes) {
        EyeParting pieces = new EyeParting(found, notes);
        List.copyOf(found).forEach(pieces::one);
    }

    private record Piece(PartRole role, Shape shape) {}

    private void one(LayerReading.Found eye) {
        boolean whole = eye.role == PartRole.EYE && eye.drawings.size() == 1 && eye.firstVisible != null;
        boolean alone = found.stream()
                .noneMatch(o -> o != eye
                        && o.role.follows().equals(Optional.of(PartRole.EYE))
                        && o.role != PartRole.BLINK
                        && o.role != PartRole.LASHES
                        && o.view.equals(eye.view)
                        && (o.side == eye.side || o.within.equals(Optional.of(eye))));
        if (!whole || !alone) {
            return;
        }
        List<Shape> shapes = eye.drawings.get(0).art().shapes();
        List<List<Shape>> eyes = eye.side == Side.NONE ? bothEyes(shapes) : List.of(shapes);
        List<List<Piece>> all = eyes.stream().map(EyeParting::pieces).toList();
        if (all.stream().anyMatch(List::isEmpty)) {
            dot(eye, shapes);
            return;
        }
        List<LayerReading.Found> parts = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            // the character's right stands on the left of the screen
            Side side = all.size() == 1 ? eye.side : i == 0 ? Side.RIGHT : Side.LEFT;
            LayerReading.Found group =
                    new LayerReading.Found(PartRole.EYE, side, side.prefix() + "eye", eye.within, eye.view);
            parts.add(group);
            parts.addAll(inOrder(group, all.get(i)));
        }
        int at = found.indexOf(eye);
        found.remove(at);
        found.addAll(at, parts);
        notes.add(new Note(
                "eye-parted",
                eye.name,
                "'" + eye.name + "' was drawn in one layer; it was taken to pieces: "
                        + all.get(0).stream()
                                .map(p -> p.role.words())
                                .distinct()
                                .collect(Collectors.joining(", ")) + "."));
    }

    /** An eye of one patch that is no white is a dot: it looks about as a whole. */
    private void dot(LayerReading.Found eye, List<Shape> shapes) {
        Optional<Shape> largest = shapes.stream()
                .filter(s -> !(s.fill() instanceof Paint.None))
                .max((a, b) -> Double.compare(area(a), area(b)));
        boolean covers = largest.isPresent()
                && !white(largest.get())
                && eye.side != Side.NONE
                && shapes.stream().allMatch(s -> s == largest.get() || within(s, largest.get()));
        if (covers && Sighted.colour(largest.get()).isPresent()) {
            found.set(found.indexOf(eye), eye.as(PartRole.PUPIL, eye.side.prefix() + PartRole.PUPIL.words()));
        }
    }

    /** The shapes of either eye, where a layer holds two whites beside each other; else all of them as one. */
    private static List<List<Shape>> bothEyes(List<Shape> shapes) {
        List<Box> whites = shapes.stream()
                .filter(EyeParting::white)
                .filter(s -> shapes.stream().anyMatch(o -> o != s && !white(o) && within(o, s)))
                .flatMap(s -> s.path().bounds().stream())
                .toList();
        if (whites.size() != 2
                || whites.get(0).maxX() > whites.get(1).minX()
                        && whites.get(1).maxX() > whites.get(0).minX()) {
            return List.of(shapes);
        }
        double middle = (whites.get(0).centre().x() + whites.get(1).centre().x()) / 2;
        boolean across = shapes.stream()
                .flatMap(s -> s.path().bounds().stream())
                .anyMatch(b -> b.minX() < middle && b.maxX() > middle);
        return across
                ? List.of(shapes)
                : List.of(
                        shapes.stream().filter(s -> x(s) < middle).toList(),
                        shapes.stream().filter(s -> x(s) >= middle).toList());
    }

    private static double x(Shape s) {
        return s.path().bounds().map(b -> b.centre().x()).orElse(0.0);
    }

    /** What each shape of an eye is, back to front; empty where that cannot be told. */
    private static List<Piece> pieces(List<Shape> shapes) {
        Optional<Shape> white =
                shapes.stream().filter(EyeParting::white).max((a, b) -> Double.compare(area(a), area(b)));
        double all = shapes.stream()
                .flatMap(s -> s.path().bounds().stream())
                .reduce(Box::union)
                .map(b -> b.width() * b.height())
                .orElse(0.0);
        if (white.isEmpty() || shapes.indexOf(white.get()) != 0 || area(white.get()) < MOST * all) {
            return List.of();
        }
        List<Piece> out = new ArrayList<>();
        out.add(new Piece(PartRole.WHITE, white.get()));
        for (Shape s : shapes.subList(1, shapes.size())) {
            Optional<PartRole> role = inside(s, white.get());
            if (role.isEmpty()) {
                return List.of();
            }
            out.add(new Piece(role.get(), s));
        }
        boolean looks = out.stream().anyMatch(p -> p.role == PartRole.PUPIL || p.role == PartRole.IRIS);
        return looks ? out : List.of();
    }

    /** What a shape within a white is, by its colour and size; empty where that cannot be told. */
    static Optional<PartRole> inside(Shape s, Shape white) {
        Optional<Lab> colour = Sighted.colour(s);
        if (colour.isEmpty() || !within(s, white)) {
            return Optional.empty();
        }
        double wide = s.path().bounds().map(Box::width).orElse(0.0)
                / white.path().bounds().map(Box::width).orElse(1.0);
        double shines =
                Sighted.colour(white).map(w -> Math.min(SHINES, w.l() - UNDER)).orElse(SHINES);
        if (colour.get().l() > shines) {
            return wide < SMALL ? Optional.of(PartRole.HIGHLIGHT) : Optional.empty();
        }
        return Optional.of(colour.get().l() < DARK ? PartRole.PUPIL : PartRole.IRIS);
    }

    private static boolean within(Shape s, Shape white) {
        Geometry area = Regions.of(s.path());
        return area.getArea() > 0
                && Regions.without(area, Regions.of(white.path())).getArea() < OUTSIDE * area.getArea();
    }

    static boolean white(Shape s) {
        return s.opacity() == 1 && Sighted.colour(s).filter(Lab::white).isPresent();
    }

    private static double area(Shape s) {
        return s.path().bounds().map(b -> b.width() * b.height()).orElse(0.0);
    }

    /** A part for what lies together of one role; a highlight between two others is one of its own. */
    private static List<LayerReading.Found> inOrder(LayerReading.Found eye, List<Piece> pieces) {
        List<LayerReading.Found> out = new ArrayList<>();
        List<Shape> run = new ArrayList<>();
        for (int i = 0; i < pieces.size(); i++) {
            run.add(pieces.get(i).shape);
            if (i + 1 == pieces.size() || pieces.get(i + 1).role != pieces.get(i).role) {
                PartRole role = pieces.get(i).role;
                Drawing drawing = new Drawing(role.words(), role.words(), new Artwork(run));
                out.add(LayerReading.Found.shown(role, eye.side, Optional.of(eye), eye.view, drawing));
                run = new ArrayList<>();
            }
        }
        return out;
    }
}
