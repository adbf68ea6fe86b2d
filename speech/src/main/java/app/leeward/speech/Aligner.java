package app.leeward.speech;

import app.leeward.core.speech.Phone;
import edu.cmu.sphinx.decoder.search.Token;
import edu.cmu.sphinx.frontend.util.StreamDataSource;
import edu.cmu.sphinx.linguist.SearchState;
import edu.cmu.sphinx.linguist.UnitSearchState;
import edu.cmu.sphinx.linguist.WordSearchState;
import edu.cmu.sphinx.recognizer.Recognizer;
import edu.cmu.sphinx.result.Result;
import edu.cmu.sphinx.util.LogMath;
import edu.cmu.sphinx.util.props.ConfigurationManager;
import java.io.ByteArrayInputStream;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Forced alignment: finds given words in a recording. Loading takes seconds and some hundred megabytes, so make one and
 * keep it; the library's recogniser keeps state, so one recording at a time.
 */
final class Aligner {
    /** The model hears 16 kHz. */
    static final int RATE = 16_000;
    /**
     * Seconds by which sounds are reported early, measured on synthetic voices whose true times are known: a frame is
     * named by its start and its features look ahead.
     */
    static final double EARLY = 0.017;

    private static final double FRAMES_A_SECOND = 100;
    /** Longest recording, seconds, that is searched again without a beam. */
    private static final double PATIENCE = 60;

    private final Recognizer words;
    private final Recognizer patientWords;
    private final Recognizer sounds;
    private final StrictGrammar grammar;
    private final LineDictionary dictionary;
    private final StreamDataSource source;
    private final Meter meter;

    Aligner() {
        ConfigurationManager config =
                new ConfigurationManager(Aligner.class.getResource("/app/leeward/speech/aligner.config.xml"));
        words = (Recognizer) config.lookup("words");
        patientWords = (Recognizer) config.lookup("patientWords");
        sounds = (Recognizer) config.lookup("sounds");
        grammar = (StrictGrammar) config.lookup("strictGrammar");
        dictionary = (LineDictionary) config.lookup("dictionary");
        source = (StreamDataSource) config.lookup("dataSource");
        meter = (Meter) config.lookup("meter");
        words.allocate();
        patientWords.allocate();
        sounds.allocate();
    }

    /**
     * @param line for each spoken word all its pronunciations
     * @throws SpeechProblem {@code words-not-found} when the words cannot be said in the time the recording lasts
     */
    Aligned align(Sound sound, List<List<List<Phone>>> line, Listening listening) {
        byte[] pcm = sound.at(RATE).pcm16();
        Map<String, List<List<Phone>>> byKey = new LinkedHashMap<>();
        for (int i = 0; i < line.size(); i++) {
            byKey.put("w" + i, line.get(i));
        }
        dictionary.setWords(byKey);
        grammar.setWords(List.copyOf(byKey.keySet()));
        String last = "w" + (line.size() - 1);
        List<Token> said = path(bestReaching(last, run(words, pcm, listening.between(0, 0.5))));
        if (said.isEmpty() && sound.seconds() <= PATIENCE) {
            said = path(bestReaching(last, run(patientWords, pcm, listening.between(0.5, 0.8))));
        }
        if (said.isEmpty()) {
            throw new SpeechProblem(
                    "words-not-found",
                    "These words do not fit the recording: listen to it and type the words that are said in it.");
        }
        Result free = run(sounds, pcm, listening.between(0.8, 1));
        return read(said, scores(path(free.getBestToken())), sound.seconds(), line.size());
    }

    private Result run(Recognizer recognizer, byte[] pcm, Listening listening) {
        source.setInputStream(new ByteArrayInputStream(pcm));
        double all = pcm.length / 2.0 / RATE * FRAMES_A_SECOND;
        meter.begin(n -> listening.reached(Math.min(1, n / all)));
        Result result = recognizer.recognize();
        if (result == null) {
            throw new SpeechProblem("sound-short", "The recording is too short to hold any speech.");
        }
        return result;
    }

    /** The best token that has come as far as the last word; null when all were given up before. */
    private static Token bestReaching(String lastWord, Result result) {
        Token best = null;
        for (Token t : result.getActiveTokens().getTokens()) {
            if ((best == null || t.getScore() > best.getScore()) && lastWord.equals(wordOf(t))) {
                best = t;
            }
        }
        return best;
    }

    private static String wordOf(Token token) {
        for (Token t = token; t != null; t = t.getPredecessor()) {
            if (t.getSearchState() instanceof WordSearchState w
                    && w.getPronunciation().getWord().getSpelling().startsWith("w")) {
                return w.getPronunciation().getWord().getSpelling();
            }
        }
        return "";
    }

    private static List<Token> path(Token last) {
        List<Token> path = new ArrayList<>();
        for (Token t = last; t != null; t = t.getPredecessor()) {
            path.add(t);
        }
        Collections.reverse(path);
        return path;
    }

    /** Acoustic score of each frame by its time in milliseconds, natural logarithm. */
    private static TreeMap<Long, Double> scores(List<Token> path) {
        TreeMap<Long, Double> scores = new TreeMap<>();
        for (Token t : path) {
            if (t.isEmitting()) {
                scores.put(t.getCollectTime(), (double) LogMath.getLogMath().logToLn(t.getAcousticScore()));
            }
        }
        return scores;
    }

    private static final class Open {
        int word = -1;
        Phone phone;
        double start;
    }

    private static Aligned read(List<Token> path, TreeMap<Long, Double> free, double seconds, int count) {
        List<List<Aligned.Heard>> heard = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            heard.add(new ArrayList<>());
        }
        Open open = new Open();
        int word = -1;
        for (Token t : path) {
            SearchState state = t.getSearchState();
            if (state instanceof WordSearchState w) {
                String spelling = w.getPronunciation().getWord().getSpelling();
                word = spelling.matches("w\\d+") ? Integer.parseInt(spelling.substring(1)) : -1;
            } else if (state instanceof UnitSearchState u) {
                double at = Math.max(0, t.getCollectTime() / 1000.0 + EARLY);
                close(heard, open, at);
                open.word = word;
                open.phone = Phone.parse(u.getUnit().getName()).orElse(null);
                open.start = at;
            }
        }
        close(heard, open, seconds);
        return scored(heard, scores(path), free);
    }

    private static void close(List<List<Aligned.Heard>> heard, Open open, double at) {
        if (open.phone != null && open.word >= 0 && at > open.start) {
            heard.get(open.word).add(new Aligned.Heard(open.phone, open.start, at));
        }
    }

    private static Aligned scored(
            List<List<Aligned.Heard>> heard, TreeMap<Long, Double> said, TreeMap<Long, Double> free) {
        List<Aligned.Spoken> spoken = new ArrayList<>();
        double total = 0;
        double frames = 0;
        for (List<Aligned.Heard> phones : heard) {
            long from = Math.round((phones.get(0).start() - EARLY) * 1000);
            long to = Math.round((phones.get(phones.size() - 1).end() - EARLY) * 1000);
            int n = Math.max(1, said.subMap(from, to).size());
            double worse = sum(free, from, to) - sum(said, from, to);
            spoken.add(new Aligned.Spoken(List.copyOf(phones), worse / n));
            total += worse;
            frames += n;
        }
        return new Aligned(spoken, frames == 0 ? 0 : total / frames);
    }

    private static double sum(TreeMap<Long, Double> scores, long from, long to) {
        return scores.subMap(from, to).values().stream()
                .mapToDouble(Double::doubleValue)
                .sum();
    }
}
