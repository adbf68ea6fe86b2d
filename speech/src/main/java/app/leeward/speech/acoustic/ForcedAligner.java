package app.leeward.speech.acoustic;

import app.leeward.core.speech.Phone;
import app.leeward.speech.Listening;
import app.leeward.speech.Sound;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntPredicate;

/**
 * Forced alignment: finds given words in a recording. The recording is searched three times: once as the model expects voices
 * to be, once with the model moved towards this one, and once more from 5 ms later, which gives times between the frames.
 * Thread-safe.
 */
public final class ForcedAligner {
    /** By how much, seconds, a frame's sound lies behind the frame's first sample; its features look ahead. */
    private static final double LATE = 0.007;
    /** Samples at 16 kHz by which the last search begins later: half a frame. */
    private static final int SKIP = 80;
    /** Frames from which on sounds that nobody wrote are something that was said. */
    private static final int SAID = 10;
    /** How much worse than the best a way may be, natural logarithm; then without any bound, where the recording is short. */
    static final double BEAM = 250;

    /** Recordings longer than this, seconds, are long; and so much around something unwritten is listened to again. */
    private static final double LONG = 12;

    private static final double AROUND = 4;
    /** How far all is when the searches are done. */
    private static final double SEARCHED = 0.95;

    private static final double PATIENCE = 60 / Features.STEP;
    private static final int EVERY = 50;

    private final AcousticModel model;

    public ForcedAligner(AcousticModel model) {
        this.model = model;
    }

    /**
     * @param words spoken ones, in order
     * @return empty when they cannot be said in the time the recording lasts, or are not in it
     */
    public Optional<Alignment> align(Sound sound, List<Pronounced> words, Listening listening) {
        return searched(sound, words, listening.between(0, SEARCHED)).map(found -> {
            Alignment sure = sound.seconds() > LONG ? confirmed(found, sound, words) : found;
            listening.reached(1);
            return sure;
        });
    }

    /** The sounds that seem to be in a recording of which nobody says the words: a rough guess. */
    public List<Alignment.Heard> anything(Sound sound, Listening listening) {
        Features features = Features.of(sound, 0);
        Scores scores = new Scores(model, features.frames(), VoiceShift.none(model));
        Search search = new Search(model, GraphMaker.anything(model), BEAM, SpeechLevel.loud(features.bands()));
        for (int t = 0; t < features.length(); t++) {
            search.step(scores);
            if (t % EVERY == 0) {
                listening.reached((double) t / features.length());
            }
        }
        return search.best().stream()
                .filter(s ->
                        s.node().unit() >= 0 && AcousticUnit.spoken(s.node().unit()))
                .map(s -> new Alignment.Heard(
                        Phone.values()[s.node().unit()],
                        s.start() == 0 ? 0 : s.start() * Features.STEP + LATE,
                        Math.min(sound.seconds(), s.end() * Features.STEP + LATE)))
                .filter(h -> h.end() > h.start())
                .toList();
    }

    /**
     * In a long recording something unwritten is heard now and then where nothing is, since one loudness and one voice are
     * taken for all of it: what is not heard again with the words around it alone is left out.
     */
    private Alignment confirmed(Alignment found, Sound sound, List<Pronounced> words) {
        List<Alignment.Unwritten> sure = new ArrayList<>();
        for (Alignment.Unwritten u : found.unwritten()) {
            int first = u.before();
            int last = u.before();
            while (end(found, last, sound) - start(found, first) < AROUND && (first > 0 || last < words.size())) {
                first = Math.max(0, first - 1);
                last = Math.min(words.size(), last + 1);
            }
            double from = start(found, first);
            Sound part = sound.part(from, end(found, last, sound));
            List<Pronounced> said = words.subList(first, last).stream()
                    .map(w -> Pronounced.as(w.ways()))
                    .toList();
            int place = u.before() - first;
            boolean again = said.isEmpty()
                    || searched(part, said, Listening.ALONE)
                            .filter(a -> a.unwritten().stream().anyMatch(p -> Math.abs(p.before() - place) <= 1))
                            .isPresent();
            if (again) {
                sure.add(u);
            }
        }
        return new Alignment(found.words(), found.doubt(), sure);
    }

    /** Half-way through the pause before a word. */
    private static double start(Alignment found, int word) {
        if (word == 0) {
            return 0;
        }
        List<Alignment.Heard> before = found.words().get(word - 1).phones();
        double end = before.get(before.size() - 1).end();
        return word == found.words().size()
                ? end
                : (end + found.words().get(word).phones().get(0).start()) / 2;
    }

    private static double end(Alignment found, int words, Sound sound) {
        return words == found.words().size() ? sound.seconds() : start(found, words);
    }

    private Optional<Alignment> searched(Sound sound, List<Pronounced> words, Listening listening) {
        Features features = Features.of(sound, 0);
        if (features.length() == 0) {
            return Optional.empty();
        }
        Pass first = new Pass(features, 0, words, VoiceShift.none(model));
        if (!first.run(listening.between(0, 0.25), gap -> false, false)) {
            return Optional.empty();
        }
        VoiceShift shift = first.shift();
        Pass second = new Pass(features, 0, words, shift);
        if (!second.run(listening.between(0.25, 0.8), gap -> true, true)) {
            return Optional.of(mended(first.alignment(Optional.empty()), words, sound, features));
        }
        Pass third = new Pass(Features.of(sound, SKIP), SKIP, second.asSpoken(), shift);
        boolean again = third.run(listening.between(0.8, 1), second.gaps()::contains, false);
        Alignment found = second.alignment(again ? Optional.of(third) : Optional.empty());
        return Optional.of(mended(found, words, sound, features));
    }

    private static Alignment mended(Alignment found, List<Pronounced> words, Sound sound, Features features) {
        List<Alignment.Heard> all = new ArrayList<>();
        Set<Integer> starts = new HashSet<>();
        Set<Integer> ends = new HashSet<>();
        for (int w = 0; w < words.size(); w++) {
            List<Alignment.Heard> phones = found.words().get(w).phones();
            for (int i = 0; i < phones.size(); i++) {
                Alignment.Heard heard = phones.get(i);
                for (Pronounced.HeldEdge held : words.get(w).held()) {
                    // the search knows only frames
                    if (Pronounced.of(held, i, phones.size()) && held.end()) {
                        heard = new Alignment.Heard(heard.phone(), heard.start(), held.seconds());
                        ends.add(all.size());
                    } else if (Pronounced.of(held, i, phones.size())) {
                        heard = new Alignment.Heard(heard.phone(), held.seconds(), heard.end());
                        starts.add(all.size());
                    }
                }
                all.add(heard);
            }
        }
        touch(all, starts, ends);
        List<Alignment.Heard> mended =
                new SpeechEdges(sound, features).mended(all, starts::contains, ends.contains(all.size() - 1));
        List<Alignment.Spoken> out = new ArrayList<>();
        int at = 0;
        for (Alignment.Spoken s : found.words()) {
            int to = at + s.phones().size();
            out.add(new Alignment.Spoken(List.copyOf(mended.subList(at, to)), s.doubt()));
            at = to;
        }
        return new Alignment(out, found.doubt(), found.unwritten());
    }

    /** A held edge that two sounds share was set to the last digit on one side only. */
    private static void touch(List<Alignment.Heard> all, Set<Integer> starts, Set<Integer> ends) {
        for (int i = 1; i < all.size(); i++) {
            Alignment.Heard a = all.get(i - 1);
            Alignment.Heard b = all.get(i);
            boolean near = Math.abs(a.end() - b.start()) < Features.STEP;
            if (near && starts.contains(i) && !ends.contains(i - 1) || starts.contains(i) && a.end() > b.start()) {
                all.set(i - 1, new Alignment.Heard(a.phone(), a.start(), b.start()));
            } else if (near && ends.contains(i - 1) && !starts.contains(i)
                    || ends.contains(i - 1) && a.end() > b.start()) {
                all.set(i, new Alignment.Heard(b.phone(), a.end(), b.end()));
            }
        }
    }

    /** What a way through a recording of so many frames says about the voice in it. */
    static VoiceShift shift(AcousticModel model, Scores scores, int length, List<Search.Sounded> path) {
        int[] states = new int[length];
        int[] units = new int[length];
        Arrays.fill(states, -1);
        for (Search.Sounded s : path) {
            // what is only guessed teaches nothing
            if (s.node().word() != SoundGraph.UNWRITTEN) {
                int[] within = StateTimes.of(model, scores, s);
                for (int t = s.start(); t < s.end(); t++) {
                    states[t] = s.node().states()[within[t - s.start()]];
                    units[t] = s.node().unit();
                }
            }
        }
        return VoiceShift.of(model, scores, states, units);
    }

    /** One search of the whole recording. */
    private final class Pass {
        private final Features features;
        private final double offset;
        private final List<Pronounced> words;
        private final VoiceShift shift;
        private final Scores scores;
        private List<Search.Sounded> path = List.of();
        private List<Search.Sounded> free = List.of();

        Pass(Features features, int skipped, List<Pronounced> words, VoiceShift shift) {
            this.features = features;
            this.offset = LATE + (double) skipped / Features.RATE;
            this.words = words;
            this.shift = shift;
            this.scores = new Scores(model, features.frames(), shift);
        }

        double time(int frame) {
            return frame == 0 ? 0 : frame * Features.STEP + offset;
        }

        int frame(double time) {
            return (int) Math.max(0, Math.min(features.length(), Math.round((time - offset) / Features.STEP)));
        }

        boolean run(Listening listening, IntPredicate unwritten, boolean freely) {
            SoundGraph graph =
                    GraphMaker.of(model, words, unwritten, HeldFrames.of(words, this::frame, features.length()));
            boolean found = searched(graph, BEAM, listening, freely);
            return found
                    || features.length() <= PATIENCE
                            && searched(graph, Double.POSITIVE_INFINITY, Listening.ALONE, freely);
        }

        private boolean searched(SoundGraph graph, double beam, Listening listening, boolean freely) {
            Search said = new Search(model, graph, beam);
            Search anything = freely ? new Search(model, GraphMaker.anything(model), BEAM) : null;
            for (int t = 0; t < features.length(); t++) {
                said.step(scores);
                if (anything != null) {
                    anything.step(scores);
                }
                if (t % EVERY == 0) {
                    listening.reached((double) t / features.length());
                }
            }
            path = said.best();
            free = anything == null ? List.of() : anything.best();
            return !path.isEmpty();
        }

        /** The words with no other pronunciation than they were found with. */
        List<Pronounced> asSpoken() {
            List<List<Phone>> said = new ArrayList<>();
            words.forEach(w -> said.add(new ArrayList<>()));
            spoken().forEach(s ->
                    said.get(s.node().word()).add(Phone.values()[s.node().unit()]));
            List<Pronounced> out = new ArrayList<>();
            for (int i = 0; i < words.size(); i++) {
                out.add(new Pronounced(List.of(said.get(i)), words.get(i).held()));
            }
            return out;
        }

        /** Before which words something is heard that nobody wrote. */
        Set<Integer> gaps() {
            Set<Integer> gaps = new HashSet<>();
            int before = 0;
            for (Search.Sounded s : path) {
                before = s.node().word() >= 0 ? s.node().word() + 1 : before;
                if (s.node().word() == SoundGraph.UNWRITTEN) {
                    gaps.add(before);
                }
            }
            return gaps;
        }

        VoiceShift shift() {
            return ForcedAligner.shift(model, scores, features.length(), path);
        }

        /** How well a way fits each frame. */
        private double[] fits(List<Search.Sounded> way) {
            double[] fits = new double[features.length()];
            for (Search.Sounded s : way) {
                int[] within = StateTimes.of(model, scores, s);
                for (int t = s.start(); t < s.end(); t++) {
                    fits[t] = scores.of(t, s.node().states()[within[t - s.start()]]);
                }
            }
            return fits;
        }

        Alignment alignment(Optional<Pass> other) {
            boolean same = other.isPresent() && sounds(path).equals(sounds(other.get().path));
            List<Search.Sounded> twin = same ? other.get().spoken() : List.of();
            double[] worse = new double[features.length()];
            if (!free.isEmpty()) {
                double[] said = fits(path);
                double[] any = fits(free);
                for (int t = 0; t < worse.length; t++) {
                    worse[t] = any[t] - said[t];
                }
            }
            List<List<Alignment.Heard>> heard = new ArrayList<>();
            double[] doubts = new double[words.size()];
            int[] frames = new int[words.size()];
            words.forEach(w -> heard.add(new ArrayList<>()));
            List<Search.Sounded> spoken = spoken();
            for (int i = 0; i < spoken.size(); i++) {
                Search.Sounded s = spoken.get(i);
                double start = time(s.start());
                double end = time(s.end());
                if (same) {
                    start = (start + other.get().time(twin.get(i).start())) / 2;
                    end = (end + other.get().time(twin.get(i).end())) / 2;
                }
                int word = s.node().word();
                heard.get(word).add(new Alignment.Heard(Phone.values()[s.node().unit()], start, end));
                for (int t = s.start(); t < s.end(); t++) {
                    doubts[word] += worse[t];
                }
                frames[word] += s.end() - s.start();
            }
            double total = 0;
            int all = 0;
            List<Alignment.Spoken> out = new ArrayList<>();
            for (int w = 0; w < doubts.length; w++) {
                out.add(new Alignment.Spoken(List.copyOf(heard.get(w)), doubts[w] / Math.max(1, frames[w])));
                total += doubts[w];
                all += frames[w];
            }
            return new Alignment(out, total / Math.max(1, all), unwritten());
        }

        private List<Search.Sounded> spoken() {
            return path.stream().filter(s -> s.node().word() >= 0).toList();
        }

        private List<Integer> sounds(List<Search.Sounded> way) {
            return way.stream()
                    .filter(s -> s.node().word() >= 0)
                    .map(s -> s.node().word() * AcousticUnit.COUNT + s.node().unit())
                    .toList();
        }

        private List<Alignment.Unwritten> unwritten() {
            List<Alignment.Unwritten> out = new ArrayList<>();
            List<Alignment.Heard> open = new ArrayList<>();
            int frames = 0;
            int before = 0;
            for (Search.Sounded s : path) {
                if (s.node().word() == SoundGraph.UNWRITTEN) {
                    if (AcousticUnit.spoken(s.node().unit())) {
                        frames += s.end() - s.start();
                        open.add(new Alignment.Heard(Phone.values()[s.node().unit()], time(s.start()), time(s.end())));
                    }
                } else if (s.node().word() >= 0) {
                    close(out, open, frames, before);
                    frames = 0;
                    before = s.node().word() + 1;
                }
            }
            close(out, open, frames, before);
            return out;
        }

        private void close(List<Alignment.Unwritten> out, List<Alignment.Heard> open, int frames, int before) {
            if (frames >= SAID) {
                out.add(new Alignment.Unwritten(before, List.copyOf(open)));
            }
            open.clear();
        }
    }
}
