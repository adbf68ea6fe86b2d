package app.leeward.core.eye;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Point;
import app.leeward.core.edit.BendLidLine;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.JoinDials;
import app.leeward.core.edit.MakeDial;
import app.leeward.core.edit.MakeLooks;
import app.leeward.core.edit.MendLid;
import app.leeward.core.edit.MirrorSide;
import app.leeward.core.edit.OffsetPupil;
import app.leeward.core.edit.Outcome;
import app.leeward.core.edit.RestLids;
import app.leeward.core.edit.SplitDial;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Look;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Geometry;

/** Lids by themselves, one side alone, resting elsewhere, and meeting on a bent line: measured as areas by JTS. */
class LidsTest {
    private static final Character FACE = Rigs.hung(Rigs.face());

    private static Character done(Character c, Edit e) {
        Outcome outcome = Edits.apply(c, e);
        assertThat(outcome).as(e.describe(c) + " " + outcome).isInstanceOf(Outcome.Done.class);
        return ((Outcome.Done) outcome).character();
    }

    private static double white(Character c, Map<String, Double> dials, String side) {
        Frame f = new Evaluator(c).frame(Pose.of(dials));
        Fills fills = new Fills(c);
        Geometry open = fills.in(f, "eye-white-" + side)
                .orElseThrow()
                .difference(fills.in(f, "upper-lid-" + side).orElseThrow())
                .difference(fills.in(f, "lower-lid-" + side).orElseThrow());
        return open.getArea();
    }

    @Test
    void aBlinkTakenApartIsAWinkAndPutTogetherTheSameBlink() {
        Character winking = done(FACE, new SplitDial(List.of("blink")));
        assertThat(white(winking, Map.of("blink-left", 1.0), "left")).isZero();
        assertThat(white(winking, Map.of("blink-left", 1.0), "right"))
                .isCloseTo(white(FACE, Map.of(), "right"), within(1e-9));
        assertThat(done(winking, new JoinDials(List.of("blink-right")))).isEqualTo(FACE);
        assertThat(Edits.apply(FACE, new SplitDial(List.of("turn"))))
                .as("a turn poses what is neither left nor right")
                .isInstanceOf(Outcome.Refused.class);
        assertThat(Edits.apply(FACE, new JoinDials(List.of("blink")))).isInstanceOf(Outcome.Refused.class);
        assertThat(Edits.apply(FACE, new SplitDial(List.of("gone")))).isInstanceOf(Outcome.Refused.class);
    }

    @Test
    void aBlinkThatIsApartStaysApartWhenALidIsMended() {
        Character mended = done(done(FACE, new SplitDial(List.of("blink"))), new MendLid("upper-lid-left"));
        assertThat(mended.dial("blink")).isEmpty();
        assertThat(white(mended, Map.of("blink-left", 1.0), "left")).isZero();
        assertThat(EyeCheck.of(mended))
                .as("one lid was made larger, but shut is shut")
                .noneMatch(f -> f.kind() == EyeFinding.Kind.UNCOVERED);
    }

    @Test
    void looksFollowADialTakenApart() {
        Character c = done(FACE, new MakeDial(ReadyMade.BROW_RAISE))
                .withLibrary(library ->
                        library.withLooks(List.of(new Look("l", "Up", "", Map.of("brow-raise", 0.7), Map.of()))));
        Character apart = done(c, new SplitDial(List.of("brow-raise")));
        assertThat(apart.look("l").orElseThrow().dials())
                .isEqualTo(Map.of("brow-raise-left", 0.7, "brow-raise-right", 0.7));
        assertThat(done(apart, new JoinDials(List.of("brow-raise-left")))).isEqualTo(c);
    }

    @Test
    void lidRulersGoAsFarAsTheBlinkAndTogetherShutTheEye() {
        Character c = done(done(FACE, new MakeDial(ReadyMade.UPPER_LIDS)), new MakeDial(ReadyMade.LOWER_LIDS));
        assertThat(white(c, Map.of("lids-upper", 1.0, "lids-lower", 1.0), "left"))
                .isZero();
        assertThat(white(c, Map.of("lids-upper", 1.0), "left")).isPositive();
        assertThat(white(c, Map.of("lids-upper", 1.0, "blink", 1.0, "lids-lower", 0.6), "left"))
                .as("nothing takes a lid past where the blink shuts it")
                .isZero();
        double open = white(c, Map.of(), "left");
        double half = white(c, Map.of("lids-upper", 0.5), "left");
        assertThat(half).isBetween(0.3 * open, 0.9 * open);
    }

    @Seeded(tries = 40)
    void lidsThatRestElsewhereStillShut(
            @Between(min = -0.5, max = 0.9) double upper, @Between(min = -0.5, max = 0.9) double lower) {
        Character c = done(FACE, new RestLids(upper, lower));
        assertThat(white(c, Map.of("blink", 1.0), "left")).isLessThan(0.05);
        assertThat(white(c, Map.of("blink", 1.0), "right")).isLessThan(0.05);
        double[] rest = LidLine.resting(c);
        assertThat(rest[0]).isCloseTo(upper, within(0.02));
        if (upper > 0.2) {
            assertThat(white(c, Map.of(), "left")).isLessThan(white(FACE, Map.of(), "left"));
        }
    }

    @Test
    void lidsAreRestedAsDrawnAgainAndOutsideTheirWayRefused() {
        Character back = done(done(FACE, new RestLids(0.4, 0.2)), new RestLids(0, 0));
        assertThat(white(back, Map.of(), "left")).isCloseTo(white(FACE, Map.of(), "left"), within(1e-6));
        assertThat(Edits.apply(FACE, new RestLids(0.95, 0))).isInstanceOf(Outcome.Refused.class);
        assertThat(Edits.apply(FACE, new RestLids(0, -2))).isInstanceOf(Outcome.Refused.class);
        Character lidless = Rigs.hung(Rigs.group("", Rigs.layer("eye white left", Rigs.ellipse(50, 50, 20, 10))));
        assertThat(Edits.apply(lidless, new RestLids(0.2, 0))).isInstanceOf(Outcome.Refused.class);
        assertThat(Edits.apply(lidless, new BendLidLine(0, 4, 0))).isInstanceOf(Outcome.Refused.class);
    }

    @Seeded(tries = 60)
    void lidsBentTogetherStillShutTheEye(
            @Between(min = -10, max = 10) double inner,
            @Between(min = -10, max = 10) double middle,
            @Between(min = -10, max = 10) double outer) {
        Character c = done(FACE, new BendLidLine(inner, middle, outer));
        assertThat(white(c, Map.of("blink", 1.0), "left")).isLessThan(0.05);
        assertThat(white(c, Map.of("blink", 1.0), "right"))
                .isCloseTo(white(c, Map.of("blink", 1.0), "left"), within(1e-3));
        assertThat(c.origin().notes()).noneMatch(n -> n.code().equals("blink-squashed"));
    }

    @Test
    void theLidLineIsBentWhereItIsAsked() {
        Character c = done(FACE, new BendLidLine(0, 8, 0));
        double edge =
                c.part("upper-lid-left").orElseThrow().bounds().orElseThrow().maxY();
        double was =
                FACE.part("upper-lid-left").orElseThrow().bounds().orElseThrow().maxY();
        assertThat(edge - was).isCloseTo(8, within(0.05));
    }

    @Test
    void worstCasesAreOrderedAndTheirPosesShowThem() {
        Character c = done(
                done(done(FACE, new MakeDial(ReadyMade.SQUINT)), new MakeDial(ReadyMade.CONVERGENCE)), new MakeLooks());
        List<WorstCases.Case> worst = WorstCases.of(c, 6);
        List<WorstCases.Case> pupils =
                worst.stream().filter(w -> w.kind() == WorstCases.Kind.PUPIL).toList();
        assertThat(pupils).hasSizeBetween(2, 6);
        assertThat(pupils.get(0).amount())
                .isLessThanOrEqualTo(pupils.get(pupils.size() - 1).amount());
        assertThat(pupils.get(0).amount())
                .as("some pair of ends takes a part of the pupil")
                .isLessThan(0.9);
        WorstCases.Case first = pupils.get(0);
        Frame f = new Evaluator(c).frame(Pose.of(first.dials()));
        Fills fills = new Fills(c);
        String side = first.eye().endsWith("left") ? "left" : "right";
        Geometry pupil = fills.in(f, "pupil-" + side).orElseThrow();
        double left = pupil.intersection(fills.in(f, "eye-white-" + side).orElseThrow())
                        .getArea()
                / pupil.getArea();
        assertThat(left).isCloseTo(first.amount(), within(1e-3));
        assertThat(worst)
                .filteredOn(w -> w.kind() == WorstCases.Kind.WHITE)
                .as("shut is shut at the ends of any two dials")
                .isEmpty();
    }

    @Test
    void onePupilIsSetApartAndTheOtherStaysThoughTheyWereLinked() {
        Character linked = done(FACE, new MirrorSide("eye-left"));
        Character apart = done(linked, new OffsetPupil("eye-left", 3, -2));
        Frame before = new Evaluator(linked).frame(Pose.REST);
        Frame after = new Evaluator(apart).frame(Pose.REST);
        for (String piece : List.of("pupil-left", "iris-left")) {
            Point was = before.of(piece).orElseThrow().matrix().apply(new Point(540, 490));
            Point is = after.of(piece).orElseThrow().matrix().apply(new Point(540, 490));
            assertThat(is.x() - was.x()).isCloseTo(3, within(1e-9));
            assertThat(is.y() - was.y()).isCloseTo(-2, within(1e-9));
        }
        assertThat(after.of("pupil-right").orElseThrow().matrix())
                .isEqualTo(before.of("pupil-right").orElseThrow().matrix());
        assertThat(apart.rig().linkOf("eye-white-left"))
                .as("what was not moved stays linked")
                .isPresent();
        assertThat(apart.controls().pads().get(0).field())
                .as("the field is measured anew")
                .isNotEqualTo(linked.controls().pads().get(0).field());
        assertThat(Edits.apply(FACE, new OffsetPupil("nose", 1, 0))).isInstanceOf(Outcome.Refused.class);
        assertThat(Edits.apply(FACE, new OffsetPupil("eye-left", 1e9, 0))).isInstanceOf(Outcome.Refused.class);
    }

    /** Art in which an eye lies inside an eye of the same side: hung without a circle, evaluated, measured, nothing lost. */
    @Test
    void anEyeDrawnInsideAnEyeIsHungAndMeasured() {
        Character c = Rigs.hung(Rigs.group(
                "",
                Rigs.layer("face skin", Rigs.ellipse(500, 500, 100, 120)),
                Rigs.group(
                        "eye left",
                        Rigs.layer("white left", Rigs.ellipse(540, 490, 24, 20)),
                        Rigs.group(
                                "eye left",
                                Rigs.layer("white left", Rigs.ellipse(540, 490, 12, 10)),
                                Rigs.layer("pupil left", Rigs.ellipse(540, 490, 4, 4))))));
        assertThat(c.rig().parts().stream()
                        .filter(p -> p.role() == PartRole.WHITE && !p.drawings().isEmpty()))
                .as("no white is lost")
                .isNotEmpty();
        Frame f = new Evaluator(c).frame(Pose.REST);
        assertThat(f.placed()).extracting(Frame.Placed::part).contains("pupil-left");
        for (Frame.Placed p : f.placed()) {
            assertThat(p.windows())
                    .as(p.part() + " does not look through itself")
                    .doesNotContain(p.part());
        }
        EyeCheck.of(c).forEach(found -> assertThat(found.message()).isNotBlank());
        assertThat(EyeView.of(c, Pose.REST)).isNotEmpty();
    }
}
