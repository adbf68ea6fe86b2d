package app.leeward.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import app.leeward.core.art.PathPoints;
import app.leeward.core.art.PathPoints.Hold;
import app.leeward.core.art.Point;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.dial.Aspect;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.eval.Reason;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.StopChange;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Outlines reshaped point by point at stops; the artwork stays as it was drawn. */
class PullPointTest {
    private static final Character FACE = done(Rigs.hung(Rigs.face()), new NewDial("Puff", -1, 1, 0, ""));
    private static final String DRAWING =
            FACE.part("face-skin").orElseThrow().drawings().get(0).id();

    private static Character done(Character c, Edit e) {
        Outcome outcome = Edits.apply(c, e);
        assertThat(outcome).as("%s", outcome).isInstanceOf(Outcome.Done.class);
        return ((Outcome.Done) outcome).character();
    }

    private static String refused(Character c, Edit e) {
        return ((Outcome.Refused) Edits.apply(c, e)).message();
    }

    private static PullPoint pull(double at, int segment, double dx, double dy) {
        return new PullPoint("puff", at, "face-skin", DRAWING, 0, segment, Hold.POINT, dx, dy, false);
    }

    private static Path drawn(Character c) {
        return c.part("face-skin")
                .orElseThrow()
                .drawings()
                .get(0)
                .art()
                .shapes()
                .get(0)
                .path();
    }

    private static Path shown(Character c, double puff) {
        Frame.Placed p = new Evaluator(c)
                .frame(Pose.of(Map.of("puff", puff)))
                .of("face-skin")
                .orElseThrow();
        return p.outlines().isEmpty() ? drawn(c) : p.outlines().get(0);
    }

    /** At the stop the outline is the one the shape editor would draw; halfway it is halfway; at rest as drawn. */
    @Seeded(tries = 60)
    void thePointGoesWhereItIsPulled(@Between(min = -40, max = 40) double dx, @Between(min = -40, max = 40) double dy) {
        Character c = done(FACE, pull(1, 3, dx, dy));
        Point was = PathPoints.place(drawn(FACE), 3, Hold.POINT);
        Path edited = PathPoints.moved(drawn(FACE), 3, Hold.POINT, was.plus(new Point(dx, dy)));
        for (int i = 0; i < edited.points().size(); i++) {
            Point full = edited.points().get(i);
            assertThat(shown(c, 1).points().get(i).distance(full)).isLessThan(1e-9);
            Point half = drawn(FACE).points().get(i).towards(full, 0.5);
            assertThat(shown(c, 0.5).points().get(i).distance(half)).isLessThan(1e-9);
        }
        assertThat(drawn(c)).as("the artwork").isEqualTo(drawn(FACE));
        assertThat(shown(c, 0)).isEqualTo(drawn(FACE));
        assertThat(shown(c, -1)).as("nothing was said about that side").isEqualTo(drawn(FACE));
    }

    @Test
    void pullsAddUpAreToldAndTakenBack() {
        Character c = done(done(FACE, pull(1, 3, 5, 0)), pull(1, 3, 2, 1));
        Point was = PathPoints.place(drawn(FACE), 3, Hold.POINT);
        assertThat(PathPoints.place(shown(c, 1), 3, Hold.POINT).distance(was.plus(new Point(7, 1))))
                .isLessThan(1e-9);
        assertThat(StopChange.of(c, c.dial("puff").orElseThrow()))
                .singleElement()
                .satisfies(s -> {
                    assertThat(s.aspect()).isEqualTo(Aspect.SHAPE);
                    assertThat(s.message()).contains("outline");
                });
        assertThat(new Evaluator(c).why("face-skin", Pose.of(Map.of("puff", 1.0))))
                .filteredOn(r -> r.channel().equals(Reason.OUTLINE))
                .singleElement()
                .satisfies(r -> assertThat(r.heard().get(0).message()).isEqualTo("Puff at 1 pulls its points"));
        assertThat(new Evaluator(c).why("face-skin", Pose.REST))
                .noneMatch(r -> r.channel().equals(Reason.OUTLINE));
        Character without = done(c, new Forget("puff", 1, "face-skin", Aspect.SHAPE));
        assertThat(without).isEqualTo(FACE);
    }

    /** What lies on the axis is mirrored onto itself: the other extreme is the exact mirror image. */
    @Test
    void aStopIsMirroredPointByPoint() {
        Character c = done(done(FACE, pull(1, 3, 12, -7)), pull(1, 2, 3, 9));
        c = done(c, new MirrorStop("puff", 1));
        Path right = shown(c, 1);
        Path left = shown(c, -1).transform(Matrix.mirror(FACE.sheet().model().axis()));
        assertThat(Regions.of(right).symDifference(Regions.of(left)).getArea()).isLessThan(0.5);
        assertThat(Regions.of(right).symDifference(Regions.of(drawn(c))).getArea())
                .isGreaterThan(50);
    }

    @Test
    void theWindowIsReshapedWithItsPart() {
        Character c = done(FACE, pull(1, 3, 0, 60));
        Frame frame = new Evaluator(c).frame(Pose.of(Map.of("puff", 1.0)));
        assertThat(frame.of("mouth").orElseThrow().windows()).contains("face-skin");
        assertThat(frame.of("face-skin").orElseThrow().outlines()).isNotEmpty();
    }

    /** Editing the artwork never breaks a dial: points that come or go come or go in what the stops do to them too. */
    @Test
    void whatAStopDoesFollowsTheArtwork() {
        Character c = done(FACE, pull(1, 3, 20, 0));
        Character more = done(c, new AddPoint("face-skin", DRAWING, 0, 2, 0.5));
        assertThat(drawn(more).points()).hasSizeGreaterThan(drawn(c).points().size());
        assertThat(Regions.of(shown(more, 1))
                        .symDifference(Regions.of(shown(c, 1)))
                        .getArea())
                .as("a point that changes no outline changes none here either, but for how curves are flattened")
                .isLessThan(5);
        assertThat(Regions.of(shown(more, 1))
                        .symDifference(Regions.of(drawn(more)))
                        .getArea())
                .isGreaterThan(50);
        Character less = done(more, new RemovePoint("face-skin", DRAWING, 0, 2));
        assertThat(shown(less, 1)).isNotEqualTo(drawn(less));
        assertThat(StopChange.findings(less, less.dial("puff").orElseThrow())).isEmpty();
    }

    @Test
    void anOutlineFromElsewhereKeepsItsOwnShapeAndSaysSo() {
        Character c = done(FACE, pull(1, 3, 20, 0));
        Character redrawn = c.withPart(
                "face-skin",
                p -> p.withDrawings(List.of(Rigs.drawing(DRAWING, Rigs.box(400, 380, 200, 240))), DRAWING));
        assertThat(new Evaluator(redrawn)
                        .frame(Pose.of(Map.of("puff", 1.0)))
                        .of("face-skin")
                        .orElseThrow()
                        .outlines())
                .isEmpty();
        assertThat(StopChange.findings(redrawn, redrawn.dial("puff").orElseThrow()))
                .singleElement()
                .satisfies(f -> assertThat(f).contains("other points by now"));
    }

    @Test
    void nonsenseIsRefusedInWords() {
        assertThat(refused(FACE, pull(0, 3, 1, 1))).contains("At rest");
        assertThat(refused(FACE, pull(7, 3, 1, 1))).contains("there is no 7 on it");
        assertThat(refused(FACE, pull(1, 99, 1, 1))).contains("no point 99");
        assertThat(refused(FACE, pull(1, 3, 1e9, 1))).contains("off the canvas");
        assertThat(refused(FACE, new PullPoint("puff", 1, "face-skin", DRAWING, 9, 3, Hold.POINT, 1, 1, false)))
                .contains("no such outline");
        assertThat(Regions.of(drawn(FACE)).getArea()).isCloseTo(Math.PI * 100 * 120, within(40.0));
    }

    @Test
    void anOutlineThatIsNotAlikeOnBothSidesIsNamedWhenItsStopIsMirrored() {
        // a fifth point on one side only
        Path lopsided = new Path(List.of(
                new Segment.Move(new Point(400, 500)),
                new Segment.Line(new Point(460, 380)),
                new Segment.Line(new Point(610, 470)),
                new Segment.Line(new Point(500, 620)),
                new Segment.Close()));
        Character odd = FACE.withPart(
                "face-skin",
                f -> f.withDrawings(
                        List.of(new Drawing(DRAWING, DRAWING, Artwork.of(Shape.filled("", lopsided, "#884422")))),
                        DRAWING));
        Character pulled = done(odd, pull(1, 1, 6, -4));
        MirrorStop mirror = new MirrorStop("puff", 1);
        assertThat(mirror.describe(pulled)).contains("but not the outline of face skin");
        assertThat(mirror.describe(done(FACE, pull(1, 1, 6, -4)))).doesNotContain("but not");
    }
}
