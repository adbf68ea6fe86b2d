package app.leeward.core.rig;

/**
 * A key that shows a drawing of a part.
 *
 * @param key one small letter or a digit from 1 to 9, as it is pressed without other keys
 */
public record DrawingKey(String key, String part, String drawing) {
    /** Without w and 0, which do something else wherever one is. */
    private static final String ALLOWED = "abcdefghijklmnopqrstuvxyz123456789";

    public DrawingKey {
        if (!fits(key)) {
            throw new IllegalArgumentException(
                    "'" + key + "' cannot be a key: one letter a to z but w, or a digit 1 to 9.");
        }
    }

    public static boolean fits(String key) {
        return key != null && key.length() == 1 && ALLOWED.contains(key);
    }
}
