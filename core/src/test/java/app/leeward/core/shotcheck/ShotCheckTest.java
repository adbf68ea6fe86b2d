package app.leeward.core.shotcheck;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.check.Unit;
import app.leeward.core.cue.Blink;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.Purpose;
import app.leeward.core.dial.Stop;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.Outcome;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Pose;
import app.leeward.core.shot.ActingEdit;
import app.leeward.core.shot.DialKey;
import app.leeward.core.shot.HeldDrawing;
import app.leeward.core.shot.KitSpan;
import app.leeward.core.shot.LookSpan;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.ShotEdit;
import app.leeward.core.shot.Way;
import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import app.leeward.core.speech.TimedWord;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Faults are planted where frame and amount are known beforehand, by construction or by counting. */
class ShotCheckTest {
    private static final Character FACE = Rigs.hung(Rigs.face());
    private static final Shot SILENT = Shot.silent("look", TrackRules.at(24), 48);
    private static final DialogueLine MA = new DialogueLine(
            "ma ma",
            "hash",
            1.5,
            List.of(new TimedWord("ma", 0.2, 0.7, 0), new TimedWord("mah", 0.7, 1.3, 0)),
            List.of(
                    new TimedPhone(Phone.M, 0.25, 0.375),
                    new TimedPhone(Phone.AA, 0.375, 0.7),
                    new TimedPhone(Phone.M, 0.7, 0.83),
                    new TimedPhone(Phone.AA, 0.83, 1.2)),
            List.of(),
            0);
    private static final Shot SAID = new Shot("ma", MA, TrackRules.at(24), Map.of());

    private static List<ShotFinding> check(Character c, Shot shot) {
        return ShotCheck.of(new Playhead(new Evaluator(c), shot));
    }

    private static List<ShotFinding> check(Shot shot) {
        return check(FACE, shot);
    }

    private static Shot keyed(Shot shot, String dial, DialKey... keys) {
        return new ActingEdit.SetKeys(Map.of(dial, List.of(keys))).apply(shot);
    }

    private static ShotFinding only(List<ShotFinding> found, String code) {
        assertThat(found).filteredOn(f -> f.code().equals(code)).hasSize(1);
        return found.stream().filter(f -> f.code().equals(code)).findFirst().orElseThrow();
    }

    /** What is left when the first mend is made: measured anew, from the beginning. */
    private static List<ShotFinding> mended(Character c, Shot shot, ShotFinding f) {
        ShotMend mend = f.mends().get(0);
        if (mend.shot().isPresent()) {
            return check(c, mend.shot().get().apply(shot));
        }
        Outcome.Done done = (Outcome.Done) Edits.apply(c, mend.character().orElseThrow());
        return check(done.character(), shot);
    }

    @Test
    void aShotThatIsActedWellIsClean() {
        Shot acted = new ShotEdit.SetBlink(-1, new Blink(20, 3, 0, 3)).apply(SAID);
        acted = keyed(acted, "gaze-across", new DialKey(4, 0, Way.SMOOTH), new DialKey(12, 0.4, Way.HOLD));
        assertThat(check(acted)).isEmpty();
    }

    @Test
    void aClosureThatWasPinnedOpenIsToldWithItsWordAndMendedByLiftingThePin() {
        // the second m is heard from 0.7 to 0.83 s; mouths lead by one frame: 15.8 to 18.9
        Shot pinned = new ShotEdit.PinMouth(14, 20, "ah").apply(SAID);
        ShotFinding f = only(check(pinned), "closure-open");
        assertThat(f.from()).isEqualTo(15);
        assertThat(f.to()).isEqualTo(19);
        assertThat(f.message()).isEqualTo("The lips do not meet on the M of “mah”; the mouth shows “ah”.");
        assertThat(f.mends()).extracting(ShotMend::label).containsExactly("Lift the pin");
        assertThat(f.mends().get(0).leaves()).isZero();
        assertThat(mended(FACE, pinned, f)).isEmpty();
    }

    @Test
    void aPupilBeyondItsWindowIsMeasuredWhereItIsFurthestAndBroughtBack() {
        Dial far = new Dial(
                "roll",
                "Roll",
                Purpose.GAZE_ACROSS,
                -1,
                1,
                0,
                "",
                List.of(new Stop(1, Map.of("iris-left", Offset.shift(60, 0), "pupil-left", Offset.shift(60, 0)))),
                List.of());
        Character c = FACE.withDials(List.of(far), List.of());
        Shot shot = keyed(
                SILENT,
                "roll",
                new DialKey(10, 0, Way.EVEN),
                new DialKey(20, 0.5, Way.EVEN),
                new DialKey(30, 0, Way.HOLD));
        ShotFinding f = only(check(c, shot), "pupil-lost");
        // a pupil of 5 in a white of 24 that is moved by 60 a unit: nothing of it is left at 0.5
        assertThat(f.frame()).isBetween(20, 20);
        assertThat(f.measure().value()).isCloseTo(1, within(1e-9));
        assertThat(f.measure().unit()).isEqualTo(Unit.SHARE);
        // it touches the edge at 19 of 60: 0.317, and is all but gone at 29 of 60
        assertThat(f.from()).isBetween(17, 19);
        assertThat(f.to()).isBetween(22, 24);
        assertThat(f.mends()).isNotEmpty();
        assertThat(mended(c, shot, f))
                .allSatisfy(left -> assertThat(left.measure().value())
                        .isLessThan(f.measure().value()));
    }

    @Test
    void whiteThatShowsInAShutEyeIsToldOnTheFramesTheEyeIsShut() {
        // a lid that falls half as far as it must leaves white in the lower half of the eye
        Dial blink = FACE.dial("blink").orElseThrow();
        Dial shallow = new Dial(
                "blink",
                "Blink",
                Purpose.BLINK,
                0,
                1,
                0,
                "",
                List.of(new Stop(1, Map.of("upper-lid-left", Offset.shift(0, 20)))),
                List.of());
        assertThat(blink.purpose()).isEqualTo(Purpose.BLINK);
        Character c = FACE.withDials(List.of(shallow), List.of());
        Shot shot = new ShotEdit.SetBlink(-1, new Blink(10, 3, 4, 3)).apply(SILENT);
        ShotFinding f = only(check(c, shot), "white-shows");
        assertThat(f.from()).isEqualTo(13);
        assertThat(f.to()).isEqualTo(18);
        assertThat(f.subject().part()).isEqualTo("upper-lid-left");
        // an ellipse of 24 by 20 about 490, from the lid's edge at 492 to the lower one's at 508
        assertThat(f.measure().value()).isCloseTo(ellipse(24, 20, 2, 18), within(6.0));
    }

    /** Area of an ellipse between two heights over its middle, by counting thin slices. */
    private static double ellipse(double rx, double ry, double from, double to) {
        double area = 0;
        for (double y = from; y < to; y += 1e-3) {
            area += 2 * rx * Math.sqrt(Math.max(0, 1 - y * y / (ry * ry))) * 1e-3;
        }
        return area;
    }

    private static final Dial SLIDE = new Dial(
            "slide",
            "Slide",
            Purpose.OWN,
            0,
            100,
            0,
            "",
            List.of(new Stop(100, Map.of("nose", Offset.shift(100, 0)))),
            List.of());

    @Test
    void aPartThatJumpsInAHeldKeyPopsAndIsEasedInstead() {
        Character c = FACE.withDials(List.of(SLIDE), List.of());
        Shot shot = keyed(SILENT, "slide", new DialKey(5, 0, Way.HOLD), new DialKey(24, 60, Way.HOLD));
        ShotFinding f = only(check(c, shot), "pops");
        assertThat(f.frame()).isEqualTo(24);
        assertThat(f.measure().value()).isCloseTo(60, within(1e-9));
        assertThat(f.message()).isEqualTo("Nose jumps by 60, 30 % of the face's width, in one exposure.");
        assertThat(f.mends()).extracting(ShotMend::label).containsExactly("Come there over 4 exposures");
        assertThat(mended(c, shot, f)).isEmpty();
    }

    @Test
    void aFastMovementThatIsSpreadOverFramesIsNoPop() {
        Character c = FACE.withDials(List.of(SLIDE), List.of());
        // 25 units a frame is more than the 24 a part may jump, and is no jump
        Shot fast = keyed(SILENT, "slide", new DialKey(10, 0, Way.EVEN), new DialKey(14, 100, Way.HOLD));
        assertThat(check(c, fast)).isEmpty();
        Shot small = keyed(SILENT, "slide", new DialKey(10, 0, Way.HOLD), new DialKey(14, 23, Way.HOLD));
        assertThat(check(c, small)).isEmpty();
    }

    /** A nose with a second drawing far to the right of the first. */
    private static final Character TWO_NOSES = FACE.withPart(
            "nose",
            p -> p.withDrawings(List.of(p.drawings().get(0), Rigs.drawing("far", Rigs.ellipse(800, 520, 10, 14)))));

    @Test
    void aDrawingThatIsExchangedIsNoPop() {
        Shot cards = new ActingEdit.HoldDrawing("nose", new HeldDrawing(10, 30, "far")).apply(SILENT);
        Playhead played = new Playhead(new Evaluator(TWO_NOSES), cards);
        assertThat(played.frameAt(12, Pose.REST).of("nose").orElseThrow().drawing())
                .isEqualTo("far");
        assertThat(check(TWO_NOSES, cards)).isEmpty();
    }

    @Test
    void aPartThatLeavesTheCanvasIsToldByItsShare() {
        Dial away = new Dial(
                "away",
                "Away",
                Purpose.OWN,
                0,
                1,
                0,
                "",
                List.of(new Stop(1, Map.of("nose", Offset.shift(500, 0)))),
                List.of());
        Character c = FACE.withDials(List.of(away), List.of());
        Shot shot = keyed(SILENT, "away", new DialKey(0, 0, Way.EVEN), new DialKey(40, 1, Way.HOLD));
        ShotFinding f = only(check(c, shot), "off-canvas");
        assertThat(f.from())
                .as("its right edge, at 510, reaches 1000 in frame 39.2")
                .isEqualTo(40);
        assertThat(f.to()).isEqualTo(48);
        assertThat(f.measure().value()).isCloseTo(0.5, within(1e-6));
    }

    @Test
    void aBlinkBetweenTwoExposuresIsBroughtOntoOne() {
        Shot twos = new ShotEdit.Expose(2, 1, 2).apply(SILENT);
        Shot odd = new ShotEdit.SetBlink(-1, new Blink(10, 3, 0, 3)).apply(twos);
        ShotFinding f = only(check(odd), "blink-never-shuts");
        assertThat(f.measure().value()).isCloseTo(1.0 / 3, within(1e-9));
        assertThat(f.mends()).extracting(ShotMend::label).containsExactly("Begin it at frame 10");
        assertThat(mended(FACE, odd, f)).isEmpty();
        assertThat(check(new ShotEdit.SetBlink(-1, new Blink(11, 3, 0, 3)).apply(twos)))
                .isEmpty();
    }

    @Test
    void aCardThatIsTooShortIsHeldLonger() {
        Shot card = new ActingEdit.HoldDrawing("nose", new HeldDrawing(10, 11, "far")).apply(SILENT);
        ShotFinding f = only(check(TWO_NOSES, card), "shorter-than-hold");
        assertThat(f.frame()).isEqualTo(10);
        assertThat(f.message()).isEqualTo("“far” is shown for 1 frame; a drawing is held for 2.");
        assertThat(f.mends()).extracting(ShotMend::label).contains("Hold it longer");
        assertThat(mended(TWO_NOSES, card, f)).isEmpty();
    }

    @Test
    void whatBelongsToNothingIsKeptToldAndTakenOutOnRequest() {
        Shot shot = keyed(SILENT, "tail", new DialKey(3, 1, Way.HOLD), new DialKey(9, 2, Way.HOLD));
        shot = new ActingEdit.SetLook(-1, new LookSpan(5, 20, "gone-look", 2, 2, 1)).apply(shot);
        shot = new ActingEdit.WearKit(-1, new KitSpan(2, 30, "gone-kit")).apply(shot);
        shot = new ShotEdit.DropIn(7, "gone-cue").apply(shot);
        shot = new ActingEdit.HoldDrawing("wing", new HeldDrawing(1, 9, "up")).apply(shot);
        List<ShotFinding> found = check(shot);
        assertThat(found)
                .extracting(ShotFinding::message)
                .containsExactlyInAnyOrder(
                        "2 keys move the dial “tail”, which the character no longer has.",
                        "The look “gone-look” is laid, which the character no longer has.",
                        "The kit “gone-kit” is worn, which the character no longer has.",
                        "The cue “gone-cue” is dropped in, which the character no longer has.",
                        "A card shows the drawing “up” of “wing”, which the character no longer has.");
        Shot left = shot;
        for (ShotFinding f : found) {
            left = f.mends().get(0).shot().orElseThrow().apply(left);
        }
        assertThat(check(left)).isEmpty();
        assertThat(left.tracks()).isEqualTo(SILENT.tracks());
    }

    @Test
    void aFindingOverSeveralFramesIsToldOnceWithItsStretch() {
        Dial away = new Dial(
                "away",
                "Away",
                Purpose.OWN,
                0,
                1,
                0,
                "",
                List.of(new Stop(1, Map.of("nose", Offset.shift(500, 0)))),
                List.of());
        Character c = FACE.withDials(List.of(away), List.of());
        Shot twice = keyed(
                SILENT,
                "away",
                new DialKey(0, 1, Way.HOLD),
                new DialKey(10, 0, Way.HOLD),
                new DialKey(20, 1, Way.HOLD),
                new DialKey(30, 0, Way.HOLD));
        assertThat(check(c, twice))
                .filteredOn(f -> f.code().equals("off-canvas"))
                .extracting(f -> f.from() + "-" + f.to())
                .containsExactly("0-10", "20-30");
    }
}
