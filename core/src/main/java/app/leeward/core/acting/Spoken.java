package app.leeward.core.acting;

/**
 * A word as it is spoken in a shot.
 *
 * @param text as written
 * @param start seconds into the shot
 * @param end seconds into the shot
 * @param beat seconds into the shot: the middle of the vowel that carries the word
 * @param prominence how much it stands out: 0 not at all, 1 more than any usual word
 * @param opens whether a sentence begins with it
 * @param closes whether a sentence ends with it
 */
public record Spoken(
        String text, double start, double end, double beat, double prominence, boolean opens, boolean closes) {
    public Spoken {
        if (!(start >= 0 && end > start && beat >= start && beat <= end && prominence >= 0 && prominence <= 1)) {
            throw new IllegalArgumentException("'" + text + "' cannot be spoken from " + start + " s to " + end
                    + " s on " + beat + " s, " + prominence + " prominent.");
        }
    }

    /** The same, so many seconds later. */
    public Spoken later(double by) {
        return new Spoken(text, start + by, end + by, beat + by, prominence, opens, closes);
    }
}
