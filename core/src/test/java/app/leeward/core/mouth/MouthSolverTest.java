package app.leeward.core.mouth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** The solver against exhaustive search over all tracks, scored straight from the stated cost. */
class MouthSolverTest {
    private static final MouthChart CHART = new MouthChart(
            Optional.of("mouth"),
            Map.of(Viseme.REST, "rest", Viseme.PBM, "closed", Viseme.FV, "bite", Viseme.AH, "wide"));

    private static final MouthChart MOODY =
            CHART.with(new Mood("sad", "sad", -0.5, 0, Map.of(Viseme.AH, "sad wide", Viseme.EE, "sad ee")));

    private static double cheapest(TrackProblem p) {
        int kinds = p.drawings.size();
        double best = Double.POSITIVE_INFINITY;
        int[] track = new int[p.exposures];
        long all = Math.round(Math.pow(kinds, p.exposures));
        for (long n = 0; n < all; n++) {
            long rest = n;
            for (int e = 0; e < track.length; e++) {
                track[e] = (int) (rest % kinds);
                rest /= kinds;
            }
            best = Math.min(best, p.cost(track));
        }
        return best;
    }

    private static List<TimedPhone> babble(Random random, double seconds) {
        List<TimedPhone> out = new ArrayList<>();
        double t = random.nextDouble() * 0.1;
        while (t < seconds) {
            double end = Math.min(seconds, t + 0.02 + random.nextDouble() * 0.12);
            if (random.nextInt(5) > 0 && end - t > 0.005) {
                out.add(new TimedPhone(Phone.values()[random.nextInt(39)], t, end));
            }
            t = end + (random.nextInt(6) == 0 ? random.nextDouble() * 0.3 : 0);
        }
        return out;
    }

    /** With pins, two moods and stretches of another lead and hold: every term of the cost is in play. */
    @Test
    void noTrackCostsLess() {
        for (int seed = 0; seed < 250; seed++) {
            Random random = new Random(seed);
            TrackRules rules = new TrackRules(24, 1 + random.nextInt(2), random.nextInt(3) - 1, 1 + random.nextInt(4));
            int exposures = 3 + random.nextInt(6);
            double seconds = exposures * rules.exposure() / 24.0;
            Map<Integer, String> pins = new HashMap<>();
            if (random.nextInt(3) == 0) {
                pins.put(random.nextInt(exposures), "wide");
            }
            // two drawings more make exhaustive search much longer
            boolean moody = exposures < 7 && random.nextBoolean();
            int from = random.nextInt(exposures);
            int to = from + 1 + random.nextInt(exposures);
            TrackProblem p = new TrackProblem(new MouthRequest(
                    MOODY,
                    babble(random, seconds),
                    seconds,
                    rules,
                    pins,
                    "",
                    moody ? List.of(new MoodSpan(from, to, "sad")) : List.of(),
                    random.nextBoolean()
                            ? List.of(new TimingSpan(from, to, random.nextInt(7) - 3, 1 + random.nextInt(4)))
                            : List.of()));
            assertThat(p.drawings).hasSizeBetween(4, 6);
            double ours = p.cost(MouthSolver.best(p));
            assertThat(ours).as("seed %d", seed).isCloseTo(cheapest(p), within(1e-9));
        }
    }

    @Test
    void aStretchIsSaidWithTheMouthsOfItsMood() {
        MouthTrack track = MouthSolver.solve(new MouthRequest(
                MOODY,
                List.of(new TimedPhone(Phone.AA, 0.1, 0.95), new TimedPhone(Phone.M, 0.95, 1.05)),
                1.5,
                new TrackRules(24, 1, 0, 2),
                Map.of(),
                "",
                List.of(new MoodSpan(12, 30, "sad")),
                List.of()));
        assertThat(track.drawings().subList(3, 12)).containsOnly("wide");
        assertThat(track.drawings().subList(12, 22)).containsOnly("sad wide");
        // the row has no lips together of its own: those of the neutral row close
        assertThat(track.drawings().subList(23, 25)).contains("closed");
        assertThat(track.broken()).isEmpty();
    }

    @Test
    void aMoodThatIsNotThereAnyMoreIsTheNeutralRow() {
        List<TimedPhone> ah = List.of(new TimedPhone(Phone.AA, 0.1, 0.4));
        MouthRequest asked = new MouthRequest(
                CHART,
                ah,
                0.5,
                TrackRules.at(24),
                Map.of(),
                "gone",
                List.of(new MoodSpan(0, 6, "gone too")),
                List.of());
        assertThat(MouthSolver.solve(asked).drawings())
                .isEqualTo(MouthSolver.solve(new MouthRequest(CHART, ah, 0.5, TrackRules.at(24), Map.of()))
                        .drawings());
    }

    /** A shot at one frame a second on fours hears dozens of closures in one exposure. */
    @Test
    void manyClosuresInOneExposureAreOneDemand() {
        List<TimedPhone> all = new ArrayList<>();
        for (int i = 0; i < 80; i++) {
            all.add(new TimedPhone(i % 2 == 0 ? Phone.B : Phone.V, i * 0.1, i * 0.1 + 0.1));
        }
        MouthTrack track = MouthSolver.solve(new MouthRequest(CHART, all, 8, new TrackRules(1, 4, 0, 1), Map.of()));
        assertThat(track.drawings()).hasSize(8);
        assertThat(track.broken()).hasSize(40);
    }

    /** A long vowel between closures keeps a drawing on twos; a short one need not. */
    @Test
    void aVowelThatIsLongEnoughIsSeen() {
        List<TimedPhone> phones = List.of(
                new TimedPhone(Phone.IY, 0, 0.25),
                new TimedPhone(Phone.AA, 0.25, 0.25 + 0.065),
                new TimedPhone(Phone.IY, 0.25 + 0.065, 0.6));
        MouthChart chart = new MouthChart(
                Optional.of("mouth"),
                Map.of(Viseme.REST, "rest", Viseme.PBM, "closed", Viseme.EE, "ee", Viseme.AH, "wide"));
        TrackRules twos = new TrackRules(24, 2, 1, 2);
        assertThat(MouthSolver.solve(new MouthRequest(chart, phones, 0.6, twos, Map.of()))
                        .drawings())
                .contains("wide");
    }

    private static MouthTrack solve(double seconds, TrackRules rules, TimedPhone... phones) {
        return MouthSolver.solve(new MouthRequest(CHART, List.of(phones), seconds, rules, Map.of()));
    }

    @Test
    void everyClosureIsSeenHoweverShort() {
        TrackRules rules = new TrackRules(24, 2, 1, 3);
        MouthTrack track = solve(
                1.0,
                rules,
                new TimedPhone(Phone.AA, 0.1, 0.4),
                new TimedPhone(Phone.B, 0.4, 0.42),
                new TimedPhone(Phone.AA, 0.42, 0.6),
                new TimedPhone(Phone.V, 0.6, 0.63),
                new TimedPhone(Phone.AA, 0.63, 0.9));
        assertThat(track.drawings()).contains("closed", "bite", "wide");
        assertThat(track.broken()).isEmpty();
    }

    @Test
    void mouthsLeadTheSound() {
        TimedPhone ah = new TimedPhone(Phone.AA, 0.5, 0.9);
        int early = solve(1.5, new TrackRules(24, 1, 2, 1), ah).drawings().indexOf("wide");
        int late = solve(1.5, new TrackRules(24, 1, 0, 1), ah).drawings().indexOf("wide");
        assertThat(late).isEqualTo(12);
        assertThat(early).isEqualTo(10);
    }

    @Test
    void longSilenceRestsAndTwosHoldTwoFrames() {
        MouthTrack track = solve(
                2, new TrackRules(24, 2, 1, 2), new TimedPhone(Phone.AA, 0.2, 0.5), new TimedPhone(Phone.AA, 1.4, 1.7));
        assertThat(track.drawings().subList(16, 30)).containsOnly("rest");
        for (int f = 0; f + 1 < track.drawings().size(); f += 2) {
            assertThat(track.drawings().get(f)).isEqualTo(track.drawings().get(f + 1));
        }
    }

    @Test
    void pinsStayAndAClosurePinnedAwayIsTold() {
        MouthTrack track = MouthSolver.solve(new MouthRequest(
                CHART,
                List.of(new TimedPhone(Phone.M, 0.25, 0.29)),
                0.5,
                TrackRules.at(24),
                Map.of(4, "wide", 5, "wide", 6, "wide")));
        assertThat(track.drawings().subList(4, 7)).containsOnly("wide");
        assertThat(track.broken()).containsExactly("M at 0.25 s is not shown");
    }

    @Test
    void aSilentLineRestsThroughout() {
        assertThat(solve(0.4, TrackRules.at(24)).drawings()).hasSize(10).containsOnly("rest");
    }

    /** On ones and on twos: an in-between takes one exposure, and never the one that shows a closure. */
    @Test
    void anInBetweenTakesTheLastFrameOfTheMouthBefore() {
        MouthChart led = CHART.withBetweens(Map.of("wide", new MouthChart.Between("rest", "half")));
        TimedPhone ah = new TimedPhone(Phone.AA, 0.5, 0.9);
        for (int exposure : new int[] {1, 2}) {
            TrackRules rules = new TrackRules(24, exposure, 0, 1);
            List<String> plain = MouthSolver.solve(new MouthRequest(CHART, List.of(ah), 1.5, rules, Map.of()))
                    .drawings();
            List<String> ways = MouthSolver.solve(new MouthRequest(led, List.of(ah), 1.5, rules, Map.of()))
                    .drawings();
            int first = plain.indexOf("wide");
            assertThat(ways.indexOf("half")).isEqualTo(first - exposure);
            assertThat(ways.stream().filter("half"::equals)).hasSize(exposure);
            assertThat(ways.indexOf("wide")).isEqualTo(first);
        }
    }

    @Test
    void anInBetweenNeverTakesAClosureOrAPinAway() {
        MouthChart led = CHART.withBetweens(Map.of("wide", new MouthChart.Between("closed", "half")));
        List<TimedPhone> bah = List.of(
                new TimedPhone(Phone.AA, 0, 0.25),
                new TimedPhone(Phone.B, 0.25, 0.29),
                new TimedPhone(Phone.AA, 0.29, 0.6));
        MouthTrack track = MouthSolver.solve(new MouthRequest(led, bah, 0.6, new TrackRules(24, 1, 0, 1), Map.of()));
        assertThat(track.drawings()).contains("closed", "half");
        assertThat(track.broken()).isEmpty();
        int half = track.drawings().indexOf("half");
        assertThat(track.drawings().get(half - 1)).isEqualTo("closed");
        Map<Integer, String> pins = Map.of(half, "wide", half - 1, "closed", half - 2, "closed", half + 1, "wide");
        MouthTrack pinned = MouthSolver.solve(new MouthRequest(led, bah, 0.6, new TrackRules(24, 1, 0, 1), pins));
        assertThat(pinned.drawings()).doesNotContain("half");
    }
}
