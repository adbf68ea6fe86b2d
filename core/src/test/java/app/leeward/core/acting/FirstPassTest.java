package app.leeward.core.acting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.leeward.core.Refused;
import app.leeward.core.Rigs;
import app.leeward.core.cue.Blink;
import app.leeward.core.cue.Laid;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Purpose;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.HeadView;
import app.leeward.core.rig.ViewBand;
import app.leeward.core.rig.ViewSet;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import app.leeward.core.shot.ActingEdit;
import app.leeward.core.shot.DialKey;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.ShotEdit;
import app.leeward.core.shot.Way;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class FirstPassTest {
    private static final Set<Laid.Kind> ALL = EnumSet.allOf(Laid.Kind.class);
    private static final Dial NOD = new Dial("nod", "Nod", Purpose.NOD, -20, 20, 0, "°", List.of(), List.of());
    private static final Character FACE = nodding(Rigs.hung(Rigs.face()));
    private static final Shot SHOT = Shot.silent("talk", TrackRules.at(24), 240);
    private static final List<Spoken> WORDS = List.of(
            word("Good", 0.8, 1.0, 0.3, true, false),
            word("morning", 1.0, 1.5, 0.9, false, true),
            word("The", 2.2, 2.3, 0.1, true, false),
            word("boat", 2.3, 2.8, 0.8, false, false),
            word("is", 2.8, 2.9, 0.1, false, false),
            word("ready", 2.9, 3.5, 0.95, false, true),
            word("far", 4.4, 4.9, 0.7, true, false),
            word("pier", 5.0, 5.6, 0.85, false, true));

    private static Spoken word(String text, double from, double to, double prominence, boolean opens, boolean closes) {
        return new Spoken(text, from, to, (from + to) / 2, prominence, opens, closes);
    }

    private static Character nodding(Character c) {
        List<Dial> dials = new ArrayList<>(c.controls().dials());
        dials.add(NOD);
        return c.withDials(dials, c.controls().pads());
    }

    private static Shot laid(Shot shot, Temperament temperament, double strength, long seed, Set<Laid.Kind> kinds) {
        return FirstPass.propose(FACE, shot, WORDS, temperament, strength, seed, kinds)
                .apply(shot);
    }

    private static List<DialKey> keys(Shot shot, String dial) {
        return shot.tracks().dials().getOrDefault(dial, List.of());
    }

    @Test
    void nodsFallOnTheBeatOfWordsThatStandOutAndSayWhich() {
        Shot shot = laid(SHOT, Temperament.LIVELY, 1, 3, Set.of(Laid.Kind.NODS));
        List<DialKey> down =
                keys(shot, "nod").stream().filter(k -> k.value() > 0).toList();
        assertThat(down).isNotEmpty();
        for (DialKey k : down) {
            Spoken w = WORDS.stream()
                    .filter(x -> Math.round(x.beat() * 24) == k.frame())
                    .findFirst()
                    .orElseThrow();
            assertThat(w.prominence()).isGreaterThanOrEqualTo(0.5);
            assertThat(k.laid().orElseThrow().why()).isEqualTo("nod: “" + w.text() + "” is stressed");
        }
        assertThat(keys(shot, "nod").get(0).value()).as("out of rest").isZero();
        assertThat(keys(shot, "nod").get(keys(shot, "nod").size() - 1).value())
                .as("and back")
                .isZero();
    }

    @Test
    void livelyOnesActMoreThanGraveOnes() {
        Map<Laid.Kind, int[]> counted = Map.of(Laid.Kind.NODS, new int[2], Laid.Kind.BLINKS, new int[2]);
        for (int seed = 0; seed < 40; seed++) {
            for (Laid.Kind kind : counted.keySet()) {
                Temperament[] both = {Temperament.GRAVE, Temperament.LIVELY};
                for (int i = 0; i < 2; i++) {
                    Shot shot = laid(SHOT, both[i], 1, seed, Set.of(kind));
                    counted.get(kind)[i] +=
                            keys(shot, "nod").size() + shot.tracks().blinks().size();
                }
            }
        }
        counted.forEach((kind, n) -> assertThat(n[1]).as("%s", kind).isGreaterThan(n[0] * 3 / 2));
    }

    @Test
    void blinksComeAsOftenAsTheTemperamentDoes() {
        double blinks = 0;
        for (int seed = 0; seed < 200; seed++) {
            blinks += laid(SHOT, Temperament.CALM, 1, seed, Set.of(Laid.Kind.BLINKS))
                    .tracks()
                    .blinks()
                    .size();
        }
        // 10 s a shot; 17 a minute at rest (Bentivoglio et al. 1997)
        assertThat(blinks / 200 * 6).isBetween(15.0, 19.0);
    }

    @Test
    void eyesGoAwayAsAThoughtBeginsAndAreBackBeforeItEnds() {
        String gaze = FACE.controls().dials().stream()
                .filter(d -> d.purpose() == Purpose.GAZE_ACROSS)
                .findFirst()
                .orElseThrow()
                .id();
        boolean any = false;
        for (int seed = 0; seed < 10; seed++) {
            List<DialKey> keys = keys(laid(SHOT, Temperament.SHY, 1, seed, Set.of(Laid.Kind.GAZE)), gaze);
            for (int i = 0; i + 3 < keys.size(); i += 4) {
                any = true;
                assertThat(keys.get(i).value()).isZero();
                assertThat(keys.get(i + 1).value())
                        .isNotZero()
                        .isEqualTo(keys.get(i + 2).value());
                assertThat(keys.get(i + 1).way()).isEqualTo(Way.HOLD);
                assertThat(keys.get(i + 3).value()).isZero();
                int from = keys.get(i).frame();
                Spoken opens = WORDS.stream()
                        .filter(w -> w.opens() && Math.abs(w.start() * 24 - from) < 4)
                        .findFirst()
                        .orElseThrow();
                assertThat(keys.get(i).laid().orElseThrow().why()).contains(opens.text());
            }
        }
        assertThat(any).isTrue();
    }

    @Seeded(tries = 200)
    void theSameSeedLaysTheSameAndItsKindsAreTakenBackAlone(
            long seed, Temperament temperament, @Between(min = 0.1, max = 2) double strength) {
        Shot shot = laid(SHOT, temperament, strength, seed, ALL);
        assertThat(laid(SHOT, temperament, strength, seed, ALL)).isEqualTo(shot);
        assertThat(laid(shot, temperament, strength, seed, ALL))
                .as("laid again over itself")
                .isEqualTo(shot);
        Shot still = laid(shot, temperament, 0, seed, EnumSet.complementOf(EnumSet.of(Laid.Kind.BLINKS)));
        assertThat(still.tracks().dials()).isEmpty();
        assertThat(still.tracks().blinks()).isEqualTo(shot.tracks().blinks());
        assertThat(laid(shot, temperament, 0, seed, ALL)).isEqualTo(SHOT);
        for (List<DialKey> keys : shot.tracks().dials().values()) {
            assertThat(keys).allMatch(k -> k.frame() >= 0 && k.frame() < SHOT.frames());
            assertThat(keys)
                    .allMatch(k -> k.laid().isPresent() && !k.laid().get().why().isBlank());
        }
    }

    /** Keys of a hand stay, and nothing is laid between the first and the last of them. */
    @Seeded(tries = 200)
    void whatAHandMadeStays(long seed, Random r) {
        int from = 30 + r.nextInt(60);
        int to = from + 1 + r.nextInt(60);
        List<DialKey> hand = List.of(new DialKey(from, 5, Way.SMOOTH), new DialKey(to, -3, Way.HOLD));
        Shot own = new ActingEdit.SetKeys(Map.of("nod", hand)).apply(SHOT);
        own = own.withTracks(own.tracks().withBlinks(List.of(Blink.at(50))));
        Shot shot = laid(own, Temperament.LIVELY, 1.5, seed, ALL);
        assertThat(keys(shot, "nod")).containsAll(hand);
        assertThat(keys(shot, "nod")).noneMatch(k -> k.laid().isPresent() && k.frame() >= from && k.frame() <= to);
        assertThat(shot.tracks().blinks()).contains(Blink.at(50));
        for (DialKey k : keys(shot, "nod")) {
            if (k.laid().isPresent() && k.way().equals(Way.HOLD) && k.frame() < from) {
                assertThat(k.value()).as("back to where the hand begins").isEqualTo(5);
            }
        }
        assertThat(laid(shot, Temperament.LIVELY, 0, seed, ALL)).isEqualTo(own);
    }

    /** What is laid and then set by hand is laid no more. */
    @Test
    void whatAHandSetsIsItsOwn() {
        Shot shot = laid(SHOT, Temperament.LIVELY, 1, 3, Set.of(Laid.Kind.NODS, Laid.Kind.BLINKS));
        DialKey first = keys(shot, "nod").get(0);
        Blink blink = shot.tracks().blinks().get(0);
        Shot own = new ShotEdit.SetBlink(blink.frame(), blink)
                .apply(new ActingEdit.SetKeys(Map.of("nod", List.of(first))).apply(shot));
        Shot back = laid(own, Temperament.LIVELY, 0, 3, ALL);
        assertThat(keys(back, "nod")).containsExactly(new DialKey(first.frame(), first.value(), first.way()));
        assertThat(back.tracks().blinks()).hasSize(1);
    }

    @Test
    void onTwosEveryKeyBeginsAnExposure() {
        Shot twos = SHOT.withRules(new TrackRules(24, 2, 1, 2));
        laid(twos, Temperament.LIVELY, 1, 5, EnumSet.complementOf(EnumSet.of(Laid.Kind.BLINKS)))
                .tracks()
                .dials()
                .values()
                .forEach(keys -> assertThat(keys).isNotEmpty().allMatch(k -> k.frame() % 2 == 0));
        List<Blink> blinks = laid(twos, Temperament.LIVELY, 2, 5, EnumSet.of(Laid.Kind.BLINKS))
                .tracks()
                .blinks();
        assertThat(blinks)
                .isNotEmpty()
                .allMatch(b -> (b.frame() + b.down()) % 2 == 0)
                .allMatch(b -> b.laid().orElseThrow().why().startsWith("blink: "));
    }

    /** A little of such a dial is nothing, a little more is another face, whose mouth need not be the one that speaks. */
    @Test
    void aHeadThatTurnsByExchangingViewsDoesNotDriftIntoThem() {
        Set<Laid.Kind> settling = EnumSet.of(Laid.Kind.SETTLING);
        assertThat(laid(SHOT, Temperament.LIVELY, 2, 1, settling).tracks().dials())
                .containsKey("turn");
        Character views = FACE.withControls(FACE.controls()
                .withViews(Optional.of(new ViewSet(
                        "turn",
                        List.of(new HeadView("face-skin", "Front", null), new HeadView("back-hair", "Back", null)),
                        List.of(
                                new ViewBand(-60, 10, "face-skin", false),
                                new ViewBand(10, 60, "back-hair", false))))));
        assertThat(FirstPass.propose(views, SHOT, WORDS, Temperament.LIVELY, 2, 1, settling)
                        .apply(SHOT)
                        .tracks()
                        .dials())
                .isEmpty();
    }

    @Test
    void nonsenseIsRefused() {
        Refused.because(RefusalCode.BAD_RANGE, () -> laid(SHOT, Temperament.CALM, 3, 1, ALL));
        Refused.because(RefusalCode.BAD_RANGE, () -> laid(SHOT, Temperament.CALM, Double.NaN, 1, ALL));
        Refused.because(RefusalCode.NO_CHANGE, () -> laid(SHOT, Temperament.CALM, 1, 1, Set.of()));
        assertThat(FirstPass.propose(FACE, SHOT, List.of(), Temperament.CALM, 1, 1, Set.of(Laid.Kind.NODS))
                        .laid()
                        .dials())
                .as("nothing said, nothing stressed")
                .isEmpty();
        assertThatThrownBy(() -> new Spoken("x", 1, 0.5, 1, 0, false, false)).hasMessageContaining("'x'");
        assertThatThrownBy(() -> new Laid(null, "")).hasMessageContaining("kind");
    }
}
