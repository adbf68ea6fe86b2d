package app.leeward.core.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Refused;
import app.leeward.core.Rigs;
import app.leeward.core.cue.Blink;
import app.leeward.core.cue.Cue;
import app.leeward.core.cue.CuePlacement;
import app.leeward.core.cue.Key;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Purpose;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import app.leeward.core.shot.ActingEdit;
import app.leeward.core.shot.DialKey;
import app.leeward.core.shot.HeldDrawing;
import app.leeward.core.shot.LookSpan;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.Tracks;
import app.leeward.core.shot.Way;
import app.leeward.core.signal.OneEuroFilter;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.simplify.DouglasPeuckerSimplifier;

class LiveReductionTest {
    private static final Character FACE = Rigs.hung(Rigs.face());
    private static final Dial TURN = FACE.controls().dials().stream()
            .filter(d -> d.travels() != app.leeward.core.dial.Travel.STRAIGHT)
            .findFirst()
            .orElseThrow();

    private static Playhead playhead(Shot shot) {
        return new Playhead(new Evaluator(FACE), shot);
    }

    private static Shot silent(int exposure, int frames) {
        return Shot.silent("s", new TrackRules(24, exposure, 0, 1), frames);
    }

    /** A hand that wanders about over the whole range, sixty times a second. */
    private static List<LiveSample> wandering(Random r, double from, double to) {
        List<LiveSample> all = new ArrayList<>();
        double range = TURN.to() - TURN.from();
        double value = TURN.rest();
        double speed = 0;
        for (double f = from; f < to; f += 24 / 60.0) {
            speed = 0.9 * speed + 0.03 * range * r.nextGaussian();
            value = TURN.hold(value + speed);
            all.add(new LiveSample(f, value));
        }
        return all;
    }

    /** Whatever the hand does, keys are nowhere further from it than the tolerance, and none is on a frame between exposures. */
    @Seeded
    void keysAreNowhereFurtherFromTheHandThanTheTolerance(
            Random r, @Between(min = 1, max = 3) int exposure, @Between(min = 1, max = 10) int percent) {
        Shot shot = silent(exposure, 240);
        List<LiveSample> samples = wandering(r, -1, 240);
        LiveTake take = new LiveTake(0, 240, Map.of(TURN.id(), samples), Map.of(), Map.of());
        LiveSettings exact = new LiveSettings(0, 0, Optional.empty());
        LiveSettings loose = new LiveSettings(percent / 100.0, 0, Optional.empty());
        double[] done = playhead(LiveReduction.edit(playhead(shot), take, exact).apply(shot))
                .valuesOf(TURN.id());
        Shot reduced = LiveReduction.edit(playhead(shot), take, loose).apply(shot);
        double[] kept = playhead(reduced).valuesOf(TURN.id());
        double range = TURN.to() - TURN.from();
        for (int f = 0; f < 240; f += exposure) {
            assertThat(kept[f]).as("frame %d", f).isCloseTo(done[f], within(percent / 100.0 * range + 2e-4));
        }
        assertThat(reduced.tracks().dials().get(TURN.id()))
                .allMatch(k -> k.frame() % exposure == 0)
                .hasSizeLessThanOrEqualTo(240 / exposure);
    }

    /** Against an independent implementation; so flat a course that its distance across is that of the values. */
    @Seeded
    void theSamePointsAreKeptAsJtsKeeps(Random r, @Between(min = 3, max = 120) int count) {
        double flat = 1e-5;
        double[] at = new double[count];
        double[] values = new double[count];
        Coordinate[] points = new Coordinate[count];
        for (int i = 0; i < count; i++) {
            at[i] = i;
            values[i] = Math.sin(i * 0.3) + 0.5 * r.nextDouble();
            points[i] = new Coordinate(at[i], values[i] * flat);
        }
        DouglasPeuckerSimplifier jts = new DouglasPeuckerSimplifier(new GeometryFactory().createLineString(points));
        jts.setDistanceTolerance(0.2 * flat);
        List<Double> theirs = new ArrayList<>();
        for (Coordinate c : jts.getResultGeometry().getCoordinates()) {
            theirs.add(c.x);
        }
        List<Double> ours = new ArrayList<>();
        boolean[] kept = DouglasPeucker.kept(at, values, 0.2);
        for (int i = 0; i < count; i++) {
            if (kept[i]) {
                ours.add(at[i]);
            }
        }
        assertThat(ours).isEqualTo(theirs);
    }

    /** The paper's own formulas, written down once more: x̂ = α x + (1 − α) x̂, α = 1 / (1 + τ / Te), τ = 1 / (2 π fc). */
    @Test
    void theFilterIsTheOneOfThePaper() {
        double[] x = {0, 0.1, 0.05, 0.4, 0.9, 1, 1, 0.98, 1.02, 1};
        double te = 1 / 30.0;
        double[] out = new OneEuroFilter(1, 0.5).smoothed(x, 30);
        double hat = x[0];
        double dHat = 0;
        for (int i = 1; i < x.length; i++) {
            double d = (x[i] - hat) / te;
            double ad = 1 / (1 + 1 / (2 * Math.PI) / te);
            dHat = ad * d + (1 - ad) * dHat;
            double fc = 1 + 0.5 * Math.abs(dHat);
            double a = 1 / (1 + 1 / (2 * Math.PI * fc) / te);
            hat = a * x[i] + (1 - a) * hat;
            assertThat(out[i]).isCloseTo(hat, within(1e-12));
        }
        assertThatThrownBy(() -> new OneEuroFilter(0, 1)).isInstanceOf(IllegalArgumentException.class);
    }

    /** Eyes shut and opened within a second have blinked; eyes kept half shut are keys, as a hand would expect. */
    @Test
    void aBlinkThatIsPlayedStandsOnTheBlinksAndASleepyLidOnItsDial() {
        Dial blink = new Dial("blink", "Blink", Purpose.BLINK, 0, 1, 0, "", List.of(), List.of());
        Character face = FACE.withDials(List.of(blink), List.of());
        Shot shot = Shot.silent("s", new TrackRules(24, 1, 0, 1), 120)
                .withTracks(Tracks.EMPTY.withBlinks(List.of(new Blink(22, 3, 0, 3), new Blink(60, 3, 0, 3))));
        List<LiveSample> samples = new ArrayList<>();
        for (double f = 0; f < 120; f += 0.5) {
            double twice = Math.max(lid(f - 20), lid(f - 90));
            // a hand that is still is not noted again
            if (samples.isEmpty() || samples.get(samples.size() - 1).value() != twice) {
                samples.add(new LiveSample(f, twice));
            }
        }
        Playhead playhead = new Playhead(new Evaluator(face), shot);
        LiveTake take = new LiveTake(0, 120, Map.of("blink", samples), Map.of(), Map.of());
        Shot played = LiveReduction.edit(playhead, take, LiveSettings.USUAL).apply(shot);
        assertThat(played.tracks().dials()).doesNotContainKey("blink");
        assertThat(played.tracks().blinks())
                .as("both, and the one of before that leaves them room")
                .containsExactly(new Blink(20, 2, 1, 3), new Blink(60, 3, 0, 3), new Blink(90, 2, 1, 3));

        List<LiveSample> sleepy = List.of(new LiveSample(10, 0), new LiveSample(20, 0.6), new LiveSample(80, 0));
        take = new LiveTake(0, 120, Map.of("blink", sleepy), Map.of(), Map.of());
        Shot tired = LiveReduction.edit(playhead, take, LiveSettings.USUAL).apply(shot);
        assertThat(tired.tracks().dials().get("blink")).isNotEmpty();
        assertThat(tired.tracks().blinks()).isEqualTo(shot.tracks().blinks());
    }

    /** Two frames down, one shut, three up. */
    private static double lid(double since) {
        if (since <= 0 || since >= 6) {
            return 0;
        }
        return since < 2 ? since / 2 : since <= 3 ? 1 : 1 - (since - 3) / 3;
    }

    @Test
    void smoothingTakesTheTrembleOutOfAHandThatIsStill() {
        Shot shot = silent(1, 200);
        Random r = new Random(4);
        List<LiveSample> trembling = new ArrayList<>();
        double range = TURN.to() - TURN.from();
        for (double f = -1; f < 200; f += 0.4) {
            trembling.add(new LiveSample(f, TURN.rest() + 0.02 * range * r.nextGaussian()));
        }
        LiveTake take = new LiveTake(0, 200, Map.of(TURN.id(), trembling), Map.of(), Map.of());
        int rough = LiveReduction.edit(playhead(shot), take, new LiveSettings(0.01, 0, Optional.empty()))
                .strip()
                .tracks()
                .dials()
                .get(TURN.id())
                .size();
        int calm = LiveReduction.edit(
                        playhead(shot), take, new LiveSettings(0.01, 0, Optional.of(new OneEuroFilter(0.5, 0))))
                .strip()
                .tracks()
                .dials()
                .get(TURN.id())
                .size();
        assertThat(calm).isLessThan(rough / 2);
    }

    /** What was keyed before the hand moved the dial, and behind the end of the take, stays as it was. */
    @Test
    void whatWasKeyedAroundATakeStays() {
        Shot shot = silent(1, 100);
        double high = TURN.to();
        double low = TURN.from();
        Shot keyed = new ActingEdit.SetKeys(Map.of(
                        TURN.id(),
                        List.of(
                                new DialKey(10, low, Way.EVEN),
                                new DialKey(30, high, Way.EVEN),
                                new DialKey(90, low, Way.HOLD))))
                .apply(shot);
        double[] was = playhead(keyed).valuesOf(TURN.id());
        LiveTake take = new LiveTake(
                20,
                60,
                Map.of(TURN.id(), List.of(new LiveSample(40, TURN.rest()), new LiveSample(41, TURN.rest() + 1))),
                Map.of(),
                Map.of());
        double[] is = playhead(LiveReduction.edit(playhead(keyed), take, LiveSettings.USUAL)
                        .apply(keyed))
                .valuesOf(TURN.id());
        for (int f = 0; f < 100; f++) {
            if (f < 39 || f >= 60) {
                assertThat(is[f]).as("frame %d", f).isCloseTo(was[f], within(1e-3 * (high - low)));
            }
        }
        assertThat(is[40]).isCloseTo(TURN.rest() + 0.5, within(0.01 * (high - low)));
        assertThat(is[59]).isEqualTo(TURN.rest() + 1);
    }

    /** A hand that is a quarter of a second behind is brought forward. */
    @Test
    void latencyIsMadeUpFor() {
        Shot shot = silent(1, 100);
        double there = TURN.to();
        LiveTake take = new LiveTake(
                0,
                100,
                Map.of(TURN.id(), List.of(new LiveSample(-1, TURN.rest()), new LiveSample(50, there))),
                Map.of(),
                Map.of());
        double[] late = playhead(LiveReduction.edit(playhead(shot), take, LiveSettings.USUAL)
                        .apply(shot))
                .valuesOf(TURN.id());
        double[] early = playhead(
                        LiveReduction.edit(playhead(shot), take, new LiveSettings(0.01, 0.25, Optional.empty()))
                                .apply(shot))
                .valuesOf(TURN.id());
        assertThat(late[49]).isEqualTo(TURN.rest());
        assertThat(late[50]).isEqualTo(there);
        assertThat(early[43]).isEqualTo(TURN.rest());
        assertThat(early[44]).isEqualTo(there);
    }

    @Test
    void drawingsAreHeldFromWhereTheHandGaveThem() {
        Shot shot = silent(2, 60);
        LiveTake take = new LiveTake(
                0,
                60,
                Map.of(),
                Map.of("mouth", List.of(new LivePick(10.3, "open"), new LivePick(21, "shut"), new LivePick(40.2, ""))),
                Map.of());
        Shot held = LiveReduction.edit(playhead(shot), take, LiveSettings.USUAL).apply(shot);
        assertThat(held.tracks().drawings().get("mouth"))
                .containsExactly(new HeldDrawing(10, 22, "open"), new HeldDrawing(22, 40, "shut"));
    }

    /** A look lies where the hand held it, and looks it did not touch stay. */
    @Test
    void looksComeAndGoWithTheHand() {
        Shot shot = silent(1, 100);
        Shot smiling = new ActingEdit.SetLook(-1, new LookSpan(30, 50, "doubt", 2, 2, 1)).apply(shot);
        LiveTake take = new LiveTake(
                10,
                90,
                Map.of(),
                Map.of(),
                Map.of(
                        "smile",
                        List.of(
                                new LiveSample(20.2, 0.5),
                                new LiveSample(22, 0.8),
                                new LiveSample(40, 0),
                                new LiveSample(80, 1))));
        Shot played =
                LiveReduction.edit(playhead(smiling), take, LiveSettings.USUAL).apply(smiling);
        assertThat(played.tracks().looks())
                .containsExactlyInAnyOrder(
                        new LookSpan(20, 40, "smile", 4, 4, 0.8),
                        new LookSpan(30, 50, "doubt", 2, 2, 1),
                        new LookSpan(80, 90, "smile", 4, 4, 1));
    }

    @Test
    void aTakeInWhichNothingMovedIsRefusedAndBadOnesAreNone() {
        Shot shot = silent(1, 60);
        LiveTake nothing = new LiveTake(0, 60, Map.of("gone", List.of(new LiveSample(3, 1))), Map.of(), Map.of());
        Refused.because(RefusalCode.NO_CHANGE, () -> LiveReduction.edit(playhead(shot), nothing, LiveSettings.USUAL));
        assertThatThrownBy(() -> new LiveSample(Double.NaN, 1)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new LiveSample(1, Double.NaN)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new LiveTake(5, 5, Map.of(), Map.of(), Map.of()))
                .hasMessageContaining("from 5 to 5");
        assertThatThrownBy(() -> new LiveSettings(0.5, 0, Optional.empty())).hasMessageContaining("20 %");
    }

    @Test
    void cuesBeginWhereTheyWereSetGoingAndThoseOfTheShotStay() {
        String nod = "nod";
        Character face = FACE.withLibrary(FACE.library()
                .withCues(List.of(new Cue(nod, "Nod", Map.of(TURN.id(), List.of(new Key(0, 0), new Key(4, 3)))))));
        Shot shot = silent(2, 96);
        shot = shot.withTracks(
                shot.tracks().withCues(List.of(new CuePlacement(4, nod), new CuePlacement(40, nod, 2, 0, 1, false))));
        LiveTake take = new LiveTake(
                24, 72, Map.of(), Map.of(), Map.of(), Map.of(nod, List.of(30.9, 31.2, 50.0), "gone", List.of(33.0)));
        ActingEdit.PasteFrames edit = LiveReduction.edit(
                new Playhead(new Evaluator(face), shot), take, new LiveSettings(0.01, 1 / 24.0, Optional.empty()));
        Shot played = edit.apply(shot);
        // one frame behind, on twos; two that fall on one exposure are one
        assertThat(played.tracks().cues())
                .containsExactly(
                        new CuePlacement(4, nod),
                        new CuePlacement(30, nod),
                        new CuePlacement(40, nod, 2, 0, 1, false),
                        new CuePlacement(50, nod));
        assertThat(played.tracks().dials()).isEqualTo(shot.tracks().dials());
    }
}
