package app.leeward.core.mouth;

import app.leeward.core.mouth.TrackProblem.Demand;
import app.leeward.core.text.Decimals;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Finds the cheapest mouth track by dynamic programming over (exposure, drawing, exposures held so far, which open
 * demands are met). Exact: every term of {@link TrackProblem#cost} is a function of that state, so no other track costs
 * less. Work grows with exposures × drawings × hold × 2^(demands open at once), and few are ever open at once.
 */
public final class MouthSolver {
    private final TrackProblem problem;
    private final List<Demand> demands;
    private final int kinds;
    private final int holds;
    private final int[][] open;

    private MouthSolver(TrackProblem problem) {
        this.problem = problem;
        demands = merged(problem.demands);
        kinds = problem.drawings.size();
        // one more than the hold, so that "long enough" and "began at frame 0" need no counting on
        holds = problem.holdExposures() + 1;
        open = openDemands();
    }

    /**
     * @throws IllegalArgumentException when the chart has no drawing at all
     */
    public static MouthTrack solve(MouthRequest asked) {
        return new MouthSolver(new TrackProblem(asked)).track();
    }

    static int[] best(TrackProblem problem) {
        return new MouthSolver(problem).search();
    }

    /** Demands that the same drawings meet in the same exposures are one, or a slow shot would have very many open at once. */
    private static List<Demand> merged(List<Demand> demands) {
        Map<List<Object>, Demand> all = new LinkedHashMap<>();
        for (Demand d : demands) {
            all.merge(
                    List.of(d.from(), d.to(), d.serving()),
                    d,
                    (a, b) -> new Demand(a.phone(), a.at(), a.from(), a.to(), a.serving(), a.cost() + b.cost()));
        }
        return List.copyOf(all.values());
    }

    private int[][] openDemands() {
        List<List<Integer>> at = new ArrayList<>();
        for (int e = 0; e < problem.exposures; e++) {
            at.add(new ArrayList<>());
        }
        for (int d = 0; d < demands.size(); d++) {
            for (int e = demands.get(d).from(); e <= demands.get(d).to(); e++) {
                at.get(e).add(d);
            }
        }
        return at.stream()
                .map(l -> l.stream().mapToInt(Integer::intValue).toArray())
                .toArray(int[][]::new);
    }

    /** Index of (drawing, held, mask): held 0 means the run began at the very start and is never too short. */
    private int state(int drawing, int held, int mask, int masks) {
        return (drawing * (holds + 1) + held) * masks + mask;
    }

    private int[] search() {
        int n = problem.exposures;
        double[] cost = new double[0];
        int[][] from = new int[n][];
        int masksBefore = 1;
        for (int e = 0; e < n; e++) {
            int masks = 1 << open[e].length;
            double[] next = new double[kinds * (holds + 1) * masks];
            Arrays.fill(next, Double.POSITIVE_INFINITY);
            from[e] = new int[next.length];
            if (e == 0) {
                for (int k = 0; k < kinds; k++) {
                    int s = state(k, 0, meets(0, k, 0), masks);
                    next[s] = problem.unary[0][k];
                }
            } else {
                step(e, cost, masksBefore, next, masks, from[e]);
            }
            cost = next;
            masksBefore = masks;
        }
        return readBack(cost, masksBefore, from);
    }

    /**
     * A change costs the same whatever it changes to, so of all states a change could come from only the cheapest for
     * each set of met demands need be looked at. (Changing to the same drawing is never cheaper than holding it.)
     */
    private void step(int e, double[] cost, int masksBefore, double[] next, int masks, int[] from) {
        double[] leave = new double[masks];
        int[] leaver = new int[masks];
        Arrays.fill(leave, Double.POSITIVE_INFINITY);
        int[] carries = new int[masksBefore];
        double[] penalty = new double[masksBefore];
        for (int mask = 0; mask < masksBefore; mask++) {
            carries[mask] = carry(e, mask);
            penalty[mask] = unmet(e - 1, mask);
        }
        for (int k = 0; k < kinds; k++) {
            for (int held = 0; held <= holds; held++) {
                double change = TrackRules.CHANGE + problem.runCost(Math.max(0, e - held), held, k, held == 0);
                for (int mask = 0; mask < masksBefore; mask++) {
                    int s = state(k, held, mask, masksBefore);
                    double soFar = cost[s] + penalty[mask];
                    if (soFar == Double.POSITIVE_INFINITY) {
                        continue;
                    }
                    int carried = carries[mask];
                    int nowHeld = held == 0 ? 0 : Math.min(holds, held + 1);
                    offer(next, from, state(k, nowHeld, meets(e, k, carried), masks), soFar + problem.unary[e][k], s);
                    if (soFar + change < leave[carried]) {
                        leave[carried] = soFar + change;
                        leaver[carried] = s;
                    }
                }
            }
        }
        for (int carried = 0; carried < masks; carried++) {
            for (int to = 0; to < kinds && leave[carried] < Double.POSITIVE_INFINITY; to++) {
                int t = state(to, 1, meets(e, to, carried), masks);
                offer(next, from, t, leave[carried] + problem.unary[e][to], leaver[carried]);
            }
        }
    }

    private static void offer(double[] next, int[] from, int to, double cost, int source) {
        if (cost < next[to]) {
            next[to] = cost;
            from[to] = source;
        }
    }

    /** Penalty for demands open at {@code e}, unmet, that are not open any more behind it. */
    private double unmet(int e, int mask) {
        double penalty = 0;
        for (int i = 0; i < open[e].length; i++) {
            boolean closes = demands.get(open[e][i]).to() == e;
            penalty += closes && (mask & 1 << i) == 0 ? demands.get(open[e][i]).cost() : 0;
        }
        return penalty;
    }

    /** The mask over the demands open at {@code e}, from the one over those open before. */
    private int carry(int e, int before) {
        int mask = 0;
        for (int i = 0; i < open[e].length; i++) {
            for (int j = 0; j < open[e - 1].length; j++) {
                if (open[e][i] == open[e - 1][j] && (before & 1 << j) != 0) {
                    mask |= 1 << i;
                }
            }
        }
        return mask;
    }

    private int meets(int e, int drawing, int mask) {
        int met = mask;
        for (int i = 0; i < open[e].length; i++) {
            if (demands.get(open[e][i]).metBy(e, drawing)) {
                met |= 1 << i;
            }
        }
        return met;
    }

    private int[] readBack(double[] cost, int masks, int[][] from) {
        int n = problem.exposures;
        int best = 0;
        double least = Double.POSITIVE_INFINITY;
        for (int s = 0; s < cost.length; s++) {
            double c = cost[s] + unmet(n - 1, s % masks);
            if (c < least) {
                least = c;
                best = s;
            }
        }
        int[] track = new int[n];
        for (int e = n - 1; e >= 0; e--) {
            int masksHere = 1 << open[e].length;
            track[e] = best / masksHere / (holds + 1);
            best = from[e][best];
        }
        return track;
    }

    private MouthTrack track() {
        int[] best = search();
        List<String> drawings = new ArrayList<>(problem.frames);
        List<Viseme> classes = new ArrayList<>(problem.frames);
        String[] ways = InbetweenInserter.of(problem, best);
        for (int f = 0; f < problem.frames; f++) {
            int e = f / problem.rules.exposure();
            drawings.add(ways[e] != null ? ways[e] : problem.drawings.get(best[e]));
            classes.add(problem.heard[e]);
        }
        List<String> broken = problem.demands.stream()
                .filter(d -> d.hard() && !problem.met(d, best))
                .map(d -> d.phone() + " at " + Decimals.fixed(d.at(), 2) + " s is not shown")
                .toList();
        return new MouthTrack(drawings, classes, problem.cost(best), broken);
    }
}
