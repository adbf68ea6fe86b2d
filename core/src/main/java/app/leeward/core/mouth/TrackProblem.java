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
 *          + SHORT for each frame by which a run is shorter than the minimum hold (the line's two ends excepted)
 *          + BROKEN for each closure (p b m) or lip-to-teeth sound (f v) that none of its exposures shows
 *          + BROKEN for each exposure that does not rest inside a long silence
 *          + UNPINNED for each exposure that differs from its pin
 * </pre>
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

    /** A sound that must be shown by one of {@code serving} somewhere in exposures {@code from}..{@code to}, both in. */
    record Demand(Phone phone, double at, int from, int to, Set<Integer> serving) {}

    TrackProblem(
            MouthChart chart,
            List<MouthSounds.Stretch> stretches,
            double seconds,
            TrackRules rules,
            Map<Integer, String> pins) {
        this.rules = rules;
        frames = Math.max(1, (int) Math.ceil(seconds * rules.frameRate() - 1e-9));
        exposures = (frames + rules.exposure() - 1) / rules.exposure();
        Set<String> all = new LinkedHashSet<>(chart.drawn().values());
        all.addAll(pins.values());
        drawings = List.copyOf(all);
        if (drawings.isEmpty()) {
            throw new IllegalArgumentException("the mouth chart has no drawing to show");
        }
        heard = new Viseme[exposures];
        unary = new double[exposures][];
        double[][] apart = distances(chart);
        for (int e = 0; e < exposures; e++) {
            unary[e] = costOf(e, stretches, apart);
        }
        betweens = chart.betweens();
        pinned = pins.keySet().stream().map(f -> f / rules.exposure()).collect(Collectors.toSet());
        restInSilence(chart, stretches, seconds);
        pin(pins);
        demands = demands(chart, stretches);
    }

    private double exposureStart(int e) {
        return (double) (e * rules.exposure() + rules.lead()) / rules.frameRate();
    }

    private double exposureSeconds() {
        return (double) rules.exposure() / rules.frameRate();
    }

    /** [class number][drawing]: how far the drawing is from the class; a drawing made for it, or serving it, is at 0. */
    private double[][] distances(MouthChart chart) {
        Map<String, List<Viseme>> madeFor = new HashMap<>();
        chart.drawn().forEach((v, d) -> madeFor.computeIfAbsent(d, k -> new ArrayList<>())
                .add(v));
        double[][] out = new double[Viseme.values().length][drawings.size()];
        for (Viseme v : Viseme.values()) {
            String server = chart.serve(v).map(MouthChart.Service::drawing).orElse("");
            for (int k = 0; k < drawings.size(); k++) {
                double best = drawings.get(k).equals(server) ? 0 : Double.POSITIVE_INFINITY;
                for (Viseme made : madeFor.getOrDefault(drawings.get(k), List.of())) {
                    best = Math.min(best, v.articulation().distance(made.articulation()));
                }
                // a drawing that is only ever pinned has no class: it is as far as anything can be
                out[v.number()][k] = Double.isInfinite(best) ? 3 : best;
            }
        }
        return out;
    }

    private double[] costOf(int e, List<MouthSounds.Stretch> stretches, double[][] apart) {
        double from = exposureStart(e);
        double length = exposureSeconds();
        double[] weight = new double[Viseme.values().length];
        double silent = 1;
        for (MouthSounds.Stretch s : stretches) {
            double overlap = Math.min(s.end(), from + length) - Math.max(s.start(), from);
            if (overlap > 0) {
                weight[s.viseme().number()] += overlap / length;
                silent -= overlap / length;
            }
        }
        weight[Viseme.REST.number()] += Math.max(0, silent);
        double[] cost = new double[drawings.size()];
        int most = 0;
        for (int v = 0; v < weight.length; v++) {
            most = weight[v] > weight[most] ? v : most;
            for (int k = 0; k < cost.length && weight[v] > 0; k++) {
                cost[k] += weight[v] * apart[v][k];
            }
        }
        heard[e] = Viseme.numbered(most);
        return cost;
    }

    private void restInSilence(MouthChart chart, List<MouthSounds.Stretch> stretches, double seconds) {
        int rest = drawings.indexOf(
                chart.serve(Viseme.REST).map(MouthChart.Service::drawing).orElse(""));
        double quietFrom = 0;
        for (int i = 0; i <= stretches.size(); i++) {
            double quietTo = i < stretches.size() ? stretches.get(i).start() : Math.max(seconds, quietFrom) + 1;
            if (quietTo - quietFrom > TrackRules.SILENCE) {
                for (int e = 0; e < exposures; e++) {
                    if (exposureStart(e) >= quietFrom - 1e-9
                            && exposureStart(e) + exposureSeconds() <= quietTo + 1e-9) {
                        allowOnly(e, rest, TrackRules.BROKEN);
                    }
                }
            }
            quietFrom = i < stretches.size() ? stretches.get(i).end() : quietFrom;
        }
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

    private List<Demand> demands(MouthChart chart, List<MouthSounds.Stretch> stretches) {
        List<Demand> out = new ArrayList<>();
        for (MouthSounds.Stretch s : stretches) {
            if (!s.phone().closure() && !s.phone().lipToTeeth()) {
                continue;
            }
            Set<Integer> serving = new LinkedHashSet<>();
            chart.serve(s.viseme()).ifPresent(service -> serving.add(drawings.indexOf(service.drawing())));
            if (s.phone().closure()) {
                chart.drawn().forEach((v, d) -> {
                    if (v == Viseme.PBM
                            || (MouthChart.closed(v) && !chart.drawn().containsKey(Viseme.PBM))) {
                        serving.add(drawings.indexOf(d));
                    }
                });
            }
            int first = exposureAt(s.start() + 1e-9);
            int last = exposureAt(s.end() - 1e-9);
            out.add(new Demand(s.phone(), s.start(), first, Math.max(first, last), serving));
        }
        return out;
    }

    /** The exposure during which the mouth shows what is heard at {@code seconds}. */
    private int exposureAt(double seconds) {
        int e = (int) Math.floor((seconds * rules.frameRate() - rules.lead()) / rules.exposure());
        return Math.max(0, Math.min(exposures - 1, e));
    }

    /** Cost of a run of {@code length} exposures of one drawing; runs touching an end of the line are never too short. */
    double runCost(int length, boolean touchesEnd) {
        int missing = rules.minimumHold() - length * rules.exposure();
        return touchesEnd || missing <= 0 ? 0 : missing * TrackRules.SHORT;
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
                total += runCost(run, ends || run == e + 1);
                total += ends ? 0 : TrackRules.CHANGE;
                run = 0;
            }
        }
        for (Demand d : demands) {
            total += met(d, track) ? 0 : TrackRules.BROKEN;
        }
        return total;
    }

    /** Whether a sound that must be shown would not be, if this exposure showed something else. */
    boolean needed(int[] track, int e) {
        int[] other = track.clone();
        other[e] = -1;
        return demands.stream().anyMatch(d -> d.from() <= e && e <= d.to() && met(d, track) && !met(d, other));
    }

    boolean met(Demand d, int[] track) {
        for (int e = d.from(); e <= d.to(); e++) {
            if (d.serving().contains(track[e])) {
                return true;
            }
        }
        return false;
    }
}
