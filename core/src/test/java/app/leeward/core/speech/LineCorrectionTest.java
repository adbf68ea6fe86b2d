package app.leeward.core.speech;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.junit.jupiter.api.Test;

/** Sounds corrected by hand: what is asked for happens, and nothing else. */
class LineCorrectionTest {
    /** "my boat", a pause, "sank": M AY B OW T … S AE NG K. */
    private static final DialogueLine LINE = line();

    private static DialogueLine line() {
        Phone[] phones = {Phone.M, Phone.AY, Phone.B, Phone.OW, Phone.T, Phone.S, Phone.AE, Phone.NG, Phone.K};
        double[] starts = {0.1, 0.2, 0.3, 0.4, 0.5, 0.8, 0.9, 1.0, 1.1};
        List<TimedPhone> timed = new ArrayList<>();
        for (int i = 0; i < phones.length; i++) {
            timed.add(new TimedPhone(phones[i], starts[i], i == 4 ? 0.6 : i == 8 ? 1.2 : starts[i] + 0.1));
        }
        // neighbours share the very same number
        for (int i = 0; i + 1 < timed.size(); i++) {
            if (i != 4) {
                timed.set(i, new TimedPhone(phones[i], starts[i], starts[i + 1]));
            }
        }
        List<TimedWord> words = List.of(
                new TimedWord("my", 0.1, 0.3, 0),
                new TimedWord("boat", 0.3, 0.6, 0),
                new TimedWord("sank", 0.8, 1.2, 0));
        return new DialogueLine("my boat sank", "h", 1.5, words, timed, List.of(), 0);
    }

    private static void refused(RefusalCode code, ThrowingCallable what) {
        assertThatExceptionOfType(Refusal.class).isThrownBy(what).satisfies(r -> assertThat(r.reason())
                .isEqualTo(code));
    }

    @Test
    void anEdgeTwoSoundsShareStaysOne() {
        DialogueLine moved = LineCorrection.moved(LINE, 2, false, 0.35, false);
        assertThat(moved.phones().get(1).end()).isEqualTo(0.35);
        assertThat(moved.phones().get(2).start()).isEqualTo(0.35);
        assertThat(moved.words().get(0).end()).isEqualTo(0.35);
        assertThat(moved.words().get(1).start()).isEqualTo(0.35);
        assertThat(moved.held()).containsExactly(0.35);
        assertThat(moved.byHand(0)).isTrue();
        assertThat(moved.byHand(2)).isFalse();
        assertThat(LineCorrection.moved(moved, 1, true, 0.33, false).held()).containsExactly(0.33);
    }

    @Test
    void anEdgeAtAPauseMovesAlone() {
        DialogueLine moved = LineCorrection.moved(LINE, 5, false, 0.75, false);
        assertThat(moved.phones().get(4).end()).isEqualTo(0.6);
        assertThat(moved.words().get(2).start()).isEqualTo(0.75);
        assertThat(LineCorrection.moved(LINE, 5, false, 0.2, false)
                        .phones()
                        .get(5)
                        .start())
                .isEqualTo(0.6);
    }

    @Test
    void aNeighbourStopsItOrGivesWay() {
        DialogueLine stopped = LineCorrection.moved(LINE, 3, false, 0.05, false);
        assertThat(stopped.phones().get(3).start()).isCloseTo(0.31, within(1e-9));
        assertThat(stopped.phones().get(2).start()).isEqualTo(0.3);
        DialogueLine pushed = LineCorrection.moved(LINE, 3, false, 0.05, true);
        assertThat(pushed.phones().get(3).start()).isCloseTo(0.05, within(1e-9));
        for (int i = 0; i < 3; i++) {
            assertThat(pushed.phones().get(i).end() - pushed.phones().get(i).start())
                    .as("what gave way is as short as can be, or where it was")
                    .isGreaterThan(LineCorrection.SHORTEST - 1e-9);
        }
        DialogueLine held = LineCorrection.moved(LINE, 1, false, 0.25, false);
        assertThat(LineCorrection.moved(held, 3, false, 0.05, true)
                        .phones()
                        .get(3)
                        .start())
                .as("what a hand holds is not pushed: AY and B keep 10 ms each behind it")
                .isCloseTo(0.27, within(1e-9));
        DialogueLine later = LineCorrection.moved(LINE, 0, true, 1.4, true);
        assertThat(later.phones().get(0).end()).isCloseTo(1.4, within(1e-9));
        assertThat(later.phones().get(8).end()).isLessThanOrEqualTo(1.5);
        refused(RefusalCode.NO_ROOM, () -> LineCorrection.moved(stopped, 3, false, 0.05, false));
        refused(RefusalCode.NO_CHANGE, () -> LineCorrection.moved(LINE, 3, false, 0.4, false));
        refused(RefusalCode.GONE, () -> LineCorrection.moved(LINE, 9, false, 0.4, false));
    }

    @Test
    void aSoundIsChangedSplitJoinedAddedAndTakenAway() {
        DialogueLine changed = LineCorrection.changed(LINE, 3, Phone.AO);
        assertThat(changed.phones().get(3).phone()).isEqualTo(Phone.AO);
        assertThat(changed.held()).containsExactly(0.4, 0.5);
        refused(RefusalCode.NO_CHANGE, () -> LineCorrection.changed(LINE, 3, Phone.OW));

        DialogueLine split = LineCorrection.split(LINE, 3, 0.46, Phone.UH);
        assertThat(split.phones()).hasSize(10);
        assertThat(split.phones().get(4)).isEqualTo(new TimedPhone(Phone.UH, 0.46, 0.5));
        assertThat(split.phonesOf(1)).containsExactly(2, 3, 4, 5);
        refused(RefusalCode.NO_ROOM, () -> LineCorrection.split(LINE, 3, 0.405, Phone.UH));

        DialogueLine joined = LineCorrection.joined(split, 3);
        assertThat(joined.phones()).isEqualTo(LINE.phones());
        refused(RefusalCode.NO_SOUND, () -> LineCorrection.joined(LINE, 4));

        DialogueLine added = LineCorrection.added(LINE, 1, Phone.HH, 0.58, 0.66);
        assertThat(added.words().get(1).end()).isEqualTo(0.66);
        assertThat(added.phones().get(4).end()).isEqualTo(0.58);
        assertThat(LineCorrection.added(LINE, -1, Phone.HH, 0.65, 0.75).wordOf(5))
                .isEqualTo(-1);
        refused(RefusalCode.NO_ROOM, () -> LineCorrection.added(LINE, 0, Phone.HH, 0.95, 1.0));
        refused(RefusalCode.NO_ROOM, () -> LineCorrection.added(LINE, 1, Phone.HH, 0.39, 0.52));
        refused(RefusalCode.NO_ROOM, () -> LineCorrection.added(LINE, 2, Phone.HH, 1.4, 1.6));
        refused(RefusalCode.GONE, () -> LineCorrection.added(LINE, 3, Phone.HH, 1.3, 1.4));

        DialogueLine dropped = LineCorrection.dropped(LINE, 3);
        assertThat(dropped.phones()).extracting(TimedPhone::phone).doesNotContain(Phone.OW);
        assertThat(dropped.phones().get(2).end()).isEqualTo(0.5);
        DialogueLine last = LineCorrection.dropped(LineCorrection.dropped(LINE, 1), 0 + 1);
        assertThat(last.words().get(1).text()).isEqualTo("boat");
        DialogueLine one = LineCorrection.dropped(LINE, 0);
        refused(RefusalCode.NO_SOUND, () -> LineCorrection.dropped(one, 0));
    }

    @Test
    void whatIsLetGoIsNotHeldAnyMore() {
        DialogueLine changed = LineCorrection.changed(LINE, 3, Phone.AO);
        assertThat(LineCorrection.released(changed, 0.45, 0.6).held()).containsExactly(0.4);
        refused(RefusalCode.NOT_HELD, () -> LineCorrection.released(LINE, 0, 2));
    }

    /** Whatever hands do, no sound is lost, none overlaps, none is too short, words have their own sounds, and what is held stays. */
    @Test
    void nothingElseHappensOverThousandsOfEdits() {
        for (int seed = 0; seed < 40; seed++) {
            Random random = new Random(seed);
            DialogueLine line = LINE;
            for (int step = 0; step < 60; step++) {
                DialogueLine before = line;
                int sound = random.nextInt(line.phones().size());
                boolean end = random.nextBoolean();
                boolean push = random.nextBoolean();
                double to = random.nextDouble() * 1.5;
                try {
                    line = LineCorrection.moved(before, sound, end, to, push);
                } catch (Refusal r) {
                    continue;
                }
                String as = "seed " + seed + " step " + step;
                assertThat(line.phones())
                        .as(as)
                        .extracting(TimedPhone::phone)
                        .isEqualTo(
                                before.phones().stream().map(TimedPhone::phone).toList());
                for (int i = 0; i < line.phones().size(); i++) {
                    TimedPhone p = line.phones().get(i);
                    assertThat(p.end() - p.start()).as(as).isGreaterThan(LineCorrection.SHORTEST - 1e-7);
                    assertThat(p.end()).as(as).isLessThanOrEqualTo(1.5 + 1e-9);
                    assertThat(line.wordOf(i)).as(as).isEqualTo(before.wordOf(i));
                }
                double was = end
                        ? before.phones().get(sound).end()
                        : before.phones().get(sound).start();
                for (double h : before.held()) {
                    assertThat(line.holds(h) || Math.abs(h - was) < 1e-6)
                            .as("%s: held at %s", as, h)
                            .isTrue();
                }
                double put = end
                        ? line.phones().get(sound).end()
                        : line.phones().get(sound).start();
                assertThat(line.holds(put)).as(as).isTrue();
                assertThat(Math.abs(put - to)).as(as).isLessThanOrEqualTo(Math.abs(was - to) + 1e-9);
            }
        }
    }
}
