package app.leeward.speech;

import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Lexicon;
import app.leeward.core.speech.TimedPhone;
import app.leeward.core.speech.TimedWord;
import app.leeward.speech.acoustic.Pronounced;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;

/** One stretch of a line that is listened to again, between edges that stay where they are. */
final class Stretch {
    /** Words on either side that are searched with it, all their edges held, so that the search has something to hold on to. */
    private static final int AROUND = 2;
    /** Shortest stretch of sound, seconds, in which the loudness of a voice can be told. */
    private static final double SHORTEST = 3;

    private final LineReader reader;
    private final DialogueLine line;
    private final double from;
    private final double to;
    private final Sound sound;
    private final List<Spelling> spelled;

    Stretch(LineReader reader, DialogueLine line, double from, double to, Sound sound, Lexicon lexicon) {
        this.reader = reader;
        this.line = line;
        this.from = from;
        this.to = to;
        this.sound = sound;
        this.spelled = reader.spelled(line.text(), lexicon, new LinkedHashMap<>());
    }

    DialogueLine read() {
        int first = 0;
        int end = line.words().size();
        while (first < end && line.words().get(first).end() <= from + DialogueLine.SAME) {
            first++;
        }
        while (end > first && line.words().get(end - 1).start() >= to - DialogueLine.SAME) {
            end--;
        }
        if (first == end || spelled.size() != line.words().size()) {
            throw nothing();
        }
        int a = first;
        int b = end;
        for (int more = 0; (more < AROUND || start(a) + SHORTEST > end(b)) && (a > 0 || b < spelled.size()); more++) {
            a = Math.max(0, a - 1);
            b = Math.min(spelled.size(), b + 1);
        }
        List<Spelling> words = new ArrayList<>();
        for (int w = a; w < b; w++) {
            words.add(spelling(w).from(start(a)));
        }
        DialogueLine found =
                reader.aligned("", words, sound.part(start(a), end(b)), line.sound(), List.of(), Listening.ALONE);
        LineParts parts = new LineParts(line);
        for (int w = 0; w < a; w++) {
            parts.keep(w, line.words().get(w).text());
        }
        parts.add(found, start(a), end(b));
        for (int w = b; w < spelled.size(); w++) {
            parts.keep(w, line.words().get(w).text());
        }
        DialogueLine read = parts.line(line.text(), line.guesses());
        if (read.phones().equals(line.phones())) {
            throw nothing();
        }
        return read;
    }

    private static SpeechProblem nothing() {
        return new SpeechProblem(
                "nothing-there",
                "Listening again finds the same there. What was put by hand stays until it is let go.");
    }

    private Spelling spelling(int w) {
        TimedWord word = line.words().get(w);
        boolean inside = word.start() >= from - DialogueLine.SAME && word.end() <= to + DialogueLine.SAME;
        if (!inside || line.byHand(w)) {
            return new Spelling(spelled.get(w).word(), List.of(HeldWord.of(line, w, this::stays)));
        }
        List<Pronounced> spoken = new ArrayList<>(spelled.get(w).spoken());
        int last = spoken.size() - 1;
        List<Integer> phones = line.phonesOf(w);
        TimedPhone begins = line.phones().get(phones.get(0));
        TimedPhone ends = line.phones().get(phones.get(phones.size() - 1));
        if (stays(begins.start())) {
            spoken.set(0, held(spoken.get(0), new Pronounced.HeldEdge(0, false, begins.start())));
        }
        if (stays(ends.end())) {
            spoken.set(last, held(spoken.get(last), new Pronounced.HeldEdge(Pronounced.LAST, true, ends.end())));
        }
        return new Spelling(spelled.get(w).word(), spoken);
    }

    private static Pronounced held(Pronounced word, Pronounced.HeldEdge edge) {
        List<Pronounced.HeldEdge> held = new ArrayList<>(word.held());
        held.add(edge);
        return new Pronounced(word.ways(), held);
    }

    /** Whether an edge lies outside, or just where the stretch begins or ends and a sound outside shares it. */
    private boolean stays(double edge) {
        if (edge < from - DialogueLine.SAME || edge > to + DialogueLine.SAME) {
            return true;
        }
        boolean first = same(edge, from);
        boolean last = same(edge, to);
        return line.phones().stream().anyMatch(p -> first && same(p.end(), edge) || last && same(p.start(), edge));
    }

    private static boolean same(double a, double b) {
        return Math.abs(a - b) < DialogueLine.SAME;
    }

    /** Half-way through the pause before a word. */
    private double start(int word) {
        if (word == 0) {
            return 0;
        }
        return (line.words().get(word - 1).end() + line.words().get(word).start()) / 2;
    }

    private double end(int words) {
        return words == line.words().size() ? sound.seconds() : start(words);
    }
}
