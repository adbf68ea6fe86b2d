package app.leeward.core.lips;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.PathPoints;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.edit.CopyDrawing;
import app.leeward.core.edit.DropDrawing;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.LeadInto;
import app.leeward.core.edit.MakeMouths;
import app.leeward.core.edit.MovePoint;
import app.leeward.core.edit.Outcome;
import app.leeward.core.edit.SetKey;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.mouth.MouthRulers;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.DrawingKey;
import app.leeward.core.rig.Part;
import app.leeward.core.seeded.Seeded;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Drawings on the way into a mouth, and keys. */
class HalfwayTest {
    private static final Character MADE = done(
            Rigs.hung(Rigs.group(
                    "",
                    Rigs.layer("face skin", Rigs.ellipse(500, 500, 100, 120)),
                    Rigs.lined(
                            "mouth",
                            MouthMakerTest.path("M450 540 C470 556 530 556 550 540 C530 557 470 557 450 540 Z")))),
            new MakeMouths("", null, null, true, null));

    private static Character done(Character c, Edit edit) {
        Outcome o = Edits.apply(c, edit);
        assertThat(o).as("%s", o).isInstanceOf(Outcome.Done.class);
        return ((Outcome.Done) o).character();
    }

    private static String id(Character c, Viseme v) {
        return c.voice().mouths().drawn().get(v);
    }

    private static Artwork art(Character c, String drawing) {
        return MouthSet.part(c).orElseThrow().drawing(drawing).orElseThrow().art();
    }

    private static double opening(Artwork a) {
        return Regions.ofFills(a.shapes().stream()
                        .filter(s -> s.role() == ShapeRole.WINDOW)
                        .toList())
                .getArea();
    }

    /** Areas by JTS. From the closed mouth to any other, halfway opens neither more nor less than both. */
    @ParameterizedTest
    @EnumSource(Viseme.class)
    void halfwayFromRestOpensBetweenTheTwo(Viseme v) {
        double rest = opening(art(MADE, id(MADE, Viseme.REST)));
        double open = opening(art(MADE, id(MADE, v)));
        double middle = opening(Halfway.between(art(MADE, id(MADE, Viseme.REST)), art(MADE, id(MADE, v))));
        assertThat(middle).isBetween(Math.min(rest, open) - 1, Math.max(rest, open) + 1);
    }

    /**
     * Areas of any two are not always kept (a wide slit and a narrow hole blend to something larger than both), extents
     * are: every edge of the bounds lies at the mean, give or take how far the curves stray from their points.
     */
    @Seeded(tries = 60)
    void halfwayReachesNoFurtherThanTheTwo(Viseme a, Viseme b) {
        Artwork from = art(MADE, id(MADE, a));
        Artwork to = art(MADE, id(MADE, b));
        Box one = from.bounds().orElseThrow();
        Box two = to.bounds().orElseThrow();
        Box middle = Halfway.between(from, to).bounds().orElseThrow();
        assertThat(middle.minX()).isGreaterThan(Math.min(one.minX(), two.minX()) - 1e-6);
        assertThat(middle.maxX()).isLessThan(Math.max(one.maxX(), two.maxX()) + 1e-6);
        assertThat(middle.minY()).isGreaterThan(Math.min(one.minY(), two.minY()) - 1e-6);
        assertThat(middle.maxY()).isLessThan(Math.max(one.maxY(), two.maxY()) + 1e-6);
    }

    @Test
    void halfwayToAScaledCopyIsTheMeanOfBoth() {
        Artwork ah = art(MADE, id(MADE, Viseme.AH));
        Artwork twice = ah.transform(new Matrix(2, 0, 0, 2, 0, 0));
        Artwork half = Halfway.between(ah, twice);
        assertThat(opening(half)).isCloseTo(2.25 * opening(ah), within(5e-3 * opening(ah)));
    }

    @Test
    void aWayIsMadeFollowsTheRulersAndIsKeptOnceShaped() {
        String ah = id(MADE, Viseme.AH);
        Character led = done(MADE, new LeadInto(ah, id(MADE, Viseme.REST)));
        MouthChart.Between way = led.voice().mouths().betweens().get(ah);
        assertThat(MouthSet.origin(led, way.drawing())).isEqualTo(MouthSet.Origin.MADE);
        MouthRulers wide = new MouthRulers(1.6, 1, 1, 1, 1, 0);
        Character wider = done(led, new MakeMouths("", wide, null, false, null));
        assertThat(opening(art(wider, way.drawing()))).isGreaterThan(1.1 * opening(art(led, way.drawing())));
        Part mouth = MouthSet.part(led).orElseThrow();
        int window = 0;
        Character shaped = done(
                led,
                new MovePoint(
                        mouth.id(),
                        way.drawing(),
                        window,
                        0,
                        PathPoints.Hold.POINT,
                        new app.leeward.core.art.Point(440, 540)));
        assertThat(MouthSet.origin(shaped, way.drawing())).isEqualTo(MouthSet.Origin.SHAPED);
        Character again = done(shaped, new MakeMouths("", wide, null, false, null));
        assertThat(art(again, way.drawing())).isEqualTo(art(shaped, way.drawing()));
        Character dropped = done(led, new DropDrawing(mouth.id(), way.drawing()));
        assertThat(dropped.voice().mouths().betweens()).isEmpty();
    }

    /** Mouths drawn with other points have one between them as well: the same mouth with a point more is halfway to itself itself. */
    @Test
    void otherPointsAreNoHindrance() {
        Artwork ah = art(MADE, id(MADE, Viseme.AH));
        Artwork more = new Artwork(ah.shapes().stream()
                .map(s -> s.withPath(PathPoints.added(s.path(), 1, 0.4)))
                .toList());
        Artwork half = Halfway.between(more, ah);
        assertThat(opening(half)).isCloseTo(opening(ah), within(5e-3 * opening(ah)));
        Artwork wide = art(MADE, id(MADE, Viseme.EE));
        double between = opening(Halfway.between(more, wide));
        assertThat(between).isCloseTo(opening(Halfway.between(ah, wide)), within(0.03 * opening(ah)));
    }

    @Test
    void mouthsThatDoNotMatchSayWhy() {
        Artwork ah = art(MADE, id(MADE, Viseme.AH));
        Artwork bare = new Artwork(
                ah.shapes().stream().filter(s -> s.role() != ShapeRole.TONGUE).toList());
        assertThatThrownBy(() -> Halfway.between(bare, ah))
                .isInstanceOf(MouthProblem.class)
                .hasMessageContaining("no tongue");
        List<Shape> cut = ah.shapes().stream()
                .map(s -> s.role() == ShapeRole.OUTLINE ? s.withPath(MouthMakerTest.path("M0 0 L9 0 L9 9")) : s)
                .toList();
        assertThatThrownBy(() -> Halfway.between(new Artwork(cut), ah))
                .isInstanceOf(MouthProblem.class)
                .hasMessageContaining("in outline one is open where the other is closed");
        String rest = id(MADE, Viseme.REST);
        assertThat(((Outcome.Refused) Edits.apply(MADE, new LeadInto(rest, rest))).code())
                .isEqualTo("mouth-same");
        assertThat(((Outcome.Refused) Edits.apply(MADE, new LeadInto("none", rest))).code())
                .isEqualTo("no-drawing");
    }

    @Test
    void aKeyShowsOneDrawingAndGoesWithIt() {
        String part = MouthSet.part(MADE).orElseThrow().id();
        String ah = id(MADE, Viseme.AH);
        String oh = id(MADE, Viseme.OH);
        Character one = done(MADE, new SetKey(part, ah, "a"));
        SetKey over = new SetKey(part, oh, "a");
        assertThat(over.describe(one)).contains("Key a shows").contains("no longer");
        Character two = done(one, over);
        assertThat(two.library().keys()).containsExactly(new DrawingKey("a", part, oh));
        Character copied = done(two, new CopyDrawing(part, oh, "other oh", Optional.empty()));
        Character keyed = done(copied, new SetKey(part, "other-oh", "1"));
        assertThat(done(keyed, new DropDrawing(part, "other-oh")).library().keys())
                .isEqualTo(two.library().keys());
        assertThat(done(two, new SetKey(part, oh, "")).library().keys()).isEmpty();
    }

    @Test
    void aKeyCanShowNothingAndStaysWhileThePartIsThere() {
        String part = MouthSet.part(MADE).orElseThrow().id();
        SetKey off = new SetKey(part, Part.NOTHING, "c");
        assertThat(off.describe(MADE)).isEqualTo("Key c shows nothing of mouth");
        Character keyed = done(MADE, off);
        assertThat(keyed.library().keys()).containsExactly(new DrawingKey("c", part, Part.NOTHING));
        assertThat(done(keyed, new CopyDrawing(part, id(MADE, Viseme.OH), "other oh", Optional.empty()))
                        .library()
                        .keys())
                .isEqualTo(keyed.library().keys());
        assertThat(((Outcome.Refused) Edits.apply(MADE, new SetKey("head", Part.NOTHING, "c"))).code())
                .isEqualTo("no-drawing");
    }

    @ParameterizedTest
    @ValueSource(strings = {"w", "0", "A", "ab", " ", "é", "?"})
    void aKeyThatDoesSomethingElseOrIsNoneIsRefused(String key) {
        String part = MouthSet.part(MADE).orElseThrow().id();
        assertThat(((Outcome.Refused) Edits.apply(MADE, new SetKey(part, id(MADE, Viseme.AH), key))).code())
                .isEqualTo("bad-key");
    }

    /** The colour of lips is as thick at its middle in every mouth as it is in the starting one. */
    @Test
    void theColourOfLipsGoesWithTheirEdges() {
        Shape upper = Shape.filled(
                        "upper lip",
                        MouthMakerTest.path("M450 540 C480 528 520 528 550 540 C530 556 470 556 450 540 Z"),
                        "#b0505a")
                .withRole(ShapeRole.LIPS, false);
        Shape lower = Shape.filled(
                        "lower lip",
                        MouthMakerTest.path("M450 540 C470 557 530 557 550 540 C530 572 470 572 450 540 Z"),
                        "#b0505a")
                .withRole(ShapeRole.LIPS, false);
        Shape line = new Shape(
                "mouth",
                ShapeRole.OUTLINE,
                MouthMakerTest.path("M450 540 C470 556 530 556 550 540 C530 557 470 557 450 540 Z"),
                Paint.NONE,
                app.leeward.core.art.FillRule.NONZERO,
                new app.leeward.core.art.Stroke(
                        Paint.flat("#222222"),
                        4,
                        app.leeward.core.art.Stroke.Cap.ROUND,
                        app.leeward.core.art.Stroke.Join.ROUND,
                        4),
                1,
                false);
        MouthMaker maker = new MouthMaker(new Artwork(List.of(upper, lower, line)));
        Artwork ah = maker.make(Viseme.AH, MouthRulers.AS_ASKED, 0, 0);
        assertThat(ah.shapes().get(0).role()).isEqualTo(ShapeRole.LIPS);
        Lips edge = Lips.of(ah.shapes().stream()
                .filter(s -> s.role() == ShapeRole.OUTLINE)
                .findFirst()
                .orElseThrow()
                .path());
        var low = ah.shapes().get(1).path().bounds().orElseThrow();
        var up = ah.shapes().get(0).path().bounds().orElseThrow();
        assertThat(low.maxY() - edge.lower().middlePoint().y())
                .as("lower lip under the opening")
                .isCloseTo(564 - 552.75, within(3.0));
        assertThat(edge.upper().middlePoint().y() - up.minY())
                .as("upper lip over the opening")
                .isCloseTo(552 - 531, within(3.0));
        assertThat(low.width()).isCloseTo(edge.width(), within(0.05 * edge.width()));
    }
}
