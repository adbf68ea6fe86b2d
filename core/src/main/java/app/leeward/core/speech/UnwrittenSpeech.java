package app.leeward.core.speech;

import java.util.List;

/**
 * Something that is said and that nobody wrote.
 *
 * @param word index of the word it is heard before; the number of words when it comes behind them all
 * @param start seconds into the recording
 * @param end seconds into the recording
 * @param phones what it sounds like, roughly
 */
public record UnwrittenSpeech(int word, double start, double end, List<Phone> phones) {
    public UnwrittenSpeech {
        phones = List.copyOf(phones);
    }
}
