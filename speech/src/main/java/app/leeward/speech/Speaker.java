package app.leeward.speech;

import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Guess;
import app.leeward.core.speech.Lexicon;
import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import app.leeward.core.speech.TimedWord;
import app.leeward.core.speech.TypicalDurations;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Says typed words without a voice: the dictionary's sounds, each as long as it typically is. */
public final class Speaker {
    /** Most words said at once: what is longer is a line and wants a recording. */
    public static final int MOST_WORDS = 120;
    /** Silence before the first and behind the last sound, seconds, so that the mouth is seen to open and close. */
    private static final double EDGE = 0.3;

    private final LineReader reader;

    public Speaker(LineReader reader) {
        this.reader = reader;
    }

    /**
     * @param text words, or ARPAbet between slashes
     * @param pace 0.25 to 4; 1 as people talk
     * @throws SpeechProblem when nothing of it can be said
     */
    public Said say(String text, double pace, Lexicon lexicon) {
        if (!(pace >= 0.25 && pace <= 4)) {
            throw new SpeechProblem(
                    "pace", "Words are said a quarter as fast to four times as fast, not " + pace + ".");
        }
        Saying saying = new Saying(pace);
        String typed = text.strip();
        if (typed.startsWith("/")) {
            saying.word(typed, sounds(typed));
            saying.rest(TypicalDurations.SENTENCE);
        } else {
            words(typed, lexicon, saying);
        }
        if (saying.phones.isEmpty()) {
            throw new SpeechProblem(
                    "words-none",
                    saying.skipped.isEmpty() ? "Type some words to hear with your eyes." : saying.skipped.get(0));
        }
        double end = saying.phones.get(saying.phones.size() - 1).end() + EDGE;
        List<Guess> guesses = new ArrayList<>(saying.guesses.values());
        return new Said(new DialogueLine(typed, "", end, saying.words, saying.phones, guesses, 0), saying.skipped);
    }

    private void words(String text, Lexicon lexicon, Saying saying) {
        int count = 0;
        for (String token : text.split("\\s+")) {
            for (WrittenWord word : WordReader.read(token)) {
                if (++count > MOST_WORDS) {
                    throw new SpeechProblem(
                            "words-many", "At most " + MOST_WORDS + " words are said at once; record longer lines.");
                }
                say(word, lexicon, saying);
            }
            if (token.matches(".*[.!?…]['\")\\]]*$")) {
                saying.rest(TypicalDurations.SENTENCE);
            } else if (token.matches(".*[,;:–—]['\")\\]]*$")) {
                saying.rest(TypicalDurations.COMMA);
            }
        }
    }

    private void say(WrittenWord word, Lexicon lexicon, Saying saying) {
        List<Phone> phones = new ArrayList<>();
        for (String spoken : word.spoken()) {
            try {
                boolean known = lexicon.of(spoken).isPresent() || reader.knows(spoken);
                List<Phone> way = reader.pronunciations(spoken, lexicon).get(0);
                if (!known) {
                    saying.guesses.put(spoken, new Guess(spoken, way));
                }
                phones.addAll(way);
            } catch (SpeechProblem e) {
                saying.skipped.add(e.getMessage());
            }
        }
        if (!phones.isEmpty()) {
            saying.word(word.text(), phones);
        }
    }

    private static List<Phone> sounds(String typed) {
        List<Phone> out = new ArrayList<>();
        for (String symbol : typed.replace("/", " ").strip().split("[\\s,]+")) {
            Optional<Phone> p = Phone.parse(symbol);
            if (p.isEmpty()) {
                throw new SpeechProblem(
                        "no-phone",
                        "'" + symbol + "' is no sound of ARPAbet; between slashes write sounds like S AO R AH L.");
            }
            out.add(p.get());
        }
        return out;
    }

    /** What has been said so far, and when. */
    private static final class Saying {
        private final double pace;
        private final List<TimedPhone> phones = new ArrayList<>();
        private final List<TimedWord> words = new ArrayList<>();
        private final Map<String, Guess> guesses = new LinkedHashMap<>();
        private final List<String> skipped = new ArrayList<>();
        private double at = EDGE;

        Saying(double pace) {
            this.pace = pace;
        }

        void word(String text, List<Phone> sounds) {
            double from = at;
            for (Phone p : sounds) {
                double end = at + TypicalDurations.of(p, pace);
                phones.add(new TimedPhone(p, at, end));
                at = end;
            }
            words.add(new TimedWord(text, from, at, 0));
        }

        void rest(double seconds) {
            at += seconds / pace;
        }
    }
}
