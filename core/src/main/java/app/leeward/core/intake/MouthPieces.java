package app.leeward.core.intake;

import app.leeward.core.art.Box;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.rig.Note;
import app.leeward.core.rig.PartRole;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Teeth, a tongue, lips that are layers beside the mouth's own: they become shapes of its drawing, so that the other mouths can be
 * made from all of it. Where the mouth has several drawings, or something lies between, they stay parts and follow the mouth.
 */
final class MouthPieces {
    /** How far from the mouth a piece of it may lie, as a share of the mouth's size. By eye. */
    private static final double NEAR = 0.5;
    /** What lies no further over the mouth's edge than this share of its size lies in it. */
    private static final double OVER = 0.05;

    private MouthPieces() {}

    static void join(List<LayerReading.Found> found, List<Note> notes) {
        for (LayerReading.Found mouth : List.copyOf(found)) {
            Optional<Box> box = Assembler.boundsOf(mouth);
            if (mouth.role == PartRole.MOUTH
                    && mouth.whole.isEmpty()
                    && mouth.firstVisible != null
                    && box.isPresent()) {
                pieces(mouth, box.get(), found).forEach(p -> take(mouth, p, found, notes));
            }
        }
    }

    /** In the order of how near they are painted, so that each lies next to what is taken before it. */
    private static List<LayerReading.Found> pieces(LayerReading.Found mouth, Box box, List<LayerReading.Found> found) {
        int at = found.indexOf(mouth);
        return found.stream()
                .filter(f -> f.role == PartRole.OTHER && f.view.equals(mouth.view))
                .filter(f -> f.drawings.size() == 1 && f.firstVisible != null)
                .filter(f -> piece(mouth, box, f))
                .sorted(Comparator.comparingInt(f -> Math.abs(found.indexOf(f) - at)))
                .toList();
    }

    private static boolean piece(LayerReading.Found mouth, Box box, LayerReading.Found f) {
        Optional<Box> own = Assembler.boundsOf(f);
        if (own.isEmpty() || own.get().intersection(grown(box, NEAR)).isEmpty()) {
            return false;
        }
        return ShapeNames.pieceOfMouth(f.name) || inside(mouth, box, f, own.get());
    }

    /** What no name tells, lying in the mouth, and looking like teeth or a tongue there. */
    private static boolean inside(LayerReading.Found mouth, Box box, LayerReading.Found f, Box own) {
        Box around = grown(box, OVER);
        boolean within = around.contains(new Point(own.minX(), own.minY()))
                && around.contains(new Point(own.maxX(), own.maxY()));
        if (!within || mouth.drawings.size() > 1) {
            return false;
        }
        List<Shape> all = new ArrayList<>(mouth.drawings.get(0).art().shapes());
        int before = all.size();
        all.addAll(f.drawings.get(0).art().shapes());
        List<Shape> guessed = MouthShapes.guessed(all);
        return guessed.subList(before, guessed.size()).stream().noneMatch(s -> s.role() == ShapeRole.OTHER);
    }

    private static Box grown(Box b, double share) {
        double by = share * Math.max(b.width(), b.height());
        return new Box(b.minX() - by, b.minY() - by, b.maxX() + by, b.maxY() + by);
    }

    private static void take(
            LayerReading.Found mouth, LayerReading.Found piece, List<LayerReading.Found> found, List<Note> notes) {
        int from = found.indexOf(mouth);
        int to = found.indexOf(piece);
        if (mouth.drawings.size() > 1 || between(found, from, to, piece)) {
            piece.whole = Optional.of(mouth);
            return;
        }
        List<Shape> shapes = new ArrayList<>(mouth.drawings.get(0).art().shapes());
        shapes.addAll(from < to ? shapes.size() : 0, named(piece));
        mouth.drawings.set(0, LayerReading.mouth(mouth.drawings.get(0), shapes));
        found.remove(piece);
        notes.add(new Note(
                "mouth-piece",
                piece.name,
                "'" + piece.name + "' is a piece of the mouth and was put into its drawing."));
    }

    /** Whether something painted between the two lies where the piece does. */
    private static boolean between(List<LayerReading.Found> found, int from, int to, LayerReading.Found piece) {
        Optional<Box> own = piece.drawings.get(0).art().paintedBounds();
        return found.subList(Math.min(from, to) + 1, Math.max(from, to)).stream()
                .flatMap(o -> o.drawings.stream())
                .flatMap(d -> d.art().paintedBounds().stream())
                .anyMatch(b -> own.flatMap(b::intersection).isPresent());
    }

    /** Its shapes under the layer's name, where their own say nothing about a mouth. */
    static List<Shape> named(LayerReading.Found piece) {
        return piece.drawings.get(0).art().shapes().stream()
                .map(s -> ShapeNames.read(s.name()).isEmpty() ? s.withName(piece.name) : s)
                .toList();
    }
}
