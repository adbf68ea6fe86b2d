package app.leeward.core.shotcheck;

import app.leeward.core.check.Extents;
import app.leeward.core.check.MendTrial;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.Outcome;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.hand.Hands;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Pose;
import app.leeward.core.shot.Playhead;
import app.leeward.core.turn.ViewCheck;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Every photographed frame of a shot measured. A mend is offered only after it was tried: the shot is measured again where it has
 * changed, and the mend has to make its own finding smaller, and make no other that is as harmful larger or bring it up. Lips that meet
 * for one frame are better than lips that do not meet.
 */
public final class ShotCheck {
    /** Mends are tried for so many findings of each kind: when they are made, the others' turn comes. */
    private static final int TRIED = 8;
    /** Exposures that are measured one after the other, so that a long shot is never held in whole. */
    private static final int AT_ONCE = 96;

    private ShotCheck() {}

    /** What is wrong along a shot, the most harmful first, with the mends that were found to help. */
    public static List<ShotFinding> of(Playhead playhead) {
        Measured measured = Measured.all(playhead, Setup.of(playhead.evaluator().character()));
        List<ShotFinding> found = measured.findings();
        Map<String, Integer> tried = new HashMap<>();
        List<ShotFinding> toTry = found.stream()
                .filter(f -> tried.merge(f.code(), 1, Integer::sum) <= TRIED)
                .toList();
        Map<ShotFinding, List<ShotMend>> mends = new HashMap<>();
        Map<Object, Optional<List<ShotFinding>>> after = new HashMap<>();
        Remedies remedies = new Remedies(measured.gauges(), measured.reviews());
        for (ShotFinding f : toTry) {
            mends.put(f, mends(measured, found, f, remedies.of(f), after));
        }
        return found.stream()
                .map(f -> f.with(mends.getOrDefault(f, List.of()), playhead.shot()))
                .toList();
    }

    private static List<ShotMend> mends(
            Measured measured,
            List<ShotFinding> before,
            ShotFinding f,
            List<Remedy> remedies,
            Map<Object, Optional<List<ShotFinding>>> known) {
        List<ShotMend> out = new ArrayList<>();
        for (Remedy r : remedies) {
            Object edit = r.shot().isPresent() ? r.shot().get() : r.character().orElseThrow();
            known.computeIfAbsent(edit, k -> measured.after(r).map(Measured::findings))
                    .flatMap(after -> leaves(before, after, f))
                    .ifPresent(left -> out.add(new ShotMend(r.label(), r.shot(), r.character(), left)));
        }
        // one that leaves nothing says it all
        return out.stream()
                .filter(m -> m.leaves() == 0)
                .findFirst()
                .map(List::of)
                .orElse(out);
    }

    /** What a mend leaves of a finding; empty when it does not help, or harms something else. */
    private static Optional<Double> leaves(List<ShotFinding> before, List<ShotFinding> after, ShotFinding mended) {
        List<ShotFinding> asHarmful = after.stream()
                .filter(a -> ShotHarm.rank(a.code()) <= ShotHarm.rank(mended.code()))
                .toList();
        return MendTrial.leaves(
                mended, before, asHarmful, ShotFinding::same, f -> f.measure().value());
    }

    private record Remedies(List<Gauge> gauges, List<Review> reviews) {
        List<Remedy> of(ShotFinding f) {
            List<Remedy> all = new ArrayList<>();
            gauges.forEach(g -> all.addAll(g.remedies(f)));
            reviews.forEach(r -> all.addAll(r.remedies(f)));
            return all;
        }
    }

    /** What of a character is measured once, however many frames are looked at. */
    private record Setup(List<Hands.Hand> hands, List<ViewCheck.Edge> edges) {
        static Setup of(Character c) {
            return new Setup(Hands.of(c), ViewCheck.of(c));
        }
    }

    /** A shot with what was read off each of its exposures. */
    private record Measured(Playhead playhead, Setup setup, List<List<Reading>> readings, ShownDrawings shown) {
        static Measured all(Playhead playhead, Setup setup) {
            int exposures = exposures(playhead);
            Measured m = new Measured(
                    playhead,
                    setup,
                    new ArrayList<>(Collections.nCopies(exposures, List.of())),
                    new ShownDrawings(playhead, exposures));
            m.measure(IntStream.range(0, exposures).toArray());
            return m;
        }

        private static int exposures(Playhead p) {
            int exposure = p.shot().rules().exposure();
            return (p.shot().frames() + exposure - 1) / exposure;
        }

        private Pose pose(int exposure) {
            return playhead.poseAt(exposure * playhead.shot().rules().exposure(), Pose.REST);
        }

        private List<Gauge> gauges() {
            Evaluator e = playhead.evaluator();
            return List.of(
                    new WhiteGauge(e),
                    new PupilGauge(playhead),
                    new WristGauge(e.character(), setup.hands()),
                    new ViewGauge(e, setup.edges()),
                    new CanvasGauge(e),
                    new PopGauge(playhead),
                    new SpokenGauge(playhead));
        }

        private List<Review> reviews() {
            return List.of(
                    new ClosureReview(playhead),
                    new BlinkReview(playhead.shot()),
                    new HoldReview(playhead),
                    new GoneReview(playhead));
        }

        /** Measures some exposures, in rising order. */
        private void measure(int[] wanted) {
            int chunks = (wanted.length + AT_ONCE - 1) / AT_ONCE;
            IntStream.range(0, chunks)
                    .parallel()
                    .forEach(c ->
                            chunk(Arrays.copyOfRange(wanted, c * AT_ONCE, Math.min(wanted.length, (c + 1) * AT_ONCE))));
        }

        private void chunk(int[] wanted) {
            List<Gauge> gauges = gauges();
            Extents extents = new Extents(playhead.evaluator().character());
            Map<Integer, Exposure> near = new HashMap<>();
            for (int e : wanted) {
                int first = Math.max(0, e - 2);
                int last = Math.min(readings.size() - 1, e + 1);
                List<Exposure> s = new ArrayList<>();
                for (int k = first; k <= last; k++) {
                    s.add(near.computeIfAbsent(k, n -> photographed(n, extents)));
                }
                near.keySet().removeIf(k -> k < first);
                List<Reading> read = new ArrayList<>();
                for (Gauge g : gauges) {
                    read.addAll(g.read(s, e - first));
                }
                readings.set(e, read);
                shown.note(e, s.get(e - first));
            }
        }

        private Exposure photographed(int exposure, Extents extents) {
            Pose pose = pose(exposure);
            return new Exposure(
                    exposure * playhead.shot().rules().exposure(),
                    pose,
                    playhead.evaluator().frame(pose),
                    extents);
        }

        /** The shot after a remedy; empty when that cannot be made. Only what it changes is measured again. */
        Optional<Measured> after(Remedy r) {
            Optional<Playhead> changed = changed(r);
            if (changed.isEmpty()) {
                return Optional.empty();
            }
            Playhead p = changed.get();
            if (r.character().isPresent()) {
                return Optional.of(all(p, Setup.of(p.evaluator().character())));
            }
            ShownDrawings anew = new ShownDrawings(p, readings.size());
            if (!anew.parts().equals(shown.parts())) {
                return Optional.of(all(p, setup));
            }
            Measured m = new Measured(p, setup, new ArrayList<>(readings), shown.copy());
            m.measure(differs(m));
            return Optional.of(m);
        }

        private Optional<Playhead> changed(Remedy r) {
            try {
                if (r.shot().isPresent()) {
                    return Optional.of(playhead.of(r.shot().get().apply(playhead.shot())));
                }
                return Edits.apply(
                                        playhead.evaluator().character(),
                                        r.character().orElseThrow())
                                instanceof Outcome.Done done
                        ? Optional.of(playhead.with(new Evaluator(done.character())))
                        : Optional.empty();
            } catch (Refusal refused) {
                return Optional.empty();
            }
        }

        /** Exposures whose pose is another one, and those about them. */
        private int[] differs(Measured other) {
            boolean[] changed = new boolean[readings.size()];
            IntStream.range(0, readings.size()).parallel().forEach(e -> changed[e] = !pose(e).equals(other.pose(e)));
            return IntStream.range(0, readings.size())
                    .filter(e -> changed[e]
                            || e > 0 && changed[e - 1]
                            || e > 1 && changed[e - 2]
                            || e + 1 < changed.length && changed[e + 1])
                    .toArray();
        }

        List<ShotFinding> findings() {
            List<ShotFinding> all = new ArrayList<>(stretches());
            reviews().forEach(r -> all.addAll(r.of(shown)));
            all.sort(Comparator.comparingInt((ShotFinding f) -> ShotHarm.rank(f.code()))
                    .thenComparing(f -> -f.measure().value())
                    .thenComparing(ShotFinding::from));
            return all;
        }

        /** The same thing read off exposures one behind the other is one finding. */
        private List<ShotFinding> stretches() {
            int exposure = playhead.shot().rules().exposure();
            int end = playhead.shot().frames();
            List<ShotFinding> done = new ArrayList<>();
            Map<String, Stretching> open = new LinkedHashMap<>();
            for (int e = 0; e < readings.size(); e++) {
                Map<String, Stretching> still = new LinkedHashMap<>();
                for (Reading r : readings.get(e)) {
                    String key = r.code() + "/" + r.subject();
                    Stretching before = open.remove(key);
                    still.merge(
                            key,
                            before == null ? new Stretching(e, e, r) : before.and(e, r),
                            (a, b) -> a.worst.measure().value()
                                            >= b.worst.measure().value()
                                    ? a
                                    : b);
                }
                open.values().forEach(s -> done.add(s.told(exposure, end)));
                open.clear();
                open.putAll(still);
            }
            open.values().forEach(s -> done.add(s.told(exposure, end)));
            return done;
        }

        private record Stretching(int from, int to, int at, Reading worst) {
            Stretching(int from, int to, Reading worst) {
                this(from, to, from, worst);
            }

            Stretching and(int e, Reading r) {
                boolean worse = r.measure().value() > worst.measure().value();
                return new Stretching(from, e, worse ? e : at, worse ? r : worst);
            }

            ShotFinding told(int exposure, int end) {
                return new ShotFinding(
                        worst.code(),
                        worst.subject(),
                        worst.measure(),
                        from * exposure,
                        Math.min(end, (to + 1) * exposure),
                        at * exposure,
                        worst.message());
            }
        }
    }
}
