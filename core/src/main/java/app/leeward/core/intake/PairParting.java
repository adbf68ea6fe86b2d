package app.leeward.core.intake;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Shape;
import app.leeward.core.rig.Note;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * Takes both eyes, pupils, ears, brows, cheeks or horns that were drawn in one layer apart, so that each goes with its side of the head. Only
 * where two groups of shapes stand alike on either side of the face and none reaches across.
 */
final class PairParting {
    /** How unlike in width and height the two may be, as a share of the larger. By eye. */
    private static final double ALIKE = 0.3;
    /** How far the middle between them may lie from the face's, as a share of its width. By eye. */
    private static final double CENTRED = 0.12;

    private PairParting() {}

    /** @param nameless whether no name says what a layer is, so that any may be a pair */
    static void part(List<LayerReading.Found> found, boolean nameless, List<Note> notes) {
        part(found, f -> f.role.inPairs() || nameless && f.role == PartRole.OTHER, notes);
        // what hangs on both ears, now that those are two
        part(found, f -> f.role == PartRole.OTHER && onEars(f, found), notes);
    }

    private static void part(List<LayerReading.Found> found, Predicate<LayerReading.Found> asked, List<Note> notes) {
        for (LayerReading.Found f : List.copyOf(found)) {
            boolean pair = f.side == Side.NONE && asked.test(f) && f.role != PartRole.HAND && f.parts(found);
            if (pair) {
                halves(f, found).ifPresent(both -> {
                    both.stream().filter(h -> h.role == PartRole.OTHER).forEach(h -> h.whole = ear(h, found));
                    int at = found.indexOf(f);
                    found.remove(at);
                    found.addAll(at, both);
                    notes.add(new Note(
                            "pair-parted",
                            f.name,
                            "Both sides of '" + f.name + "' were drawn in one layer; it was taken apart: "
                                    + both.get(0).name + ", " + both.get(1).name + "."));
                });
            }
        }
    }

    /** Whether both ears are touched by shapes smaller than they. */
    private static boolean onEars(LayerReading.Found f, List<LayerReading.Found> found) {
        List<LayerReading.Found> ears = found.stream()
                .filter(o -> o.role == PartRole.EAR && o.side != Side.NONE && o.view.equals(f.view))
                .toList();
        return ears.size() == 2
                && f.drawings.stream()
                        .flatMap(d -> d.art().shapes().stream())
                        .flatMap(s -> s.bounds().stream())
                        .allMatch(b -> ears.stream()
                                .flatMap(e -> Assembler.boundsOf(e).stream())
                                .anyMatch(e -> b.height() < e.height() && near(b, e)));
    }

    private static Optional<LayerReading.Found> ear(LayerReading.Found half, List<LayerReading.Found> found) {
        return found.stream()
                .filter(o -> o.role == PartRole.EAR && o.side == half.side && o.view.equals(half.view))
                .filter(o -> onEars(half, found))
                .findFirst();
    }

    private static boolean near(Box thing, Box ear) {
        double by = Math.max(thing.width(), thing.height()) / 2;
        return new Box(ear.minX() - by, ear.minY() - by, ear.maxX() + by, ear.maxY() + by)
                .intersection(thing)
                .isPresent();
    }

    private static Optional<List<LayerReading.Found>> halves(LayerReading.Found f, List<LayerReading.Found> found) {
        Optional<Box> face = found.stream()
                .filter(o -> o.role == PartRole.FACE && o.view.equals(f.view))
                .findFirst()
                .flatMap(Assembler::boundsOf);
        if (face.isEmpty()) {
            return Optional.empty();
        }
        double axis = face.get().centre().x();
        Drawing drawing = f.drawings.get(0);
        List<Shape> screenLeft = new ArrayList<>();
        List<Shape> screenRight = new ArrayList<>();
        for (Shape s : drawing.art().shapes()) {
            Optional<Box> box = s.path().bounds();
            if (box.isEmpty() || box.get().minX() < axis && box.get().maxX() > axis) {
                return Optional.empty();
            }
            (box.get().maxX() <= axis ? screenLeft : screenRight).add(s);
        }
        Optional<Box> left = new Artwork(screenLeft).bounds();
        Optional<Box> right = new Artwork(screenRight).bounds();
        if (left.isEmpty()
                || right.isEmpty()
                || !twins(left.get(), right.get(), axis, face.get().width())) {
            return Optional.empty();
        }
        // the character's right stands on the left of the screen
        return Optional.of(List.of(
                half(f, drawing.withArt(new Artwork(screenLeft)), Side.RIGHT),
                half(f, drawing.withArt(new Artwork(screenRight)), Side.LEFT)));
    }

    private static boolean twins(Box a, Box b, double axis, double face) {
        return Math.abs(a.width() - b.width()) <= ALIKE * Math.max(a.width(), b.width())
                && Math.abs(a.height() - b.height()) <= ALIKE * Math.max(a.height(), b.height())
                && Math.abs((a.centre().x() + b.centre().x()) / 2 - axis) < CENTRED * face;
    }

    private static LayerReading.Found half(LayerReading.Found f, Drawing drawing, Side side) {
        // what nobody named goes on by the layer's name
        String name = f.role == PartRole.OTHER ? f.name : f.role.words();
        return LayerReading.Found.shown(f.role, side, side.prefix() + name, f.within, f.view, drawing);
    }
}
