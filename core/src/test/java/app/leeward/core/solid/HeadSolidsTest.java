package app.leeward.core.solid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.intake.Layer;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.HeadShape;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.SolidKind;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.util.List;
import org.junit.jupiter.api.Test;

class HeadSolidsTest {
    private static final Character FACE = Rigs.hung(Rigs.face());
    private static final HeadSolids SOLIDS =
            HeadSolids.of(FACE, HeadShape.HUMAN).orElseThrow();

    private static Path skin(HeadSolids solids, Character c, View view) {
        String skin = solids.skin();
        return solids.outline(
                        skin,
                        c.part(skin)
                                .orElseThrow()
                                .drawings()
                                .get(0)
                                .art()
                                .shapes()
                                .get(0)
                                .path())
                .at(view);
    }

    @Test
    void halfTheWidthAndTheAxisAreReadFromTheArt() {
        assertThat(SOLIDS.halfWidth()).isCloseTo(100, within(0.5));
        assertThat(SOLIDS.axis()).isEqualTo(500);
        assertThat(SOLIDS.skin()).isEqualTo("face-skin");
        assertThat(SOLIDS.area()).isCloseTo(Math.PI * 100 * 120, within(30.0));
    }

    @Test
    void rolesSayWhatAPieceIsInTheRound() {
        assertThat(SOLIDS.kind("face-skin")).isEqualTo(SolidKind.SKULL);
        assertThat(SOLIDS.kind("nose")).isEqualTo(SolidKind.MASS);
        assertThat(SOLIDS.kind("back-hair")).isEqualTo(SolidKind.SHELL);
        // drawn before the face
        assertThat(SOLIDS.kind("ear-left")).isEqualTo(SolidKind.EAR);
        assertThat(SOLIDS.kind("brow-right")).isEqualTo(SolidKind.DECAL);
        assertThat(SOLIDS.goesAlong("pupil-left")).isTrue();
        assertThat(SOLIDS.keepsDrawing("eye-left")).isTrue();
        assertThat(SOLIDS.keepsDrawing("mouth")).isFalse();
    }

    /** What has no role is told by place, size and order. */
    @Test
    void placeSizeAndOrderSayItWhereNoRoleDoes() {
        Character c = Rigs.hung(Rigs.group(
                "",
                Rigs.layer("thing a", Rigs.ellipse(500, 480, 150, 170)),
                Rigs.layer("thing b", Rigs.ellipse(500, 350, 8, 40)),
                Rigs.layer("thing c", Rigs.ellipse(420, 390, 14, 40)),
                Rigs.layer("face skin", Rigs.ellipse(500, 500, 100, 120)),
                Rigs.layer("thing d", Rigs.ellipse(460, 560, 9, 9)),
                Rigs.layer("thing e", Rigs.box(395, 330, 210, 90)),
                Rigs.layer("thing f", Rigs.box(410, 385, 180, 60))));
        String head = c.part(PartRole.HEAD).orElseThrow().id();
        for (String thing : List.of("thing-a", "thing-b", "thing-c", "thing-d", "thing-e", "thing-f")) {
            c = c.withPart(thing, p -> p.with(q -> q.parent(java.util.Optional.of(head))));
        }
        HeadSolids solids = HeadSolids.of(c, HeadShape.HUMAN).orElseThrow();
        assertThat(List.of("thing-a", "thing-b", "thing-c", "thing-d", "thing-e", "thing-f"))
                .extracting(solids::kind)
                .containsExactly(
                        SolidKind.SHELL,
                        SolidKind.AXIS,
                        SolidKind.PLATE,
                        SolidKind.SKULL,
                        SolidKind.RING,
                        SolidKind.COVER);
    }

    @Test
    void shapesAreGuessedFromTheArt() {
        assertThat(HeadSolids.guessedShape(FACE)).contains(HeadShape.HUMAN);
        assertThat(HeadSolids.guessedShape(Rigs.hung(Rigs.group(
                        "",
                        Rigs.layer("face skin", Rigs.box(400, 400, 200, 240)),
                        Rigs.layer("mouth", Rigs.box(480, 560, 40, 6))))))
                .contains(HeadShape.BOX);
        assertThat(HeadSolids.guessedShape(Rigs.hung(Rigs.group(
                        "",
                        Rigs.layer("face skin", Rigs.ellipse(500, 500, 100, 120)),
                        Rigs.layer("muzzle", Rigs.ellipse(500, 560, 40, 30))))))
                .contains(HeadShape.ANIMAL);
        assertThat(HeadSolids.guessedShape(Rigs.hung(Rigs.group(
                        "",
                        Rigs.layer(
                                "face skin",
                                Rigs.path(
                                        "M400 500 C400 420 440 400 500 400 C560 400 600 420 600 500 C600 580 590 600 500 600"
                                                + " C410 600 400 580 400 500 Z")),
                        Rigs.layer("mouth", Rigs.box(480, 560, 40, 6))))))
                .as("as wide at the chin as above")
                .contains(HeadShape.ROUND);
        assertThat(HeadSolids.guessedShape(Rigs.character(List.of(Rigs.part("box", null, new Point(0, 0))), List.of())))
                .isEmpty();
    }

    /** From the front everything is where it was drawn: placements are the identity, curves are the drawn ones. */
    @Test
    void fromTheFrontNothingMoves() {
        for (View view : new View[] {View.yaw(0), View.pitch(0)}) {
            for (String piece : SOLIDS.pieces()) {
                if (SOLIDS.goesAlong(piece)) {
                    continue;
                }
                if (SOLIDS.keepsDrawing(piece)) {
                    assertThat(SOLIDS.placed(piece, view)).satisfies(m -> {
                        assertThat(m.a()).as(piece).isCloseTo(1, within(1e-9));
                        assertThat(m.e()).as(piece).isCloseTo(0, within(1e-6));
                    });
                    continue;
                }
                FACE.part(piece).orElseThrow().drawings().forEach(d -> d.art()
                        .shapes()
                        .forEach(s -> {
                            Path now = SOLIDS.outline(piece, s.path()).at(view);
                            List<Point> rest = s.path().points();
                            for (int i = 0; i < rest.size(); i++) {
                                assertThat(now.points().get(i).distance(rest.get(i)))
                                        .as("%s %d", piece, i)
                                        .isLessThan(1e-6);
                            }
                        }));
            }
        }
    }

    /** An outline drawn a second time as a layer of its own stays on the skin's edge at every angle. */
    @Seeded(tries = 60)
    void aHeadLineStaysOnTheSkin(@Between(min = -45, max = 45) double yaw, @Between(min = -20, max = 20) double pitch) {
        Layer root = Rigs.group(
                "",
                Rigs.layer("face skin", Rigs.ellipse(500, 500, 100, 120)),
                Rigs.layer("head line", Rigs.ellipse(500, 500, 100, 120)),
                Rigs.layer("muzzle", Rigs.ellipse(500, 560, 50, 40)),
                Rigs.layer("nose", Rigs.ellipse(500, 540, 12, 8)));
        Character c = Rigs.hung(root);
        HeadSolids solids = HeadSolids.of(c, HeadShape.ANIMAL).orElseThrow();
        String line = c.part(PartRole.FACE_LINE).orElseThrow().id();
        Path drawn = c.part(line)
                .orElseThrow()
                .drawings()
                .get(0)
                .art()
                .shapes()
                .get(0)
                .path();
        for (View view : new View[] {View.yaw(yaw), View.pitch(pitch)}) {
            List<Point> skin = skin(solids, c, view).sampled(5);
            List<Point> over = solids.outline(line, drawn).at(view).sampled(5);
            for (int i = 0; i < skin.size(); i++) {
                assertThat(over.get(i).distance(skin.get(i))).isLessThan(1e-6);
            }
        }
    }

    /** A patch that ends at the edge of the head goes on ending there: its points keep to the skin's edge. */
    @Test
    void aPatchThatEndsAtTheEdgeGoesOnEndingThere() {
        Path edge = Path.of(
                new Segment.Move(new Point(600, 500)),
                new Segment.Cubic(new Point(600, 566.274), new Point(555.228, 620), new Point(500, 620)),
                new Segment.Line(new Point(520, 560)),
                new Segment.Close());
        for (double yaw : new double[] {-45, -20, 10, 45}) {
            Path moved = SOLIDS.outline("face-skin", edge).at(View.yaw(yaw));
            Path skin = skin(SOLIDS, FACE, View.yaw(yaw));
            List<Point> along = skin.sampled(400);
            for (Point p : moved.sampled(6).subList(0, 6)) {
                double near =
                        along.stream().mapToDouble(q -> q.distance(p)).min().orElseThrow();
                assertThat(near).as("at %s°", yaw).isLessThan(1.0);
            }
        }
    }

    @Seeded(tries = 60)
    void symmetricArtTurnsToMirrorImages(@Between(min = 0, max = 45) double yaw) {
        Matrix mirror = Matrix.mirror(500);
        for (String pair : new String[] {"eye", "brow", "ear"}) {
            Matrix left = SOLIDS.placed(pair + "-left", View.yaw(yaw));
            Matrix right =
                    mirror.times(SOLIDS.placed(pair + "-right", View.yaw(-yaw))).times(mirror);
            assertThat(left.a()).as(pair).isCloseTo(right.a(), within(1e-6));
            assertThat(left.c()).as(pair).isCloseTo(right.c(), within(1e-6));
            assertThat(left.e()).as(pair).isCloseTo(right.e(), within(1e-4));
        }
        List<Point> one = skin(SOLIDS, FACE, View.yaw(yaw)).sampled(4);
        List<Point> other = skin(SOLIDS, FACE, View.yaw(-yaw)).transform(mirror).sampled(4);
        for (Point p : one) {
            assertThat(other.stream().mapToDouble(q -> q.distance(p)).min().orElseThrow())
                    .isLessThan(6.0);
        }
        assertThat(skin(SOLIDS, FACE, View.yaw(yaw)).bounds().orElseThrow().maxX() - 500)
                .isCloseTo(
                        500
                                - skin(SOLIDS, FACE, View.yaw(-yaw))
                                        .bounds()
                                        .orElseThrow()
                                        .minX(),
                        within(1e-6));
    }

    /** Further forward means further with the turn, by as much as the angle says; left flat means not at all. */
    @Test
    void aHandSaysWhatAPieceIsAndHowFarForward() {
        Character c = FACE.withPart(
                "nose",
                p -> p.withSolid(java.util.Optional.of(new app.leeward.core.rig.Solid(
                        java.util.Optional.empty(), 0.3, java.util.Optional.empty(), java.util.Optional.empty()))));
        HeadSolids further = HeadSolids.of(c, HeadShape.HUMAN).orElseThrow();
        double before = SOLIDS.shifted("nose", View.yaw(30)).e();
        assertThat(further.shifted("nose", View.yaw(30)).e() - before)
                .isCloseTo(0.3 * SOLIDS.halfWidth() * 0.5, within(1e-6));
        Character flat = FACE.withPart(
                "nose", p -> p.withSolid(java.util.Optional.of(app.leeward.core.rig.Solid.of(SolidKind.FLAT, 0))));
        HeadSolids left = HeadSolids.of(flat, HeadShape.HUMAN).orElseThrow();
        assertThat(left.shifted("nose", View.yaw(30)).e()).isZero();
        assertThat(left.entries())
                .filteredOn(e -> e.part().equals("nose"))
                .singleElement()
                .satisfies(e -> {
                    assertThat(e.kind()).isEqualTo(SolidKind.FLAT);
                    assertThat(e.guessed()).isEqualTo(SolidKind.MASS);
                });
    }

    /** The far ear goes behind the head and the near one comes round: wider seen from the side. */
    @Test
    void earsAreHingedAtTheHead() {
        assertThat(SOLIDS.placed("ear-left", View.yaw(40)).a()).isLessThan(0.5);
        assertThat(SOLIDS.placed("ear-right", View.yaw(40)).a()).isGreaterThan(1.1);
    }

    /** The side of a head comes round several times as wide; a cheek on it does not, and goes as far as its middle does. */
    @Seeded(tries = 60)
    void aCheekIsNotDrawnOutAsTheNearSideComesRound(
            @Between(min = 45, max = 78) double beside, @Between(min = 5, max = 45) double yaw) {
        Path cheek = Rigs.ellipse(500 + beside, 540, 16, 12);
        Character c = Rigs.hung(Rigs.group(
                "",
                Rigs.layer("face skin", Rigs.ellipse(500, 500, 100, 120)),
                Rigs.layer("cheek left", cheek),
                Rigs.layer("mouth", Rigs.box(480, 560, 40, 6))));
        HeadSolids solids = HeadSolids.of(c, HeadShape.HUMAN).orElseThrow();
        double near = solids.outline("cheek-left", cheek)
                .at(View.yaw(-yaw))
                .bounds()
                .orElseThrow()
                .width();
        double far = solids.outline("cheek-left", cheek)
                .at(View.yaw(yaw))
                .bounds()
                .orElseThrow()
                .width();
        assertThat(near).isBetween(0.85 * 32, 1.25 * 32);
        assertThat(far)
                .as("on the far side it goes point by point, and narrows")
                .isLessThan(32);
    }
}
