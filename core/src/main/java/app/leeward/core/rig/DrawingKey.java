package app.leeward.core.rig;

/**
 * A key that shows a drawing of a part.
 *
 * @param key one small letter or a digit from 1 to 9, as it is pressed without other keys
 */
public record DrawingKey(String key, String part, String drawing) {
    /** Keys that do something else wherever one is. */
    private static final String TAKEN = "w0";

    public DrawingKey {
        if (!fits(key)) {
            throw new IllegalArgumentException(
                    "'" + key + "' cannot be a key: one letter a to z but w, or a digit 1 to 9.");
        }
    }

    public static boolean fits(String key) {
        return key != null && key.matches("[a-z1-9]") && !TAKEN.contains(key);
    }
}
