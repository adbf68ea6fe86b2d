package app.leeward.speech.acoustic;

import app.leeward.core.speech.Phone;
import java.util.List;

/**
 * Where the words of a line are in a recording.
 *
 * @param words one a spoken word, in order
 * @param doubt how much better any sounds fit the recording than these words, per 10 ms, natural logarithm
 * @param unwritten what is said between the words and belongs to none, in order
 */
public record Alignment(List<Spoken> words, double doubt, List<Unwritten> unwritten) {
    /** @param phones the pronunciation the recording was found to follow, silences left out */
    public record Spoken(List<Heard> phones, double doubt) {}

    /** Times in seconds. */
    public record Heard(Phone phone, double start, double end) {}

    /**
     * Something that nobody wrote.
     *
     * @param before index of the spoken word it is heard before; the number of words when it comes behind them all
     * @param phones what it sounds like, roughly
     */
    public record Unwritten(int before, List<Heard> phones) {}
}
