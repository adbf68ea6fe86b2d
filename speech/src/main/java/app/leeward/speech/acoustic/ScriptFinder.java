package app.leeward.speech.acoustic;

import app.leeward.speech.Listening;
import app.leeward.speech.Sound;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Finds where in a long recording each line of a script is said. It is gone through in windows that end in pauses; how far the
 * script has got at the end of each is left to the search, and what lies too near to the end of one is looked for again in the
 * next. Lines that are not said are left out, and whatever is said beside the script is passed over. Thread-safe.
 */
public final class ScriptFinder {
    /** Seconds listened to at once; more where a line goes on that long. */
    private static final double WINDOW = 45;

    private static final double LONGEST_WINDOW = 240;
    /** So near to the end of a window, seconds, nothing is believed that may go on behind it. */
    private static final double UNSURE = 6;
    /** The least one sound takes on average, seconds: by it is told how much of the script a window can hold. */
    private static final double QUICKEST = 0.045;
    /** By how much a way may be worse than the best, natural logarithm. */
    private static final double NARROW = 150;
    /** The same where with the narrow one nothing of the script is found: in noise the right way is behind for long. */
    private static final double WIDE = 400;
    /** Share of a window that is beside the script, from which on it is looked through again. */
    private static final double BESIDE = 0.3;
    /** Lines that may be left out at the end of a window and looked for in it all the same. */
    private static final int AHEAD = 4;
    /** Share of a window in words from which on it tells something about the voice. */
    private static final double TELLING = 0.4;

    /** From how many sounds on a line is not heard in anything. */
    private static final int TELLING_SOUNDS = 8;
    /** Among so many lines before a gap and behind it another take in it is looked for. */
    private static final int NEAR = 2;
    /** Share of a take that may be beside its words. */
    private static final double BROKEN = 0.25;

    private final AcousticModel model;

    public ScriptFinder(AcousticModel model) {
        this.model = model;
    }

    /**
     * A line that was found.
     *
     * @param line its number in the script, from 0
     * @param from seconds, where its first sound begins
     * @param to seconds, where its last sound ends
     */
    public record Found(int line, double from, double to) {}

    /**
     * @param script the words of each line
     * @return those that were found, in their order
     */
    public List<Found> find(LongSound recording, List<List<Pronounced>> script, Listening listening) {
        List<Found> all = new ArrayList<>();
        VoiceShift shift = VoiceShift.none(model);
        boolean tuned = false;
        double at = 0;
        double length = WINDOW;
        int next = 0;
        while (next < script.size() && at < recording.seconds() - Features.STEP) {
            listening.reached(at / recording.seconds());
            // in silence every way through the script is as good as the others, and all of them would be gone
            at = Pauses.untilHeard(recording, at);
            if (at >= recording.seconds() - Features.STEP) {
                break;
            }
            double to = Math.min(recording.seconds(), at + length);
            boolean last = to >= recording.seconds() - Features.STEP;
            Sound sound = recording.part(at, to);
            if (!last) {
                sound = sound.part(0, Pauses.lastIn(sound, length / 2));
            }
            List<List<Pronounced>> lines = script.subList(next, reach(script, next, sound.seconds()));
            if (!tuned) {
                shift = new Window(sound, lines, shift, false, NARROW).shift();
                tuned = true;
            }
            Window window = listened(sound, lines, shift);
            if (window.share(0) > TELLING) {
                shift = window.shift();
            } else if (all.isEmpty()) {
                // what was learnt from silence or talk before the first line is no voice
                shift = VoiceShift.none(model);
                tuned = false;
            }
            double sure = last ? Double.POSITIVE_INFINITY : sound.seconds() - UNSURE;
            List<Found> here = window.lines(sure);
            for (Found f : here) {
                all.add(new Found(next + f.line(), at + f.from(), at + f.to()));
            }
            if (last) {
                break;
            }
            if (!here.isEmpty()) {
                Found end = here.get(here.size() - 1);
                next += end.line() + 1;
                at += end.to();
                length = WINDOW;
            } else if (window.found() > 0 && length < LONGEST_WINDOW) {
                // a line that goes on
                length *= 2;
            } else {
                at += Math.max(1, sound.seconds() - UNSURE);
                length = WINDOW;
            }
        }
        return all;
    }

    /**
     * Where lines that were found are said once more within two lines of where they were: takes that were repeated, and beginnings
     * that were broken off and begun again. Lines of a few sounds are left alone: they are heard in anything.
     *
     * @param found what {@link #find} found
     * @return the takes that come to those, in their order in time
     */
    public List<Found> again(
            LongSound recording, List<List<Pronounced>> script, List<Found> found, Listening listening) {
        List<Found> all = new ArrayList<>();
        for (int i = 0; i <= found.size(); i++) {
            double gaps = found.size() + 1;
            Listening here = listening.between(i / gaps, (i + 1) / gaps);
            here.reached(0);
            double from = i == 0 ? 0 : found.get(i - 1).to();
            double to = i == found.size() ? recording.seconds() : found.get(i).from();
            List<Found> beside = found.subList(Math.max(0, i - NEAR), Math.min(found.size(), i + NEAR)).stream()
                    .filter(f -> sounds(script.get(f.line())) >= TELLING_SOUNDS)
                    .toList();
            if (!beside.isEmpty()) {
                gap(recording, script, beside, from, to, all, here);
            }
        }
        return all;
    }

    /** Gone through a window at a time; behind what was heard it goes on. */
    private void gap(
            LongSound recording,
            List<List<Pronounced>> script,
            List<Found> beside,
            double from,
            double to,
            List<Found> all,
            Listening listening) {
        List<List<Pronounced>> lines =
                beside.stream().map(f -> script.get(f.line())).toList();
        double shortest = lines.stream().mapToInt(ScriptFinder::sounds).min().orElse(0) * QUICKEST;
        if (to - from < shortest) {
            return;
        }
        Found known = beside.get(0);
        VoiceShift shift = new Window(
                        recording.part(known.from(), known.to()),
                        lines.subList(0, 1),
                        VoiceShift.none(model),
                        false,
                        NARROW)
                .shift();
        double at = from;
        while (to - at >= shortest) {
            listening.reached((at - from) / (to - from));
            boolean last = to - at <= WINDOW;
            Sound sound = recording.part(at, last ? to : at + WINDOW);
            Window window = listened(sound, lines, shift);
            List<Found> here = window.lines(Double.POSITIVE_INFINITY);
            for (Found f : here) {
                if (window.wholly(f)) {
                    all.add(new Found(beside.get(f.line()).line(), at + f.from(), at + f.to()));
                }
            }
            if (here.isEmpty() && last) {
                return;
            }
            // what was cut off at the end of a window is in the next
            at += here.isEmpty() ? WINDOW / 2 : here.get(here.size() - 1).to();
        }
    }

    /** Listened to for these lines among anything else; more patiently where much of it is beside them. */
    private Window listened(Sound sound, List<List<Pronounced>> lines, VoiceShift shift) {
        Window window = new Window(sound, lines, shift, true, NARROW);
        return window.lost() || window.share(SoundGraph.UNWRITTEN) > BESIDE
                ? new Window(sound, lines, shift, true, WIDE)
                : window;
    }

    private static int sounds(List<Pronounced> line) {
        return line.stream().mapToInt(w -> w.ways().get(0).size()).sum();
    }

    /** Up to where the script can have got in that time, and a little further. */
    private static int reach(List<List<Pronounced>> script, int from, double seconds) {
        double left = seconds / QUICKEST;
        int to = from;
        while (to < script.size() && left > 0) {
            left -= sounds(script.get(to));
            to++;
        }
        return Math.min(script.size(), to + AHEAD);
    }

    /** One search. */
    private final class Window {
        private final Features features;
        private final Scores scores;
        private final List<Search.Sounded> path;
        private final List<Integer> lineOf = new ArrayList<>();
        private final List<Integer> ends = new ArrayList<>();

        Window(Sound sound, List<List<Pronounced>> lines, VoiceShift shift, boolean freely, double beam) {
            features = Features.of(sound, 0);
            scores = new Scores(model, features.frames(), shift);
            List<Pronounced> words = new ArrayList<>();
            List<Integer> begins = new ArrayList<>();
            for (List<Pronounced> line : lines) {
                begins.add(words.size());
                line.forEach(w -> lineOf.add(begins.size() - 1));
                words.addAll(line);
                ends.add(words.size() - 1);
            }
            Search search = new Search(
                    model, GraphMaker.ofScript(model, words, begins, freely), beam, SpeechLevel.loud(features.bands()));
            for (int t = 0; t < features.length(); t++) {
                search.step(scores);
            }
            path = search.best();
        }

        /** Whether nothing was left to go on with before its end. */
        boolean lost() {
            return path.isEmpty();
        }

        /** How many sounds of the script were heard. */
        int found() {
            return (int) path.stream().filter(s -> s.node().word() >= 0).count();
        }

        /** Of the window: in words for 0, beside the script for {@link SoundGraph#UNWRITTEN}. */
        double share(int kind) {
            return path.stream()
                            .filter(s -> Math.min(0, s.node().word()) == kind)
                            .mapToInt(s -> s.end() - s.start())
                            .sum()
                    / (double) features.length();
        }

        VoiceShift shift() {
            return ForcedAligner.shift(model, scores, features.length(), path);
        }

        /** Whether a line was said on the whole, with little beside its words. */
        boolean wholly(Found f) {
            int from = (int) Math.round(f.from() / Features.STEP);
            int to = (int) Math.round(f.to() / Features.STEP);
            int beside = path.stream()
                    .filter(s -> s.node().word() == SoundGraph.UNWRITTEN)
                    .mapToInt(s -> Math.max(0, Math.min(to, s.end()) - Math.max(from, s.start())))
                    .sum();
            return beside <= BROKEN * (to - from);
        }

        /** The lines that were heard to their ends, before a time. */
        List<Found> lines(double before) {
            Map<Integer, Found> found = new TreeMap<>();
            Map<Integer, Integer> reached = new TreeMap<>();
            for (Search.Sounded s : path) {
                int word = s.node().word();
                if (word >= 0) {
                    int line = lineOf.get(word);
                    double from = s.start() * Features.STEP;
                    double to = s.end() * Features.STEP;
                    found.merge(line, new Found(line, from, to), (a, b) -> new Found(line, a.from(), b.to()));
                    reached.merge(line, word, Math::max);
                }
            }
            return found.values().stream()
                    .filter(f -> reached.get(f.line()).equals(ends.get(f.line())) && f.to() <= before)
                    .toList();
        }
    }
}
