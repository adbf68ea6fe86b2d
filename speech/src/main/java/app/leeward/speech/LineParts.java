package app.leeward.speech;

import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Guess;
import app.leeward.core.speech.TimedPhone;
import app.leeward.core.speech.TimedWord;
import app.leeward.core.speech.UnwrittenSpeech;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** A line put together from words that stay as they were and from stretches that were listened to again. */
final class LineParts {
    private final DialogueLine before;
    private final List<TimedWord> words = new ArrayList<>();
    private final List<TimedPhone> phones = new ArrayList<>();
    private final List<UnwrittenSpeech> unwritten = new ArrayList<>();
    private final List<double[]> searched = new ArrayList<>();

    LineParts(DialogueLine before) {
        this.before = before;
    }

    /** A word as it was, perhaps written otherwise. */
    void keep(int word, String text) {
        TimedWord w = before.words().get(word);
        words.add(new TimedWord(text, w.start(), w.end(), w.doubt()));
        before.phonesOf(word).forEach(p -> phones.add(before.phones().get(p)));
    }

    /** What was found from second {@code start} to {@code end}. */
    void add(DialogueLine found, double start, double end) {
        found.words().forEach(w -> words.add(new TimedWord(w.text(), w.start() + start, w.end() + start, w.doubt())));
        found.phones().forEach(p -> phones.add(new TimedPhone(p.phone(), p.start() + start, p.end() + start)));
        found.unwritten()
                .forEach(u ->
                        unwritten.add(new UnwrittenSpeech(u.word(), u.start() + start, u.end() + start, u.phones())));
        searched.add(new double[] {start, end});
    }

    DialogueLine line(String text, List<Guess> guesses) {
        List<TimedPhone> all = new ArrayList<>();
        phones.forEach(p -> all.add(new TimedPhone(p.phone(), exact(p.start()), exact(p.end()))));
        for (int i = 0; i < before.phones().size(); i++) {
            TimedPhone p = before.phones().get(i);
            // a breath somebody added belongs to no word, and is not looked for
            if (before.wordOf(i) < 0 && phones.stream().noneMatch(q -> q.end() > p.start() && q.start() < p.end())) {
                all.add(p);
            }
        }
        all.sort(Comparator.comparingDouble(TimedPhone::start));
        List<TimedWord> timed = words.stream()
                .map(w -> new TimedWord(w.text(), exact(w.start()), exact(w.end()), w.doubt()))
                .toList();
        before.unwritten().stream()
                .filter(u -> searched.stream().noneMatch(s -> u.end() > s[0] && u.start() < s[1]))
                .forEach(unwritten::add);
        List<UnwrittenSpeech> said = unwritten.stream()
                .sorted(Comparator.comparingDouble(UnwrittenSpeech::start))
                .map(u -> new UnwrittenSpeech(before(timed, u), u.start(), u.end(), u.phones()))
                .toList();
        return new DialogueLine(
                text,
                before.sound(),
                before.seconds(),
                timed,
                all,
                guesses,
                doubt(),
                before.held().stream().filter(h -> edge(all, h)).toList(),
                said);
    }

    /** What stays is kept to the last digit, whatever was added and taken off on the way. */
    private double exact(double time) {
        for (TimedPhone p : before.phones()) {
            if (Math.abs(p.start() - time) < DialogueLine.SAME) {
                return p.start();
            }
            if (Math.abs(p.end() - time) < DialogueLine.SAME) {
                return p.end();
            }
        }
        return time;
    }

    private static boolean edge(List<TimedPhone> all, double time) {
        return all.stream()
                .anyMatch(p ->
                        Math.abs(p.start() - time) < DialogueLine.SAME || Math.abs(p.end() - time) < DialogueLine.SAME);
    }

    private static int before(List<TimedWord> timed, UnwrittenSpeech u) {
        double middle = (u.start() + u.end()) / 2;
        return (int) timed.stream().filter(w -> w.start() < middle).count();
    }

    /** Mean over the words by how long they last, which is how a whole reading counts it. */
    private double doubt() {
        double sum = 0;
        double seconds = 0;
        for (TimedWord w : words) {
            sum += w.doubt() * (w.end() - w.start());
            seconds += w.end() - w.start();
        }
        return seconds == 0 ? 0 : sum / seconds;
    }
}
