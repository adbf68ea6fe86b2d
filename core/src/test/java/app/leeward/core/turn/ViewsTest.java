package app.leeward.core.turn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Regions;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Flip;
import app.leeward.core.edit.MakeTurn;
import app.leeward.core.edit.MakeViews;
import app.leeward.core.edit.MoveModelLine;
import app.leeward.core.edit.MoveViewEdge;
import app.leeward.core.edit.Outcome;
import app.leeward.core.edit.RegisterViews;
import app.leeward.core.edit.SplitDial;
import app.leeward.core.eval.Contribution;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.eval.Reason;
import app.leeward.core.eye.EyeCheck;
import app.leeward.core.intake.Layer;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Model;
import app.leeward.core.rig.ModelLine;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.Side;
import app.leeward.core.rig.ViewBand;
import app.leeward.core.rig.ViewSet;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Geometry;

/** Views exchanged by one dial. Where pieces lie is worked out here from the numbers they were drawn with. */
class ViewsTest {
    private static Layer eye(String side, double x, Matrix m) {
        return Rigs.group(
                "eye " + side,
                Rigs.layer("white " + side, at(m, Rigs.ellipse(x, 490, 24, 20))),
                Rigs.layer("pupil " + side, at(m, Rigs.ellipse(x, 490, 5, 5))),
                Rigs.layer("upper lid " + side, at(m, Rigs.box(x - 30, 420, 60, 52))),
                Rigs.layer("lower lid " + side, at(m, Rigs.box(x - 30, 508, 60, 50))));
    }

    private static Path at(Matrix m, Path p) {
        return p.transform(m);
    }

    private static Layer mouth(double x, Matrix m) {
        return Rigs.group(
                "mouth",
                Rigs.layer("rest", at(m, Rigs.box(x - 20, 559, 40, 2))),
                Rigs.layer("ah", at(m, Rigs.ellipse(x, 560, 22, 18))));
    }

    private static Layer view(String name, double nose, Matrix m, Layer... eyes) {
        Layer[] all = new Layer[eyes.length + 4];
        all[0] = Rigs.layer("neck", at(m, Rigs.box(480, 600, 40, 60)));
        all[1] = Rigs.layer("face", at(m, Rigs.ellipse(500, 500, 100, 120)));
        System.arraycopy(eyes, 0, all, 2, eyes.length);
        all[eyes.length + 2] = Rigs.layer("nose", at(m, Rigs.ellipse(nose, 520, 10, 14)));
        all[eyes.length + 3] = mouth(500 + (nose - 500) * 0.8, m);
        return Rigs.group(name, all);
    }

    /** Front, three-quarter and side; the last two drawn looking to the right of the screen. */
    private static Character head(Matrix quarter, Matrix side) {
        Matrix none = Matrix.IDENTITY;
        return Rigs.hung(Rigs.group(
                "",
                Rigs.layer("torso", Rigs.box(400, 640, 200, 200)),
                view("front view", 500, none, eye("left", 540, none), eye("right", 460, none)),
                view("3/4 view", 545, quarter, eye("left", 570, quarter), eye("right", 500, quarter)),
                view("side view", 590, side, eye("", 560, side))));
    }

    private static final Character HEAD = head(Matrix.IDENTITY, Matrix.IDENTITY);

    private static Frame at(Character c, double turn) {
        return new Evaluator(c).frame(Pose.of(Map.of("turn", turn)));
    }

    private static Part in(Character c, String view, PartRole role, Side side) {
        ViewSet set = c.controls().views().orElseThrow();
        Map<String, String> of = set.membership(c.rig().parts());
        String root = set.views().stream()
                .filter(v -> v.name().equals(view))
                .findFirst()
                .orElseThrow()
                .root();
        return c.rig().parts().stream()
                .filter(p -> p.role() == role && p.side() == side && root.equals(of.get(p.id())))
                .findFirst()
                .orElseThrow();
    }

    private static Character done(Character c, Edit edit) {
        Outcome o = edit.on(c);
        assertThat(o).as(edit.describe(c)).isInstanceOf(Outcome.Done.class);
        return ((Outcome.Done) o).character();
    }

    @Test
    void threeDrawnViewsBecomeFiveOnTheTurn() {
        ViewSet set = HEAD.controls().views().orElseThrow();
        assertThat(set.dial()).isEqualTo("turn");
        assertThat(set.bands().stream().map(ViewBand::from)).containsExactly(-90.0, -67.5, -22.5, 22.5, 67.5);
        assertThat(set.bands().stream()
                        .map(b -> set.view(b.view()).orElseThrow().name()))
                .containsExactly("side view", "3/4 view", "front view", "3/4 view", "side view");
        assertThat(set.bands().stream().map(ViewBand::flipped)).containsExactly(true, true, false, false, false);
        assertThat(set.main().name()).isEqualTo("front view");
        assertThat(HEAD.voice().mouths().part())
                .as("the line speaks through the front")
                .contains(in(HEAD, "front view", PartRole.MOUTH, Side.NONE).id());
    }

    @Test
    void everyPieceHangsInItsOwnViewAndOnlyOneViewShows() {
        Map<String, String> of =
                HEAD.controls().views().orElseThrow().membership(HEAD.rig().parts());
        for (double turn : new double[] {-90, -45, 0, 45, 90, 500}) {
            String shown = HEAD.controls().views().orElseThrow().at(turn).view();
            Frame frame = at(HEAD, turn);
            assertThat(frame.placed().stream()
                            .map(p -> of.getOrDefault(p.part(), "body"))
                            .collect(Collectors.toSet()))
                    .as("at %s", turn)
                    .containsExactlyInAnyOrder(shown, "body");
            frame.placed().forEach(p -> assertThat(p.windows())
                    .allMatch(w -> of.get(w).equals(shown)));
        }
        Part white = in(HEAD, "3/4 view", PartRole.WHITE, Side.LEFT);
        assertThat(HEAD.rig()
                        .follows(
                                white.id(),
                                in(HEAD, "3/4 view", PartRole.EYE, Side.LEFT).id()))
                .isTrue();
    }

    @Test
    void theSideThatWasNotDrawnIsTheMirrorImage() {
        double axis = HEAD.sheet().model().axis();
        for (double turn : new double[] {45, 90}) {
            Frame drawn = at(HEAD, turn);
            Frame mirrored = at(HEAD, -turn);
            assertThat(mirrored.placed()).hasSameSizeAs(drawn.placed());
            for (Frame.Placed p : drawn.placed()) {
                Point corner = new Point(517, 483);
                Point a = p.matrix().apply(corner);
                Point b = mirrored.of(p.part()).orElseThrow().matrix().apply(corner);
                boolean body = HEAD.part(p.part()).orElseThrow().role() == PartRole.TORSO;
                assertThat(b.x()).isCloseTo(body ? a.x() : 2 * axis - a.x(), within(1e-9));
                assertThat(b.y()).isCloseTo(a.y(), within(1e-9));
            }
        }
    }

    private static Geometry fill(Character c, Frame f, Part part) {
        Frame.Placed p = f.of(part.id()).orElseThrow();
        return part.drawing(p.drawing()).orElseThrow().art().shapes().stream()
                .map(s -> Regions.of(s.path().transform(p.matrix())))
                .reduce(Geometry::union)
                .orElseThrow();
    }

    @Test
    void blinkAndGazeReachEveryView() {
        Map<String, Double> dials = new TreeMap<>(Map.of("blink", 1.0));
        for (double turn : new double[] {-90, -45, 45, 90}) {
            dials.put("turn", turn);
            Frame shut = new Evaluator(HEAD).frame(Pose.of(dials));
            String view = Math.abs(turn) == 90 ? "side view" : "3/4 view";
            Side side = Math.abs(turn) == 90 ? Side.NONE : Side.LEFT;
            Geometry lids = fill(HEAD, shut, in(HEAD, view, PartRole.UPPER_LID, side))
                    .union(fill(HEAD, shut, in(HEAD, view, PartRole.LOWER_LID, side)));
            assertThat(fill(HEAD, shut, in(HEAD, view, PartRole.WHITE, side))
                            .difference(lids)
                            .getArea())
                    .as("white left at %s", turn)
                    .isLessThan(0.5);
        }
        Part pupil = in(HEAD, "3/4 view", PartRole.PUPIL, Side.LEFT);
        Point middle = pupil.bounds().orElseThrow().centre();
        for (double turn : new double[] {-45, 45}) {
            Frame looks = new Evaluator(HEAD).frame(Pose.of(Map.of("turn", turn, "gaze-across", 1.0)));
            double went =
                    looks.of(pupil.id()).orElseThrow().matrix().apply(middle).x()
                            - at(HEAD, turn)
                                    .of(pupil.id())
                                    .orElseThrow()
                                    .matrix()
                                    .apply(middle)
                                    .x();
            assertThat(went).as("to the right of the screen at %s", turn).isGreaterThan(5);
        }
        assertThat(EyeCheck.of(HEAD)).isEmpty();
    }

    @Test
    void aLineIsSpokenByTheMouthOfTheViewThatShows() {
        Part front = in(HEAD, "front view", PartRole.MOUTH, Side.NONE);
        Part side = in(HEAD, "side view", PartRole.MOUTH, Side.NONE);
        String ah = front.drawings().stream()
                .filter(d -> d.name().equals("ah"))
                .findFirst()
                .orElseThrow()
                .id();
        Pose message = new Pose(Map.of("turn", 90.0), Map.of(), Map.of(), Map.of(front.id(), ah));
        String shown =
                new Evaluator(HEAD).frame(message).of(side.id()).orElseThrow().drawing();
        assertThat(side.drawing(shown).orElseThrow().name()).isEqualTo("ah");
        assertThat(new Evaluator(HEAD).why(side.id(), message))
                .filteredOn(r -> r.channel().equals(Reason.DRAWING))
                .allMatch(r -> r.heard().get(0).kind() == Contribution.Kind.SPEECH);
        assertThat(new Evaluator(HEAD).why(front.id(), message))
                .filteredOn(r -> r.channel().equals(Reason.DRAWING))
                .allMatch(r -> r.heard().get(0).kind() == Contribution.Kind.VIEW
                        && r.heard().get(0).message().contains("side view"));
    }

    @Test
    void whatJumpsIsMeasuredAtEveryEdgeAndMended() {
        // 7 right, 4 down and a tenth smaller about (500, 660), where the neck ends
        Matrix off = Matrix.translate(507, 664)
                .times(new Matrix(0.9, 0, 0, 0.9, 0, 0))
                .times(Matrix.translate(-500, -660));
        Character c = head(off, Matrix.IDENTITY);
        List<ViewCheck.Edge> edges = ViewCheck.of(c);
        assertThat(edges).hasSize(4);
        Map<ViewCheck.Mark, Double> jumps = edges.get(2).jumps();
        assertThat(jumps.get(ViewCheck.Mark.NECK)).isCloseTo(Math.hypot(7, 4), within(1e-9));
        // eyes 170 over the neck's end become 153 over it, 4 lower
        assertThat(jumps.get(ViewCheck.Mark.EYES)).isCloseTo(170 - 153 + 4, within(1e-6));
        assertThat(jumps.get(ViewCheck.Mark.CHIN)).isCloseTo(40 - 36 + 4, within(1e-6));
        assertThat(edges.get(2).mends())
                .contains(in(c, "3/4 view", PartRole.EYE, Side.LEFT).parent().orElseThrow());
        assertThat(edges.get(2).message()).contains("3/4 view").contains("neck by 8.1");

        Character mended = done(c, new RegisterViews(""));
        assertThat(ViewCheck.of(mended))
                .allMatch(e -> e.mends().isEmpty() && e.message().isEmpty());
        assertThat(ViewCheck.of(mended).get(2).jumps().values()).allMatch(by -> by < 1e-6);
        assertThat(mended.rig().parts().stream().map(Part::drawings))
                .isEqualTo(c.rig().parts().stream().map(Part::drawings).toList());
        assertThat(new RegisterViews("").on(mended)).isInstanceOf(Outcome.Refused.class);
    }

    @Seeded(tries = 60)
    void anyMisregistrationIsMended(
            @Between(min = -60, max = 60) double dx,
            @Between(min = -60, max = 60) double dy,
            @Between(min = 0.4, max = 2.2) double scale) {
        Matrix off = Matrix.translate(500 + dx, 600 + dy)
                .times(new Matrix(scale, 0, 0, scale, 0, 0))
                .times(Matrix.translate(-500, -600));
        Character mended = ViewMender.all(head(Matrix.IDENTITY, off));
        for (ViewCheck.Edge e : ViewCheck.of(mended)) {
            // the axis is found to a thousandth of a unit, and mirrored necks lie twice as far from it
            assertThat(e.jumps().values()).allMatch(by -> by < 0.005);
        }
    }

    @Test
    void edgesMoveBetweenTheirNeighboursAndBadOnesAreRefused() {
        Character moved = done(HEAD, new MoveViewEdge(2, 30));
        assertThat(moved.controls().views().orElseThrow().at(29.9).view())
                .isEqualTo(moved.controls().views().orElseThrow().main().root());
        assertThat(moved.controls().views().orElseThrow().at(30).view())
                .isNotEqualTo(moved.controls().views().orElseThrow().main().root());
        for (Edit bad : List.of(
                new MoveViewEdge(2, 70), new MoveViewEdge(2, -22.5), new MoveViewEdge(9, 0), new MoveViewEdge(-1, 0))) {
            assertThat(bad.on(HEAD)).isInstanceOf(Outcome.Refused.class);
        }
        assertThat(MakeTurn.of(Optional.empty()).on(HEAD)).isInstanceOf(Outcome.Refused.class);
        assertThat(new RegisterViews(
                                HEAD.controls().views().orElseThrow().main().root())
                        .on(HEAD))
                .isInstanceOf(Outcome.Refused.class);
        Character one = Rigs.hung(Rigs.face());
        assertThat(new MakeViews().on(one)).isInstanceOf(Outcome.Refused.class);
        assertThat(new RegisterViews("").on(one)).isInstanceOf(Outcome.Refused.class);
    }

    @Test
    void aWinkStaysWithTheCharactersOwnEyeWhenItsViewIsMirrored() {
        Character winking = done(HEAD, new SplitDial(List.of("blink")));
        for (double turn : new double[] {-45, 0, 45}) {
            String view = turn == 0 ? "front view" : "3/4 view";
            Frame left = new Evaluator(winking).frame(Pose.of(Map.of("turn", turn, "blink-left", 1.0)));
            // the head looks at us: its own left is the screen's right, wherever the pieces were drawn
            Part one = in(winking, view, PartRole.WHITE, Side.LEFT);
            Part other = in(winking, view, PartRole.WHITE, Side.RIGHT);
            boolean oneIsLeft = middle(winking, left, one) > middle(winking, left, other);
            assertThat(oneIsLeft).isEqualTo(turn >= 0);
            assertThat(uncovered(winking, left, view, oneIsLeft ? Side.LEFT : Side.RIGHT))
                    .as("the left eye at %s", turn)
                    .isLessThan(0.5);
            assertThat(uncovered(winking, left, view, oneIsLeft ? Side.RIGHT : Side.LEFT))
                    .as("the right eye at %s", turn)
                    .isGreaterThan(500);
        }
        // from the side one eye is seen: the right one of a head that looks to the screen's right, the left one
        // mirrored
        for (double turn : new double[] {-90, 90}) {
            Frame left = new Evaluator(winking).frame(Pose.of(Map.of("turn", turn, "blink-left", 1.0)));
            double seen = uncovered(winking, left, "side view", Side.NONE);
            if (turn < 0) {
                assertThat(seen).isLessThan(0.5);
            } else {
                assertThat(seen).isGreaterThan(500);
            }
        }
    }

    private static double middle(Character c, Frame f, Part p) {
        return fill(c, f, p).getCentroid().getX();
    }

    private static double uncovered(Character c, Frame f, String view, Side side) {
        Geometry lids = fill(c, f, in(c, view, PartRole.UPPER_LID, side))
                .union(fill(c, f, in(c, view, PartRole.LOWER_LID, side)));
        return fill(c, f, in(c, view, PartRole.WHITE, side)).difference(lids).getArea();
    }

    /** Faces are drawn from 380 to 620, necks end at 660. */
    @Test
    void everyViewStandsBetweenTheLinesOfChinAndTop() {
        assertThat(ViewCheck.offModel(HEAD)).isEmpty();
        Character asked =
                done(done(HEAD, new MoveModelLine(ModelLine.CHIN, 600)), new MoveModelLine(ModelLine.TOP, 400));
        assertThat(ViewCheck.offModel(asked).orElseThrow())
                .contains("chin lies 20.0 under")
                .contains("top of the head lies 20.0 over");
        stands(asked, 400, 600);
    }

    @Test
    void withOneLineAloneTheNeckStaysWhereItEnds() {
        Character alone =
                HEAD.withSheet(sheet -> sheet.withModel(new Model(500, List.of(new ModelLine(ModelLine.CHIN, 600)))));
        // 40 over the neck's end become 60, and so does all else
        Character stood = stands(alone, 660 - 1.5 * (660 - 380), 600);
        assertThat(ViewCheck.of(stood)).allMatch(e -> e.jumps().get(ViewCheck.Mark.NECK) < 0.01);
        Geometry neck = fill(stood, at(stood, 0), in(stood, "front view", PartRole.NECK, Side.NONE));
        assertThat(neck.getEnvelopeInternal().getMaxY()).isCloseTo(660, within(0.01));
    }

    @Seeded(tries = 40)
    void anyTwoLinesInOrderAreStoodTo(
            @Between(min = 200, max = 480) double top, @Between(min = 500, max = 700) double chin) {
        stands(
                done(done(HEAD, new MoveModelLine(ModelLine.CHIN, chin)), new MoveModelLine(ModelLine.TOP, top)),
                top,
                chin);
    }

    private static Character stands(Character asked, double top, double chin) {
        Character stood = ViewMender.all(asked);
        assertThat(ViewCheck.offModel(stood)).isEmpty();
        for (double turn : new double[] {-90, -45, 0, 45, 90}) {
            String view = Math.abs(turn) == 90 ? "side view" : turn == 0 ? "front view" : "3/4 view";
            var face = fill(stood, at(stood, turn), in(stood, view, PartRole.FACE, Side.NONE))
                    .getEnvelopeInternal();
            assertThat(face.getMaxY()).as("chin at %s", turn).isCloseTo(chin, within(0.3));
            assertThat(face.getMinY()).as("top at %s", turn).isCloseTo(top, within(0.3));
        }
        assertThat(stood.rig().parts().stream().map(Part::drawings))
                .isEqualTo(asked.rig().parts().stream().map(Part::drawings).toList());
        assertThat(ViewCheck.of(stood)).allMatch(e -> e.message().isEmpty());
        return stood;
    }

    @Test
    void aHandOnTheTurnIsSteadiedAtTheEdgesOfViewsToo() {
        assertThat(HEAD.controls().exchanges(HEAD.dial("turn").orElseThrow()))
                .containsExactly(-67.5, -22.5, 22.5, 67.5);
        assertThat(HEAD.controls().exchanges(HEAD.dial("blink").orElseThrow())).isEmpty();
    }

    @Test
    void aViewThatIsTakenAwayLeavesNoGap() {
        ViewSet all = HEAD.controls().views().orElseThrow();
        String side = all.bands().get(0).view();
        ViewSet left = all.without(side).orElseThrow();
        assertThat(left.bands().get(0).from()).isEqualTo(-90);
        assertThat(left.bands().get(2).to()).isEqualTo(90);
        assertThat(left.bands()).hasSize(3);
        assertThat(left.without(left.views().get(1).root())).isEmpty();
    }

    @Test
    void aSingleGroupCalledFrontViewIsTheWholeCharacter() {
        Character c = Rigs.hung(Rigs.group(
                "",
                view(
                        "front view",
                        500,
                        Matrix.IDENTITY,
                        eye("left", 540, Matrix.IDENTITY),
                        eye("right", 460, Matrix.IDENTITY))));
        assertThat(c.controls().views()).isEmpty();
        assertThat(c.rig().parts()).noneMatch(p -> p.role() == PartRole.VIEW);
        assertThat(c.controls().turn()).isPresent();
    }

    @Test
    void fourDrawnViewsBecomeSevenAndTheBackKnowsItsSides() {
        Matrix none = Matrix.IDENTITY;
        Character c = Rigs.hung(Rigs.group(
                "",
                Rigs.layer("torso", Rigs.box(400, 640, 200, 200)),
                view("front view", 500, none, eye("left", 540, none), eye("right", 460, none)),
                view("three-quarter view", 545, none, eye("left", 570, none), eye("right", 500, none)),
                view("profile view", 590, none, eye("", 560, none)),
                Rigs.group(
                        "back view",
                        Rigs.layer("neck", Rigs.box(480, 600, 40, 60)),
                        Rigs.layer("ear", Rigs.ellipse(395, 500, 12, 20)),
                        Rigs.layer("ear", Rigs.ellipse(605, 500, 12, 20)),
                        Rigs.layer("back hair", Rigs.ellipse(500, 490, 110, 130)))));
        ViewSet set = c.controls().views().orElseThrow();
        assertThat(set.bands().stream().map(ViewBand::from))
                .containsExactly(-180.0, -135.0, -67.5, -22.5, 22.5, 67.5, 135.0);
        assertThat(c.dial("turn").orElseThrow().to()).isEqualTo(180);
        assertThat(set.bands().get(0).flipped()).isTrue();
        assertThat(set.bands().get(6).flipped()).isFalse();
        Part leftEar = in(c, "back view", PartRole.EAR, Side.LEFT);
        assertThat(leftEar.bounds().orElseThrow().centre().x())
                .as("seen from behind, her left ear is on the left")
                .isEqualTo(395);
        // the back hair is drawn 20 higher than the faces are: 280 over the neck's end become as many as theirs
        assertThat(ViewCheck.of(c))
                .filteredOn(e -> !e.message().isEmpty())
                .hasSize(2)
                .allMatch(e -> e.message().contains("top of the head by 20.0")
                        && e.mends().equals(Optional.of("back-view")));
        Character mended = done(c, new RegisterViews(""));
        assertThat(ViewCheck.of(mended)).allMatch(e -> e.message().isEmpty());
    }

    @Test
    void aNarrowEyeOfOneViewHoldsTheLookBackOnlyThere() {
        Matrix none = Matrix.IDENTITY;
        Layer slit = Rigs.group(
                "eye",
                Rigs.layer("white", Rigs.ellipse(560, 490, 7, 20)),
                Rigs.layer("pupil", Rigs.ellipse(560, 490, 5, 5)));
        Character c = Rigs.hung(Rigs.group(
                "",
                Rigs.layer("torso", Rigs.box(400, 640, 200, 200)),
                view("front view", 500, none, eye("left", 540, none), eye("right", 460, none)),
                view("side view", 590, none, slit)));
        assertThat(went(c, "front view", Side.LEFT, 0)).isCloseTo(went(HEAD, "front view", Side.LEFT, 0), within(1e-6));
        // 7 wide with a pupil of 5: it may go 2 within, and on until 60 % of it are left
        assertThat(went(c, "side view", Side.NONE, 90)).isBetween(2.0, 7.0);
    }

    /** How far a pupil goes at full throw to the right, on the canvas. */
    private static double went(Character c, String view, Side side, double turn) {
        Part pupil = in(c, view, PartRole.PUPIL, side);
        Point middle = pupil.bounds().orElseThrow().centre();
        Frame looks = new Evaluator(c).frame(Pose.of(Map.of("turn", turn, "gaze-across", 1.0)));
        Frame ahead = at(c, turn);
        return looks.of(pupil.id()).orElseThrow().matrix().apply(middle).x()
                - ahead.of(pupil.id()).orElseThrow().matrix().apply(middle).x();
    }

    @Test
    void aFlippedCharacterShowsTheMirrorImageAtEveryTurn() {
        Character flipped = done(HEAD, new Flip());
        double axis = HEAD.sheet().model().axis();
        for (double turn : new double[] {-90, -45, 0, 45, 90}) {
            Frame now = at(flipped, turn);
            for (Frame.Placed p : at(HEAD, turn).placed()) {
                Part was = HEAD.part(p.part()).orElseThrow();
                Point a = p.matrix().apply(was.bounds().orElseThrow().centre());
                Part is = flipped.part(p.part()).orElseThrow();
                Point b = now.of(p.part())
                        .orElseThrow()
                        .matrix()
                        .apply(is.bounds().orElseThrow().centre());
                assertThat(b.x()).as("%s at %s", was.name(), turn).isCloseTo(2 * axis - a.x(), within(1e-6));
                assertThat(b.y()).isCloseTo(a.y(), within(1e-6));
            }
        }
    }
}
