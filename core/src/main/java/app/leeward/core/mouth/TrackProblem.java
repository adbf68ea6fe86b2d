package app.leeward.core.mouth;

import app.leeward.core.speech.Phone;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The stated cost of a mouth track, with everything that does not depend on the track worked out once. A track is an
 * array holding, for each exposure, the index of a drawing in {@link #drawings}.
 *
 * <pre>
 * J(track) = Σ over exposures: overlap-weighted distance between the drawing and the sounds heard
 *          + CHANGE for each change of drawing
 *          + SHORT + FLASH · jaw for each frame by which a run is shorter than the minimum hold where it begins
 *            (the line's two ends excepted); jaw is how far that of the drawing drops, 0 to 1
 *          + VOWEL_LOST for each vowel of LONG_VOWEL, and of half an exposure, or longer that none of its exposures shows
 *          + BROKEN for each closure (p b m) or lip-to-teeth sound (f v) that none of its exposures shows
 *          + BROKEN for each exposure that does not rest inside a long silence
 *          + UNPINNED for each exposure that differs from its pin
 * </pre>
 *
 * Each exposure is judged by the row of its mood, and hears the sound by the lead that holds where it begins.
 */
final class TrackProblem {
    final TrackRules rules;
    final int frames;
    final int exposures;
    final List<String> drawings;
    /** Distance cost of [exposure][drawing], with pins and rests as the penalties below. */
    final double[][] unary;

    final List<Demand> demands;
    final Viseme[] heard;
    final Set<Integer> pinned;
    final Map<String, MouthChart.Between> betweens;

    private final MouthRequest asked;
    /** Number of the row each exposure is said with. */
    private final int[] rows;
    /** Rows that are used, and for each how far a drawing is from a class, [row][class][drawing]. */
    private final List<MouthChart> charts = new ArrayList<>();

    private final List<double[][]> apart = new ArrayList<>();
    /** How far the jaw drops in each drawing. */
    private final double[] jaws;

    private final TrackRules[] timing;

    /**
     * A sound to be shown by one of a few drawings somewhere in exposures {@code from} to {@code to}, both in.
     *
     * @param serving the drawings for each of those exposures
     * @param cost of not showing it
     */
    record Demand(Phone phone, double at, int from, int to, List<Set<Integer>> serving, double cost) {
        /** Whether a drawing shows it there. */
        boolean metBy(int exposure, int drawing) {
            return from <= exposure
                    && exposure <= to
                    && serving.get(exposure - from).contains(drawing);
        }

        /** Whether it is a rule, and not a wish. */
        boolean hard() {
            return cost >= TrackRules.BROKEN;
        }
    }

    TrackProblem(MouthRequest asked) {
        this.asked = asked;
        rules = asked.rules();
        frames = asked.frames();
        exposures = (frames + rules.exposure() - 1) / rules.exposure();
        rows = new int[exposures];
        timing = new TrackRules[exposures];
        List<String> moods = new ArrayList<>();
        for (int e = 0; e < exposures; e++) {
            String mood = asked.moodAt(e * rules.exposure());
            if (!moods.contains(mood)) {
                moods.add(mood);
                charts.add(asked.chart().in(mood));
            }
            rows[e] = moods.indexOf(mood);
            timing[e] = asked.rulesAt(e * rules.exposure());
        }
        Set<String> all = new LinkedHashSet<>();
        charts.forEach(c -> all.addAll(c.drawn().values()));
        all.addAll(asked.pins().values());
        drawings = List.copyOf(all);
        if (drawings.isEmpty()) {
            throw new IllegalArgumentException("the mouth chart has no drawing to show");
        }
        charts.forEach(c -> apart.add(distances(c)));
        jaws = jaws();
        heard = new Viseme[exposures];
        unary = new double[exposures][];
        List<MouthSounds.Stretch> stretches = MouthSounds.of(asked.phones());
        for (int e = 0; e < exposures; e++) {
            unary[e] = costOf(e, stretches);
        }
        betweens = asked.chart().betweens();
        pinned = asked.pins().keySet().stream().map(f -> f / rules.exposure()).collect(Collectors.toSet());
        restInSilence(stretches);
        pin(asked.pins());
        demands = demands(stretches);
    }

    private double exposureStart(int e) {
        return (double) (e * rules.exposure() + timing[e].lead()) / rules.frameRate();
    }

    private double exposureSeconds() {
        return (double) rules.exposure() / rules.frameRate();
    }

    private MouthChart chartAt(int e) {
        return charts.get(rows[e]);
    }

    private static Map<String, List<Viseme>> madeFor(MouthChart chart) {
        Map<String, List<Viseme>> madeFor = new HashMap<>();
        chart.drawn().forEach((v, d) -> madeFor.computeIfAbsent(d, k -> new ArrayList<>())
                .add(v));
        return madeFor;
    }

    /** [class number][drawing]: how far the drawing is from the class; a drawing made for it, or serving it, is at 0. */
    private double[][] distances(MouthChart chart) {
        Map<String, List<Viseme>> madeFor = madeFor(chart);
        double[][] out = new double[Viseme.values().length][drawings.size()];
        for (Viseme v : Viseme.values()) {
            String server = chart.serve(v).map(MouthChart.Service::drawing).orElse("");
            for (int k = 0; k < drawings.size(); k++) {
                double best = drawings.get(k).equals(server) ? 0 : Double.POSITIVE_INFINITY;
                for (Viseme made : madeFor.getOrDefault(drawings.get(k), List.of())) {
                    best = Math.min(best, v.articulation().distance(made.articulation()));
                }
                // a drawing that is only ever pinned, or is of another mood, has no class: it is as far as anything can
                // be
                out[v.number()][k] = Double.isInfinite(best) ? 3 : best;
            }
        }
        return out;
    }

    /** One drawing that serves several sounds is no wider than the one with the jaw most up. */
    private double[] jaws() {
        double[] out = new double[drawings.size()];
        for (int k = 0; k < out.length; k++) {
            String drawing = drawings.get(k);
            out[k] = charts.stream()
                    .flatMap(c -> madeFor(c).getOrDefault(drawing, List.of()).stream())
                    .mapToDouble(v -> v.articulation().jaw())
                    .min()
                    .orElse(0);
        }
        return out;
    }

    private double[] costOf(int e, List<MouthSounds.Stretch> stretches) {
        double from = exposureStart(e);
        double length = exposureSeconds();
        double[] weight = new double[Viseme.values().length];
        double silent = 1;
        for (int i = firstBehind(stretches, from); i < stretches.size(); i++) {
            MouthSounds.Stretch s = stretches.get(i);
            double overlap = Math.min(s.end(), from + length) - Math.max(s.start(), from);
            if (s.start() >= from + length) {
                break;
            }
            if (overlap > 0) {
                weight[s.viseme().number()] += overlap / length;
                silent -= overlap / length;
            }
        }
        weight[Viseme.REST.number()] += Math.max(0, silent);
        double[] cost = new double[drawings.size()];
        double[][] far = apart.get(rows[e]);
        int most = 0;
        for (int v = 0; v < weight.length; v++) {
            most = weight[v] > weight[most] ? v : most;
            for (int k = 0; k < cost.length && weight[v] > 0; k++) {
                cost[k] += weight[v] * far[v][k];
            }
        }
        heard[e] = Viseme.numbered(most);
        return cost;
    }

    /** Index of the first stretch that ends behind a time. */
    private static int firstBehind(List<MouthSounds.Stretch> stretches, double seconds) {
        int low = 0;
        int high = stretches.size();
        while (low < high) {
            int middle = (low + high) / 2;
            if (stretches.get(middle).end() > seconds) {
                high = middle;
            } else {
                low = middle + 1;
            }
        }
        return low;
    }

    private void restInSilence(List<MouthSounds.Stretch> stretches) {
        double quietFrom = 0;
        for (int i = 0; i <= stretches.size(); i++) {
            double quietTo = i < stretches.size() ? stretches.get(i).start() : Math.max(asked.seconds(), quietFrom) + 1;
            if (quietTo - quietFrom > TrackRules.SILENCE) {
                for (int e = 0; e < exposures; e++) {
                    if (exposureStart(e) >= quietFrom - 1e-9
                            && exposureStart(e) + exposureSeconds() <= quietTo + 1e-9) {
                        allowOnly(e, serving(e, Viseme.REST), TrackRules.BROKEN);
                    }
                }
            }
            quietFrom = i < stretches.size() ? stretches.get(i).end() : quietFrom;
        }
    }

    private int serving(int e, Viseme v) {
        return drawings.indexOf(
                chartAt(e).serve(v).map(MouthChart.Service::drawing).orElse(""));
    }

    private void pin(Map<Integer, String> pins) {
        pins.forEach((frame, drawing) -> {
            int e = frame / rules.exposure();
            if (frame >= 0 && e < exposures) {
                // a pin also lifts the demand to rest: the rigger's word is last
                for (int k = 0; k < unary[e].length; k++) {
                    unary[e][k] %= TrackRules.BROKEN;
                }
                allowOnly(e, drawings.indexOf(drawing), TrackRules.UNPINNED);
            }
        });
    }

    private void allowOnly(int e, int drawing, double penalty) {
        for (int k = 0; k < unary[e].length && drawing >= 0; k++) {
            unary[e][k] += k == drawing ? 0 : penalty;
        }
    }

    private List<Demand> demands(List<MouthSounds.Stretch> stretches) {
        List<Demand> out = new ArrayList<>();
        for (MouthSounds.Stretch s : stretches) {
            boolean hard = s.phone().closure() || s.phone().lipToTeeth();
            double length = s.end() - s.start();
            boolean wished =
                    s.phone().vowel() && length >= TrackRules.LONG_VOWEL - 1e-9 && length >= exposureSeconds() / 2;
            if (!hard && !wished) {
                continue;
            }
            int first = -1;
            int last = -1;
            // whatever the lead, it is heard no further away than that goes
            int early = (int) Math.floor(s.start() * rules.frameRate()) - TrackRules.MOST_LEAD;
            int late = (int) Math.ceil(s.end() * rules.frameRate()) + TrackRules.MOST_LEAD;
            for (int e = Math.max(0, early / rules.exposure() - 1);
                    e < exposures && e * rules.exposure() <= late;
                    e++) {
                double from = exposureStart(e);
                if (Math.min(s.end(), from + exposureSeconds()) - Math.max(s.start(), from) > 2e-9) {
                    first = first < 0 ? e : first;
                    last = e;
                }
            }
            if (first < 0) {
                if (!hard) {
                    continue;
                }
                first = nearest((s.start() + s.end()) / 2);
                last = first;
            }
            List<Set<Integer>> serving = new ArrayList<>();
            for (int e = first; e <= last; e++) {
                serving.add(serving(e, s));
            }
            out.add(new Demand(
                    s.phone(), s.start(), first, last, serving, hard ? TrackRules.BROKEN : TrackRules.VOWEL_LOST));
        }
        return out;
    }

    private Set<Integer> serving(int e, MouthSounds.Stretch s) {
        Set<Integer> serving = new LinkedHashSet<>();
        int served = serving(e, s.viseme());
        if (served >= 0) {
            serving.add(served);
        }
        if (s.phone().closure()) {
            Map<Viseme, String> drawn = chartAt(e).drawn();
            drawn.forEach((v, d) -> {
                if (v == Viseme.PBM || (MouthChart.closed(v) && !drawn.containsKey(Viseme.PBM))) {
                    serving.add(drawings.indexOf(d));
                }
            });
        }
        return serving;
    }

    /** The exposure that hears what is nearest to {@code seconds}. */
    private int nearest(double seconds) {
        int best = 0;
        for (int e = 1; e < exposures; e++) {
            best = Math.abs(exposureStart(e) + exposureSeconds() / 2 - seconds)
                            < Math.abs(exposureStart(best) + exposureSeconds() / 2 - seconds) - 1e-9
                    ? e
                    : best;
        }
        return best;
    }

    /** Exposures that the longest minimum hold takes, rounded up. */
    int holdExposures() {
        int most = 1;
        for (TrackRules t : timing) {
            most = Math.max(most, t.holdExposures());
        }
        return most;
    }

    /**
     * Cost of a run of one drawing; runs touching an end of the line are never too short.
     *
     * @param from the exposure it begins at
     * @param length exposures
     */
    double runCost(int from, int length, int drawing, boolean touchesEnd) {
        int missing = timing[from].minimumHold() - length * rules.exposure();
        return touchesEnd || missing <= 0 ? 0 : missing * (TrackRules.SHORT + TrackRules.FLASH * jaws[drawing]);
    }

    /** J of a whole track, straight from its definition; the solver's result is checked against it. */
    double cost(int[] track) {
        double total = 0;
        int run = 0;
        for (int e = 0; e < exposures; e++) {
            total += unary[e][track[e]];
            run++;
            boolean ends = e == exposures - 1;
            if (ends || track[e + 1] != track[e]) {
                total += runCost(e + 1 - run, run, track[e], ends || run == e + 1);
                total += ends ? 0 : TrackRules.CHANGE;
                run = 0;
            }
        }
        for (Demand d : demands) {
            total += met(d, track) ? 0 : d.cost();
        }
        return total;
    }

    /** Whether a sound that must be shown would not be, if this exposure showed something else. */
    boolean needed(int[] track, int e) {
        int[] other = track.clone();
        other[e] = -1;
        return demands.stream()
                .anyMatch(d -> d.hard() && d.from() <= e && e <= d.to() && met(d, track) && !met(d, other));
    }

    boolean met(Demand d, int[] track) {
        for (int e = d.from(); e <= d.to(); e++) {
            if (d.metBy(e, track[e])) {
                return true;
            }
        }
        return false;
    }
}
