package app.leeward.core.speech;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

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
 * @param held where an edge of a sound was put by hand, seconds, rising: reading the recording again leaves it there
 * @param unwritten what is said between the words and stands nowhere in them, in order
 */
public record DialogueLine(
        String text,
        String sound,
        double seconds,
        List<TimedWord> words,
        List<TimedPhone> phones,
        List<Guess> guesses,
        double doubt,
        List<Double> held,
        List<UnwrittenSpeech> unwritten) {
    /** From which doubt on a line's words are not believed; the figures behind it are in docs/benchmarks.md. */
    public static final double DOUBTFUL = 2;

    /** Two times nearer than this, seconds, are the same edge. */
    public static final double SAME = 1e-6;

    public DialogueLine {
        // stored before there were such
        held = held == null ? List.of() : held.stream().sorted().toList();
        unwritten = unwritten == null ? List.of() : List.copyOf(unwritten);
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

    /** A line that no hand has touched and in which everything said is written. */
    public DialogueLine(
            String text,
            String sound,
            double seconds,
            List<TimedWord> words,
            List<TimedPhone> phones,
            List<Guess> guesses,
            double doubt) {
        this(text, sound, seconds, words, phones, guesses, doubt, List.of(), List.of());
    }

    /** Whether an edge at this time was put there by hand. */
    public boolean holds(double time) {
        for (double h : held) {
            if (Math.abs(h - time) < SAME) {
                return true;
            }
        }
        return false;
    }

    /** The sounds of a word that a hand has touched; empty for one that is as it was found. */
    public Optional<List<Phone>> soundsByHand(int word) {
        return held.isEmpty() || !byHand(word)
                ? Optional.empty()
                : Optional.of(
                        phonesOf(word).stream().map(i -> phones.get(i).phone()).toList());
    }

    /** Index of the word a sound belongs to; -1 for one that belongs to none. */
    public int wordOf(int phone) {
        double middle = (phones.get(phone).start() + phones.get(phone).end()) / 2;
        for (int w = 0; w < words.size(); w++) {
            if (words.get(w).start() - SAME <= middle && middle <= words.get(w).end() + SAME) {
                return w;
            }
        }
        return -1;
    }

    /** Indices of the sounds of a word, in order. */
    public List<Integer> phonesOf(int word) {
        List<Integer> all = new ArrayList<>();
        for (int i = 0; i < phones.size(); i++) {
            double middle = (phones.get(i).start() + phones.get(i).end()) / 2;
            if (words.get(word).start() - SAME <= middle
                    && middle <= words.get(word).end() + SAME) {
                all.add(i);
            }
        }
        return all;
    }

    /** Whether a hand has put an edge of a word's sounds, or given it other sounds, which holds their edges. */
    public boolean byHand(int word) {
        return phonesOf(word).stream()
                .anyMatch(
                        i -> holds(phones.get(i).start()) || holds(phones.get(i).end()));
    }

    /** Whether the words are believably the ones spoken. */
    public boolean fits() {
        return !phones.isEmpty() && doubt < DOUBTFUL;
    }
}
