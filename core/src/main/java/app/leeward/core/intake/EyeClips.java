package app.leeward.core.intake;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Shape;
import app.leeward.core.rig.Note;
import app.leeward.core.rig.PartRole;
import java.util.List;
import java.util.Optional;

/**
 * What the file clips to the white of an eye. A clip of its own would go where a pupil goes and cut a straight edge into it; so the white
 * masks it instead, which looks the same at rest and lets it move behind the white's edge. Shares are by eye.
 */
final class EyeClips {
    private final List<LayerReading.Found> found;
    private final List<Note> notes;

    private EyeClips(List<LayerReading.Found> found, List<Note> notes) {
        this.found = found;
        this.notes = notes;
    }

    /** Takes the clip off every layer that is cut by a white, and remembers which white that is. */
    static void take(List<LayerReading.Found> found, List<Note> notes) {
        new EyeClips(found, notes).take();
    }

    private void take() {
        for (LayerReading.Found white : List.copyOf(found)) {
            Optional<Shape> edge = white.role == PartRole.WHITE ? fill(white) : Optional.empty();
            if (edge.isEmpty()) {
                continue;
            }
            for (LayerReading.Found f : List.copyOf(found)) {
                boolean cut = f != white
                        && f.view.equals(white.view)
                        && !f.drawings.isEmpty()
                        && f.drawings.stream()
                                .flatMap(d -> d.art().shapes().stream())
                                .allMatch(s -> cuts(edge.get(), s));
                boolean known = f.role.insideEye() && f.side == white.side;
                if (cut && (known || f.role == PartRole.OTHER)) {
                    masked(f, white, edge.get());
                }
            }
        }
    }

    private void masked(LayerReading.Found f, LayerReading.Found white, Shape edge) {
        f.drawings.replaceAll(d -> bare(d, edge));
        f.cutBy = Optional.of(white);
        boolean lid = f.role == PartRole.UPPER_LID || f.role == PartRole.LOWER_LID;
        LayerReading.Found shade = lid && EyeShapes.through(f)
                ? f.as(PartRole.OTHER, f.drawings.get(0).name())
                : f;
        if (shade.role == PartRole.OTHER) {
            shade.cutBy = f.cutBy;
            found.set(found.indexOf(f), shade);
            notes.add(new Note(
                    "eye-piece",
                    shade.name,
                    "'" + shade.name + "' is clipped to the " + white.name + ": it is masked by it."));
        }
    }

    private static Optional<Shape> fill(LayerReading.Found white) {
        return white.drawings.stream()
                .filter(d -> d.id().equals(white.firstVisible))
                .flatMap(d -> d.art().shapes().stream())
                .filter(s -> !(s.fill() instanceof Paint.None))
                .findFirst();
    }

    private static Drawing bare(Drawing d, Shape white) {
        return d.withArt(new Artwork(
                d.art().shapes().stream().map(s -> without(s, white)).toList()));
    }

    /** Whether one of a shape's clips is the outline of a white. */
    static boolean cuts(Shape white, Shape s) {
        return s.clips().stream().anyMatch(c -> ClippedShapes.outlines(c, white));
    }

    /** A shape without the clips that are the outline of a white. */
    static Shape without(Shape s, Shape white) {
        return s.withClips(s.clips().stream()
                .filter(c -> !ClippedShapes.outlines(c, white))
                .toList());
    }
}
