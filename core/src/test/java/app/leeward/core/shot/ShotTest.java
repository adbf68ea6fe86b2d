package app.leeward.core.shot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Refused;
import app.leeward.core.Rigs;
import app.leeward.core.cue.Blink;
import app.leeward.core.cue.Cue;
import app.leeward.core.cue.Key;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MakeCues;
import app.leeward.core.edit.Nudge;
import app.leeward.core.edit.Outcome;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Blend;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Pose;
import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class ShotTest {
    private static final Character FACE = Rigs.hung(Rigs.face());
    private static final DialogueLine LINE = new DialogueLine(
            "ma",
            "hash",
            1.0,
            List.of(),
            List.of(new TimedPhone(Phone.M, 0.3, 0.4), new TimedPhone(Phone.AA, 0.4, 0.8)),
            List.of(),
            0);
    private static final Shot SHOT = new Shot("ma", LINE, TrackRules.at(24), Map.of());

    private static String mouth(Shot shot, int frame, Pose live) {
        return new Playhead(new Evaluator(FACE), shot)
                .frameAt(frame, live)
                .of("mouth")
                .orElseThrow()
                .drawing();
    }

    @Test
    void theMouthFollowsTheLineWhileTheDialsAreHeldByHand() {
        Pose turned = Pose.of(Map.of("turn", 40.0, "blink", 1.0));
        assertThat(mouth(SHOT, 0, turned)).isEqualTo("rest");
        assertThat(mouth(SHOT, 7, turned)).isEqualTo("m-b-p");
        assertThat(mouth(SHOT, 12, turned)).isEqualTo("ah");
        Playhead playhead = new Playhead(new Evaluator(FACE), SHOT);
        assertThat(playhead.frameAt(12, turned).of("pupil-left").orElseThrow().matrix())
                .isEqualTo(new Evaluator(FACE)
                        .frame(turned)
                        .of("pupil-left")
                        .orElseThrow()
                        .matrix());
    }

    @Test
    void frameAtIsPureAndHoldsAtTheEnds() {
        Playhead p = new Playhead(new Evaluator(FACE), SHOT);
        assertThat(p.frameAt(12, Pose.REST)).isEqualTo(p.frameAt(12, Pose.REST));
        assertThat(p.frameAt(-5, Pose.REST)).isEqualTo(p.frameAt(0, Pose.REST));
        assertThat(p.frameAt(999, Pose.REST)).isEqualTo(p.frameAt(23, Pose.REST));
    }

    @Test
    void theSameShotIsPlayedOverADraftOfTheCharacter() {
        Character nudged = ((Outcome.Done) Edits.draft(FACE, new Nudge("nose", 4, 0))).character();
        Playhead other = new Playhead(new Evaluator(FACE), SHOT).with(new Evaluator(nudged));
        Playhead fresh = new Playhead(new Evaluator(nudged), SHOT);
        for (int f = 0; f < SHOT.frames(); f += 5) {
            assertThat(other.frameAt(f, Pose.REST)).isEqualTo(fresh.frameAt(f, Pose.REST));
        }
    }

    @Test
    void aCueIsPlayedOverAPoseFrameByFrame() {
        Cue cue = new Cue("nod", "Nod", Map.of("turn", List.of(new Key(0, 0), new Key(4, 8))));
        List<Pose> poses = CuePlay.of(FACE, cue, Pose.of(Map.of("turn", 10.0)));
        assertThat(poses).hasSize(5);
        assertThat(poses)
                .extracting(p -> new Evaluator(FACE).setting("turn", p))
                .containsExactly(10.0, 12.0, 14.0, 16.0, 18.0);
    }

    @Test
    void onTwosAFrameIsRoundedDownToItsExposure() {
        Shot twos = new ShotEdit.Expose(2, 1, 2).apply(SHOT);
        Playhead p = new Playhead(new Evaluator(FACE), twos);
        for (int f = 0; f < twos.frames(); f += 2) {
            assertThat(p.frameAt(f + 1, Pose.REST)).isEqualTo(p.frameAt(f, Pose.REST));
        }
    }

    @Test
    void aPinWinsOverSpeechAndReleasingGivesItBack() {
        Shot pinned = new ShotEdit.PinMouth(11, 13, "rest").apply(SHOT);
        assertThat(mouth(pinned, 12, Pose.REST)).isEqualTo("rest");
        Shot released = new ShotEdit.ReleaseMouth(11, 13).apply(pinned);
        assertThat(released).isEqualTo(SHOT);
        assertThatThrownBy(() -> new ShotEdit.PinMouth(20, 99, "rest").apply(SHOT))
                .hasMessage("Frames 20 to 99 do not lie within 0 to 23.");
    }

    /** Pinned from frame 12 on, a mouth comes over from what is said before it; of four frames the second leaves 1 − (3t² − 2t³), t = 2/5. */
    @Test
    void aPinnedMouthComesOverFromTheOneThatIsSaid() {
        Shot pinned = new ShotEdit.PinMouth(12, 18, "rest").apply(SHOT);
        Shot over = new ShotEdit.ComeOver(12, 4).apply(pinned);
        Playhead head = new Playhead(new Evaluator(FACE), over);
        assertThat(head.poseAt(11, Pose.REST).blends()).isEmpty();
        assertThat(head.poseAt(13, Pose.REST).blends().get("mouth"))
                .isEqualTo(new Blend(head.mouths().orElseThrow().at(11), "rest", 1 - 0.4 * 0.4 * (3 - 0.8)));
        assertThat(head.poseAt(16, Pose.REST).blends()).isEmpty();
        assertThat(head.shownBefore("mouth", 12)).contains("ah");
        assertThat(head.shownBefore("mouth", 0)).isEmpty();
        assertThat(head.shownBefore("nose", 5))
                .contains(FACE.part("nose").orElseThrow().shown());
        assertThat(new ShotEdit.ComeOver(12, 0).apply(over)).isEqualTo(pinned);
        assertThat(new ShotEdit.ReleaseMouth(12, 18).apply(over)).isEqualTo(SHOT);
        Refused.because(RefusalCode.NOT_HELD, () -> new ShotEdit.ComeOver(3, 2).apply(over));
        Refused.because(RefusalCode.PLAY_LENGTH, () -> new ShotEdit.ComeOver(12, -1).apply(over));
        Shot later = new ActingEdit.MoveFrames(List.of(Track.of(Track.Sort.MOUTHS)), 12, 19, 2).apply(over);
        assertThat(later.tracks().pinsOver()).as("it goes with its mouth").isEqualTo(Map.of(14, 4));
    }

    @Test
    void aLineWhoseSoundsOverlapCannotBeMade() {
        List<TimedPhone> both = List.of(new TimedPhone(Phone.M, 0, 0.4), new TimedPhone(Phone.AA, 0.3, 0.8));
        assertThatThrownBy(() -> new DialogueLine("x", "h", 1, List.of(), both, List.of(), 0))
                .hasMessageContaining("overlap at 0.3");
    }

    private static double lid(Shot shot, int frame, Pose live) {
        return new Playhead(new Evaluator(BLINKING), shot)
                .frameAt(frame, live)
                .of("upper-lid-left")
                .orElseThrow()
                .matrix()
                .f();
    }

    private static final Character BLINKING = ((Outcome.Done) Edits.apply(FACE, new MakeCues())).character();

    @Test
    void blinksAddToWhateverTheDialsDoAndAreHeldAtShut() {
        Shot ones = new ShotEdit.Expose(1, 1, 2).apply(SHOT);
        Shot blinking = new ShotEdit.SetBlink(-1, new Blink(4, 2, 1, 2)).apply(ones);
        double open = lid(ones, 6, Pose.REST);
        double shut = lid(ones, 6, Pose.of(Map.of("blink", 1.0)));
        assertThat(lid(blinking, 4, Pose.REST)).isCloseTo(open, within(1e-9));
        assertThat(lid(blinking, 5, Pose.REST)).isCloseTo((open + shut) / 2, within(1e-9));
        assertThat(lid(blinking, 6, Pose.REST)).isCloseTo(shut, within(1e-9));
        assertThat(lid(blinking, 7, Pose.REST)).isCloseTo(shut, within(1e-9));
        assertThat(lid(blinking, 9, Pose.REST)).isCloseTo(open, within(1e-9));
        assertThat(lid(blinking, 6, Pose.of(Map.of("blink", 0.7)))).isCloseTo(shut, within(1e-9));
    }

    @Test
    void blinksAreMovedTakenAwayAndKeptApart() {
        Shot one = new ShotEdit.SetBlink(-1, Blink.at(4)).apply(SHOT);
        Shot moved = new ShotEdit.SetBlink(4, new Blink(6, 3, 2, 3)).apply(one);
        assertThat(moved.tracks().blinks()).containsExactly(new Blink(6, 3, 2, 3));
        assertThatThrownBy(() -> new ShotEdit.SetBlink(-1, Blink.at(10)).apply(moved))
                .hasMessageContaining("frame 10")
                .hasMessageContaining("frame 6");
        assertThatThrownBy(() -> new ShotEdit.SetBlink(-1, Blink.at(20)).apply(moved))
                .hasMessageContaining("last frame is 23");
        assertThat(new ShotEdit.DropBlink(6).apply(moved).tracks().blinks()).isEmpty();
        Refused.because(RefusalCode.EXPOSURE, () -> new ShotEdit.Expose(9, 1, 2).apply(SHOT));
        Refused.because(RefusalCode.GONE, () -> new ShotEdit.DropBlink(7).apply(moved));
        Refused.because(RefusalCode.BLINKS_OVERLAP, () -> new ShotEdit.SetBlink(-1, Blink.at(10)).apply(moved));
        assertThat(new ShotEdit.LayBlinks(60, 1, null).apply(SHOT))
                .isEqualTo(new ShotEdit.LayBlinks(60, 1, null).apply(moved));
    }

    @Test
    void theUsualFourComeWithTheDialTheyNeed() {
        assertThat(FACE.dial("squint")).isEmpty();
        assertThat(BLINKING.dial("squint")).isPresent();
        assertThat(BLINKING.library().cues()).hasSize(4);
    }

    @Test
    void aCueIsDroppedInPlaysAndIsTakenOut() {
        Shot ones = new ShotEdit.Expose(1, 1, 2).apply(SHOT);
        Shot looking = new ShotEdit.DropIn(2, "cue-look-round").apply(ones);
        Playhead plain = new Playhead(new Evaluator(BLINKING), ones);
        Playhead cued = new Playhead(new Evaluator(BLINKING), looking);
        assertThat(cued.frameAt(2, Pose.REST)).isEqualTo(plain.frameAt(2, Pose.REST));
        double there = cued.frameAt(8, Pose.REST)
                .of("pupil-left")
                .orElseThrow()
                .matrix()
                .e();
        assertThat(there)
                .as("the eyes look to the left of the screen")
                .isLessThan(plain.frameAt(8, Pose.REST)
                                .of("pupil-left")
                                .orElseThrow()
                                .matrix()
                                .e()
                        - 3);
        Shot gone = new ShotEdit.TakeOut(2, "cue-look-round").apply(looking);
        assertThat(gone).isEqualTo(ones);
        Shot unknown = new ShotEdit.DropIn(2, "cue-that-was-deleted").apply(ones);
        assertThat(new Playhead(new Evaluator(BLINKING), unknown).frameAt(8, Pose.REST))
                .as("a cue that is gone is skipped")
                .isEqualTo(plain.frameAt(8, Pose.REST));
        Refused.because(RefusalCode.BEYOND_SHOT, () -> new ShotEdit.DropIn(24, "cue-roll").apply(ones));
    }

    /** Look round: to one side, stay, to the other, stay, home; a roll goes on in one movement. */
    @Test
    void blinksAreDrawnToEveryJumpOfTheGazeWithinACue() {
        Shot looking = new ShotEdit.DropIn(2, "cue-look-round").apply(SHOT);
        assertThat(GazeShifts.of(looking, BLINKING)).containsExactly(2, 14);
        assertThat(GazeShifts.of(new ShotEdit.DropIn(3, "cue-roll").apply(SHOT), BLINKING))
                .containsExactly(3);
        assertThat(GazeShifts.of(new ShotEdit.DropIn(3, "cue-that-was-deleted").apply(SHOT), BLINKING))
                .isEmpty();
        ShotEdit.LayBlinks lay = new ShotEdit.LayBlinks(60, 9, null).near(looking, BLINKING);
        assertThat(lay.apply(looking).tracks().blinks())
                .as("the lids begin to fall a frame before the eyes go")
                .isNotEmpty()
                .allMatch(b -> b.frame() == 1 || b.frame() == 13 || b.frame() == 7);
    }

    @Test
    void aHeadTurnWithinACueDrawsABlinkHoweverSlowItIs() {
        Cue turn = new Cue("cue-turn", "Turn away", Map.of("turn", List.of(new Key(5, 0), new Key(20, 30))));
        Cue nod = new Cue("cue-still", "Stay", Map.of("turn", List.of(new Key(5, 0), new Key(6, 1))));
        Character c = BLINKING.withLibrary(library -> library.withCues(List.of(turn, nod)));
        assertThat(GazeShifts.of(new ShotEdit.DropIn(1, "cue-turn").apply(SHOT), c))
                .containsExactly(6);
        assertThat(GazeShifts.of(new ShotEdit.DropIn(1, "cue-still").apply(SHOT), c))
                .isEmpty();
    }
}
