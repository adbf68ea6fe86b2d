package app.leeward.core.performer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.seeded.Seeded;
import app.leeward.core.signal.Driven;
import app.leeward.core.signal.OneEuroFilter;
import app.leeward.core.signal.Signal;
import app.leeward.core.signal.SignalLink;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class PerformingTest {
    private static final Driven TURN = new Driven.OfDial("turn");
    private static final Driven BROW = new Driven.OfDial("brow-raise");
    private static final Driven BLINK = new Driven.OfDial("blink");
    private static final Driven SIZE = new Driven.OfDial("pupil-size");
    private static final Map<Driven, Target> TARGETS = Map.of(
            TURN, new Target(-45, 45, 0, true, false),
            BROW, new Target(-1, 1, 0, false, false),
            BLINK, new Target(0, 1, 0, false, true),
            SIZE, new Target(0.5, 1.6, 1, false, false));

    private static PerformerSample says(double at, Object... told) {
        Map<Signal, Double> signals = new HashMap<>();
        for (int i = 0; i < told.length; i += 2) {
            signals.put((Signal) told[i], ((Number) told[i + 1]).doubleValue());
        }
        return new PerformerSample(at, signals);
    }

    private static double driven(Performing p, SignalLink... links) {
        Map<Driven, Double> all = p.drives(List.of(links), TARGETS);
        return all.get(links[0].drives());
    }

    @Test
    void anglesMoveDegreesOneByOneAndSharesMoveTheWholeRange() {
        Performing p = Performing.NOBODY.hears(says(0, Signal.HEAD_YAW, 13, Signal.AU1, 0.5), PerformerSettings.PLAIN);
        assertThat(driven(p, new SignalLink(Signal.HEAD_YAW, TURN, 1, -45, 45))).isCloseTo(13, within(1e-9));
        assertThat(driven(p, new SignalLink(Signal.HEAD_YAW, TURN, -0.5, -45, 45)))
                .isCloseTo(-6.5, within(1e-9));
        assertThat(driven(p, new SignalLink(Signal.AU1, BROW, 0.8, -1, 1))).isEqualTo(0.4, within(1e-12));
        // from rest at 1 up to 1.6, and down to 0.5
        assertThat(driven(p, new SignalLink(Signal.AU1, SIZE, 1, 0.5, 1.6))).isEqualTo(1.3, within(1e-12));
        assertThat(driven(p, new SignalLink(Signal.AU1, SIZE, -1, 0.5, 1.6))).isEqualTo(0.75, within(1e-12));
    }

    @Test
    void whatMovesTheSameAddsUpAndKeepsWithinTheLimits() {
        SignalLink up = new SignalLink(Signal.AU1, BROW, 0.6, -1, 0.5);
        SignalLink down = new SignalLink(Signal.AU4, BROW, -0.5, -1, 0.5);
        Performing p = Performing.NOBODY.hears(says(0, Signal.AU1, 1, Signal.AU4, 0.4), PerformerSettings.PLAIN);
        assertThat(driven(p, up, down)).isEqualTo(0.4, within(1e-12));
        assertThat(driven(p, up)).as("no further than its limit").isEqualTo(0.5);
    }

    @Test
    void everythingIsToldFromTheNeutralPoseAndAMirrorExchangesLeftAndRight() {
        PerformerSettings settings =
                new PerformerSettings(Map.of(Signal.HEAD_YAW, 4.0, Signal.AU1, 0.2), Optional.empty(), true, false);
        Performing p = Performing.NOBODY.hears(says(0, Signal.HEAD_YAW, 10, Signal.AU1, 0.5), settings);
        assertThat(p.signals().get(Signal.HEAD_YAW)).isCloseTo(-6, within(1e-9));
        assertThat(p.signals().get(Signal.AU1)).isEqualTo(0.3, within(1e-12));
    }

    /** What was never told drives nothing: a tracker without gaze leaves the eyes to the hand. */
    @Test
    void aSignalThatWasNeverToldDrivesNothing() {
        Performing p = Performing.NOBODY.hears(says(0, Signal.AU1, 1), PerformerSettings.PLAIN);
        assertThat(p.drives(List.of(new SignalLink(Signal.HEAD_YAW, TURN, 1, -45, 45)), TARGETS))
                .isEmpty();
    }

    /** Sample by sample it is the filter of the paper over shares of the range; the series is held against its formula elsewhere. */
    @Test
    void smoothingSampleBySampleIsTheFilterOverTheSeries() {
        OneEuroFilter filter = new OneEuroFilter(1, 0.5);
        PerformerSettings settings = new PerformerSettings(Map.of(), Optional.of(filter), false, false);
        double[] raw = new double[60];
        Random r = new Random(3);
        Performing p = Performing.NOBODY;
        List<Double> out = new ArrayList<>();
        for (int i = 0; i < raw.length; i++) {
            raw[i] = 30 * Math.sin(i / 9.0) + r.nextGaussian();
            p = p.hears(says(i / 30.0, Signal.HEAD_YAW, raw[i]), settings);
            out.add(p.signals().get(Signal.HEAD_YAW));
        }
        double[] shares = java.util.Arrays.stream(raw).map(v -> v / 180).toArray();
        double[] whole = filter.smoothed(shares, 30);
        for (int i = 0; i < raw.length; i++) {
            assertThat(out.get(i)).isCloseTo(whole[i] * 180, within(1e-6));
        }
    }

    @Test
    void aLostPerformerIsHeldThenEasedToRestAndComesBackWithoutAJump() {
        SignalLink link = new SignalLink(Signal.HEAD_YAW, TURN, 1, -45, 45);
        PerformerSettings settings = PerformerSettings.PLAIN;
        Performing p = Performing.NOBODY.hears(says(0, Signal.HEAD_YAW, 30), settings);
        double before = 30;
        double t = 0;
        for (; t < Performing.HOLDS - 0.02; t += 1 / 60.0) {
            p = p.waits(t, settings);
            assertThat(driven(p, link)).as("held at %f", t).isCloseTo(30, within(1e-9));
        }
        for (; t < 3; t += 1 / 60.0) {
            p = p.waits(t, settings);
            assertThat(driven(p, link)).isLessThanOrEqualTo(before);
            assertThat(before - driven(p, link)).as("a frame's step at %f", t).isLessThan(2.5);
            before = driven(p, link);
        }
        assertThat(before).as("at rest").isZero();
        for (double u = t; u < t + 0.5; u += 1 / 30.0) {
            p = p.hears(says(u, Signal.HEAD_YAW, 30), settings);
            assertThat(driven(p, link) - before).as("coming back").isLessThan(9);
            before = driven(p, link);
        }
        assertThat(before).isCloseTo(30, within(1e-9));
    }

    @Test
    void whoIsToHoldIsHeldForGood() {
        PerformerSettings holds = new PerformerSettings(Map.of(), Optional.empty(), false, true);
        Performing p = Performing.NOBODY.hears(says(0, Signal.HEAD_YAW, 30), holds);
        for (double t = 0; t < 20; t += 0.1) {
            p = p.waits(t, holds);
        }
        assertThat(driven(p, new SignalLink(Signal.HEAD_YAW, TURN, 1, -45, 45))).isCloseTo(30, within(1e-9));
        assertThat(p.lostFor(20)).isEqualTo(20);
    }

    /** A tracker's lid trembles about the half of its way; the rig's blinks once, all the way. */
    @Test
    void aBlinkOfThePerformerIsABlink() {
        SignalLink link = new SignalLink(Signal.AU45, BLINK, 1, 0, 1);
        double[] told = {0, 0.1, 0.45, 0.55, 0.48, 0.52, 0.44, 0.6, 0.38, 0.3, 0.1, 0, 0, 0, 0, 0};
        Performing p = Performing.NOBODY;
        int rises = 0;
        int falls = 0;
        double before = 0;
        double most = 0;
        int way = 0;
        for (int i = 0; i < told.length; i++) {
            p = p.hears(says(i / 30.0, Signal.AU45, told[i]), PerformerSettings.PLAIN)
                    .blinks(List.of(link), TARGETS, 1 / 30.0);
            double lid = driven(p, link);
            int now = (int) Math.signum(lid - before);
            rises += now > 0 && way <= 0 ? 1 : 0;
            falls += now < 0 && way >= 0 ? 1 : 0;
            way = now == 0 ? way : now;
            most = Math.max(most, lid);
            before = lid;
        }
        assertThat(most).isEqualTo(1);
        assertThat(rises).isEqualTo(1);
        assertThat(falls).isEqualTo(1);
        assertThat(before).isZero();
    }

    @Test
    void aSampleThatWasOvertakenIsLeftOutAndOneWithoutANumberRefused() {
        Performing p = Performing.NOBODY.hears(says(1, Signal.HEAD_YAW, 10), PerformerSettings.PLAIN);
        assertThat(p.hears(says(0.9, Signal.HEAD_YAW, -40), PerformerSettings.PLAIN))
                .isSameAs(p);
        assertThatThrownBy(() -> says(1, Signal.AU1, Double.NaN)).hasMessageContaining("au1");
        assertThat(says(1, Signal.AU1, 1.2, Signal.HEAD_YAW, -400).signals())
                .containsEntry(Signal.AU1, 1.0)
                .containsEntry(Signal.HEAD_YAW, -90.0);
    }

    /** Whatever is told, in whatever order and however late, what is driven stays within its range and its limits. */
    @Seeded
    void whatIsDrivenStaysWithinItsRange(Random r) {
        List<SignalLink> links = new ArrayList<>();
        for (Signal s : Signal.values()) {
            double by = (r.nextDouble() - 0.5) * 8;
            if (by != 0) {
                List<Driven> all = List.of(TURN, BROW, BLINK, SIZE);
                links.add(new SignalLink(
                        s, all.get(r.nextInt(all.size())), by, -r.nextDouble() * 60, r.nextDouble() * 60 + 1e-6));
            }
        }
        PerformerSettings settings = new PerformerSettings(
                Map.of(Signal.AU1, r.nextDouble()),
                r.nextBoolean()
                        ? Optional.of(new OneEuroFilter(0.1 + r.nextDouble() * 5, r.nextDouble()))
                        : Optional.empty(),
                r.nextBoolean(),
                r.nextBoolean());
        Performing p = Performing.NOBODY;
        double t = 0;
        for (int i = 0; i < 200; i++) {
            t += r.nextDouble() * (r.nextInt(20) == 0 ? 3 : 0.06);
            if (r.nextInt(4) > 0) {
                Signal s = Signal.values()[r.nextInt(Signal.values().length)];
                p = p.hears(says(t, s, r.nextGaussian() * 40), settings);
            } else {
                p = p.waits(t, settings);
            }
            p = p.blinks(links, TARGETS, 0.03);
            p.drives(links, TARGETS).forEach((what, v) -> {
                Target target = TARGETS.get(what);
                assertThat(v).isBetween(target.from(), target.to());
            });
        }
    }
}
