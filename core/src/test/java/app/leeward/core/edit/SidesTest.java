package app.leeward.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Point;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Mirror;
import app.leeward.core.rig.MirrorLink;
import app.leeward.core.rig.Model;
import app.leeward.core.rig.ModelLine;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Placement;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.Side;
import app.leeward.core.rig.Window;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Left from right and back: the reflection of {@code x} about the axis is {@code 2c - x}, everywhere. */
class SidesTest {
    private static final Character PLAIN = Rigs.hung(Rigs.face());

    private static Character done(Character c, Edit e) {
        Outcome outcome = Edits.apply(c, e);
        assertThat(outcome).as(e.describe(c)).isInstanceOf(Outcome.Done.class);
        return ((Outcome.Done) outcome).character();
    }

    private static Part part(Character c, String id) {
        return c.part(id)
                .orElseThrow(() -> new AssertionError(id + " in " + c.rig().order()));
    }

    private static void reflected(Box a, Box b) {
        assertThat(b.minX()).isCloseTo(1000 - a.maxX(), within(1e-9));
        assertThat(b.maxX()).isCloseTo(1000 - a.minX(), within(1e-9));
        assertThat(b.minY()).isEqualTo(a.minY());
    }

    @Test
    void aMissingEyeIsMadeWithItsPiecesWindowsAndDials() {
        Character oneEyed = done(
                PLAIN,
                new Discard(List.of(
                                "pupil-right",
                                "iris-right",
                                "eye-white-right",
                                "upper-lid-right",
                                "lower-lid-right",
                                "eye-right")
                        .stream()
                        .filter(id -> PLAIN.part(id).isPresent())
                        .toList()));
        Character both = done(oneEyed, new MirrorSide("eye-left"));
        assertThat(both.rig().parts()).hasSameSizeAs(PLAIN.rig().parts());
        for (Part left : PLAIN.rig().parts().stream()
                .filter(p -> p.side() == Side.LEFT && p.role().words().contains("eye"))
                .toList()) {
            Part right = Mirror.twinOf(both, left).orElseThrow();
            assertThat(right.name()).isEqualTo(Mirror.otherSide(left.name()));
            left.bounds().ifPresent(b -> reflected(b, right.bounds().orElseThrow()));
            assertThat(right.pivot().x()).isEqualTo(1000 - left.pivot().x());
        }
        String white = both.rig().parts().stream()
                .filter(p -> p.side() == Side.RIGHT && p.name().contains("white"))
                .findFirst()
                .orElseThrow()
                .id();
        Window window = both.rig().windows().stream()
                .filter(w -> w.by().equals(white))
                .findFirst()
                .orElseThrow();
        assertThat(window.masked()).hasSize(4).allMatch(m -> part(both, m).side() == Side.RIGHT);
        // a blink closes both alike
        Frame blink = new Evaluator(both).frame(Pose.of(Map.of("blink", 1.0)));
        double left = blink.of("upper-lid-left").orElseThrow().matrix().f();
        String lid =
                Mirror.twinOf(both, part(both, "upper-lid-left")).orElseThrow().id();
        assertThat(blink.of(lid).orElseThrow().matrix().f()).isEqualTo(left);
        // and a turn to one side narrows one as a turn to the other narrows its twin
        Frame there = new Evaluator(both).frame(Pose.of(Map.of("turn", 40.0)));
        Frame back = new Evaluator(both).frame(Pose.of(Map.of("turn", -40.0)));
        assertThat(back.of(white).orElseThrow().matrix().a())
                .isCloseTo(there.of("eye-white-left").orElseThrow().matrix().a(), within(1e-9));
    }

    @Test
    void mirroredTwiceIsWhatItWas() {
        Character once = done(PLAIN, new MirrorSide("brow-left"));
        Character twice = done(once, new MirrorSide("brow-right"));
        Part was = part(once, "brow-left");
        Part is = part(twice, "brow-left");
        assertThat(is.bounds()).isEqualTo(was.bounds());
        assertThat(is.pivot()).isEqualTo(was.pivot());
        assertThat(twice.rig().links()).containsExactly(new MirrorLink("brow-left", "brow-right"));
        Character flipped = Mirror.flip(Mirror.flip(PLAIN));
        for (Part p : PLAIN.rig().parts()) {
            assertThat(part(flipped, p.id()).pivot().distance(p.pivot())).isLessThan(1e-9);
        }
    }

    @Test
    void linkedSidesFollowEachOtherUntilTheLinkIsBroken() {
        Character linked = done(PLAIN, new MirrorSide("ear-left"));
        Character moved = done(linked, new Nudge("ear-right", -4, 2));
        assertThat(part(moved, "ear-left").rest().x()).isEqualTo(4);
        assertThat(part(moved, "ear-left").rest().y()).isEqualTo(2);
        Character turned = done(moved, new Place("ear-left", new Placement(4, 2, 12, 1, 1, 5, 1)));
        assertThat(part(turned, "ear-right").rest()).isEqualTo(new Placement(-4, 2, -12, 1, 1, -5, 1));
        Character broken = done(turned, new BreakLink("ear-left"));
        Character alone = done(broken, new Nudge("ear-left", 9, 0));
        assertThat(part(alone, "ear-right").rest().x()).isEqualTo(-4);
        assertThat(((Outcome.Refused) Edits.apply(broken, new BreakLink("ear-left"))).code())
                .isEqualTo("no-link");
        assertThat(((Outcome.Refused) Edits.apply(PLAIN, new MirrorSide("nose"))).code())
                .isEqualTo("no-side");
    }

    @Test
    void aFlippedCharacterKeepsItsOwnSidesAndNames() {
        Character flipped = done(PLAIN, new Flip());
        Part ear = part(flipped, "ear-left");
        assertThat(ear.name()).isEqualTo("left ear");
        assertThat(ear.side()).isEqualTo(Side.LEFT);
        reflected(part(PLAIN, "ear-left").bounds().orElseThrow(), ear.bounds().orElseThrow());
        Frame before = new Evaluator(PLAIN).frame(Pose.of(Map.of("turn", 30.0)));
        Frame after = new Evaluator(flipped).frame(Pose.of(Map.of("turn", 30.0)));
        double x = before.of("nose").orElseThrow().matrix().e()
                + before.of("nose").orElseThrow().matrix().a() * 500;
        double y = after.of("nose").orElseThrow().matrix().e()
                + after.of("nose").orElseThrow().matrix().a() * 500;
        assertThat(y).isCloseTo(1000 - x, within(1e-9));
    }

    @Test
    void orderIsDraggedOrSetByRole() {
        Character front = done(PLAIN, new Stack(List.of("nose"), java.util.Optional.of("ear-right")));
        assertThat(front.rig().order().indexOf("nose"))
                .isEqualTo(front.rig().order().indexOf("ear-right") + 1);
        assertThat(done(PLAIN, new Stack(List.of("nose"), java.util.Optional.empty()))
                        .rig()
                        .order())
                .startsWith("nose");
        List<String> byRole = done(front, new StackByRole()).rig().order();
        assertThat(byRole.indexOf("back-hair")).isLessThan(byRole.indexOf("torso"));
        assertThat(byRole.indexOf("upper-lid-left")).isGreaterThan(byRole.indexOf("pupil-left"));
        assertThat(byRole.indexOf("brow-left")).isGreaterThan(byRole.indexOf("face-skin"));
    }

    @Test
    void windowsAreOpenedAndClosedButNeverInACircle() {
        Character masked = done(PLAIN, new Mask("face-skin", "brow-left", true));
        assertThat(masked.rig().windows())
                .anyMatch(w -> w.by().equals("face-skin") && w.masked().contains("brow-left"));
        Character open = done(masked, new Mask("face-skin", "brow-left", false));
        assertThat(open.rig().windows()).noneMatch(w -> w.masked().contains("brow-left"));
        assertThat(((Outcome.Refused) Edits.apply(masked, new Mask("brow-left", "face-skin", true))).code())
                .isEqualTo("circle");
        assertThat(((Outcome.Refused) Edits.apply(PLAIN, new Mask("nose", "nose", true))).code())
                .isEqualTo("circle");
    }

    @Test
    void viewsOfDifferentSizesComeToStandBetweenTheSameLines() {
        Drawing front = Rigs.drawing("front", Rigs.box(10, 20, 20, 30));
        Drawing profile = Rigs.drawing("profile", Rigs.box(60, 5, 30, 90));
        Character c = Rigs.character(List.of(Rigs.part("head", null, new Point(0, 0), front, profile)), List.of())
                .withSheet(sheet -> sheet.withModel(
                        new Model(50, List.of(new ModelLine("top of head", 10), new ModelLine("chin", 55)))));
        Character lower = c.withPart("head", p -> p.withRest(new Placement(0, 5, 0, 2, 2, 0, 1)));
        for (Character each : List.of(c, lower)) {
            Character stood = done(each, new StandBetween("head", "top of head", "chin"));
            for (Drawing d : part(stood, "head").drawings()) {
                Box b = d.art()
                        .transform(new Evaluator(stood).atRest(Optional.of("head")))
                        .bounds()
                        .orElseThrow();
                assertThat(b.minY()).isCloseTo(10, within(1e-9));
                assertThat(b.maxY()).isCloseTo(55, within(1e-9));
                Box was = part(each, "head")
                        .drawing(d.id())
                        .orElseThrow()
                        .art()
                        .bounds()
                        .orElseThrow();
                Box is = d.art().bounds().orElseThrow();
                assertThat(is.centre().x()).isCloseTo(was.centre().x(), within(1e-9));
                assertThat(is.width() / is.height()).isCloseTo(was.width() / was.height(), within(1e-9));
            }
        }
        assertThat(Edits.apply(c, new StandBetween("head", "chin", "top of head")))
                .isInstanceOf(Outcome.Refused.class);
        assertThat(Edits.apply(c, new StandBetween("head", "chin", "elbow"))).isInstanceOf(Outcome.Refused.class);
    }
}
