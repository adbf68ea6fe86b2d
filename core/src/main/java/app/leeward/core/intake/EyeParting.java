package app.leeward.core.intake;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Shape;
import app.leeward.core.rig.Note;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Takes eyes that were drawn in one layer to pieces: the pieces {@link EyeShapes} tells apart, so that they
 * look about and shut. Only where nothing of the picture changes by it.
 */
final class EyeParting {
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
        List<List<EyeShapes.Piece>> all = eyes.stream().map(EyeShapes::of).toList();
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
                        + all.get(0).stream().map(p -> p.name()).distinct().collect(Collectors.joining(", ")) + "."));
    }

    /** An eye of one patch that is no white is a dot: it looks about as a whole. */
    private void dot(LayerReading.Found eye, List<Shape> shapes) {
        Optional<Shape> largest = shapes.stream()
                .filter(s -> !(s.fill() instanceof Paint.None))
                .max((a, b) -> Double.compare(area(a), area(b)));
        boolean covers = largest.isPresent()
                && !EyeShapes.white(largest.get())
                && eye.side != Side.NONE
                && shapes.stream().allMatch(s -> s == largest.get() || EyeShapes.within(s, largest.get()));
        if (covers && Sighted.colour(largest.get()).isPresent()) {
            found.set(found.indexOf(eye), eye.as(PartRole.PUPIL, eye.side.prefix() + PartRole.PUPIL.words()));
        }
    }

    /** The shapes of either eye, where a layer holds two whites beside each other; else all of them as one. */
    private static List<List<Shape>> bothEyes(List<Shape> shapes) {
        List<Box> whites = shapes.stream()
                .filter(EyeShapes::white)
                .filter(s -> shapes.stream().anyMatch(o -> o != s && !EyeShapes.white(o) && EyeShapes.within(o, s)))
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

    private static double area(Shape s) {
        return s.path().bounds().map(b -> b.width() * b.height()).orElse(0.0);
    }

    /** A part for what lies together of one role; a highlight between two others is one of its own. */
    private static List<LayerReading.Found> inOrder(LayerReading.Found eye, List<EyeShapes.Piece> pieces) {
        List<LayerReading.Found> out = new ArrayList<>();
        List<Shape> run = new ArrayList<>();
        for (int i = 0; i < pieces.size(); i++) {
            EyeShapes.Piece piece = pieces.get(i);
            run.add(piece.shape());
            if (i + 1 == pieces.size() || !pieces.get(i + 1).name().equals(piece.name())) {
                out.add(part(eye, piece, new Drawing(piece.name(), piece.name(), new Artwork(run)), out));
                run = new ArrayList<>();
            }
        }
        return out;
    }

    private static LayerReading.Found part(
            LayerReading.Found eye, EyeShapes.Piece piece, Drawing drawing, List<LayerReading.Found> before) {
        LayerReading.Found part = LayerReading.Found.shown(
                piece.role(),
                piece.role() == PartRole.OTHER ? Side.NONE : eye.side,
                eye.side.prefix() + piece.name(),
                Optional.of(eye),
                eye.view,
                drawing);
        if (piece.inWhite() && !piece.role().insideEye()) {
            part.cutBy = before.stream().filter(f -> f.role == PartRole.WHITE).findFirst();
        }
        return part;
    }
}
