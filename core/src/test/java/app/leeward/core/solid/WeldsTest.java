package app.leeward.core.solid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.HeadShape;
import app.leeward.core.rig.Solid;
import app.leeward.core.rig.SolidKind;
import app.leeward.core.rig.Weld;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What lies along one another at rest does so from every side: along the outline of the face by itself, along others when asked. */
class WeldsTest {
    private static final Point ON_EDGE = new Point(600, 500);
    /** A line down the cheek that lies on the outline of the face, and a scarf's knot beside a tassel that hangs further forward. */
    private static final Character FACE = Rigs.hung(Rigs.group(
            "",
            Rigs.layer("face skin", Rigs.ellipse(500, 500, 100, 120)),
            Rigs.lined("seam", Rigs.ellipse(500, 500, 100, 120)),
            Rigs.layer("knot", Rigs.box(480, 560, 20, 20)),
            Rigs.layer("tassel", Rigs.box(500, 560, 20, 20)),
            Rigs.layer("nose", Rigs.ellipse(500, 520, 10, 14))));

    private static Character said(Character c, String part, double forward, Weld weld) {
        return c.withPart(
                part,
                p -> p.withSolid(Optional.of(new Solid(
                        Optional.of(SolidKind.SKULL), forward, Optional.empty(), Optional.ofNullable(weld)))));
    }

    private static Path turned(Character c, String part, double yaw) {
        HeadSolids solids = HeadSolids.of(c, HeadShape.HUMAN).orElseThrow();
        Path rest = c.part(part)
                .orElseThrow()
                .drawings()
                .get(0)
                .art()
                .shapes()
                .get(0)
                .path();
        return solids.outline(part, rest).at(View.yaw(yaw));
    }

    private static double apart(Character c, String a, String b, double yaw) {
        return turned(c, a, yaw).points().stream()
                .mapToDouble(p -> turned(c, b, yaw).sampled(40).stream()
                        .mapToDouble(q -> q.distance(p))
                        .min()
                        .orElseThrow())
                .min()
                .orElseThrow();
    }

    @Seeded(tries = 40)
    void whatLiesAlongTheOutlineOfTheFaceStaysOnItUnlessCut(@Between(min = -60, max = 60) double yaw) {
        Character welded = said(FACE, "seam", 0, null);
        Path face = turned(welded, "face-skin", yaw);
        assertThat(turned(welded, "seam", yaw).points()).isEqualTo(face.points());
        // a line that goes by itself has its near and far end behind the limb
        Character cut = said(FACE.withPart("seam", p -> p), "seam", 0.2, Weld.CUT);
        double off = turned(cut, "seam", yaw).bounds().orElseThrow().maxX()
                - face.bounds().orElseThrow().maxX();
        assertThat(Math.abs(off)).isGreaterThan(Math.abs(15 * Math.sin(Math.toRadians(yaw))) - 6);
    }

    /** The side that touches stays with the other piece to a millionth; the far side goes by itself. */
    @Seeded(tries = 40)
    void aPieceIsWeldedToAnotherThatStandsFurtherForward(@Between(min = 5, max = 60) double yaw) {
        Character apart = said(said(FACE, "tassel", 0.5, null), "knot", 0, null);
        Character welded = said(apart, "knot", 0, Weld.onto("tassel"));
        assertThat(apart(apart, "knot", "tassel", yaw)).isGreaterThan(0.02 * yaw);
        Path knot = turned(welded, "knot", yaw);
        Path tassel = turned(welded, "tassel", yaw);
        Point corner = knot.points().get(1);
        assertThat(tassel.points().get(0).distance(corner)).isLessThan(1e-6);
        assertThat(tassel).isEqualTo(turned(apart, "tassel", yaw));
    }

    /** Two pieces each welded to the other: each goes along how the other would go by itself. */
    @Test
    void weldsInACircleComeToAnEnd() {
        Character both = said(said(FACE, "tassel", 0.5, Weld.onto("knot")), "knot", 0, Weld.onto("tassel"));
        Character apart = said(said(FACE, "tassel", 0.5, null), "knot", 0, null);
        Point knot = turned(both, "knot", 30).points().get(1);
        assertThat(knot.distance(turned(apart, "tassel", 30).points().get(0))).isLessThan(1e-6);
    }

    @Test
    void weldsThatWereFoundAreTold() {
        HeadSolids solids =
                HeadSolids.of(said(FACE, "seam", 0, null), HeadShape.HUMAN).orElseThrow();
        HeadSolids.SolidPiece line = entry(solids, "seam");
        assertThat(line.welded()).isNotEmpty().allSatisfy(p -> assertThat(
                        Math.hypot((p.x() - 500) / 100, (p.y() - 500) / 120))
                .isCloseTo(1, within(0.03)));
        assertThat(line.welded())
                .anySatisfy(p -> assertThat(p.distance(ON_EDGE)).isLessThan(1e-6));
        assertThat(entry(solids, "nose").welded()).isEmpty();
        HeadSolids cut =
                HeadSolids.of(said(FACE, "seam", 0, Weld.CUT), HeadShape.HUMAN).orElseThrow();
        assertThat(entry(cut, "seam").welded()).isEmpty();
    }

    private static HeadSolids.SolidPiece entry(HeadSolids solids, String part) {
        return solids.entries().stream()
                .filter(e -> e.part().equals(part))
                .findFirst()
                .orElseThrow();
    }
}
