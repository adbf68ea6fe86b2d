package app.leeward.core.hand;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.Told;
import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.art.Wrist;
import app.leeward.core.edit.CopyDrawing;
import app.leeward.core.edit.DropDrawing;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.Flip;
import app.leeward.core.edit.Outcome;
import app.leeward.core.edit.RegisterHand;
import app.leeward.core.edit.SetWrist;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.WristBend;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.apache.commons.numbers.complex.Complex;
import org.junit.jupiter.api.Test;

/** Hands on their arms. Similarities against complex division of Apache Commons Numbers; gaps against closed forms. */
class HandsTest {
    /** A forearm from the right that ends at x = 500, 40 high about y = 500. */
    private static final Path ARM = Rigs.box(500, 480, 200, 40);

    /** A hand to the left of it whose flat end is that end. */
    private static Path hand() {
        return Path.of(
                new Segment.Move(new Point(500, 480)),
                new Segment.Line(new Point(440, 470)),
                new Segment.Line(new Point(400, 500)),
                new Segment.Line(new Point(440, 530)),
                new Segment.Line(new Point(500, 520)),
                new Segment.Close());
    }

    private static Artwork art(Path p) {
        return Artwork.of(Shape.filled("", p, "#e0b090"));
    }

    /** The default drawing on the arm, and others turned, scaled and moved somewhere else. */
    private static Character rig(Matrix... elsewhere) {
        Character c = Rigs.hung(Rigs.group(
                "",
                Rigs.layer("face", Rigs.ellipse(500, 200, 80, 90)),
                Rigs.layer("forearm left", ARM),
                Rigs.layer("hand left", hand())));
        List<Drawing> drawings = new ArrayList<>();
        drawings.add(new Drawing("flat", "flat", art(hand())));
        for (int i = 0; i < elsewhere.length; i++) {
            drawings.add(new Drawing("other-" + i, "other " + i, art(hand()).transform(elsewhere[i])));
        }
        return c.withPart("hand-left", p -> p.withDrawings(drawings, "flat"));
    }

    private static Character done(Character c, Edit e) {
        Outcome o = Edits.apply(c, e);
        assertThat(o).as("%s", o).isInstanceOf(Outcome.Done.class);
        return ((Outcome.Done) o).character();
    }

    private static String refused(Character c, Edit e) {
        return ((Outcome.Refused) Edits.apply(c, e)).code();
    }

    private static Hands.Hand only(Character c) {
        List<Hands.Hand> hands = Hands.of(c);
        assertThat(hands).hasSize(1);
        return hands.get(0);
    }

    @Seeded(tries = 300)
    void aWristGoesOntoAnotherAsComplexNumbersSay(
            @Between(min = -300, max = 300) double x,
            @Between(min = -300, max = 300) double y,
            @Between(min = 1, max = 90) double length,
            @Between(min = -3.14, max = 3.14) double angle) {
        Wrist from = new Wrist(new Point(x, y), new Point(x + length * Math.cos(angle), y + length * Math.sin(angle)));
        Wrist to = new Wrist(new Point(10, -20), new Point(52, -6));
        Complex quotient = Complex.ofCartesian(42, 14)
                .divide(Complex.ofCartesian(length * Math.cos(angle), length * Math.sin(angle)));
        Matrix m = from.onto(to, false);
        assertThat(m.a()).isCloseTo(quotient.real(), within(1e-9));
        assertThat(m.b()).isCloseTo(quotient.imag(), within(1e-9));
        Wrist there = from.transform(m);
        assertThat(there.first().distance(to.first())).isLessThan(1e-9);
        assertThat(there.second().distance(to.second())).isLessThan(1e-9);

        Matrix kept = from.onto(to, true);
        assertThat(kept.determinant()).as("no larger, no smaller, not mirrored").isCloseTo(1, within(1e-9));
        assertThat(from.transform(kept).middle().distance(to.middle())).isLessThan(1e-9);
        assertThat(to.onto(from, false).times(m).apply(new Point(7, 3)).distance(new Point(7, 3)))
                .as("there and back")
                .isLessThan(1e-6);
    }

    @Test
    void theEndTowardsTheArmIsTheWristLeftPointFirst() {
        Wrist w = WristFinder.of(art(hand()), new Point(600, 500), true)
                .orElseThrow()
                .wrist();
        // 40 wide at its end, its edges open by 10 in 60: 10 inside it is 43.33 wide, and the chord lies 0.15 of that
        // inside
        double inside = 0.15 * (40 + 2 * 10 / 6.0);
        assertThat(w.first().x()).isCloseTo(500 - inside, within(1e-6));
        assertThat(w.second().x()).isCloseTo(500 - inside, within(1e-6));
        // going left, towards the fingers, the left hand side is below
        assertThat(w.first().y()).isCloseTo(520 + inside / 6, within(1e-6));
        assertThat(w.second().y()).isCloseTo(480 - inside / 6, within(1e-6));
    }

    @Test
    void anOutlineLeftOpenAtTheWristGivesItsEnds() {
        Path open = new Path(hand().segments().subList(0, 5));
        Wrist w = WristFinder.of(art(open), new Point(600, 500), true)
                .orElseThrow()
                .wrist();
        assertThat(w.first()).isEqualTo(new Point(500, 520));
        assertThat(w.second()).isEqualTo(new Point(500, 480));
        assertThat(WristFinder.of(Artwork.of(), new Point(600, 500), true)).isEmpty();
        Path line = Path.of(new Segment.Move(new Point(0, 0)), new Segment.Line(new Point(9, 0)));
        assertThat(WristFinder.of(art(line), new Point(600, 500), true)).isEmpty();
    }

    /** Sector of 60° of the joint's circle: its inscribed circle has radius r sin 30° / (1 + sin 30°) = r / 3. */
    @Test
    void whatOpensWhenTheArmSwingsIsTheSectorBetweenTwoFlatEnds() {
        Wrist at = new Wrist(new Point(500, 520), new Point(500, 480));
        Artwork block = art(Rigs.box(300, 400, 200, 200));
        Artwork arm = art(Rigs.box(500, 400, 200, 200));
        Gap open = Joint.of(at, Joint.fills(arm)).gap(by -> turned(block, at, by));
        assertThat(open.width()).isCloseTo(2 * 20.0 / 3, within(0.4));
        // its middle lies r / sin 30° from the wrist's middle, half way between the two ends
        assertThat(open.at().distance(at.middle())).isCloseTo(2 * 20.0 / 3, within(0.4));
        assertThat(Math.abs(open.by())).isEqualTo(Hands.SWING);
        double way =
                Math.toDegrees(Math.atan2(open.at().x() - 500, 500 - open.at().y()));
        assertThat(Math.abs(way))
                .as("from the wrist's line, half of 60°")
                .satisfiesAnyOf(d -> assertThat(d).isCloseTo(30, within(2.0)), d -> assertThat(d)
                        .isCloseTo(150, within(2.0)));
        Artwork deep = art(Rigs.box(300, 400, 240, 200));
        assertThat(Joint.of(at, Joint.fills(arm))
                        .gap(by -> turned(deep, at, by))
                        .width())
                .as("an end that reaches far into the sleeve")
                .isLessThan(0.05);
        // the same flat end, with the points of the wrist staying on the arm
        WristBend bend = new WristBend(0.5, List.of());
        assertThat(Joint.of(at, Joint.fills(arm))
                        .gap(by -> turned(bend.bent(block, at, "d", rotation(at, -by)), at, by))
                        .width())
                .as("a wrist that bends")
                .isLessThan(0.05);
    }

    private static Artwork turned(Artwork art, Wrist at, double by) {
        return art.transform(rotation(at, by));
    }

    private static Matrix rotation(Wrist at, double by) {
        Point m = at.middle();
        return Matrix.translate(m.x(), m.y()).times(Matrix.rotate(by)).times(Matrix.translate(-m.x(), -m.y()));
    }

    /** Until somebody shows its wrist nothing is said of it, and nothing moves it. */
    @Test
    void aDrawingThatIsNotOnItsArmYetHasNoWristUntilItIsShown() {
        Character placed = rig(Matrix.rotate(3));
        Character c = placed.withPart("hand-left", p -> p.withDrawing("other-0", d -> d.withUnplaced(true)));
        assertThat(only(placed).drawings().get(1).wrist()).isPresent();
        Hands.AtWrist unknown = only(c).drawings().get(1);
        assertThat(unknown.wrist()).isEmpty();
        assertThat(unknown.message()).contains("not certain", "put the two points");
        assertThat(Edits.apply(c, new RegisterHand("hand-left", "other-0", false)))
                .isInstanceOf(Outcome.Refused.class);
        Wrist own = only(placed).drawings().get(1).wrist().orElseThrow();
        Character shown = done(c, new SetWrist("hand-left", "other-0", own.first(), own.second()));
        assertThat(shown.part("hand-left")
                        .orElseThrow()
                        .drawing("other-0")
                        .orElseThrow()
                        .unplaced())
                .isFalse();
        Character on = done(shown, new RegisterHand("hand-left", "other-0", false));
        assertThat(only(on).drawings().get(1).off()).isLessThan(1e-9);
    }

    @Test
    void sixDrawingsOfDifferentSizesAndTurnsComeOntoTheWristInOneGo() {
        Random random = new Random(11);
        Matrix[] elsewhere = new Matrix[6];
        for (int i = 0; i < 6; i++) {
            double size = 0.4 + 2 * random.nextDouble();
            elsewhere[i] = Matrix.translate(80 * random.nextDouble(), -90 * random.nextDouble())
                    .times(Matrix.translate(450, 500))
                    .times(Matrix.rotate(50 * random.nextDouble() - 25))
                    .times(Matrix.scale(size, size))
                    .times(Matrix.translate(-450, -500));
        }
        Character c = rig(elsewhere);
        assertThat(only(c).drawings().subList(1, 7)).allMatch(d -> !d.message().isEmpty());
        Character on = done(c, new RegisterHand("hand-left", "", false));
        Wrist wanted = only(on).wrist().orElseThrow();
        for (Hands.AtWrist d : only(on).drawings()) {
            assertThat(d.off()).as(d.name()).isLessThan(1e-9);
            assertThat(d.ratio()).isCloseTo(1, within(1e-9));
            assertThat(d.wrist().orElseThrow().first().distance(wanted.first())).isLessThan(1e-9);
        }
        assertThat(on.part("hand-left").orElseThrow().drawings().get(0))
                .as("the default one is what the others go by")
                .isEqualTo(c.part("hand-left").orElseThrow().drawings().get(0));

        Character large = done(
                rig(Matrix.translate(-4000, -4500).times(Matrix.scale(10, 10))),
                new RegisterHand("hand-left", "other-0", true));
        assertThat(only(large).drawings().get(1).ratio())
                .as("as large as drawn, and said so")
                .isCloseTo(10, within(0.2));
        assertThat(only(large).drawings().get(1).message()).contains("as wide");
    }

    @Test
    void aWristIsPutByHandInTheRightOrderAndGoesWithItsDrawing() {
        Character c = rig(Matrix.translate(30, 0));
        Character put = done(c, new SetWrist("hand-left", "other-0", new Point(530, 480), new Point(530, 520)));
        Wrist w = Told.wrists(put).get("hand-left/other-0");
        assertThat(w.first()).as("the left one, seen from the arm").isEqualTo(new Point(530, 520));
        Character copied = done(put, new CopyDrawing("hand-left", "flat", "another", Optional.empty()));
        assertThat(Told.wrists(copied)).isEqualTo(Told.wrists(put));
        assertThat(Told.wrists(done(copied, new DropDrawing("hand-left", "other-0"))))
                .isEmpty();
        assertThat(refused(c, new SetWrist("hand-left", "other-0", new Point(1, 1), new Point(1, 1))))
                .isEqualTo("wrist-point");
        assertThat(refused(c, new SetWrist("hand-left", "gone", new Point(1, 1), new Point(2, 1))))
                .isEqualTo("no-drawing");
        assertThat(refused(c, new RegisterHand("hand-left", "gone", false))).isEqualTo("no-drawing");
        assertThat(refused(c, new RegisterHand("nobody", "", false))).isEqualTo("no-drawing");
        Character bare = c.withPart(
                "hand-left",
                (Part p) -> p.withDrawings(
                        List.of(new Drawing("a", "a", Artwork.of()), new Drawing("b", "b", Artwork.of())), "a"));
        assertThat(refused(bare, new RegisterHand("hand-left", "", false))).isEqualTo("no-wrist");
        assertThat(only(bare).drawings()).allMatch(d -> d.message().contains("no area"));
    }

    @Test
    void aWristNeedsTwoPlaces() {
        Point p = new Point(3, 4);
        org.assertj.core.api.Assertions.assertThatThrownBy(() -> new Wrist(p, p))
                .hasMessageContaining("apart");
    }

    @Test
    void aFlippedCharacterKeepsItsHandsOnTheWrist() {
        Matrix off = Matrix.translate(40, -30).times(Matrix.scale(0.7, 0.7));
        Character on = done(rig(off), new RegisterHand("hand-left", "", false));
        Hands.AtWrist before = only(on).drawings().get(1);
        Hands.AtWrist flipped = only(done(on, new Flip())).drawings().get(1);
        assertThat(flipped.off()).isCloseTo(before.off(), within(1e-9));
        assertThat(flipped.turned()).isCloseTo(0, within(1e-6));
        assertThat(flipped.message()).isEqualTo(before.message());
    }
}
