package app.leeward.core.turn;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.Rigs;
import app.leeward.core.art.Box;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MakeHeadDial;
import app.leeward.core.edit.MakeTurn;
import app.leeward.core.edit.Outcome;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.intake.Layer;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Placement;
import app.leeward.core.rig.Pose;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Heads nobody would draw: each turns as well as it can, without an error and without anything flying off. */
class OddHeadsTest {
    private static Path line(double... xy) {
        List<Segment> all = new ArrayList<>();
        all.add(new Segment.Move(new Point(xy[0], xy[1])));
        for (int i = 2; i < xy.length; i += 2) {
            all.add(new Segment.Line(new Point(xy[i], xy[i + 1])));
        }
        return new Path(all);
    }

    private static Layer named(String name, Path path) {
        return Rigs.layer(name, path);
    }

    static Stream<Arguments> heads() {
        Path skin = Rigs.ellipse(500, 500, 100, 120);
        List<Layer> straws = new ArrayList<>();
        List<Segment> many = new ArrayList<>();
        for (int i = 0; i < 500; i++) {
            many.addAll(line(400 + i * 0.4, 380, 402 + i * 0.4, 300 - i % 7).segments());
        }
        straws.add(named("face skin", skin));
        straws.add(named("fringe", new Path(many)));
        return Stream.of(
                Arguments.of(
                        "an open outline", List.of(named("face skin", line(400, 400, 600, 400, 620, 600, 380, 600)))),
                Arguments.of("a head of one piece", List.of(named("face skin", skin))),
                Arguments.of(
                        "pieces far outside",
                        List.of(
                                named("face skin", skin),
                                named("nose", Rigs.box(900, 40, 20, 20)),
                                named("brow L", Rigs.box(20, 900, 60, 8)))),
                Arguments.of(
                        "a hat larger than the head",
                        List.of(named("face skin", skin), named("cap", Rigs.ellipse(500, 350, 320, 200)))),
                Arguments.of(
                        "two heads",
                        List.of(
                                named("face skin", skin),
                                named("face skin 2", Rigs.ellipse(760, 500, 90, 110)),
                                named("nose", Rigs.ellipse(500, 520, 10, 14)))),
                Arguments.of(
                        "a skin that crosses itself",
                        List.of(named("face skin", line(400, 400, 600, 600, 600, 400, 400, 600, 400, 400)))),
                Arguments.of("five hundred straws", straws),
                Arguments.of("a face as thin as a line", List.of(named("face skin", Rigs.box(499.9, 380, 0.2, 240)))),
                Arguments.of(
                        "a nose of no size",
                        List.of(named("face skin", skin), named("nose", line(500, 520, 500, 520)))),
                Arguments.of(
                        "a mouth on the edge and a muzzle past it",
                        List.of(
                                named("face skin", skin),
                                named("muzzle", Rigs.ellipse(590, 590, 60, 60)),
                                named("mouth", Rigs.box(595, 560, 40, 4)))));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("heads")
    void turnsAsWellAsItCan(String name, List<Layer> layers) {
        Character c = Rigs.hung(Rigs.group("", layers.toArray(Layer[]::new)));
        Outcome outcome = Edits.apply(c, MakeTurn.of(Optional.empty()));
        if (outcome instanceof Outcome.Refused refused) {
            assertThat(refused.message()).isNotBlank();
            return;
        }
        Character turned = ((Outcome.Done) outcome).character();
        turned = ((Outcome.Done) Edits.apply(turned, new MakeHeadDial(HeadDial.NOD))).character();
        assertThat(TurnCheck.of(turned, List.of(-45.0, 20.0))).hasSize(2);
        Evaluator evaluator = new Evaluator(turned);
        for (double at : new double[] {-45, -20, 0, 7, 45}) {
            Frame frame = evaluator.frame(Pose.of(Map.of("turn", at, "nod", at / 3)));
            for (Frame.Placed p : frame.placed()) {
                Character now = turned;
                now.part(p.part())
                        .flatMap(part -> part.drawing(p.drawing()))
                        .flatMap(d -> p.shown(d.art()).transform(p.matrix()).bounds())
                        .ifPresent(b -> {
                            assertThat(b.minX()).as(p.part()).isBetween(-800.0, 1800.0);
                            assertThat(b.maxX()).as(p.part()).isBetween(-800.0, 1800.0);
                            assertThat(b.minY()).as(p.part()).isBetween(-800.0, 1800.0);
                        });
            }
        }
    }

    @Test
    void whatIsFlattenedAtRestIsLeftAlone() {
        Character c =
                Rigs.hung(Rigs.face()).withPart("nose", p -> p.with(q -> q.rest(new Placement(0, 0, 0, 0, 1, 0, 1))));
        Outcome made = Edits.apply(c, MakeTurn.of(Optional.empty()));
        assertThat(made).isInstanceOf(Outcome.Done.class);
    }

    private static Character turned(Layer... layers) {
        Outcome made = Edits.apply(Rigs.hung(Rigs.group("", layers)), MakeTurn.of(Optional.empty()));
        return ((Outcome.Done) made).character();
    }

    private static Box shown(Character c, String part, double at) {
        return new Evaluator(c)
                .frame(Pose.of(Map.of("turn", at))).placed().stream()
                        .filter(p -> p.part().equals(part))
                        .flatMap(p -> c
                                .part(part)
                                .flatMap(q -> q.drawing(p.drawing()))
                                .flatMap(d ->
                                        p.shown(d.art()).transform(p.matrix()).bounds())
                                .stream())
                        .findFirst()
                        .orElseThrow();
    }

    @Test
    void aKnobOnAHatStaysRoundWhileABadgeOnItsFrontGoesToTheSide() {
        Layer skin = named("face skin", Rigs.ellipse(500, 500, 100, 120));
        Layer cap = named("cap", Rigs.ellipse(500, 400, 110, 60));
        Character knob = turned(skin, cap, named("cap badge", Rigs.ellipse(500, 341, 8, 8)));
        Character badge = turned(skin, cap, named("cap badge", Rigs.ellipse(500, 400, 8, 8)));
        assertThat(shown(knob, "cap-badge", -45).width()).isBetween(15.9, 16.1);
        assertThat(shown(knob, "cap-badge", -45).centre().x()).isBetween(485.0, 515.0);
        assertThat(shown(badge, "cap-badge", -45).centre().x()).isLessThan(450);
    }

    @Test
    void aMuzzleWithoutALineIsCutAtTheLineOfTheFace() {
        Path skin = Rigs.ellipse(500, 500, 100, 120);
        Path muzzle = Rigs.ellipse(500, 570, 50, 40);
        Character lined = turned(Rigs.lined("face skin", skin), named("muzzle", muzzle));
        Character plain = turned(named("face skin", skin), named("muzzle", muzzle));
        Character drawn = turned(Rigs.lined("face skin", skin), Rigs.lined("muzzle", muzzle));
        Character over = turned(named("face skin", skin), named("muzzle", muzzle), Rigs.lined("head line", skin));
        assertThat(shown(plain, "muzzle", -45).minX())
                .as("it stands out")
                .isLessThan(shown(plain, "face-skin", -45).minX() + 15);
        assertThat(masked(lined)).contains("muzzle");
        assertThat(masked(over)).contains("muzzle");
        assertThat(masked(plain)).doesNotContain("muzzle");
        assertThat(masked(drawn)).doesNotContain("muzzle");
    }

    private static List<String> masked(Character c) {
        return c.rig().windows().stream().flatMap(w -> w.masked().stream()).toList();
    }
}
