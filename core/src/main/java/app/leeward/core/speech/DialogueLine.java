package app.leeward.core.speech;

import java.util.List;

/**
 * A piece of dialogue: its words, its sound, and when each sound of it is spoken.
 *
 * @param text the words as typed
 * @param sound SHA-256 of the recording, hexadecimal
 * @param seconds length of the recording
 * @param words in order; empty when the words could not be found in the recording
 * @param phones in order, not overlapping; gaps are silence
 * @param guesses words whose sounds were guessed from their spelling
 * @param doubt how much worse the recording fits these words than any sounds at all, per frame; see {@link #fits()}
 */
public record DialogueLine(
        String text,
        String sound,
        double seconds,
        List<TimedWord> words,
        List<TimedPhone> phones,
        List<Guess> guesses,
        double doubt) {
    /** From which doubt on a line's words are not believed; the figures behind it are in docs/benchmarks.md. */
    public static final double DOUBTFUL = 2;

    public DialogueLine {
        words = List.copyOf(words);
        phones = List.copyOf(phones);
        guesses = List.copyOf(guesses);
        for (int i = 1; i < phones.size(); i++) {
            if (phones.get(i).start() < phones.get(i - 1).end() - 1e-9) {
                throw new IllegalArgumentException(
                        "two sounds overlap at " + phones.get(i).start() + " s");
            }
        }
    }

    /** Whether the words are believably the ones spoken. */
    public boolean fits() {
        return !phones.isEmpty() && doubt < DOUBTFUL;
    }
}
