package app.leeward.core.intake;

import app.leeward.core.art.Artwork;
import java.util.Optional;

/**
 * What a newer version of the art does to one drawing.
 *
 * @param key names the change when some of them are taken
 * @param name the drawing, for people: "left brow: worried"
 * @param message what is different, in words
 * @param warning why somebody might not want it; empty when nothing speaks against it
 * @param advised whether it is taken unless somebody says otherwise
 * @param before the drawing as it stands here; empty for a new one, and for one that was taken away here
 * @param after the drawing of the new version, on this canvas; empty for a missing one
 */
public record LayerChange(
        String key,
        Kind kind,
        String name,
        String message,
        String warning,
        boolean advised,
        Optional<Artwork> before,
        Optional<Artwork> after) {
    /** How a drawing of the file relates to the one read before. */
    public enum Kind {
        CHANGED,
        NEW,
        MISSING,
        SAME
    }
}
