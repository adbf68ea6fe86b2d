package app.leeward.core.edit;

import static app.leeward.core.Made.done;
import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.Rigs;
import app.leeward.core.art.Artwork;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.dial.Driver;
import app.leeward.core.intake.Layer;
import app.leeward.core.lips.MouthFinding;
import app.leeward.core.lips.MouthSet;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.ModelLine;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Placement;
import app.leeward.core.rig.Weld;
import app.leeward.core.turn.HeadDial;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What cannot be done is refused for its reason, in a sentence, and every reason there is happens in some test. */
class RefusalsTest {
    private static final Character FACE = Rigs.hung(Rigs.face());

    /** Nothing but a torso with a drawing: there is little anybody could make of it. */
    private static final Character BARE = bare();

    private static final Character HEADS = Rigs.hung(Rigs.group(
            "", Rigs.layer("torso", Rigs.box(400, 640, 200, 200)), view("front view", 0), view("side view", 60)));

    /** Looks to the left of the screen: one eye, the nose at the edge of the face. */
    private static final Character SIDE_ON = Rigs.hung(Rigs.group(
            "",
            Rigs.layer("head", Rigs.box(300, 300, 400, 400)),
            Rigs.layer("eye white", Rigs.box(380, 420, 60, 40)),
            Rigs.layer("nose", Rigs.box(290, 460, 40, 40)),
            Rigs.layer("mouth", Rigs.box(320, 580, 140, 10))));

    private static Character bare() {
        Character c = FACE;
        List<String> others = c.rig().parts().stream()
                .map(p -> p.id())
                .filter(id -> !id.equals("torso"))
                .toList();
        return done(c, new Discard(others))
                .withDials(List.of(), List.of())
                .withControls(controls -> controls.withTurn(Optional.empty()));
    }

    private static Layer view(String name, double by) {
        Matrix m = Matrix.translate(by, 0);
        return Rigs.group(
                name,
                layer("neck", m, Rigs.box(480, 600, 40, 60)),
                layer("face", m, Rigs.ellipse(500, 500, 100, 120)),
                layer("white left", m, Rigs.ellipse(540, 490, 24, 20)),
                layer("pupil left", m, Rigs.ellipse(540, 490, 5, 5)),
                layer("nose", m, Rigs.ellipse(500, 520, 10, 14)),
                Rigs.group("mouth", layer("rest", m, Rigs.box(480, 559, 40, 2))));
    }

    private static Layer layer(String name, Matrix m, Path path) {
        return Rigs.layer(name, path.transform(m));
    }

    private static Arguments of(RefusalCode reason, Character c, Edit edit) {
        return Arguments.of(reason, c, edit);
    }

    private static Character oneMouth() {
        Character c = FACE;
        List<Viseme> served = new ArrayList<>(c.voice().mouths().drawn().keySet());
        for (Viseme v : served.subList(1, served.size())) {
            c = done(c, new ServeSound(v, "", ""));
        }
        return c;
    }

    /** A face with nothing but one mouth of a given outline. */
    private static Character mouth(String outline) {
        return Rigs.hung(Rigs.group(
                "",
                Rigs.layer("face skin", Rigs.ellipse(500, 500, 100, 120)),
                Rigs.lined("mouth", Rigs.path(outline))));
    }

    private static Character manyMoods() {
        Character c = FACE;
        for (int i = 0; i < MouthSet.MOST_MOODS; i++) {
            c = done(c, new SetMood("", "Mood " + i, 0.1, 0));
        }
        return c;
    }

    static Stream<Arguments> cases() {
        Nudge nudge = new Nudge("nose", 1, 0);
        Character own = done(done(FACE, new NewDial("One", 0, 1, 0, "")), new NewDial("Two", 0, 1, 0, ""));
        Character following = done(own, new FollowDial("two", new Driver("one", 0, 1, 0)));
        List<ModelLine> lines = FACE.sheet().model().lines().stream()
                .sorted(Comparator.comparingDouble(ModelLine::y))
                .toList();
        String crown = lines.get(0).name();
        String ground = lines.get(lines.size() - 1).name();
        Character made = mouth("M450 540 C470 556 530 556 550 540 C530 557 470 557 450 540 Z");
        made = done(made, new MakeMouths("", null, null, true, null));
        String ee = made.voice().mouths().serve(Viseme.EE).orElseThrow().drawing();
        String rest = made.voice().mouths().serve(Viseme.REST).orElseThrow().drawing();
        String lips = made.voice().mouths().part().orElseThrow();
        String ah = made.voice().mouths().serve(Viseme.AH).orElseThrow().drawing();
        Character pointed = done(made, new AddPoint(lips, ah, 0, 1, 0.5));
        Character unlike = made.withPart(
                lips,
                p -> p.withDrawing(
                        ee,
                        d -> d.withArt(new Artwork(d.art().shapes().stream()
                                .filter(x -> x.role() != ShapeRole.WINDOW)
                                .toList()))));
        MakeMouths make = new MakeMouths("", null, null, true, null);
        StringBuilder many = new StringBuilder("M450 540");
        for (int i = 1; i <= 2_000; i++) {
            many.append("L").append(450 + i * 0.05).append(" ").append(540 - (i % 2) * 0.1);
        }
        many.append("L500 560 Z");
        Character turned = FACE.withPart("nose", p -> p.withRest(new Placement(0, 0, 30, 1, 1, 0, 1)));
        String colour = FACE.sheet().palette().get(0).colour();
        return Stream.of(
                of(RefusalCode.LAST_MOUTH, oneMouth(), new ServeSound(lastServed(), "", "")),
                of(RefusalCode.LID_HEIGHT, FACE, new RestLids(2, 0)),
                of(RefusalCode.MOUTH_CROSSED, mouth("M450 540 L550 560 L550 540 L450 560 Z"), make),
                of(RefusalCode.MOUTH_MANY_POINTS, mouth(many.toString()), make),
                of(RefusalCode.MOUTH_NO_OUTLINE, mouth("M450 540 Z"), make),
                of(RefusalCode.MOUTH_THIN, mouth("M500 540 L500 550 L500 560 L500 545 Z"), make),
                of(RefusalCode.MOUTHS_UNLIKE, unlike, new LeadInto(ee, rest)),
                of(RefusalCode.TOO_MANY_POINTS, pointed, new MendMouth(ah, MouthFinding.Kind.POINTS)),
                of(RefusalCode.NO_CHANGE, FACE, new TakeVersion("face.svg", FACE, List.of("gone"))),
                of(RefusalCode.NO_SIDES, FACE, new SplitDial(List.of("turn"))),
                of(RefusalCode.OPACITY, FACE, new Place("nose", new Placement(0, 0, 0, 1, 1, 0, 1.5))),
                of(RefusalCode.BAD_RANGE, FACE, new NewDial("Lean", 3, 3, 3, "")),
                of(RefusalCode.BAD_RANGE, FACE, new NewDial("Lean", 0, 3, 4, "")),
                of(RefusalCode.BAD_UNIT, FACE, new NewDial("Lean", 0, 3, 1, "furlongs and more")),
                of(RefusalCode.NO_PUPIL, BARE, new FitGaze()),
                of(RefusalCode.NO_PUPIL, FACE, new OffsetPupil("nose", 1, 1)),
                of(RefusalCode.EMPTY_LOOK, FACE, new KeepLook("Calm", "", Map.of(), Map.of(), Map.of(), List.of())),
                of(RefusalCode.NO_LOOK, FACE, new DropLook("gone")),
                of(RefusalCode.EYES_WHOLE, FACE, new BuildEyes()),
                of(RefusalCode.NO_DIAL, FACE, new MoveStop("gone", 1, 2)),
                of(RefusalCode.NO_DIAL, FACE, new RecordCorner("turn", 60, "gone", 1, nudge)),
                of(RefusalCode.NO_DIAL, FACE, new FollowDial("blink", new Driver("gone", 0, 1, 0))),
                of(RefusalCode.LINE_WIDTH, FACE, new PaintShape("nose", drawing("nose"), 0, colour, "", 1001)),
                of(RefusalCode.TURN_BY_VIEWS, HEADS, MakeTurn.of(Optional.empty())),
                of(RefusalCode.TURN_FROM_THE_SIDE, SIDE_ON, MakeTurn.of(Optional.empty())),
                of(RefusalCode.NO_HEAD, BARE, MakeTurn.of(Optional.empty())),
                of(
                        RefusalCode.NO_WELD,
                        FACE,
                        new SetSolid(
                                "nose", Optional.empty(), 0, Optional.empty(), Optional.of(Weld.onto("ear-left")))),
                of(RefusalCode.NO_PARTS, FACE, new ReadAs(List.of())),
                of(RefusalCode.NO_PICTURE, FACE, new MeshPicture(List.of("nose"))),
                of(RefusalCode.NO_PARTS, FACE, new AddGroup("Group", List.of())),
                of(RefusalCode.VIEWS_NONE, FACE, new RegisterViews("")),
                of(
                        RefusalCode.VIEW_MAIN,
                        HEADS,
                        new RegisterViews(
                                HEADS.controls().views().orElseThrow().main().root())),
                of(RefusalCode.VIEWS_REGISTERED, done(HEADS, new RegisterViews("")), new RegisterViews("")),
                of(RefusalCode.NOT_POSED, FACE, new Record("turn", 60, new Rename("Other"))),
                of(RefusalCode.NOT_POSED, FACE, new RecordCorner("turn", 60, "gaze-across", 1, new Rename("Other"))),
                of(RefusalCode.NO_PIECES, BARE, new MakeLooks()),
                of(RefusalCode.NO_PIECES, BARE, new MakeBrows()),
                of(RefusalCode.NO_PIECES, BARE, new MakeHeadDial(HeadDial.NOD)),
                of(RefusalCode.VIEW_EDGE, FACE, new MoveViewEdge(0, 5)),
                of(RefusalCode.COLOUR, FACE, new Recolour(colour, "red")),
                of(RefusalCode.MOODS_MANY, manyMoods(), new SetMood("", "One more", 0.1, 0)),
                of(RefusalCode.NO_LID, BARE, new RestLids(0.1, 0.1)),
                of(RefusalCode.NO_LID, BARE, new BendLidLine(1, 0, 0)),
                of(RefusalCode.NO_LID, FACE, new MendLid("nose")),
                of(RefusalCode.LAST_PART, BARE, new Discard(List.of("torso"))),
                of(RefusalCode.STACK_ITSELF, FACE, new StackDrawing("nose", drawing("nose"), Optional.of("nose"))),
                of(RefusalCode.NO_DIALS, BARE, new MakeCues()),
                of(RefusalCode.VIEWS_FEW, FACE, new MakeViews()),
                of(RefusalCode.ORDER, FACE, new Stack(List.of("nose"), Optional.of("nose"))),
                of(RefusalCode.SCALE, FACE, new Fit(1e-5, 0, 0, FACE.sheet().canvas())),
                of(
                        RefusalCode.SCALE,
                        FACE,
                        new Fit(Double.NaN, 0, 0, FACE.sheet().canvas())),
                of(RefusalCode.NO_CUE, FACE, new DropCue("gone")),
                of(RefusalCode.NO_HALF, FACE, new JoinDials(List.of("turn"))),
                of(RefusalCode.NO_LINE, FACE, new StandBetween("nose", "nowhere", ground)),
                of(RefusalCode.LINES_CROSSED, FACE, new StandBetween("nose", ground, crown)),
                of(RefusalCode.TURNED_AT_REST, turned, new StandBetween("nose", crown, ground)),
                of(RefusalCode.ROUND, following, new FollowDial("one", new Driver("two", 0, 1, 0))),
                of(RefusalCode.ONE_DIAL, FACE, new RecordCorner("turn", 60, "turn", 30, nudge)),
                of(RefusalCode.AT_REST, FACE, new RecordCorner("turn", 0, "gaze-across", 1, nudge)),
                of(RefusalCode.BAD_STOP, FACE, new Record("turn", 0, nudge)),
                of(RefusalCode.BAD_STOP, FACE, new Record("turn", 1000, nudge)),
                of(RefusalCode.NO_SUCH_POINT, FACE, new AddPoint("nose", drawing("nose"), 0, 0, 0.5)),
                of(RefusalCode.POINTS_MATCHED, FACE, new MatchPoints("nose", drawing("nose"), drawing("nose"))));
    }

    private static Viseme lastServed() {
        return oneMouth().voice().mouths().drawn().keySet().iterator().next();
    }

    private static String drawing(String part) {
        return FACE.part(part).orElseThrow().shown();
    }

    @ParameterizedTest
    @MethodSource("cases")
    void isRefusedForItsReason(RefusalCode reason, Character c, Edit edit) {
        Outcome outcome = Edits.apply(c, edit);
        assertThat(outcome).isInstanceOf(Outcome.Refused.class);
        assertThat(((Outcome.Refused) outcome).reason()).isEqualTo(reason);
        assertThat(((Outcome.Refused) outcome).message()).matches("\\S.*[.]");
    }

    /** Looks through the tests themselves: a reason nobody asserts is a reason nobody knows to work. */
    @Test
    void everyReasonIsAsserted() throws IOException {
        StringBuilder tests = new StringBuilder();
        // what other rooms refuse is asserted beside them
        for (String module : List.of(".", "../formats", "../render", "../server")) {
            try (Stream<java.nio.file.Path> files = Files.walk(java.nio.file.Path.of(module, "src", "test", "java"))) {
                for (java.nio.file.Path f :
                        files.filter(p -> p.toString().endsWith("Test.java")).toList()) {
                    tests.append(Files.readString(f, StandardCharsets.UTF_8));
                }
            }
        }
        String all = tests.toString();
        assertThat(RefusalCode.values())
                .allMatch(r -> all.contains("RefusalCode." + r.name()) || all.contains('"' + r.word() + '"'));
    }

    @Test
    void theFaceOfTheseTestsHasWhatIsRefusedElsewhere() {
        assertThat(FACE.part(PartRole.NOSE)).isPresent();
        assertThat(Edits.apply(FACE, new Nudge("nose", 1, 0))).isInstanceOf(Outcome.Done.class);
    }
}
