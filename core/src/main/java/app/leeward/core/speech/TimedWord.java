package app.leeward.core.speech;

/**
 * One word of a line and when it is heard.
 *
 * @param text as written
 * @param start seconds into the recording
 * @param end seconds into the recording
 * @param doubt how much worse the sound fits this word than it fits any sounds at all, per frame; small is good
 */
public record TimedWord(String text, double start, double end, double doubt) {
    /** From which doubt on a word is told to the rigger; right words stayed below 4.7 on synthetic voices. */
    public static final double DOUBTFUL = 5;

    /** Whether something else seems to be said in its place. */
    public boolean doubtful() {
        return doubt >= DOUBTFUL;
    }
}
