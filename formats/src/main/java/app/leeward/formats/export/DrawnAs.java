package app.leeward.formats.export;

/**
 * What frames are drawn as.
 *
 * @param width pixels; the height follows the canvas
 */
public record DrawnAs(int width, Kind kind) {
    /** How a picture is kept. */
    public enum Kind {
        /** Four bytes a pixel: red, green, blue and how much of them, not mixed with it; what is not drawn is clear. */
        CLEAR,
        /** The same on white ground. */
        WHITE,
        /** A PNG file with clear ground. */
        PNG
    }
}
