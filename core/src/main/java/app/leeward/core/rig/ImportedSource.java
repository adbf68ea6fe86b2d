package app.leeward.core.rig;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Matrix;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * The art as it was last read from the designer's file, untouched, so that a newer version of the file can be told apart
 * from what was changed here.
 *
 * @param file what the file was called
 * @param scaleX what x was multiplied with between the file and the canvas; negative after a flip
 * @param dx what was then added to x, units
 * @param scaleY what y was multiplied with
 * @param dy what was then added to y, units
 */
public record ImportedSource(
        String file, double scaleX, double dx, double scaleY, double dy, List<ReadDrawing> drawings) {
    /**
     * @param layer names the drawing within the file; stays the same when the file is read again
     * @param part where its drawing went
     * @param drawing id of the drawing there
     * @param name for people: "left brow: worried"
     * @param art in the file's own coordinates
     */
    public record ReadDrawing(String layer, String part, String drawing, String name, Artwork art) {
        ReadDrawing movedTo(String newPart, String newDrawing) {
            return new ReadDrawing(layer, newPart, newDrawing, name, art);
        }
    }

    public ImportedSource {
        Objects.requireNonNull(file, "file");
        drawings = List.copyOf(drawings);
    }

    /** All the drawings of a character just read, which stand where the file has them. */
    public static ImportedSource of(String file, Character fresh) {
        List<ReadDrawing> all = new ArrayList<>();
        for (String id : fresh.rig().order()) {
            Part p = fresh.part(id).orElseThrow();
            p.drawings()
                    .forEach(d -> all.add(new ReadDrawing(
                            p.id() + "/" + d.id(),
                            p.id(),
                            d.id(),
                            p.drawings().size() == 1 ? p.name() : p.name() + ": " + d.name(),
                            d.art())));
        }
        return new ImportedSource(file, 1, 0, 1, 0, all);
    }

    /** From the file's coordinates to the canvas. */
    public Matrix placed() {
        return new Matrix(scaleX, 0, 0, scaleY, dx, dy);
    }

    /** After everything was scaled and moved: x became {@code sx}·x + {@code tx}, y alike. */
    public ImportedSource then(double sx, double tx, double sy, double ty) {
        return new ImportedSource(file, sx * scaleX, sx * dx + tx, sy * scaleY, sy * dy + ty, drawings);
    }

    /** After drawings went from one part to another; {@code ids} says what each is called there. */
    public ImportedSource moved(String from, String to, Map<String, String> ids) {
        return withDrawings(drawings.stream()
                .map(d ->
                        d.part().equals(from) && ids.containsKey(d.drawing()) ? d.movedTo(to, ids.get(d.drawing())) : d)
                .toList());
    }

    public ImportedSource withDrawings(List<ReadDrawing> newDrawings) {
        return new ImportedSource(file, scaleX, dx, scaleY, dy, newDrawings);
    }
}
