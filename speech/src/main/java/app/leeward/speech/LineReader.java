package app.leeward.speech;

import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Guess;
import app.leeward.core.speech.Lexicon;
import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import app.leeward.core.speech.TimedWord;
import app.leeward.core.speech.UnwrittenSpeech;
import app.leeward.speech.acoustic.AcousticModel;
import app.leeward.speech.acoustic.Alignment;
import app.leeward.speech.acoustic.ForcedAligner;
import app.leeward.speech.acoustic.LiveSounds;
import app.leeward.speech.acoustic.LongSound;
import app.leeward.speech.acoustic.Pronounced;
import app.leeward.speech.acoustic.ScriptFinder;
import app.leeward.speech.acoustic.SoundPairs;
import app.leeward.speech.spelling.SpellingReader;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Reads a recording with its words into a line of timed sounds. Thread-safe; make one and keep it. */
public final class LineReader {
    /** Most words a line may have. */
    public static final int MOST_WORDS = 1_500;

    /** Ways to say a word no dictionary has that are listened for. */
    private static final int LIKELY = 3;

    /** Share of the time that finding each line once takes, where every take of it is looked for. By eye. */
    private static final double ONCE = 0.7;

    /** Seconds of silence that are listened to for practice. */
    private static final int PRACTISED = 4;

    private final PronouncingDictionary dictionary;
    private AcousticModel model;
    private ForcedAligner aligner;
    private LetterToSound letterToSound;
    private SoundPairs soundPairs;
    private final Object pairsLock = new Object();

    public LineReader() {
        this(PronouncingDictionary.load());
    }

    public LineReader(PronouncingDictionary dictionary) {
        this.dictionary = dictionary;
    }

    /** Loads what listening needs now instead of with the first line; takes seconds. */
    public void warmUp() {
        aligner();
        letterToSound();
        // as often as the Java machine wants to see code before it translates it well
        live().hears(new float[PRACTISED * LiveSounds.RATE]);
    }

    private LetterToSound letterToSound() {
        synchronized (dictionary) {
            if (letterToSound == null) {
                letterToSound = new LetterToSound(SpellingReader.shipped());
            }
            return letterToSound;
        }
    }

    private synchronized ForcedAligner aligner() {
        if (aligner == null) {
            aligner = new ForcedAligner(model());
        }
        return aligner;
    }

    private SoundPairs soundPairs() {
        // not the lock of what learns to spell, which takes seconds
        synchronized (pairsLock) {
            if (soundPairs == null) {
                soundPairs = SoundPairs.of(dictionary.words().stream()
                        .flatMap(w -> dictionary.of(w).stream())
                        .toList());
            }
            return soundPairs;
        }
    }

    /** Listens to a voice while it speaks. */
    public LiveSounds live() {
        return new LiveSounds(model(), soundPairs());
    }

    private synchronized AcousticModel model() {
        if (model == null) {
            model = AcousticModel.load();
        }
        return model;
    }

    /**
     * Finds where in a long recording the lines of a script are said. Those that are not said are left out.
     *
     * @param lines the words of each
     * @param everyTake whether a line that is said more than once is told each time
     * @return in their order in time
     * @throws SpeechProblem when the words of one cannot be read out
     */
    public List<ScriptFinder.Found> find(
            List<String> lines, LongSound sound, Lexicon lexicon, boolean everyTake, Listening listening) {
        List<List<Pronounced>> spoken = lines.stream()
                .map(l -> spelled(l, lexicon, new LinkedHashMap<>()).stream()
                        .flatMap(s -> s.spoken().stream())
                        .toList())
                .toList();
        ScriptFinder finder = new ScriptFinder(model());
        if (!everyTake) {
            return finder.find(sound, spoken, listening);
        }
        List<ScriptFinder.Found> found = finder.find(sound, spoken, listening.between(0, ONCE));
        List<ScriptFinder.Found> again = finder.again(sound, spoken, found, listening.between(ONCE, 1));
        return Stream.concat(found.stream(), again.stream())
                .sorted(Comparator.comparingDouble(ScriptFinder.Found::from))
                .toList();
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
        List<Spelling> spelled = spelled(text, lexicon, guesses);
        requireTime(spelled, sound.seconds());
        return aligned(text, spelled, sound, hash, List.copyOf(guesses.values()), listening);
    }

    /**
     * A recording of which nobody says the words, or the words cannot be found: the sounds that seem to be in it, a rough first
     * pass to be corrected by hand, or by words later.
     *
     * @param text what somebody thinks is said; empty when nobody knows
     * @throws SpeechProblem {@code sounds-unheard} when nothing seems to be spoken
     */
    public DialogueLine withoutWords(String text, Sound sound, String hash, Listening listening) {
        List<TimedPhone> phones = aligner().anything(sound, listening).stream()
                .map(h -> new TimedPhone(h.phone(), h.start(), h.end()))
                .toList();
        if (phones.isEmpty()) {
            throw new SpeechProblem("sounds-unheard", "Nothing seems to be spoken in the recording.");
        }
        return new DialogueLine(text, hash, sound.seconds(), List.of(), phones, List.of(), 0);
    }

    /**
     * Looks at the words without listening to the recording.
     *
     * @throws SpeechProblem when they cannot be read out, or not in that time
     */
    public void requireReadable(String text, double seconds, Lexicon lexicon) {
        requireTime(spelled(text, lexicon, new LinkedHashMap<>()), seconds);
    }

    List<Spelling> spelled(String text, Lexicon lexicon, Map<String, Guess> guesses) {
        return written(text).stream()
                .map(word -> new Spelling(
                        word,
                        word.spoken().stream()
                                .map(s -> Pronounced.as(pronunciations(s, lexicon, guesses)))
                                .toList()))
                .toList();
    }

    private static void requireTime(List<Spelling> spelled, double seconds) {
        int sounds = spelled.stream()
                .flatMap(s -> s.spoken().stream())
                .mapToInt(p -> p.ways().stream().mapToInt(List::size).min().orElse(0))
                .sum();
        // every sound takes three states of 10 ms at the least
        if (sounds * 0.03 > seconds) {
            throw new SpeechProblem(
                    "words-long",
                    String.format(
                            Locale.ROOT,
                            "These %d words need at least %.1f s to say, but the recording lasts %.1f s.",
                            spelled.size(),
                            sounds * 0.03,
                            seconds));
        }
    }

    /** @throws SpeechProblem {@code words-not-found} when they are not in the recording */
    DialogueLine aligned(
            String text, List<Spelling> spelled, Sound sound, String hash, List<Guess> guesses, Listening listening) {
        List<Pronounced> spoken =
                spelled.stream().flatMap(s -> s.spoken().stream()).toList();
        Alignment found = aligner()
                .align(sound, spoken, listening)
                .orElseThrow(() -> new SpeechProblem(
                        "words-not-found",
                        "These words do not fit the recording: listen to it and type the words that are said in it."));
        return line(text, sound, hash, spelled, found, guesses);
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
        return new Correction(this, before, text, sound, lexicon).made(listening);
    }

    /**
     * Reads another take of a line: the same words, said as a hand has corrected them. Where its sounds begin and end is found
     * anew.
     *
     * @throws SpeechProblem {@code words-not-found} when something else is said
     */
    public DialogueLine retake(DialogueLine before, Sound sound, String hash, Lexicon lexicon, Listening listening) {
        if (before.words().isEmpty()) {
            return withoutWords(before.text(), sound, hash, listening);
        }
        Map<String, Guess> guesses = new LinkedHashMap<>();
        List<Spelling> spelled = new ArrayList<>(spelled(before.text(), lexicon, guesses));
        for (int w = 0; spelled.size() == before.words().size() && w < spelled.size(); w++) {
            Optional<List<Phone>> sounds = before.soundsByHand(w);
            if (sounds.isPresent()) {
                spelled.set(w, new Spelling(spelled.get(w).word(), List.of(Pronounced.as(List.of(sounds.get())))));
            }
        }
        requireTime(spelled, sound.seconds());
        DialogueLine taken = aligned(before.text(), spelled, sound, hash, List.copyOf(guesses.values()), listening);
        if (!taken.fits()) {
            throw new SpeechProblem(
                    "words-not-found",
                    "Something else seems to be said in this take; read it as a line of its own if that is meant.");
        }
        return taken;
    }

    /**
     * Listens to one stretch of a line again. What lies outside of it, and what a hand has put in it, stays just where it is.
     *
     * @param from seconds into the recording
     * @param to seconds into the recording
     * @throws SpeechProblem {@code nothing-there} when no sound begins or ends there that could be found anew, {@code
     *     words-not-found} when it is not found
     */
    public DialogueLine again(DialogueLine line, double from, double to, Sound sound, Lexicon lexicon) {
        return new Stretch(this, line, from, to, sound, lexicon).read();
    }

    /** Whether the dictionary has a word, so that nothing has to be guessed. */
    boolean knows(String word) {
        return !dictionary.of(word).isEmpty();
    }

    /** The pronunciations a word would be aligned with: the lexicon's, else the dictionary's, else a guess. */
    public List<List<Phone>> pronunciations(String word, Lexicon lexicon) {
        return pronunciations(word, lexicon, new LinkedHashMap<>());
    }

    /**
     * How one word is said, and who says so.
     *
     * @throws SpeechProblem {@code word-unreadable} for one that cannot be read out
     */
    public WordSounds sounds(String word, Lexicon lexicon) {
        String plain = word.toLowerCase(Locale.ROOT);
        Map<String, Guess> guesses = new LinkedHashMap<>();
        List<List<Phone>> ways = pronunciations(plain, lexicon, guesses);
        WordSounds.Source source = lexicon.of(plain).isPresent()
                ? WordSounds.Source.LEXICON
                : guesses.isEmpty() ? WordSounds.Source.DICTIONARY : WordSounds.Source.SPELLING;
        return new WordSounds(plain, source, ways);
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
        List<List<Phone>> likely =
                possessive(word).map(List::of).orElseGet(() -> letterToSound().guesses(word, LIKELY));
        if (likely.isEmpty()) {
            throw new SpeechProblem(
                    "word-unreadable", "'" + word + "' cannot be read out; write it as it sounds, in Latin letters.");
        }
        guesses.put(word, new Guess(word, likely.get(0), likely.subList(1, likely.size())));
        return likely;
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
        boolean capitals = typed.equals(typed.toUpperCase(Locale.ROOT));
        Optional<List<Phone>> arpabet = capitals ? Phone.parseAll(typed) : Optional.empty();
        if (arpabet.isPresent()) {
            return arpabet.get();
        }
        requireNoHalfArpabet(typed, capitals);
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

    /** "R EH QQ" is meant as sounds; reading QQ out as a word would guess. */
    private static void requireNoHalfArpabet(String typed, boolean capitals) {
        List<String> symbols = List.of(typed.strip().split("[\\s,]+"));
        long sounds = symbols.stream().filter(s -> Phone.parse(s).isPresent()).count();
        if (capitals && symbols.size() > 1 && sounds * 2 >= symbols.size()) {
            String unknown = symbols.stream()
                    .filter(s -> Phone.parse(s).isEmpty())
                    .findFirst()
                    .orElse("");
            throw new SpeechProblem(
                    "sounds-unknown",
                    "'" + unknown
                            + "' is no sound. In capitals the sounds of ARPAbet are meant, such as S AO R AH L; in"
                            + " small letters English words.");
        }
    }

    private static DialogueLine line(
            String text, Sound sound, String hash, List<Spelling> spelled, Alignment found, List<Guess> guesses) {
        List<TimedPhone> phones = new ArrayList<>();
        List<TimedWord> words = new ArrayList<>();
        // for each spoken word the written one it belongs to
        List<Integer> writtenOf = new ArrayList<>();
        List<Double> held = new ArrayList<>();
        Map<String, List<Phone>> heard = new HashMap<>();
        int next = 0;
        for (Spelling word : spelled) {
            double from = Double.NaN;
            double to = 0;
            double doubt = 0;
            for (int i = 0; i < word.spoken().size(); i++, next++) {
                writtenOf.add(words.size());
                word.spoken().get(i).held().forEach(h -> held.add(h.seconds()));
                Alignment.Spoken spoken = found.words().get(next);
                if (word.spoken().size() == word.word().spoken().size()) {
                    heard.put(
                            word.word().spoken().get(i),
                            spoken.phones().stream().map(Alignment.Heard::phone).toList());
                }
                doubt = Math.max(doubt, spoken.doubt());
                for (Alignment.Heard h : spoken.phones()) {
                    double end = Math.min(h.end(), sound.seconds());
                    if (end > h.start()) {
                        from = Double.isNaN(from) ? h.start() : from;
                        to = end;
                        phones.add(new TimedPhone(h.phone(), h.start(), end));
                    }
                }
            }
            if (!Double.isNaN(from)) {
                words.add(new TimedWord(word.word().text(), from, to, doubt));
            }
        }
        List<UnwrittenSpeech> unwritten = found.unwritten().stream()
                .map(u -> new UnwrittenSpeech(
                        u.before() < writtenOf.size() ? writtenOf.get(u.before()) : words.size(),
                        u.phones().get(0).start(),
                        Math.min(
                                sound.seconds(),
                                u.phones().get(u.phones().size() - 1).end()),
                        u.phones().stream().map(Alignment.Heard::phone).toList()))
                .toList();
        return new DialogueLine(
                text,
                hash,
                sound.seconds(),
                words,
                phones,
                guesses.stream()
                        .map(g -> g.heard(heard.getOrDefault(g.word(), List.of())))
                        .toList(),
                found.doubt(),
                held.stream().distinct().toList(),
                unwritten);
    }
}
