package app.leeward.core.look;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Box;
import app.leeward.core.art.Path;
import app.leeward.core.dial.Channel;
import app.leeward.core.edit.DropDial;
import app.leeward.core.edit.DropLook;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.KeepLook;
import app.leeward.core.edit.MakeLooks;
import app.leeward.core.edit.NameLook;
import app.leeward.core.edit.Outcome;
import app.leeward.core.eval.Contribution;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.eval.Reason;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Look;
import app.leeward.core.rig.Pose;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PrototypeTest {
    private static final Character FACE = done(Rigs.hung(Rigs.face()), new MakeLooks());

    private static Character done(Character c, Edit e) {
        Outcome outcome = Edits.apply(c, e);
        assertThat(outcome).as(e.describe(c) + " " + outcome).isInstanceOf(Outcome.Done.class);
        return ((Outcome.Done) outcome).character();
    }

    /** EMFACS prototypes; Ekman & Friesen; from memory, as the project's outside proof lists them. */
    @ParameterizedTest
    @CsvSource({
        "HAPPINESS, 6+12",
        "SADNESS, 1+4+15",
        "SURPRISE, 1+2+5+26",
        "FEAR, 1+2+4+5+7+20+26",
        "ANGER, 4+5+7+23",
        "DISGUST, 9+15+16"
    })
    void theSixAreMadeOfTheirActionUnits(Prototype prototype, String units) {
        assertThat(prototype.units().stream().map(u -> "" + u.number()).collect(Collectors.joining("+")))
                .isEqualTo(units);
        Look look = FACE.look(prototype.id()).orElseThrow();
        assertThat(look.dials().keySet())
                .isEqualTo(prototype.units().stream().map(ActionUnit::id).collect(Collectors.toSet()));
        assertThat(look.collection()).isEqualTo(Prototype.COLLECTION);
    }

    private static Frame frame(Character c, Map<String, Double> looks) {
        return new Evaluator(c).frame(Pose.REST.withLooks(looks));
    }

    private static Box shown(Character c, Frame f, String part) {
        Frame.Placed p = f.of(part).orElseThrow();
        return p.shown(c.part(part)
                        .orElseThrow()
                        .drawing(p.drawing())
                        .orElseThrow()
                        .art())
                .transform(p.matrix())
                .bounds()
                .orElseThrow();
    }

    /** What anybody sees in the six: read off the evaluated picture, not off the recipe. */
    @Test
    void theFaceMovesAsTheUnitsSay() {
        Frame rest = frame(FACE, Map.of());
        Frame surprise = frame(FACE, Map.of("look-surprise", 1.0));
        assertThat(shown(FACE, surprise, "brow-left").minY())
                .isLessThan(shown(FACE, rest, "brow-left").minY() - 5);
        assertThat(shown(FACE, surprise, "eye-white-left").height()).isGreaterThan(42);
        assertThat(surprise.of("mouth").orElseThrow().drawing()).isEqualTo("ah");

        Frame happy = frame(FACE, Map.of("look-happiness", 1.0));
        List<Path> mouth = happy.of("mouth").orElseThrow().outlines();
        Box line = mouth.get(0).bounds().orElseThrow();
        // the corners of a line 40 long go up by a fifth of it, its middle stays where it was drawn
        assertThat(line.minY()).isCloseTo(559 - 0.2 * 40, within(1e-9));
        assertThat(shown(FACE, happy, "lower-lid-left").minY())
                .as("cheeks push the lower lids up")
                .isLessThan(508);
        Frame sad = frame(FACE, Map.of("look-sadness", 1.0));
        assertThat(sad.of("mouth")
                        .orElseThrow()
                        .outlines()
                        .get(0)
                        .bounds()
                        .orElseThrow()
                        .maxY())
                .isGreaterThan(561 + 5);

        Frame angry = frame(FACE, Map.of("look-anger", 1.0));
        Box left = shown(FACE, angry, "brow-left");
        Box right = shown(FACE, angry, "brow-right");
        assertThat(left.minX() - right.maxX())
                .as("drawn together, 40 apart at rest")
                .isLessThan(38);
        assertThat(left.minX() + right.maxX())
                .as("alike on both sides of the axis")
                .isCloseTo(1000, within(1e-6));
        assertThat(left.minY()).isCloseTo(right.minY(), within(1e-6));
    }

    @Test
    void strengthIsEvenAndLooksMix() {
        Frame half = frame(FACE, Map.of("look-anger", 0.5));
        Frame whole = frame(FACE, Map.of("look-anger", 1.0));
        double rest = shown(FACE, frame(FACE, Map.of()), "upper-lid-left").maxY();
        double step = shown(FACE, half, "upper-lid-left").maxY() - rest;
        assertThat(step).isNotZero();
        assertThat(shown(FACE, whole, "upper-lid-left").maxY() - rest).isCloseTo(2 * step, within(0.5));
        Frame mixed = frame(FACE, Map.of("look-happiness", 0.5, "look-sadness", 0.5));
        // corners half up and half down: back where they were
        assertThat(mixed.of("mouth").orElseThrow().outlines()).isEmpty();
    }

    @Test
    void aLookLeavesBlinkTurnAndSpeechFree() {
        Evaluator e = new Evaluator(FACE);
        Pose talking = Pose.of(Map.of("turn", 30.0, "blink", 1.0))
                .saying("mouth", "m-b-p")
                .withLooks(Map.of("look-surprise", 1.0));
        Frame f = e.frame(talking);
        assertThat(f.of("mouth").orElseThrow().drawing())
                .as("the line goes before the jaw's dial")
                .isEqualTo("m-b-p");
        Pose asleep = Pose.of(Map.of("blink", 1.0)).withLooks(Map.of("look-anger", 1.0));
        assertThat(new Evaluator(FACE).setting("blink", asleep)).isEqualTo(1);
    }

    /** AU 7 lowers the upper lids a fifth of their way; the blink over it still ends where it ends by itself. */
    @Test
    void aBlinkOverALookShutsTheEyeAndNoMore() {
        Frame shut = new Evaluator(FACE).frame(Pose.of(Map.of("blink", 1.0)));
        Frame over = new Evaluator(FACE).frame(Pose.of(Map.of("blink", 1.0, "au-7", 1.0, "au-6", 1.0)));
        for (String lid : List.of("upper-lid-left", "lower-lid-left")) {
            assertThat(over.of(lid).orElseThrow().matrix())
                    .isEqualTo(shut.of(lid).orElseThrow().matrix());
        }
    }

    @Test
    void whatIsMissingIsSaid() {
        assertThat(Prototype.HAPPINESS.lacks(FACE))
                .containsExactly("AU 6 cheek up is only a part of itself: no cheek that can rise.");
        Character bare = Rigs.hung(Rigs.group(
                "",
                Rigs.layer("face skin", Rigs.ellipse(50, 50, 40, 40)),
                Rigs.layer("brow L", Rigs.box(60, 30, 20, 4))));
        assertThat(Prototype.DISGUST.lacks(bare))
                .hasSize(3)
                .anyMatch(s -> s.contains("AU 16") && s.contains("left out"));
        Character made = done(bare, new MakeLooks());
        assertThat(made.look("look-anger").orElseThrow().dials()).containsOnlyKeys("au-4");
        assertThat(made.look("look-happiness")).isEmpty();
        Character nothing = Rigs.hung(Rigs.group("", Rigs.layer("face skin", Rigs.ellipse(50, 50, 40, 40))));
        assertThat(Edits.apply(nothing, new MakeLooks())).isInstanceOf(Outcome.Refused.class);
    }

    @Test
    void makingThemAgainKeepsOwnLooksAndRenamedOnesAreMadeAnew() {
        Character own =
                done(FACE, new KeepLook("Grim", "Mine", Map.of("au-4", 0.8), Map.of(), Map.of(), List.of("au-4")));
        Character again = done(own, new MakeLooks());
        assertThat(again.library().looks()).hasSize(7);
        assertThat(again.look("grim")).isEqualTo(own.look("grim"));
        assertThat(again.controls().dials()).hasSameSizeAs(own.controls().dials());
    }

    @Test
    void aPoseIsKeptWithTheLooksMixedIntoItButNotWhatWasLeftOut() {
        Character kept = done(
                FACE,
                new KeepLook(
                        " Wry ",
                        "Mine",
                        Map.of("turn", 20.0, "au-12", 0.25),
                        Map.of("look-happiness", 0.5),
                        Map.of(),
                        List.of("au-12", "au-6", "au-4")));
        Look wry = kept.library().looks().get(6);
        assertThat(wry.name()).isEqualTo("Wry");
        assertThat(wry.dials()).isEqualTo(Map.of("au-6", 0.5, "au-12", 0.75));
        Character replaced = done(
                kept, new KeepLook("Wry", "Mine", Map.of("au-4", 1.0), Map.of(), Map.of(), List.of("au-4", "turn")));
        assertThat(replaced.library().looks()).hasSize(7);
        assertThat(replaced.look(wry.id()).orElseThrow().dials()).isEqualTo(Map.of("au-4", 1.0));
        assertThat(Edits.apply(FACE, new KeepLook("Empty", "", Map.of(), Map.of(), Map.of(), List.of("turn"))))
                .isInstanceOf(Outcome.Refused.class);
        Character named = done(kept, new NameLook(wry.id(), "Sly", "Others"));
        assertThat(named.look(wry.id()).orElseThrow().collection()).isEqualTo("Others");
        assertThat(done(named, new DropLook(wry.id())).look(wry.id())).isEmpty();
        assertThat(Edits.apply(FACE, new DropLook("gone"))).isInstanceOf(Outcome.Refused.class);
    }

    @Test
    void aDeletedDialIsKeptInTheLookNamedAndSkipped() {
        Character without = done(FACE, new DropDial("au-23"));
        Look anger = without.look("look-anger").orElseThrow();
        assertThat(anger.dials()).containsKey("au-23");
        assertThat(Looks.skipped(without, anger)).containsExactly("the dial au-23");
        assertThat(frame(without, Map.of("look-anger", 1.0))
                        .of("mouth")
                        .orElseThrow()
                        .matrix())
                .isEqualTo(frame(without, Map.of()).of("mouth").orElseThrow().matrix());
    }

    @Test
    void aLooksDrawingsShowFromHalfStrengthAndSpeakBeforeTheLine() {
        Character c = FACE.withLibrary(library -> library.withLooks(List.of(
                new Look("oh", "Oh", "", Map.of(), Map.of("mouth", "ah")),
                new Look("mm", "Mm", "", Map.of(), Map.of("mouth", "m-b-p")))));
        assertThat(frame(c, Map.of("oh", 0.4)).of("mouth").orElseThrow().drawing())
                .isEqualTo("rest");
        assertThat(frame(c, Map.of("oh", 0.6)).of("mouth").orElseThrow().drawing())
                .isEqualTo("ah");
        assertThat(frame(c, Map.of("oh", 0.9, "mm", 0.6))
                        .of("mouth")
                        .orElseThrow()
                        .drawing())
                .isEqualTo("ah");
        Pose speaking = Pose.REST.saying("mouth", "m-b-p").withLooks(Map.of("oh", 1.0));
        Reason why = new Evaluator(c)
                .why("mouth", speaking).stream()
                        .filter(r -> r.channel().equals(Reason.DRAWING))
                        .findFirst()
                        .orElseThrow();
        assertThat(why.value()).isEqualTo("ah");
        assertThat(why.heard().get(0).kind()).isEqualTo(Contribution.Kind.LOOK);
        assertThat(why.overruled().get(0).kind()).isEqualTo(Contribution.Kind.SPEECH);
    }

    @Test
    void whyNamesTheLookBehindADial() {
        List<Reason> why = new Evaluator(FACE).why("brow-left", Pose.REST.withLooks(Map.of("look-anger", 0.5)));
        assertThat(why)
                .anyMatch(r -> r.channel().equals(Channel.BEND_LEFT.id())
                        && r.heard().stream().anyMatch(v -> v.message().contains("with look Anger")));
        assertThat(new Evaluator(FACE).why("brow-left", Pose.REST))
                .as("what nothing bends is not listed")
                .noneMatch(r -> r.channel().equals(Channel.BEND_LEFT.id()));
    }
}
