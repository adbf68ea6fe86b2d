package app.leeward.core.shot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Refused;
import app.leeward.core.Rigs;
import app.leeward.core.cue.Cue;
import app.leeward.core.cue.CuePlacement;
import app.leeward.core.dial.Purpose;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MakeCues;
import app.leeward.core.edit.Outcome;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Look;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.seeded.Seeded;
import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What is acted along a shot, as it is seen on the face. */
class ActingTest {
    private static final Character FACE =
            ((Outcome.Done) Edits.apply(Rigs.hung(Rigs.face()), new MakeCues())).character();
    private static final DialogueLine LINE = new DialogueLine(
            "ma",
            "hash",
            1.0,
            List.of(),
            List.of(new TimedPhone(Phone.M, 0.2, 0.3), new TimedPhone(Phone.AA, 0.3, 0.7)),
            List.of(),
            0);
    private static final Shot SHOT =
            new ShotEdit.Expose(1, 0, 2).apply(new Shot("ma", LINE, TrackRules.at(24), Map.of()));

    private static Shot keyed(Shot shot, String dial, DialKey... keys) {
        return new ActingEdit.SetKeys(Map.of(dial, List.of(keys))).apply(shot);
    }

    private static Pose at(Shot shot, int frame, Pose live) {
        return new Playhead(new Evaluator(FACE), shot).poseAt(frame, live);
    }

    @Test
    void aKeyedDialGoesItsWayAndAHandOnItStandsInItsPlace() {
        Shot shot = keyed(SHOT, "blink", new DialKey(4, 0, Way.EVEN), new DialKey(8, 1, Way.HOLD));
        assertThat(at(shot, 6, Pose.REST).dials()).containsEntry("blink", 0.5);
        assertThat(at(shot, 20, Pose.REST).dials()).containsEntry("blink", 1.0);
        assertThat(at(shot, 6, Pose.of(Map.of("blink", 0.1))).dials()).containsEntry("blink", 0.1);
        Evaluator face = new Evaluator(FACE);
        assertThat(new Playhead(face, shot).frameAt(6, Pose.REST))
                .isEqualTo(new Playhead(face, SHOT).frameAt(6, Pose.of(Map.of("blink", 0.5))));
    }

    @Test
    void onTwosAKeyedDialMovesEveryOtherFrame() {
        Shot shot = new ShotEdit.Expose(2, 0, 2)
                .apply(keyed(SHOT, "blink", new DialKey(4, 0, Way.EVEN), new DialKey(8, 1, Way.HOLD)));
        assertThat(at(shot, 7, Pose.REST).dials()).containsEntry("blink", 0.5);
        assertThat(new Playhead(new Evaluator(FACE), shot).valuesOf("blink")[7]).isEqualTo(0.75);
        assertThat(new Playhead(new Evaluator(FACE), shot).valuesOf("no such dial"))
                .isEmpty();
    }

    @Test
    void looksCuesAndBlinksComeOnTopOfKeys() {
        Character c = FACE.withLibrary(
                l -> l.withLooks(List.of(new Look("smile", "Smile", "", Map.of("blink", 0.4), Map.of()))));
        Shot shot = keyed(SHOT, "blink", new DialKey(0, 0.1, Way.HOLD));
        Shot smiling = new ActingEdit.SetLook(-1, new LookSpan(4, 20, "smile", 0, 0, 0.5)).apply(shot);
        Evaluator face = new Evaluator(c);
        assertThat(new Playhead(face, smiling).frameAt(10, Pose.REST))
                .isEqualTo(new Playhead(face, SHOT).frameAt(10, Pose.of(Map.of("blink", 0.3))));
        assertThat(new Playhead(face, smiling).frameAt(3, Pose.REST))
                .isEqualTo(new Playhead(face, shot).frameAt(3, Pose.REST));
        assertThat(new ActingEdit.LiftLook(4, "smile").apply(smiling)).isEqualTo(shot);
        Refused.because(RefusalCode.GONE, () -> new ActingEdit.LiftLook(5, "smile").apply(smiling));
    }

    @Test
    void aCueIsAddedStrongerLongerReversedAndMoreThanOnce() {
        Shot plain = new ActingEdit.SetPlacement(-1, new CuePlacement(2, "cue-roll")).apply(SHOT);
        int last = FACE.cue("cue-roll").orElseThrow().frames() - 1;
        for (int f = 0; f <= last; f++) {
            Map<String, Double> once = at(plain, 2 + f, Pose.REST).cues();
            Shot half = new ActingEdit.SetPlacement(2, new CuePlacement(2, "cue-roll", 0.5, 0, 1, false)).apply(plain);
            Map<String, Double> weak = at(half, 2 + f, Pose.REST).cues();
            once.forEach((dial, by) -> assertThat(weak.get(dial)).isCloseTo(by / 2, within(1e-12)));
            Shot back = new ActingEdit.SetPlacement(2, new CuePlacement(2, "cue-roll", 1, 0, 1, true)).apply(plain);
            if (2 + last - f < SHOT.frames() && 2 + f < SHOT.frames()) {
                assertThat(at(back, 2 + last - f, Pose.REST).cues()).isEqualTo(once);
            }
            Shot twice = new ActingEdit.SetPlacement(2, new CuePlacement(0, "cue-roll", 1, 2 * last + 1, 1, false))
                    .apply(plain);
            if (2 * f < SHOT.frames()) {
                assertThat(at(twice, 2 * f, Pose.REST).cues()).isEqualTo(once);
            }
        }
        CuePlacement again = new CuePlacement(0, "cue-roll", 1, 4, 3, false);
        assertThat(again.lasts(FACE.cue("cue-roll").orElseThrow())).isEqualTo(12);
        assertThat(again.at(5, FACE.cue("cue-roll").orElseThrow(), Set.of()))
                .isEqualTo(again.at(1, FACE.cue("cue-roll").orElseThrow(), Set.of()));
        assertThatThrownBy(() -> new CuePlacement(0, "cue-roll", 9, 0, 1, false))
                .hasMessageContaining("9.0");
    }

    @Test
    void aDrawingIsHeldForAStretchAndWhatIsGoneIsSkipped() {
        String mouth = FACE.part(PartRole.MOUTH).orElseThrow().id();
        String drawing =
                FACE.part(PartRole.MOUTH).orElseThrow().drawings().get(0).id();
        Shot held = new ActingEdit.HoldDrawing(mouth, new HeldDrawing(5, 9, drawing)).apply(SHOT);
        assertThat(at(held, 5, Pose.REST).picks()).containsEntry(mouth, drawing);
        assertThat(at(held, 9, Pose.REST).picks()).isEmpty();
        Shot gone = new ActingEdit.HoldDrawing("no such part", new HeldDrawing(5, 9, "x"))
                .apply(keyed(held, "no such dial", new DialKey(5, 3, Way.HOLD)));
        Evaluator face = new Evaluator(FACE);
        assertThat(new Playhead(face, gone).frameAt(6, Pose.REST))
                .isEqualTo(new Playhead(face, held).frameAt(6, Pose.REST));
        assertThat(gone.tracks().dials()).as("and kept").containsKey("no such dial");
    }

    @Test
    void whyNamesTheTrack() {
        Shot shot = keyed(SHOT, "blink", new DialKey(4, 0, Way.EVEN), new DialKey(8, 1, Way.HOLD));
        Playhead head = new Playhead(new Evaluator(FACE), shot);
        assertThat(head.why(6, "upper-lid-left", Pose.REST).toString()).contains("keyed at frames 5 to 9");
        assertThat(head.why(20, "upper-lid-left", Pose.REST).toString()).contains("keyed at frame 9");
        assertThat(head.why(6, "upper-lid-left", Pose.of(Map.of("blink", 0.5))).toString())
                .as("the hand holds it")
                .doesNotContain("keyed");
    }

    @Test
    void aShotWithoutKeysIsItsLine() {
        Shot silent = Shot.silent("look", TrackRules.at(24), 30);
        Evaluator face = new Evaluator(FACE);
        assertThat(new Playhead(face, silent).frameAt(12, Pose.REST))
                .isEqualTo(new Playhead(face, SHOT).frameAt(0, Pose.REST));
        Shot placed = new LayoutEdit.PlaceLine(10, LINE).apply(silent);
        assertThat(placed.frames()).isEqualTo(34);
        Shot plain = new ShotEdit.Expose(1, 0, 2).apply(placed);
        for (int f = 0; f < 24; f++) {
            assertThat(new Playhead(face, plain).frameAt(10 + f, Pose.REST))
                    .as("frame %s", f)
                    .isEqualTo(new Playhead(face, SHOT).frameAt(f, Pose.REST));
        }
    }

    @Test
    void linesArePlacedMovedAndLiftedAndNeverSpeakAtOnce() {
        Shot two = new LayoutEdit.PlaceLine(13, LINE).apply(SHOT);
        assertThat(two.frames()).isEqualTo(37);
        assertThat(two.phones()).hasSize(4);
        Refused.because(RefusalCode.FRAME_TAKEN, () -> new LayoutEdit.PlaceLine(11, LINE).apply(SHOT));
        Refused.because(RefusalCode.FRAME_TAKEN, () -> new LayoutEdit.MoveLine(13, 1).apply(two));
        Shot moved = new LayoutEdit.MoveLine(13, 40).apply(two);
        assertThat(moved.frames()).isEqualTo(64);
        assertThat(new LayoutEdit.LiftLine(40).apply(moved).lines()).isEqualTo(SHOT.lines());
        Refused.because(RefusalCode.GONE, () -> new LayoutEdit.LiftLine(13).apply(moved));
        assertThat(new LayoutEdit.SetLength(57).apply(moved).frames()).isEqualTo(57);
        Refused.because(RefusalCode.BEYOND_SHOT, () -> new LayoutEdit.SetLength(56).apply(moved));
        Refused.because(RefusalCode.BEYOND_SHOT, () -> new LayoutEdit.SetLength(20_001).apply(SHOT));
    }

    /** Whatever order a hand makes them in: keys of several dials, drawings and looks lie on tracks of their own. */
    @Seeded(tries = 100)
    void whatIsActedDoesNotDependOnTheOrderItWasActedIn(Random r) {
        List<ShotEdit> edits = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            int f = 2 * i;
            edits.add(new ActingEdit.SetKeys(
                    Map.of(r.nextBoolean() ? "blink" : "gaze", List.of(new DialKey(f, r.nextDouble(), Way.SMOOTH)))));
        }
        edits.add(new ActingEdit.SetLook(-1, new LookSpan(3, 9, "smile", 2, 2, 1)));
        edits.add(new ActingEdit.HoldDrawing("hand", new HeldDrawing(3, 9, "fist")));
        edits.add(new ActingEdit.WriteNote(-1, new ShotNote(3, 9, "eyes lead", "Ilse")));
        Shot one = SHOT;
        for (ShotEdit e : edits) {
            one = e.apply(one);
        }
        Collections.shuffle(edits, r);
        Shot other = SHOT;
        for (ShotEdit e : edits) {
            other = e.apply(other);
        }
        assertThat(other).isEqualTo(one);
    }

    @Test
    void everyChangeOfTracksSaysWhatItDoesAndWhatItTouches() {
        List<Track> turn = List.of(Track.dial("turn"));
        Strip strip = new Strip(4, turn, Tracks.EMPTY.withKeys("turn", List.of(new DialKey(1, 3, Way.HOLD))));
        Shot put = new ActingEdit.PasteFrames(2, strip, 3).apply(SHOT);
        assertThat(put.tracks().dials().get("turn").stream().map(DialKey::frame))
                .containsExactly(3, 7, 11);
        Map<ShotEdit, String> said = Map.of(
                new ActingEdit.SetKeys(Map.of("turn", List.of(new DialKey(2, 1, Way.HOLD)))),
                "Keyed turn at frame 3",
                new ActingEdit.ClearFrames(turn, 2, 3),
                "Took out what turn holds at frame 3",
                new ActingEdit.MoveFrames(turn, 2, 5, 1),
                "Moved what turn holds from frame 3 to 5 by 1 frame",
                new ActingEdit.PasteFrames(2, strip, 3),
                "Put 4 frames in at frame 3, 3 times",
                new ActingEdit.InsertFrames(turn, 2, 1),
                "Put 1 empty frame in at frame 3 of turn",
                new ActingEdit.TakeOutFrames(turn, 2, 5),
                "Took frames 3 to 5 out of turn",
                new ActingEdit.StretchFrames(turn, 2, 5, 6),
                "Drew what turn holds from frame 3 to 5 out to 6 frames");
        said.forEach((edit, words) -> {
            assertThat(edit.describe()).isEqualTo(words);
            assertThat(edit.touches()).singleElement().satisfies(t -> assertThat(t.word())
                    .isEqualTo("keys along turn"));
            edit.apply(put);
        });
        Refused.because(RefusalCode.BEYOND_SHOT, () -> new ActingEdit.PasteFrames(2, strip, 0).apply(SHOT));
        Refused.because(RefusalCode.BEYOND_SHOT, () -> new ActingEdit.PasteFrames(2, strip, 501).apply(SHOT));
        Refused.because(
                RefusalCode.BEYOND_SHOT,
                () -> new ActingEdit.SetKeys(Map.of("turn", List.of(new DialKey(24, 1, Way.HOLD)))).apply(SHOT));
        Refused.because(RefusalCode.NO_CHANGE, () -> new ActingEdit.SetKeys(Map.of()).apply(SHOT));
        Refused.because(
                RefusalCode.FRAME_TAKEN,
                () -> Tracks.EMPTY.withKeys("turn", List.of(new DialKey(2, 1, Way.HOLD), new DialKey(2, 2, Way.HOLD))));
        Refused.because(
                RefusalCode.TRACK_FULL,
                () -> Tracks.EMPTY.withNotes(Collections.nCopies(Tracks.MOST + 1, new ShotNote(0, 1, "x", ""))));
        assertThatThrownBy(() -> new ShotNote(0, 1, " ", "")).hasMessageContaining("1 to 1000");
        assertThatThrownBy(() -> new Track(Track.Sort.DIAL, "")).hasMessageContaining("whose");
        assertThatThrownBy(() -> new Track(Track.Sort.LOOKS, "x")).hasMessageContaining("'x'");
    }

    /** Played over the same shot without those keys, the cue is what the keys were. */
    /** Whoever shows a shot has to know at once what of it is another: there may be sixty tracks of a thousand keys. */
    @Test
    void whatAnEditDoesNotTouchStaysTheVerySame() {
        Shot both = keyed(keyed(SHOT, "turn", new DialKey(3, 4, Way.HOLD)), "blink", new DialKey(9, 1, Way.HOLD));
        both = new ActingEdit.HoldDrawing("nose", new HeldDrawing(2, 9, "nose")).apply(both);
        Shot after = keyed(both, "turn", new DialKey(8, 2, Way.EVEN));
        assertThat(after.tracks().dials().get("blink"))
                .isSameAs(both.tracks().dials().get("blink"));
        assertThat(after.tracks().drawings().get("nose"))
                .isSameAs(both.tracks().drawings().get("nose"));
        assertThat(after.tracks().dials().get("turn"))
                .isNotEqualTo(both.tracks().dials().get("turn"));
        assertThatThrownBy(() -> after.tracks().dials().get("turn").add(new DialKey(1, 1, Way.HOLD)))
                .isInstanceOf(UnsupportedOperationException.class);
    }

    @Test
    void aStretchKeptAsACueDoesWhatItsKeysDid() {
        Shot shot = keyed(
                SHOT,
                "blink",
                new DialKey(2, 0.2, Way.SMOOTH),
                new DialKey(8, 0.6, Way.HOLD),
                new DialKey(12, 0.1, Way.EVEN),
                new DialKey(18, 0.5, Way.HOLD));
        List<Track> tracks = List.of(Track.dial("blink"), Track.of(Track.Sort.LOOKS));
        Cue cue = KeptCue.of(shot, tracks, 4, 17, "cue-own", "Own");
        double base = at(shot, 4, Pose.REST).dials().get("blink");
        for (int f = 4; f < 17; f++) {
            assertThat(base + cue.at(f - 4).get("blink"))
                    .as("frame %s", f)
                    .isCloseTo(at(shot, f, Pose.REST).dials().get("blink"), within(1e-9));
        }
        assertThat(cue.tracks().get("blink").size())
                .as("an even way needs no keys")
                .isLessThan(13);
        Refused.because(RefusalCode.NO_CHANGE, () -> KeptCue.of(shot, tracks, 8, 11, "c", "C"));
        Refused.because(RefusalCode.BEYOND_SHOT, () -> KeptCue.of(shot, tracks, 0, 400, "c", "C"));
    }

    @Test
    void keyedTurnsAndGazesDrawBlinks() {
        String dial = FACE.controls().dials().stream()
                .filter(d -> d.purpose() == Purpose.GAZE_ACROSS)
                .findFirst()
                .orElseThrow()
                .id();
        Shot jump = keyed(SHOT, dial, new DialKey(2, 0, Way.HOLD), new DialKey(12, 1, Way.HOLD));
        assertThat(GazeShifts.of(jump, FACE)).containsExactly(11);
        Shot quick = keyed(SHOT, dial, new DialKey(6, 0, Way.EVEN), new DialKey(8, 1, Way.HOLD));
        assertThat(GazeShifts.of(quick, FACE)).containsExactly(6);
    }
}
