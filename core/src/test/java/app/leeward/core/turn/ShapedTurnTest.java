package app.leeward.core.turn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Band;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Offset;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.Fit;
import app.leeward.core.edit.MakeHeadDial;
import app.leeward.core.edit.MakeSides;
import app.leeward.core.edit.MakeTurn;
import app.leeward.core.edit.MeshPicture;
import app.leeward.core.edit.Nudge;
import app.leeward.core.edit.Outcome;
import app.leeward.core.edit.Record;
import app.leeward.core.edit.RecordCorner;
import app.leeward.core.edit.SetSolid;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.HeadShape;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Placement;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.Side;
import app.leeward.core.rig.SolidKind;
import app.leeward.core.solid.HeadSolids;
import java.util.List;
import java.util.Map;
import org.apache.commons.geometry.euclidean.threed.Vector3D;
import org.apache.commons.geometry.euclidean.threed.rotation.QuaternionRotation;
import org.junit.jupiter.api.Test;

/** What hands make of a turn: poses at its ends, what a piece is in the round, the sides of a box, turn and nod at once. */
class ShapedTurnTest {
    private static final Character PLAIN = Rigs.hung(Rigs.face());

    private static Character done(Character c, Edit e) {
        Outcome outcome = Edits.apply(c, e);
        assertThat(outcome).as("%s", outcome).isInstanceOf(Outcome.Done.class);
        return ((Outcome.Done) outcome).character();
    }

    private static final HeadShape FITTED = TurnMaker.fitted(PLAIN).orElseThrow();

    private static HeadShape deeper() {
        return new HeadShape(
                0.95, FITTED.back(), FITTED.chin(), FITTED.nape(), FITTED.roundness(), FITTED.muzzle(), FITTED.pivot());
    }

    private static Offset offset(Character c, double at, String part) {
        return c.dial(TurnMaker.DIAL)
                .orElseThrow()
                .stop(at)
                .orElseThrow()
                .offsets()
                .get(part);
    }

    /** A pose at the end is on its way all along, before and after the turn is made anew; what a hand shaped on the way is not. */
    @Test
    void aPoseAtTheEndBendsTheWholeWay() {
        double[] places = PLAIN.dial("turn").orElseThrow().stops().stream()
                .mapToDouble(s -> s.at())
                .filter(at -> at > 0)
                .sorted()
                .toArray();
        Character own = done(PLAIN, new Record("turn", places[0], new Nudge("nose", 0, 5)));
        Character shaped = done(own, new Record("turn", 45, new Nudge("nose", 9, -3)));
        Character again = done(shaped, MakeTurn.of(java.util.Optional.empty()));
        for (Character c : new Character[] {shaped, again}) {
            assertThat(offset(c, places[0], "nose")).isEqualTo(offset(own, places[0], "nose"));
            for (int i = 1; i < places.length - 1; i++) {
                double share = places[i] / 45;
                assertThat(offset(c, places[i], "nose").x()
                                - offset(PLAIN, places[i], "nose").x())
                        .isCloseTo(9 * share, within(1e-9));
                assertThat(offset(c, places[i], "nose").y()
                                - offset(PLAIN, places[i], "nose").y())
                        .isCloseTo(-3 * share, within(1e-9));
            }
            assertThat(offset(c, -45, "nose")).isEqualTo(offset(PLAIN, -45, "nose"));
            assertThat(TurnMaker.keptByHand(c)).as("two poses were shaped").isEqualTo(2);
        }
    }

    /** What a piece is said to be is kept with it, on both sides, and the turn follows at once. */
    @Test
    void aPieceIsSaidToBeSomethingElse() {
        SetSolid back = SetSolid.of("ear-left", java.util.Optional.empty(), -0.4);
        assertThat(back.describe(PLAIN)).isEqualTo("Depth of left ear");
        Character c = done(PLAIN, back);
        for (String ear : new String[] {"ear-left", "ear-right"}) {
            assertThat(c.part(ear).orElseThrow().solid()).get().satisfies(s -> assertThat(s.forward())
                    .isEqualTo(-0.4));
            assertThat(offset(c, 45, ear).x()).isLessThan(offset(PLAIN, 45, ear).x() - 20);
        }
        assertThat(offset(c, 45, "brow-left")).isEqualTo(offset(PLAIN, 45, "brow-left"));
        SetSolid flat = SetSolid.of("nose", java.util.Optional.of(SolidKind.FLAT), 0);
        assertThat(flat.describe(c)).isEqualTo("What nose is in the round: left flat");
        Character still = done(c, flat);
        assertThat(offset(still, 45, "nose")).isNull();
        Character asItLooks = done(still, SetSolid.of("nose", java.util.Optional.empty(), 0));
        assertThat(asItLooks.part("nose").orElseThrow().solid()).isEmpty();
        assertThat(asItLooks.dial("turn")).isEqualTo(c.dial("turn"));
        Outcome refused = Edits.apply(PLAIN, SetSolid.of("torso", java.util.Optional.empty(), 0.1));
        assertThat(((Outcome.Refused) refused).message()).contains("no such piece on the head");
        assertThatThrownBy(() -> SetSolid.of("nose", java.util.Optional.empty(), 3))
                .hasMessageContaining("one and a half");
    }

    private static int order(Character c, double turn, String part) {
        return new Evaluator(c)
                .frame(Pose.of(Map.of("turn", turn))).placed().stream()
                        .map(Frame.Placed::part)
                        .toList()
                        .indexOf(part);
    }

    /** An ear drawn before the face goes behind it as its side turns away, and lies before it as that side comes round. */
    @Test
    void theFarEarGoesBehindTheFace() {
        assertThat(order(PLAIN, 0, "ear-left")).isGreaterThan(order(PLAIN, 0, "face-skin"));
        assertThat(order(PLAIN, 45, "ear-left")).isLessThan(order(PLAIN, 45, "face-skin"));
        assertThat(order(PLAIN, 45, "ear-right")).isGreaterThan(order(PLAIN, 45, "face-skin"));
        assertThat(order(PLAIN, -45, "ear-left")).isGreaterThan(order(PLAIN, -45, "face-skin"));
        assertThat(TurnMaker.keptByHand(PLAIN)).isZero();
        // left flat, it stays where it was drawn; as it looks, it goes behind again
        Character flat = done(PLAIN, SetSolid.of("ear-left", java.util.Optional.of(SolidKind.FLAT), 0));
        assertThat(order(flat, 45, "ear-left")).isGreaterThan(order(flat, 45, "face-skin"));
        Character back = done(flat, SetSolid.of("ear-left", java.util.Optional.empty(), 0));
        assertThat(back.dial("turn").orElseThrow().layers())
                .containsExactlyInAnyOrderElementsOf(
                        PLAIN.dial("turn").orElseThrow().layers());
        // a hand that lays it elsewhere is kept
        Dial turn = PLAIN.dial("turn").orElseThrow();
        Dial own = turn.withLayers("ear-left", java.util.List.of(new Band(10, 45, "nose")));
        Character byHand = PLAIN.withDials(
                PLAIN.controls().dials().stream().map(d -> d == turn ? own : d).toList(),
                PLAIN.controls().pads());
        Character again = done(byHand, MakeTurn.of(java.util.Optional.empty()));
        assertThat(again.dial("turn").orElseThrow().layersOf("ear-left")).containsExactly(new Band(10, 45, "nose"));
        assertThat(TurnMaker.keptByHand(again)).isEqualTo(1);
    }

    /**
     * The side of a box comes round as far as a box turned in space shows it, from the front corner to the limb, and at rest
     * nothing is seen of it.
     */
    @Test
    void aBoxGetsItsSides() {
        Character box = Rigs.hung(Rigs.group(
                "",
                Rigs.layer("face skin", Rigs.box(400, 400, 200, 240)),
                Rigs.layer("mouth", Rigs.box(480, 560, 40, 6))));
        Character c = done(done(box, MakeTurn.of(java.util.Optional.empty())), new MakeSides());
        Evaluator e = new Evaluator(c);
        assertThat(e.frame(Pose.REST).placed()).hasSize(2);
        Frame turned = e.frame(Pose.of(Map.of("turn", 45.0)));
        Frame.Placed side = turned.placed().stream()
                .filter(p -> c.part(p.part()).orElseThrow().side() == Side.RIGHT)
                .findFirst()
                .orElseThrow();
        Box seen = side.shown(
                        c.part(side.part()).orElseThrow().drawings().get(0).art())
                .transform(side.matrix())
                .bounds()
                .orElseThrow();
        Frame.Placed face = turned.of("face-skin").orElseThrow();
        double limb = face.outlines().get(0).bounds().orElseThrow().minX();
        assertThat(seen.minX()).as("up to the head's own edge").isCloseTo(limb, within(1.0));
        Vector3D corner = QuaternionRotation.fromAxisAngle(Vector3D.of(0, 1, 0), Math.toRadians(45))
                .apply(Vector3D.of(-100, 0, 62));
        assertThat(seen.maxX()).isCloseTo(500 + corner.getX() + 0.05 * 100 * Math.sin(Math.toRadians(45)), within(1.5));
        assertThat(((Outcome.Refused) Edits.apply(c, new MakeSides())).message())
                .contains("has none yet");
        assertThat(((Outcome.Refused) Edits.apply(PLAIN, new MakeSides())).message())
                .contains("is a box");
    }

    /**
     * Turned and nodded at once, points lie where a nod about the head's own ears and then a turn take them (Apache Commons
     * Geometry), not where the sum of both would: the head as a whole, by its four corners.
     */
    @Test
    void turnedAndNoddedAtOnceTheHeadIsTurnedAfterItNodded() {
        Character c = done(PLAIN, new MakeHeadDial(HeadDial.NOD));
        assertThat(c.controls().correctives()).hasSize(4);
        double y0 = 380 + 0.55 * 240;
        for (double across : new double[] {-45, 45}) {
            for (double down : new double[] {-20, 20}) {
                app.leeward.core.dial.Corrective k = c.controls().correctives().stream()
                        .filter(x -> x.at("turn", across, "nod", down))
                        .findFirst()
                        .orElseThrow();
                Part head = c.part(PartRole.HEAD).orElseThrow();
                Matrix more = matrix(k.offsets().get(head.id()), head.pivot());
                for (double[] p : new double[][] {{30, 60, 70}, {-50, -90, 40}, {0, 100, -20}}) {
                    Vector3D rest = Vector3D.of(p[0], p[1], p[2]);
                    QuaternionRotation nod =
                            QuaternionRotation.fromAxisAngle(Vector3D.of(1, 0, 0), Math.toRadians(-down));
                    QuaternionRotation turn =
                            QuaternionRotation.fromAxisAngle(Vector3D.of(0, 1, 0), Math.toRadians(across));
                    Vector3D both = turn.apply(nod.apply(rest));
                    double alone = turn.apply(rest).getX() + nod.apply(rest).getX() - p[0];
                    double z = rest.getZ() * (Math.cos(Math.toRadians(down)) - 1);
                    Point corrected = more.apply(new Point(500 + alone, y0 + p[1]));
                    assertThat(corrected.x() - 500 + z * Math.sin(Math.toRadians(across)))
                            .as("%s at %s, %s", rest, across, down)
                            .isCloseTo(both.getX(), within(1e-3));
                }
            }
        }
        assertThat(TurnMaker.keptByHand(c)).isZero();
        Character fitted = done(c, new Fit(1.5, 20, -30, new app.leeward.core.rig.Canvas(1600, 1500)));
        assertThat(TurnMaker.keptByHand(fitted)).isZero();
        Character own = done(c, new RecordCorner("turn", 45, "nod", 20, new Nudge("head", 3, 0)));
        Character again = done(own, MakeTurn.of(java.util.Optional.of(deeper())));
        assertThat(again.controls().correctives())
                .filteredOn(k -> k.at("turn", 45, "nod", 20))
                .isEqualTo(own.controls().correctives().stream()
                        .filter(k -> k.at("turn", 45, "nod", 20))
                        .toList());
    }

    private static Matrix matrix(Offset o, Point pivot) {
        return Placement.matrix(o.x(), o.y(), o.rotation(), o.scaleX(), o.scaleY(), o.skewX(), pivot.x(), pivot.y());
    }

    /** A skin of pixels goes as one piece until it is cut into a mesh; then its edge is where the edge of a drawn skin is. */
    @Test
    void aHeadOfPixelsTurnsPointByPointOnceItIsAMesh() {
        Paint.Picture picture =
                new Paint.Picture("0".repeat(64), 210, 250, Matrix.translate(395, 375), "#ddaa88", List.of());
        Character pixels = done(
                PLAIN.withPart(
                        "face-skin",
                        p -> p.withDrawing(
                                p.shown(),
                                d -> d.withArt(new Artwork(
                                        List.of(d.art().shapes().get(0).withFill(picture)))))),
                MakeTurn.of(java.util.Optional.empty()));
        assertThat(pixels.dial("turn").orElseThrow().stops().get(0).reshapes()).doesNotContainKey("face-skin");
        var notes = TurnNotes.of(pixels, HeadSolids.of(pixels, FITTED).orElseThrow(), 45);
        assertThat(notes).singleElement().satisfies(n -> {
            assertThat(n.part()).isEqualTo("face-skin");
            assertThat(n.mesh()).isTrue();
        });
        Character mesh = done(pixels, new MeshPicture(List.of("face-skin")));
        assertThat(TurnNotes.of(mesh, HeadSolids.of(mesh, FITTED).orElseThrow(), 45))
                .isEmpty();
        double is = width(mesh);
        assertThat(is).isCloseTo(width(PLAIN), within(4.0));
        assertThat(Math.abs(width(pixels) - width(PLAIN))).isGreaterThan(Math.abs(is - width(PLAIN)));
        assertThat(new MeshPicture(List.of("face-skin")).describe(pixels)).isEqualTo("Cut face skin into a mesh");
    }

    private static double width(Character c) {
        Frame.Placed p = new Evaluator(c)
                .frame(Pose.of(Map.of("turn", 45.0)))
                .of("face-skin")
                .orElseThrow();
        return p.shown(c.part("face-skin")
                        .orElseThrow()
                        .drawing(p.drawing())
                        .orElseThrow()
                        .art())
                .transform(p.matrix())
                .bounds()
                .orElseThrow()
                .width();
    }
}
