package app.leeward.bench.faces;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.acting.FirstPass;
import app.leeward.core.acting.Spoken;
import app.leeward.core.acting.Temperament;
import app.leeward.core.cue.Laid;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Purpose;
import app.leeward.core.edit.BuildEyes;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MakeBrows;
import app.leeward.core.edit.MakeHeadDial;
import app.leeward.core.edit.MakeMouths;
import app.leeward.core.edit.MakeTurn;
import app.leeward.core.edit.Outcome;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.rig.Character;
import app.leeward.core.shot.ActingEdit;
import app.leeward.core.shot.DialKey;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.ShotEdit;
import app.leeward.core.shot.Way;
import app.leeward.core.shotcheck.ShotCheck;
import app.leeward.core.shotcheck.ShotFinding;
import app.leeward.core.shotcheck.ShotMend;
import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import app.leeward.core.turn.HeadDial;
import app.leeward.faces.Face;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/**
 * Shots acted by faces nobody has rigged before: what the first pass lays is clean wherever it is laid, what is planted is found, and a
 * mend leaves what it says.
 */
class ActedFacesTest {
    private static final long FIRST = 91_000;
    private static final int FACES = 24;

    private static final List<Spoken> WORDS = List.of(
            new Spoken("well", 0.4, 0.7, 0.5, 0.8, true, false),
            new Spoken("maybe", 0.7, 1.3, 0.9, 0.9, false, true),
            new Spoken("a", 2.0, 2.1, 2.05, 0.1, true, false),
            new Spoken("boat", 2.1, 2.7, 2.3, 0.95, false, true));
    private static final DialogueLine LINE = new DialogueLine(
            "well maybe a boat",
            "hash",
            3.5,
            List.of(),
            List.of(
                    new TimedPhone(Phone.W, 0.4, 0.5),
                    new TimedPhone(Phone.EH, 0.5, 0.6),
                    new TimedPhone(Phone.L, 0.6, 0.7),
                    new TimedPhone(Phone.M, 0.7, 0.85),
                    new TimedPhone(Phone.EY, 0.85, 1.05),
                    new TimedPhone(Phone.B, 1.05, 1.15),
                    new TimedPhone(Phone.IY, 1.15, 1.3),
                    new TimedPhone(Phone.AH, 2.0, 2.1),
                    new TimedPhone(Phone.B, 2.1, 2.25),
                    new TimedPhone(Phone.OW, 2.25, 2.5),
                    new TimedPhone(Phone.T, 2.5, 2.7)),
            List.of(),
            0);

    private static Character rigged(Character c) {
        List<Edit> edits = List.of(
                new BuildEyes(),
                new MakeMouths("", null, null, true, List.of()),
                new MakeBrows(),
                MakeTurn.of(Optional.empty()),
                new MakeHeadDial(HeadDial.NOD));
        Character now = c;
        for (Edit e : edits) {
            // a face that lacks what an edit needs does without
            now = Edits.apply(now, e) instanceof Outcome.Done done ? done.character() : now;
        }
        return now;
    }

    private static List<ShotFinding> check(Character c, Shot shot) {
        return ShotCheck.of(new Playhead(new Evaluator(c), shot));
    }

    @Test
    void theFirstPassIsCleanAndWhatIsPlantedIsFoundAndMendedAsSaid() {
        int laid = 0;
        int planted = 0;
        int mended = 0;
        for (long seed = FIRST; seed < FIRST + FACES; seed++) {
            Optional<Character> read = Trial.of(Face.of(seed)).character();
            if (read.isEmpty()) {
                continue;
            }
            Character c = rigged(read.get());
            Shot plain = new Shot("s", LINE, TrackRules.at(24), Map.of());
            for (int exposure : new int[] {1, 2}) {
                Shot shot = new ShotEdit.Expose(exposure, 1, 2).apply(plain);
                Shot acted = FirstPass.propose(
                                c, shot, WORDS, Temperament.LIVELY, 1.5, seed, EnumSet.allOf(Laid.Kind.class))
                        .apply(shot);
                laid += acted.tracks().dials().size();
                assertThat(check(c, acted))
                        .as("face %d acted on %ds", seed, exposure)
                        .noneMatch(f -> List.of("pops", "blink-never-shuts", "closure-open", "belongs-to-nothing")
                                .contains(f.code()));
            }
            Optional<Dial> turn = c.controls().dials().stream()
                    .filter(d -> d.purpose() == Purpose.TURN)
                    .filter(d -> c.controls().views().isEmpty())
                    .findFirst();
            if (turn.isPresent()) {
                Shot jump = new ActingEdit.SetKeys(Map.of(
                                turn.get().id(),
                                List.of(
                                        new DialKey(10, turn.get().from(), Way.HOLD),
                                        new DialKey(40, turn.get().to(), Way.HOLD))))
                        .apply(plain);
                List<ShotFinding> found = check(c, jump);
                assertThat(found)
                        .as("face %d turns from end to end in a frame", seed)
                        .anyMatch(f -> f.code().equals("pops") && f.frame() == 40);
                planted++;
                mended += mendsLeaveWhatTheySay(seed, c, jump, found);
            }
        }
        assertThat(laid).as("tracks the first pass laid").isGreaterThan(FACES);
        assertThat(planted).as("heads that turn").isGreaterThan(FACES / 2);
        assertThat(mended).as("pops that can be eased").isGreaterThan(planted / 2);
    }

    private static int mendsLeaveWhatTheySay(long seed, Character c, Shot shot, List<ShotFinding> found) {
        int made = 0;
        for (ShotFinding f : found) {
            for (ShotMend m : f.mends()) {
                Shot after = m.shot().map(e -> e.apply(shot)).orElse(shot);
                Character changed = m.character()
                        .map(e -> ((Outcome.Done) Edits.apply(c, e)).character())
                        .orElse(c);
                List<Double> left = new ArrayList<>(check(changed, after).stream()
                        .filter(x -> x.code().equals(f.code()) && x.subject().equals(f.subject()))
                        .filter(x -> x.from() <= f.to() && f.from() <= x.to())
                        .map(x -> x.measure().value())
                        .toList());
                left.add(0.0);
                double most = left.stream().mapToDouble(x -> x).max().orElseThrow();
                assertThat(most)
                        .as("face %d, %s of %s", seed, m.label(), f.message())
                        .isCloseTo(m.leaves(), within(1e-9))
                        .isLessThan(f.measure().value());
                made += f.code().equals("pops") ? 1 : 0;
            }
        }
        return made;
    }
}
