package app.leeward.core.speech;

import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.text.Decimals;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.TreeSet;

/**
 * A line of dialogue on its way to being corrected by hand: its sounds are moved, changed, split, joined, added and taken away.
 * What a hand has put stays held. Words go with their sounds.
 */
public final class LineCorrection {
    /** The shortest sound, seconds. */
    public static final double SHORTEST = 0.01;

    private static final double SAME = DialogueLine.SAME;

    private final DialogueLine line;
    private final List<Sound> sounds = new ArrayList<>();
    private final TreeSet<Double> held;

    private static final class Sound {
        private Phone phone;
        private double start;
        private double end;
        private final int word;

        Sound(Phone phone, double start, double end, int word) {
            this.phone = phone;
            this.start = start;
            this.end = end;
            this.word = word;
        }
    }

    private LineCorrection(DialogueLine line) {
        this.line = line;
        this.held = new TreeSet<>(line.held());
        for (int i = 0; i < line.phones().size(); i++) {
            TimedPhone p = line.phones().get(i);
            sounds.add(new Sound(p.phone(), p.start(), p.end(), line.wordOf(i)));
        }
    }

    /**
     * Puts the start or the end of a sound somewhere else; where its neighbour touches it, they keep one edge. It goes as far
     * as there is room: to what a hand holds, to a neighbour's other edge, or, where neighbours give way, until they are as
     * short as can be.
     *
     * @param to seconds
     * @throws Refusal {@code no-room} when it cannot go that way at all
     */
    public static DialogueLine moved(DialogueLine line, int sound, boolean end, double to, boolean push) {
        LineCorrection c = new LineCorrection(line);
        if (end) {
            c.moveEnd(c.index(sound), to, push);
        } else {
            c.moveStart(c.index(sound), to, push);
        }
        return c.done();
    }

    /** Gives it another sound, in the same time. */
    public static DialogueLine changed(DialogueLine line, int sound, Phone phone) {
        LineCorrection c = new LineCorrection(line);
        Sound s = c.sounds.get(c.index(sound));
        if (s.phone == phone) {
            throw new Refusal(RefusalCode.NO_CHANGE, "It is a " + phone + " already.");
        }
        s.phone = phone;
        c.hold(s);
        return c.done();
    }

    /**
     * Makes two of it.
     *
     * @param time where the second begins, seconds
     * @throws Refusal {@code no-room} when one of them would be too short
     */
    public static DialogueLine split(DialogueLine line, int sound, double time, Phone second) {
        LineCorrection c = new LineCorrection(line);
        int at = c.index(sound);
        Sound s = c.sounds.get(at);
        if (!(time >= s.start + SHORTEST - SAME && time <= s.end - SHORTEST + SAME)) {
            throw new Refusal(
                    RefusalCode.NO_ROOM,
                    "Cut there, one of the two would be shorter than " + Decimals.fixed(SHORTEST * 1000, 0) + " ms.");
        }
        Sound behind = new Sound(second, time, s.end, s.word);
        s.end = time;
        c.sounds.add(at + 1, behind);
        c.hold(s);
        c.hold(behind);
        return c.done();
    }

    /** Makes one of a sound and the next one of its word; it keeps the first one's. */
    public static DialogueLine joined(DialogueLine line, int sound) {
        LineCorrection c = new LineCorrection(line);
        int at = c.index(sound);
        if (at + 1 == c.sounds.size() || c.sounds.get(at + 1).word != c.sounds.get(at).word) {
            throw new Refusal(RefusalCode.NO_SOUND, "No sound of the same word comes behind it.");
        }
        c.sounds.get(at).end = c.sounds.remove(at + 1).end;
        c.hold(c.sounds.get(at));
        return c.done();
    }

    /**
     * Adds a sound; those that are there give way to it.
     *
     * @param word whose sound it is; -1 for none, such as a breath
     * @throws Refusal {@code no-room} when it would cover another one, or lie among the sounds of another word
     */
    public static DialogueLine added(DialogueLine line, int word, Phone phone, double start, double end) {
        LineCorrection c = new LineCorrection(line);
        if (word < -1 || word >= line.words().size()) {
            throw new Refusal(RefusalCode.GONE, "There is no such word any more.");
        }
        if (!(start >= 0 && end <= line.seconds() + SAME && end - start >= SHORTEST - SAME)) {
            throw new Refusal(
                    RefusalCode.NO_ROOM,
                    "A sound lasts " + Decimals.fixed(SHORTEST * 1000, 0)
                            + " ms or more and lies within the recording.");
        }
        double middle = (start + end) / 2;
        int at = 0;
        while (at < c.sounds.size() && (c.sounds.get(at).start + c.sounds.get(at).end) / 2 < middle) {
            at++;
        }
        if (at > 0) {
            c.sounds.get(at - 1).end = Math.min(c.sounds.get(at - 1).end, start);
        }
        if (at < c.sounds.size()) {
            c.sounds.get(at).start = Math.max(c.sounds.get(at).start, end);
        }
        Sound added = new Sound(phone, start, end, word);
        c.sounds.add(at, added);
        for (int i = 0; i < c.sounds.size(); i++) {
            Sound s = c.sounds.get(i);
            boolean covered = s.end - s.start < SHORTEST - SAME || i > 0 && c.sounds.get(i - 1).end > s.start + SAME;
            if (covered) {
                throw new Refusal(RefusalCode.NO_ROOM, "There it would leave nothing of the " + s.phone + ".");
            }
        }
        c.requireInOrder();
        c.hold(added);
        return c.done();
    }

    private void requireInOrder() {
        int last = -1;
        for (Sound s : sounds) {
            if (s.word >= 0 && s.word < last) {
                throw new Refusal(RefusalCode.NO_ROOM, "There it would lie among the sounds of another word.");
            }
            last = Math.max(last, s.word);
        }
    }

    /**
     * Takes a sound away; the neighbour it touches, of the same word if there is one, takes its time.
     *
     * @throws Refusal {@code no-sound} when it is the only one of its word
     */
    public static DialogueLine dropped(DialogueLine line, int sound) {
        LineCorrection c = new LineCorrection(line);
        int at = c.index(sound);
        Sound gone = c.sounds.remove(at);
        if (gone.word >= 0 && c.sounds.stream().noneMatch(s -> s.word == gone.word)) {
            throw new Refusal(
                    RefusalCode.NO_SOUND,
                    "“" + line.words().get(gone.word).text()
                            + "” has no other sound. Take the word out of what is said instead.");
        }
        Sound before = at > 0 ? c.sounds.get(at - 1) : null;
        Sound behind = at < c.sounds.size() ? c.sounds.get(at) : null;
        boolean touchesBefore = before != null && same(before.end, gone.start) && before.word == gone.word;
        boolean touchesBehind = behind != null && same(behind.start, gone.end) && behind.word == gone.word;
        if (touchesBefore) {
            before.end = gone.end;
            c.hold(before);
        } else if (touchesBehind) {
            behind.start = gone.start;
            c.hold(behind);
        }
        return c.done();
    }

    /** Lets what a hand has put between two times, seconds, be found by listening again. */
    public static DialogueLine released(DialogueLine line, double from, double to) {
        LineCorrection c = new LineCorrection(line);
        if (!c.held.removeIf(h -> h >= from - SAME && h <= to + SAME)) {
            throw new Refusal(RefusalCode.NOT_HELD, "Nothing was put by hand there.");
        }
        return c.done();
    }

    private int index(int sound) {
        if (sound < 0 || sound >= sounds.size()) {
            throw new Refusal(RefusalCode.GONE, "There is no such sound any more.");
        }
        return sound;
    }

    private static boolean same(double a, double b) {
        return Math.abs(a - b) < SAME;
    }

    private void hold(Sound s) {
        hold(s.start);
        hold(s.end);
    }

    private void hold(double time) {
        if (held.stream().noneMatch(h -> same(h, time))) {
            held.add(time);
        }
    }

    private boolean holds(double time) {
        return held.stream().anyMatch(h -> same(h, time));
    }

    private void moveStart(int at, double to, boolean push) {
        Sound s = sounds.get(at);
        Sound before = at > 0 ? sounds.get(at - 1) : null;
        boolean shared = before != null && same(before.end, s.start);
        double least =
                before == null ? 0 : push ? leastEnd(at - 1, shared) : shared ? before.start + SHORTEST : before.end;
        double put = Math.max(least, Math.min(s.end - SHORTEST, to));
        requireMoved(s.start, put, to);
        release(s.start);
        s.start = put;
        if (shared) {
            before.end = put;
        }
        hold(put);
        double limit = put;
        for (int i = at - 1; i >= 0; i--) {
            Sound b = sounds.get(i);
            b.end = Math.min(b.end, limit);
            b.start = Math.max(0, Math.min(b.start, b.end - SHORTEST));
            limit = b.start;
        }
    }

    private void moveEnd(int at, double to, boolean push) {
        Sound s = sounds.get(at);
        Sound behind = at + 1 < sounds.size() ? sounds.get(at + 1) : null;
        boolean shared = behind != null && same(behind.start, s.end);
        double most = behind == null
                ? line.seconds()
                : push ? mostStart(at + 1, shared) : shared ? behind.end - SHORTEST : behind.start;
        double put = Math.min(most, Math.max(s.start + SHORTEST, to));
        requireMoved(s.end, put, to);
        release(s.end);
        s.end = put;
        if (shared) {
            behind.start = put;
        }
        hold(put);
        double limit = put;
        for (int i = at + 1; i < sounds.size(); i++) {
            Sound b = sounds.get(i);
            b.start = Math.max(b.start, limit);
            b.end = Math.min(line.seconds(), Math.max(b.end, b.start + SHORTEST));
            limit = b.end;
        }
    }

    private void requireMoved(double from, double put, double asked) {
        if (same(from, put)) {
            throw same(from, asked)
                    ? new Refusal(RefusalCode.NO_CHANGE, "The edge is there already.")
                    : new Refusal(RefusalCode.NO_ROOM, "The edge cannot go further that way.");
        }
    }

    private void release(double time) {
        held.removeIf(h -> same(h, time));
    }

    /** How early the end of a sound can be pushed, which may be what moves: what a hand holds before it stays. */
    private double leastEnd(int last, boolean moving) {
        double least = 0;
        for (int i = 0; i <= last; i++) {
            Sound s = sounds.get(i);
            double start = holds(s.start) ? s.start : least;
            least = !(i == last && moving) && holds(s.end) ? s.end : Math.max(least, start) + SHORTEST;
        }
        return least;
    }

    /** How late the start of a sound can be pushed, which may be what moves: what a hand holds behind it stays. */
    private double mostStart(int first, boolean moving) {
        double most = line.seconds();
        for (int i = sounds.size() - 1; i >= first; i--) {
            Sound s = sounds.get(i);
            double end = holds(s.end) ? s.end : most;
            most = !(i == first && moving) && holds(s.start) ? s.start : Math.min(most, end) - SHORTEST;
        }
        return most;
    }

    private DialogueLine done() {
        sounds.sort(Comparator.comparingDouble(s -> s.start));
        double[] starts = new double[line.words().size()];
        double[] ends = new double[starts.length];
        Arrays.fill(starts, Double.POSITIVE_INFINITY);
        List<TimedPhone> phones = new ArrayList<>();
        for (Sound s : sounds) {
            phones.add(new TimedPhone(s.phone, s.start, s.end));
            if (s.word >= 0) {
                starts[s.word] = Math.min(starts[s.word], s.start);
                ends[s.word] = Math.max(ends[s.word], s.end);
            }
        }
        List<TimedWord> words = new ArrayList<>();
        for (int w = 0; w < starts.length; w++) {
            TimedWord was = line.words().get(w);
            // a word without sounds of its own stays where it was
            words.add(ends[w] > starts[w] ? new TimedWord(was.text(), starts[w], ends[w], was.doubt()) : was);
        }
        List<Double> edges = held.stream()
                .filter(h -> phones.stream().anyMatch(p -> same(p.start(), h) || same(p.end(), h)))
                .toList();
        return new DialogueLine(
                line.text(),
                line.sound(),
                line.seconds(),
                words,
                phones,
                line.guesses(),
                line.doubt(),
                edges,
                line.unwritten());
    }
}
