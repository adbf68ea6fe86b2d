package app.leeward.core.rig;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import java.util.List;

/**
 * One picture of a character: what the screen plays, the renderer draws and exports write.
 *
 * @param placed every part that shows a drawing, back to front
 */
public record Frame(List<Placed> placed) {
    public Frame {
        placed = List.copyOf(placed);
    }

    /**
     * One part in the picture.
     *
     * @param matrix from the drawing's coordinates to the canvas
     * @param opacity 0 to 1, the opacities of all it follows multiplied in
     * @param windows ids of the parts whose fills all mask it, nested windows included
     * @param outside ids of the parts on whose fills it is not seen
     * @param behind ids of the hands whose {@link app.leeward.core.art.ShapeRole#FINGERS} lie before it: what they paint, lines
     *     included, is taken out of it
     * @param outlines of the drawing's shapes in their order, where they are bent; empty when they are as they were drawn
     */
    public record Placed(
            String part,
            String drawing,
            Matrix matrix,
            double opacity,
            List<String> windows,
            List<String> outside,
            List<String> behind,
            List<Path> outlines) {
        public Placed {
            outside = outside == null ? List.of() : List.copyOf(outside);
            behind = behind == null ? List.of() : List.copyOf(behind);
            outlines = outlines == null ? List.of() : List.copyOf(outlines);
        }

        /** A part that nothing but windows cuts, with outlines as they were drawn. */
        public Placed(String part, String drawing, Matrix matrix, double opacity, List<String> windows) {
            this(part, drawing, matrix, opacity, windows, List.of(), List.of(), List.of());
        }

        /** The same from another place. */
        public Placed withMatrix(Matrix other) {
            return new Placed(part, drawing, other, opacity, windows, outside, behind, outlines);
        }

        public Placed withOpacity(double other) {
            return new Placed(part, drawing, matrix, other, windows, outside, behind, outlines);
        }

        /** The drawing's art as it is shown here. */
        public Artwork shown(Artwork drawn) {
            return outlines.isEmpty() ? drawn : drawn.withOutlines(outlines);
        }
    }

    /** The entry of a part, when it shows a drawing. */
    public java.util.Optional<Placed> of(String part) {
        return placed.stream().filter(p -> p.part().equals(part)).findFirst();
    }
}
