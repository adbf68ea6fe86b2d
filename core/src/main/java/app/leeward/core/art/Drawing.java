package app.leeward.core.art;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Objects;
import java.util.Optional;

/**
 * One piece of art a part can show, and what is known about it.
 *
 * @param id unique within its set
 * @param wrist where a drawing of a hand meets its arm, as far as somebody said so or brought it there
 * @param grip where a drawing of a hand holds things; empty for one that holds nothing
 * @param over id of the part it lies directly over while it is shown, when that is not where its part lies: a fist before the
 *     collar, folded hands under the coat
 * @param unplaced whether it was drawn beside the figure and lies over its place by its middle alone, as long as nobody has shown where
 *     its wrist is
 */
@RecordBuilder
public record Drawing(
        String id,
        String name,
        Artwork art,
        Optional<Wrist> wrist,
        Optional<Grip> grip,
        Optional<String> over,
        boolean unplaced)
        implements DrawingBuilder.With {
    public Drawing {
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(art, "art");
        wrist = wrist == null ? Optional.empty() : wrist;
        grip = grip == null ? Optional.empty() : grip;
        over = over == null ? Optional.empty() : over;
        unplaced = unplaced && wrist.isEmpty();
        if (id.isBlank()) {
            throw new IllegalArgumentException("a drawing needs an id");
        }
    }

    /** A drawing of which nothing more is known. */
    public Drawing(String id, String name, Artwork art) {
        this(id, name, art, Optional.empty(), Optional.empty(), Optional.empty(), false);
    }

    /** Turned, evenly scaled and moved, with all that is known of it. */
    public Drawing transform(Matrix similarity) {
        return withArt(art.transform(similarity))
                .withWrist(wrist.map(w -> w.transform(similarity)))
                .withGrip(grip.map(g -> g.transform(similarity)));
    }

    /** Its mirror image about a vertical axis, with all that is known of it. */
    public Drawing mirrored(double axis) {
        return withArt(art.transform(Matrix.mirror(axis)))
                .withWrist(wrist.map(w -> w.mirrored(axis)))
                .withGrip(grip.map(g -> g.mirrored(axis)));
    }
}
