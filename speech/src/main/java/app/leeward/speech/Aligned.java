package app.leeward.speech;

import app.leeward.core.speech.Phone;
import java.util.List;

/**
 * Where the words of a line are in a recording.
 *
 * @param words one a spoken word, in order
 * @param doubt how much better any sounds fit the recording than these words, per 10 ms, natural logarithm
 */
record Aligned(List<Spoken> words, double doubt) {
    /** @param phones the pronunciation the recording was found to follow, silences left out */
    record Spoken(List<Heard> phones, double doubt) {}

    /** Times in seconds. */
    record Heard(Phone phone, double start, double end) {}
}
