package app.leeward.speech;

import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Guess;
import app.leeward.core.speech.Lexicon;
import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import app.leeward.core.speech.TimedWord;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Reads a recording with its words into a line of timed sounds. Thread-safe; make one and keep it. */
public final class LineReader {
    /** Most words a line may have. */
    public static final int MOST_WORDS = 600;

    private final PronouncingDictionary dictionary;
    private final Aligners aligners = new Aligners();

    public LineReader() {
        this(PronouncingDictionary.load());
    }

    public LineReader(PronouncingDictionary dictionary) {
        this.dictionary = dictionary;
    }

    /** Loads the acoustic model now instead of with the first line; takes seconds. */
    public void warmUp() {
        aligners.warmUp();
    }

    /**
     * @param hash what the line is to remember the recording by
     * @throws SpeechProblem when there are no words, too many, or they cannot be found in the recording
     */
    public DialogueLine read(String text, Sound sound, String hash, Lexicon lexicon) {
        return read(text, sound, hash, lexicon, Listening.ALONE);
    }

    /** The same, telling how far it is; what {@code listening} throws ends it. */
    public DialogueLine read(String text, Sound sound, String hash, Lexicon lexicon, Listening listening) {
        Map<String, Guess> guesses = new LinkedHashMap<>();
        List<WrittenWord> written = written(text);
        List<List<List<Phone>>> pronunciations = readable(written, sound.seconds(), lexicon, guesses);
        Aligned aligned = aligners.align(sound, pronunciations, listening);
        return line(text, sound, hash, written, aligned, List.copyOf(guesses.values()));
    }

    /**
     * Looks at the words without listening to the recording.
     *
     * @throws SpeechProblem when they cannot be read out, or not in that time
     */
    public void requireReadable(String text, double seconds, Lexicon lexicon) {
        readable(written(text), seconds, lexicon, new LinkedHashMap<>());
    }

    private List<List<List<Phone>>> readable(
            List<WrittenWord> written, double seconds, Lexicon lexicon, Map<String, Guess> guesses) {
        List<List<List<Phone>>> pronunciations = new ArrayList<>();
        int sounds = 0;
        for (WrittenWord word : written) {
            for (String spoken : word.spoken()) {
                List<List<Phone>> ways = pronunciations(spoken, lexicon, guesses);
                pronunciations.add(ways);
                sounds += ways.stream().mapToInt(List::size).min().orElse(0);
            }
        }
        // every sound takes three states of 10 ms at the least
        if (sounds * 0.03 > seconds) {
            throw new SpeechProblem(
                    "words-long",
                    String.format(
                            java.util.Locale.ROOT,
                            "These %d words need at least %.1f s to say, but the recording lasts %.1f s.",
                            written.size(),
                            sounds * 0.03,
                            seconds));
        }
        return pronunciations;
    }

    /**
     * The words of a text, within bounds.
     *
     * @throws SpeechProblem when there are none, or too many
     */
    static List<WrittenWord> written(String text) {
        List<WrittenWord> written = WordReader.read(text);
        if (written.isEmpty()) {
            throw new SpeechProblem("words-none", "There are no words to put to the recording: type what is said.");
        }
        if (written.size() > MOST_WORDS) {
            throw new SpeechProblem(
                    "words-many", "The line has " + written.size() + " words; at most " + MOST_WORDS + " can be read.");
        }
        return written;
    }

    /**
     * Reads a line again with other words, or words pronounced otherwise: only what changed and its surroundings are looked
     * for in the recording, everything else stays where it was found. Where too much changed, or what changed is not found
     * in its place, all of it is read again.
     */
    public DialogueLine correct(DialogueLine before, String text, Sound sound, Lexicon lexicon, Listening listening) {
        return new Correction(this, before, text, sound, lexicon)
                .made(listening)
                .orElseGet(() -> read(text, sound, before.sound(), lexicon, listening));
    }

    /** Whether the dictionary has a word, so that nothing has to be guessed. */
    boolean knows(String word) {
        return !dictionary.of(word).isEmpty();
    }

    /** The pronunciations a word would be aligned with: the lexicon's, else the dictionary's, else a guess. */
    public List<List<Phone>> pronunciations(String word, Lexicon lexicon) {
        return pronunciations(word, lexicon, new LinkedHashMap<>());
    }

    List<List<Phone>> pronunciations(String word, Lexicon lexicon, Map<String, Guess> guesses) {
        Optional<List<Phone>> own = lexicon.of(word);
        if (own.isPresent()) {
            return List.of(own.get());
        }
        List<List<Phone>> known = dictionary.of(word);
        if (!known.isEmpty()) {
            return known;
        }
        Optional<List<Phone>> possessive = possessive(word);
        List<Phone> guess = possessive.orElseGet(() -> LetterToSound.guess(word));
        if (guess.isEmpty()) {
            throw new SpeechProblem(
                    "word-unreadable", "'" + word + "' cannot be read out; write it as it sounds, in Latin letters.");
        }
        guesses.put(word, new Guess(word, guess));
        return List.of(guess);
    }

    /** "gulls'" and "Sorrel's" from the word without. */
    private Optional<List<Phone>> possessive(String word) {
        String stem = word.endsWith("'s") ? word.substring(0, word.length() - 2) : word.replaceAll("'$", "");
        List<List<Phone>> known = stem.equals(word) ? List.of() : dictionary.of(stem);
        if (known.isEmpty()) {
            return Optional.empty();
        }
        List<Phone> phones = new ArrayList<>(known.get(0));
        if (word.endsWith("'s")) {
            phones.add(Phone.Z);
        }
        return Optional.of(phones);
    }

    /**
     * Sounds for "sounds like" or ARPAbet typed by a person: ARPAbet symbols if all of it is ARPAbet, else the
     * dictionary's first pronunciation of each word, or a guess from its letters.
     */
    public List<Phone> soundsLike(String typed) {
        boolean capitals = typed.equals(typed.toUpperCase(java.util.Locale.ROOT));
        Optional<List<Phone>> arpabet = capitals ? Phone.parseAll(typed) : Optional.empty();
        if (arpabet.isPresent()) {
            return arpabet.get();
        }
        List<Phone> phones = new ArrayList<>();
        for (WrittenWord word : WordReader.read(typed)) {
            for (String spoken : word.spoken()) {
                phones.addAll(pronunciations(spoken, Lexicon.EMPTY).get(0));
            }
        }
        if (phones.isEmpty()) {
            throw new SpeechProblem(
                    "sounds-none",
                    "'" + typed + "' says no sounds: write it as English words, or in ARPAbet like S AO R AH L.");
        }
        return phones;
    }

    private static DialogueLine line(
            String text, Sound sound, String hash, List<WrittenWord> written, Aligned aligned, List<Guess> guesses) {
        List<TimedPhone> phones = new ArrayList<>();
        List<TimedWord> words = new ArrayList<>();
        int next = 0;
        for (WrittenWord word : written) {
            double from = Double.NaN;
            double to = 0;
            double doubt = 0;
            for (int i = 0; i < word.spoken().size(); i++, next++) {
                Aligned.Spoken spoken = aligned.words().get(next);
                doubt = Math.max(doubt, spoken.doubt());
                for (Aligned.Heard h : spoken.phones()) {
                    double end = Math.min(h.end(), sound.seconds());
                    if (end > h.start()) {
                        from = Double.isNaN(from) ? h.start() : from;
                        to = end;
                        phones.add(new TimedPhone(h.phone(), h.start(), end));
                    }
                }
            }
            if (!Double.isNaN(from)) {
                words.add(new TimedWord(word.text(), from, to, doubt));
            }
        }
        Ending.trim(phones, words, sound);
        return new DialogueLine(text, hash, sound.seconds(), words, phones, guesses, aligned.doubt());
    }
}
