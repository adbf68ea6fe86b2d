package app.leeward.core.shot;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.Refused;
import app.leeward.core.cue.Blink;
import app.leeward.core.cue.CuePlacement;
import app.leeward.core.mouth.MoodSpan;
import app.leeward.core.mouth.TimingSpan;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import app.leeward.core.speech.TimedWord;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

class CuttingTest {
    private static final List<Track> ALL = List.of(
            Track.dial("turn"),
            Track.dial("gaze"),
            Track.drawings("hand"),
            Track.of(Track.Sort.MOUTHS),
            Track.of(Track.Sort.BLINKS),
            Track.of(Track.Sort.LOOKS),
            Track.of(Track.Sort.CUES),
            Track.of(Track.Sort.RUNS),
            Track.of(Track.Sort.NOTES),
            Track.of(Track.Sort.MOODS),
            Track.of(Track.Sort.TIMINGS),
            Track.of(Track.Sort.KITS));

    /** Tracks with something on all of them, on even frames only when {@code step} is 2. */
    private static Tracks drawn(Random r, int step) {
        Map<Integer, DialKey> turn = new TreeMap<>();
        Map<Integer, DialKey> gaze = new TreeMap<>();
        for (int i = 0; i < 8; i++) {
            int f = step * r.nextInt(50);
            turn.put(
                    f,
                    new DialKey(
                            f,
                            r.nextInt(60) - 30,
                            r.nextBoolean() ? Way.SMOOTH : Way.HOLD,
                            r.nextInt(3),
                            Optional.empty()));
            int g = step * r.nextInt(50);
            gaze.put(g, new DialKey(g, r.nextDouble(), Way.EVEN));
        }
        List<HeldDrawing> hand = new ArrayList<>();
        List<Blink> blinks = new ArrayList<>();
        List<LookSpan> looks = new ArrayList<>();
        List<MoodSpan> moods = new ArrayList<>();
        List<TimingSpan> timings = new ArrayList<>();
        List<KitSpan> kits = new ArrayList<>();
        int f = step * r.nextInt(5);
        for (int i = 0; i < 5; i++) {
            int to = f + step * (1 + r.nextInt(10));
            // two alike beside each other would be one
            hand.add(new HeldDrawing(f, to, "d" + i, r.nextInt(3)));
            kits.add(new KitSpan(f, to, "kit" + i % 3));
            kits.add(new KitSpan(f, to, "hat" + i));
            looks.add(new LookSpan(f, to, "look" + r.nextInt(3), r.nextInt(4), r.nextInt(4), 1));
            moods.add(new MoodSpan(f, to, "mood" + i));
            timings.add(new TimingSpan(f, to, i, 2));
            blinks.add(Blink.at(12 * i + step * r.nextInt(3)));
            f = to + step * r.nextInt(6);
        }
        Map<Integer, String> pins = new TreeMap<>();
        for (int i = 0; i < 3; i++) {
            int p = step * r.nextInt(40);
            for (int k = 0; k < step * 2; k++) {
                pins.put(p + k, "m" + i);
            }
        }
        return new Tracks(
                pins,
                blinks,
                List.of(new CuePlacement(step * r.nextInt(40), "nod", 0.7, r.nextBoolean() ? 0 : 2 * step, 1, false)),
                List.of(new Gesture(step * 3, step * (4 + r.nextInt(9)), "wave")),
                Map.of("turn", List.copyOf(turn.values()), "gaze", List.copyOf(gaze.values())),
                Map.of("hand", hand),
                looks,
                List.of(new ShotNote(step * r.nextInt(30), step * 40, "slower", "Ilse")),
                moods,
                timings,
                kits,
                r.nextBoolean() ? Map.of() : Map.of(pins.keySet().iterator().next(), step));
    }

    @Seeded
    void whatIsCutAndPutBackIsWhatItWas(
            Random r, @Between(min = 0, max = 80) int from, @Between(min = 1, max = 40) int length) {
        Tracks tracks = drawn(r, 1);
        Strip strip = Cutting.copy(tracks, ALL, from, from + length);
        assertThat(Cutting.paste(Cutting.clear(tracks, ALL, from, from + length), strip, from))
                .isEqualTo(tracks);
    }

    @Seeded
    void framesPutInAndTakenOutAgainLeaveNothingBehind(
            Random r, @Between(min = 0, max = 80) int at, @Between(min = 1, max = 30) int count) {
        Tracks tracks = drawn(r, 1);
        assertThat(Cutting.takeOut(Cutting.insert(tracks, ALL, at, count), ALL, at, at + count))
                .isEqualTo(tracks);
    }

    @Seeded
    void drawnOutToTwiceAndBackIsTheSame(Random r) {
        Tracks tracks = drawn(r, 2);
        Tracks twice = Cutting.stretch(tracks, ALL, 0, 200, 400);
        assertThat(twice.dials().get("turn").get(3).frame())
                .isEqualTo(2 * tracks.dials().get("turn").get(3).frame());
        assertThat(Cutting.stretch(twice, ALL, 0, 400, 200)).isEqualTo(tracks);
    }

    @Seeded
    void oneTrackAloneIsMovedAndTheOthersStay(Random r, @Between(min = 1, max = 50) int by) {
        Tracks tracks = drawn(r, 1);
        Tracks moved = Cutting.move(tracks, List.of(Track.dial("turn")), 0, 100, by);
        assertThat(moved.dials().get("turn").stream().map(DialKey::frame))
                .containsExactlyElementsOf(tracks.dials().get("turn").stream()
                        .map(k -> k.frame() + by)
                        .toList());
        assertThat(moved.withKeys("turn", tracks.dials().get("turn"))).isEqualTo(tracks);
    }

    @Test
    void aDrawingIsPartedAtTheEdgesAndJoinedWhereItMeetsItself() {
        Tracks held = Tracks.EMPTY.withDrawings("hand", List.of(new HeldDrawing(10, 20, "fist")));
        List<Track> hand = List.of(Track.drawings("hand"));
        Tracks cut = Cutting.clear(held, hand, 13, 15);
        assertThat(cut.drawings().get("hand"))
                .containsExactly(new HeldDrawing(10, 13, "fist"), new HeldDrawing(15, 20, "fist"));
        Strip strip = Cutting.copy(held, hand, 13, 15);
        assertThat(Cutting.paste(cut, strip, 20).drawings().get("hand"))
                .containsExactly(new HeldDrawing(10, 13, "fist"), new HeldDrawing(15, 22, "fist"));
    }

    @Test
    void whatIsPutInTakesThePlaceOfWhatIsThere() {
        Tracks tracks = Tracks.EMPTY
                .withKeys("turn", List.of(new DialKey(2, 1, Way.HOLD), new DialKey(5, 2, Way.HOLD)))
                .withBlinks(List.of(Blink.at(20), Blink.at(3)));
        List<Track> of = List.of(Track.dial("turn"), Track.of(Track.Sort.BLINKS));
        Tracks put = Cutting.move(tracks, of, 2, 4, 3);
        assertThat(put.dials().get("turn")).containsExactly(new DialKey(5, 1, Way.HOLD));
        assertThat(put.blinks()).containsExactly(Blink.at(6), Blink.at(20));
        // a blink that would run into another one takes its place
        assertThat(Cutting.move(tracks, of, 2, 4, 15).blinks()).containsExactly(Blink.at(18));
    }

    @Test
    void aStretchDrawnTogetherKeepsTheLaterOfTwoKeys() {
        Tracks tracks = Tracks.EMPTY.withKeys(
                "turn", List.of(new DialKey(0, 1, Way.HOLD), new DialKey(1, 2, Way.HOLD), new DialKey(9, 3, Way.HOLD)));
        assertThat(Cutting.stretch(tracks, List.of(Track.dial("turn")), 0, 10, 2)
                        .dials()
                        .get("turn"))
                .containsExactly(new DialKey(0, 2, Way.HOLD), new DialKey(2, 3, Way.HOLD))
                .isNotEmpty();
    }

    @Test
    void twoLooksThatComeTogetherStayTogetherWhenTheyAreDrawnOut() {
        Tracks both = Tracks.EMPTY.withLooks(
                List.of(new LookSpan(4, 20, "smile", 2, 2, 1), new LookSpan(4, 12, "raised brows", 0, 0, 0.5)));
        Tracks twice = Cutting.stretch(both, List.of(Track.of(Track.Sort.LOOKS)), 0, 30, 60);
        assertThat(twice.looks())
                .containsExactly(new LookSpan(8, 24, "raised brows", 0, 0, 0.5), new LookSpan(8, 40, "smile", 4, 4, 1));
    }

    @Test
    void nonsenseIsRefused() {
        Refused.because(RefusalCode.NO_CHANGE, () -> Cutting.clear(Tracks.EMPTY, List.of(), 0, 5));
        Refused.because(
                RefusalCode.NO_CHANGE,
                () -> Cutting.clear(Tracks.EMPTY, List.of(Track.dial("a"), Track.dial("a")), 0, 5));
        Refused.because(RefusalCode.BEYOND_SHOT, () -> Cutting.copy(Tracks.EMPTY, ALL, -1, 5));
        Refused.because(RefusalCode.BEYOND_SHOT, () -> Cutting.copy(Tracks.EMPTY, ALL, 5, 5));
        Refused.because(RefusalCode.BEYOND_SHOT, () -> Cutting.move(Tracks.EMPTY, ALL, 3, 5, -4));
        Refused.because(RefusalCode.BEYOND_SHOT, () -> Cutting.insert(Tracks.EMPTY, ALL, 0, 2_000_000));
    }

    @Test
    void aMoodTakesThePlaceOfAnotherAndIsOneWithItself() {
        Shot shot = Shot.silent("s", TrackRules.at(24), 100);
        Shot happy = new DeliveryEdit.FeelAlong(new MoodSpan(10, 40, "happy")).apply(shot);
        Shot both = new DeliveryEdit.FeelAlong(new MoodSpan(20, 30, "sad")).apply(happy);
        assertThat(both.tracks().moods())
                .containsExactly(
                        new MoodSpan(10, 20, "happy"), new MoodSpan(20, 30, "sad"), new MoodSpan(30, 40, "happy"));
        Shot again = new DeliveryEdit.FeelAlong(new MoodSpan(20, 30, "happy")).apply(both);
        assertThat(again).isEqualTo(happy);
        Shot lifted = new ActingEdit.ClearFrames(List.of(Track.of(Track.Sort.MOODS)), 0, 25).apply(both);
        assertThat(lifted.tracks().moods()).containsExactly(new MoodSpan(25, 30, "sad"), new MoodSpan(30, 40, "happy"));
        Refused.because(
                RefusalCode.BEYOND_SHOT, () -> new DeliveryEdit.FeelAlong(new MoodSpan(90, 101, "happy")).apply(shot));
    }

    @Test
    void timingOfMouthsIsSetForAStretch() {
        Shot shot = Shot.silent("s", TrackRules.at(24), 100);
        Shot early = new DeliveryEdit.TimeAlong(new TimingSpan(10, 40, 3, 4)).apply(shot);
        Shot wider = new DeliveryEdit.TimeAlong(new TimingSpan(40, 60, 3, 4)).apply(early);
        assertThat(wider.tracks().timings()).containsExactly(new TimingSpan(10, 60, 3, 4));
        Refused.because(RefusalCode.EXPOSURE, () -> new TimingSpan(0, 10, 13, 2));
        Refused.because(
                RefusalCode.BEYOND_SHOT, () -> new DeliveryEdit.TimeAlong(new TimingSpan(99, 101, 1, 1)).apply(shot));
    }

    private static DialogueLine take(double seconds, double good, double morning) {
        return new DialogueLine(
                "Good morning",
                "h" + seconds,
                seconds,
                List.of(
                        new TimedWord("Good", good, good + 0.5, 0),
                        new TimedWord("morning", morning, morning + 0.5, 0)),
                List.of(new TimedPhone(Phone.UH, good, good + 0.5), new TimedPhone(Phone.AO, morning, morning + 0.5)),
                List.of(),
                0);
    }

    /** What is acted goes with the words, and what is behind the line with its end. */
    @Test
    void anotherTakeIsPutInAndTheActingGoesWithItsWords() {
        DialogueLine first = take(2, 0.5, 1.25);
        DialogueLine better = take(3, 1, 2);
        Shot shot = new Shot("s", first, TrackRules.at(24), Map.of(13, "wide", 31, "bite")).withFrames(60);
        shot = shot.withTracks(shot.tracks()
                .withKeys(
                        "turn",
                        List.of(
                                new DialKey(12, 1, Way.EVEN),
                                new DialKey(30, 2, Way.HOLD),
                                new DialKey(55, 3, Way.HOLD)))
                .withMoods(List.of(new MoodSpan(30, 42, "sad"))));
        Shot retaken = new LayoutEdit.Retake(0, better).apply(shot);
        assertThat(retaken.lines()).containsExactly(new PlacedLine(0, better));
        assertThat(retaken.frames()).isEqualTo(84);
        assertThat(retaken.tracks().pins()).containsExactlyInAnyOrderEntriesOf(Map.of(25, "wide", 49, "bite"));
        assertThat(retaken.tracks().dials().get("turn").stream().map(DialKey::frame))
                .containsExactly(24, 48, 79);
        assertThat(retaken.tracks().moods()).containsExactly(new MoodSpan(48, 60, "sad"));
    }

    /** Acting behind a line that others follow stays with them. */
    @Test
    void aTakeInTheMiddleOfAShotLeavesWhatComesBehindIt() {
        Shot two = new LayoutEdit.PlaceLine(60, take(2, 0.5, 1.25))
                .apply(new Shot("s", take(2, 0.5, 1.25), TrackRules.at(24), Map.of()));
        Shot keyed = two.withTracks(
                two.tracks().withKeys("turn", List.of(new DialKey(50, 1, Way.HOLD), new DialKey(80, 2, Way.HOLD))));
        Shot retaken = new LayoutEdit.Retake(0, take(2.4, 0.6, 1.5)).apply(keyed);
        assertThat(retaken.frames()).isEqualTo(two.frames());
        assertThat(retaken.tracks().dials().get("turn").stream().map(DialKey::frame))
                .containsExactly(58, 80);
        assertThat(retaken.lines().get(1)).isEqualTo(two.lines().get(1));
        Refused.because(RefusalCode.FRAME_TAKEN, () -> new LayoutEdit.Retake(0, take(5, 1, 4)).apply(keyed));
        Refused.because(RefusalCode.GONE, () -> new LayoutEdit.Retake(3, take(5, 1, 4)).apply(keyed));
    }

    /** Whatever is acted: the same take again changes nothing, and nothing is lost to one that is twice as long. */
    @Seeded
    void theSameTakeChangesNothing(Random r) {
        DialogueLine first = take(4, 0.5, 2);
        Tracks acted = drawn(r, 1);
        Shot shot = new Shot("s", first, TrackRules.at(24), Map.of()).withTracks(acted);
        assertThat(new LayoutEdit.Retake(0, first).apply(shot)).isEqualTo(shot);
        Tracks longer = new LayoutEdit.Retake(0, take(8, 1, 4)).apply(shot).tracks();
        assertThat(longer.dials().get("turn")).hasSameSizeAs(acted.dials().get("turn"));
        assertThat(longer.looks()).hasSameSizeAs(acted.looks());
        assertThat(longer.moods()).hasSameSizeAs(acted.moods());
    }
}
