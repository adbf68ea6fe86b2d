package app.leeward.core.hand;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.art.Wrist;
import app.leeward.core.rig.Character;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Drawings whose cut end is known, turned every way. */
class WristSearchTest {
    /** A palm with four fingers and a thumb, cut straight between (40, 200) and (100, 200). */
    private static final String HAND =
            "M40 200 L34 120 C10 110 0 90 -14 70 C-20 58 -6 50 4 60 L30 92 L30 40 C30 26 46 26 46 40 L48 86"
                    + " L52 28 C52 14 68 14 68 28 L68 86 L76 34 C76 20 92 22 92 36 L88 90 L100 54 C104 42 116 46 114 60 L104 130 L100 200";

    private static final Wrist CUT = new Wrist(new Point(40, 200), new Point(100, 200));

    private static Artwork hand(boolean closed) {
        Path path = Rigs.path(closed ? HAND + " Z" : HAND);
        return Artwork.of(Shape.filled("hand", path, "#e8c4a0"));
    }

    /** Two units and two degrees is what is asked of a wrist that is decided. */
    @Seeded(tries = 60)
    void theCutEndIsFoundWhicheverWayTheHandPoints(
            @Between(min = 0, max = 360) double turned,
            @Between(min = 0.2, max = 5) double size,
            boolean mirrored,
            boolean closed) {
        Matrix m = Matrix.translate(400, 300)
                .times(Matrix.rotate(turned))
                .times(Matrix.scale(mirrored ? -size : size, size));
        Wrist found = WristSearch.sure(hand(closed).transform(m)).orElseThrow();
        Point first = m.apply(mirrored ? CUT.second() : CUT.first());
        Point second = m.apply(mirrored ? CUT.first() : CUT.second());
        assertThat(found.first().distance(first)).isLessThan(0.03 * size * CUT.width());
        assertThat(found.second().distance(second)).isLessThan(0.03 * size * CUT.width());
    }

    /** A hand of pixels is cut where what its picture shows is cut, not at the picture's edge. */
    @Test
    void theCutEndOfAHandOfPixelsIsWhereItsPictureShowsIt() {
        Matrix place = Matrix.translate(400, 300).times(Matrix.scale(0.5, 0.5));
        Paint.Picture picture = new Paint.Picture(
                "0".repeat(64), 140, 220, place, "#e8c4a0", hand(true).shapes());
        Path frame = Rigs.box(0, 0, 140, 220).transform(place);
        Artwork drawn = Artwork.of(Shape.filled("hand", frame, "#e8c4a0").withFill(picture));
        Wrist found = WristSearch.sure(drawn).orElseThrow();
        assertThat(found.first().distance(place.apply(CUT.first()))).isLessThan(0.9);
        assertThat(found.second().distance(place.apply(CUT.second()))).isLessThan(0.9);
        assertThat(WristFinder.outline(drawn).orElseThrow().area().getArea())
                .isCloseTo(WristFinder.outline(hand(true)).orElseThrow().area().getArea() / 4, within(1.0));
    }

    /** The same palm with its fingers folded. */
    private static final String FIST =
            "M40 200 L34 120 C10 110 0 96 8 84 C14 70 26 60 44 58 C62 52 92 54 106 66 C118 78 116 104 106 124 L100 200 Z";

    /** On the arm one drawing; the other lies on a sheet, turned, smaller, far away: registered, it is on the arm as it would be drawn there. */
    @Seeded(tries = 40)
    void aHandLaidOutOnASheetComesOntoItsArm(
            @Between(min = 70, max = 290) double turned, @Between(min = 0.4, max = 2.5) double size) {
        Character c = Rigs.hung(Rigs.group(
                "",
                Rigs.layer("face", Rigs.ellipse(500, 60, 60, 70)),
                Rigs.layer("forearm left", Rigs.box(42, 196, 56, 240)),
                Rigs.layer("hand left", Rigs.path(HAND + " Z"))));
        Artwork fist = Artwork.of(Shape.filled("fist", Rigs.path(FIST), "#e8c4a0"));
        Matrix sheet = Matrix.translate(900, 500).times(Matrix.rotate(turned)).times(Matrix.scale(size, size));
        Character both = c.withPart(
                "hand-left",
                p -> p.withDrawings(
                        List.of(p.drawings().get(0), new Drawing("fist", "fist", fist.transform(sheet))), p.shown()));
        Hands.AtWrist before = Hands.of(both).get(0).drawings().get(1);
        assertThat(before.message()).contains("beside the others'");
        Character on = Hands.registered(both, "hand-left", "fist", false).orElseThrow();
        List<Point> points = on.part("hand-left")
                .orElseThrow()
                .drawing("fist")
                .orElseThrow()
                .art()
                .shapes()
                .get(0)
                .path()
                .points();
        List<Point> wanted = Rigs.path(FIST).points();
        for (int i = 0; i < wanted.size(); i++) {
            assertThat(points.get(i).distance(wanted.get(i))).as("point %d", i).isLessThan(2);
        }
        assertThat(Hands.of(on).get(0).drawings().get(1).message()).doesNotContain("beside", "turned");
    }

    @Test
    void whatHasNoCutEndIsNotDecided() {
        assertThat(WristSearch.sure(Artwork.of(Shape.filled("", Rigs.ellipse(0, 0, 50, 50), "#123456"))))
                .isEmpty();
        assertThat(WristSearch.sure(Artwork.of(Shape.filled("", Rigs.box(0, 0, 60, 60), "#123456"))))
                .as("four ends alike")
                .isEmpty();
        assertThat(WristSearch.sure(Artwork.of())).isEqualTo(Optional.empty());
    }

    @Test
    void theHandLiesAheadOfTheWrist() {
        Wrist found = WristSearch.sure(hand(true)).orElseThrow();
        assertThat(found.past(new Point(70, 40))).isPositive();
        assertThat(found.width()).isCloseTo(60, within(0.5));
    }
}
