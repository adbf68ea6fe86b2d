package app.leeward.core.shot;

/**
 * What somebody wrote to a stretch of a shot.
 *
 * @param from first frame it is about
 * @param to first frame it is not about any more
 * @param text at most {@link #LONGEST} letters
 * @param author who wrote it; may be empty
 */
public record ShotNote(int from, int to, String text, String author) {
    public static final int LONGEST = 1000;

    public ShotNote {
        Stretch.require("note", from, to);
        text = text == null ? "" : text.strip();
        author = author == null ? "" : author.strip();
        if (text.isEmpty() || text.length() > LONGEST || author.length() > 80) {
            throw new IllegalArgumentException("A note has 1 to " + LONGEST
                    + " letters, and its author 80 at most; not " + text.length() + " and " + author.length() + ".");
        }
    }
}
