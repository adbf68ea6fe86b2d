package app.leeward.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Artwork;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Shape;
import app.leeward.core.art.Stroke;
import app.leeward.core.art.Swatch;
import app.leeward.core.edit.AcceptFinding;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.Fit;
import app.leeward.core.edit.Flip;
import app.leeward.core.edit.MakeMouths;
import app.leeward.core.edit.MendAll;
import app.leeward.core.edit.Outcome;
import app.leeward.core.rig.AcceptedFinding;
import app.leeward.core.rig.Character;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What is offered is tried here once more, by its edit alone: it helps, harms nothing, and ends. */
class ChecksTest {
    /** More clicks than anybody would make. */
    private static final int CLICKS = 30;

    private static final Character FACE = done(Rigs.hung(Rigs.face()), new MakeMouths("", null, null, true, null));

    private static Character done(Character c, app.leeward.core.edit.Edit e) {
        Outcome outcome = Edits.apply(c, e);
        assertThat(outcome).as(e.describe(c) + " " + outcome).isInstanceOf(Outcome.Done.class);
        return ((Outcome.Done) outcome).character();
    }

    private static Character redrawn(Character c, String part, UnaryOperator<Shape> change) {
        return c.withPart(
                part,
                p -> p.withDrawings(p.drawings().stream()
                        .map(d -> d.withArt(new Artwork(
                                d.art().shapes().stream().map(change).toList())))
                        .toList()));
    }

    private static UnaryOperator<Shape> by(Matrix m) {
        return s -> s.withPath(s.path().transform(m));
    }

    /** Something is done to a face that a hand may well do to one: a lid drawn too small, an eye moved, a line drawn thinner. */
    private static Character damaged(Random random) {
        Character c = FACE;
        int times = 1 + random.nextInt(3);
        for (int i = 0; i < times; i++) {
            double share = 0.2 + 0.75 * random.nextDouble();
            c = switch (random.nextInt(6)) {
                case 0 ->
                    redrawn(
                            c,
                            random.nextBoolean() ? "upper-lid-left" : "upper-lid-right",
                            by(new Matrix(share, 0, 0, share, 500 * (1 - share), 470 * (1 - share))));
                case 1 -> redrawn(c, "white-right", by(Matrix.translate(12 * share, 6 * share)));
                case 2 -> mouthThinner(c, share);
                case 3 ->
                    c.withSheet(s -> s.withPalette(Stream.concat(
                                    s.palette().stream(),
                                    Stream.of(
                                            new Swatch("slip", near(s.palette().get(0)))))
                            .toList()));
                case 4 ->
                    done(
                            c,
                            new Fit(
                                    Math.pow(10, 2 * random.nextDouble() - 1),
                                    2_000 * random.nextDouble() - 1_000,
                                    2_000 * random.nextDouble() - 1_000,
                                    c.sheet().canvas()));
                default ->
                    c.withEachPart(
                            p -> p.withRest(p.parent().isEmpty() ? p.rest().movedBy(90 * share, 0) : p.rest()));
            };
        }
        return c;
    }

    private static String near(Swatch s) {
        int rgb = Integer.parseInt(s.colour().substring(1), 16);
        return String.format("#%06x", rgb ^ 1);
    }

    private static Shape thinner(Shape s, double share) {
        Stroke l = s.stroke();
        return s.withStroke(new Stroke(l.paint(), l.width() * share, l.cap(), l.join(), l.miterLimit()));
    }

    private static Character mouthThinner(Character c, double share) {
        String ah = new ArrayList<>(c.voice().mouths().drawn().values()).get(3);
        return c.withPart(
                "mouth",
                p -> p.withDrawing(
                        ah,
                        d -> d.withArt(new Artwork(d.art().shapes().stream()
                                .map(s -> thinner(s, share))
                                .toList()))));
    }

    @Seeded(tries = 15)
    void whatIsOfferedHelpsHarmsNothingAndEnds(@Between(min = 0, max = 1_000_000) int seed) {
        Random random = new Random(seed);
        Character c = damaged(random);
        Set<String> clicked = new HashSet<>();
        for (int click = 0; click < CLICKS; click++) {
            List<Finding> found = Checks.all(c);
            Finding next =
                    found.stream().filter(f -> !f.mends().isEmpty()).findFirst().orElse(null);
            if (next == null) {
                return;
            }
            Mend mend = next.mends().get(random.nextInt(next.mends().size()));
            Character after = done(c, mend.edit());
            double left = Checks.of(after, next.check()).orElseThrow().stream()
                    .filter(next::same)
                    .mapToDouble(f -> f.measure().value())
                    .max()
                    .orElse(0);
            assertThat(left)
                    .as(next.message() + " / " + mend.label())
                    .isLessThan(next.measure().value());
            assertThat(left).isCloseTo(mend.leaves(), within(1e-9));
            for (Finding f : Checks.of(after, next.check()).orElseThrow()) {
                double was = found.stream()
                        .filter(f::same)
                        .mapToDouble(x -> x.measure().value())
                        .max()
                        .orElse(0);
                assertThat(f.measure().value()).as(f.message()).isLessThanOrEqualTo(was * 1.01);
            }
            clicked.add(next.check() + next.code());
            c = after;
        }
        assertThat(clicked).as("still offered after " + CLICKS + " clicks").isEmpty();
    }

    /** All of them at once leave no check worse than it was, and are not offered again. */
    @Seeded(tries = 8)
    void safeMendsHelpHarmNothingAndEnd(@Between(min = 0, max = 1_000_000) int seed) {
        Character c = damaged(new Random(seed));
        List<SafeMend> steps = SafeMends.of(c);
        if (steps.isEmpty()) {
            return;
        }
        List<Finding> before = Checks.all(c);
        Character after =
                done(c, new MendAll(steps.stream().map(s -> s.mend().edit()).toList()));
        List<Finding> left = Checks.all(after);
        for (Finding f : left) {
            assertThat(f.measure().value()).as(f.message()).isLessThanOrEqualTo(worst(before, f) * 1.01);
        }
        for (SafeMend s : steps) {
            assertThat(worst(left, s.finding()))
                    .as(s.finding().message() + " / " + s.mend().label())
                    .isLessThan(s.finding().measure().value());
        }
        assertThat(SafeMends.of(after)).as("offered again").isEmpty();
    }

    private static double worst(List<Finding> all, Finding like) {
        return all.stream()
                .filter(like::same)
                .mapToDouble(f -> f.measure().value())
                .max()
                .orElse(0);
    }

    @Test
    void whatWasAcceptedIsNotMended() {
        Finding f = Checks.of(FACE, "standing").orElseThrow().get(0);
        assertThat(SafeMends.of(FACE)).extracting(s -> s.finding().check()).containsExactly("standing");
        Character meant = done(
                FACE,
                new AcceptFinding(new AcceptedFinding(
                        f.check(), f.code(), "", "", "", f.measure().value(), "she peeps in from below")));
        assertThat(SafeMends.of(meant)).isEmpty();
    }

    @Test
    void aFaceWithNothingWrongHasNoFinding() {
        assertThat(Checks.all(FACE)).extracting(Finding::check).containsOnly("standing");
        Mend fit = Checks.of(FACE, "standing").orElseThrow().get(0).mends().get(0);
        assertThat(Checks.all(done(FACE, fit.edit())))
                .extracting(Finding::message)
                .isEmpty();
    }

    @Test
    void everyCheckIsAskedForByAnIdOfItsOwn() {
        assertThat(Checks.ids()).doesNotHaveDuplicates().contains("eyes", "mouths", "hands", "views", "standing");
        assertThat(Checks.of(FACE, "no such")).isEmpty();
    }

    /** Art named for the wrong side is told, and put right in one click that is not offered again. */
    @Test
    void sidesAreToldAndMended() {
        Character flipped = done(FACE, new Flip());
        List<Finding> found = Checks.of(flipped, "sides").orElseThrow();
        if (!found.isEmpty()) {
            Character right = done(flipped, found.get(0).mends().get(0).edit());
            assertThat(Checks.of(right, "sides").orElseThrow()).isEmpty();
        }
    }

    @Test
    void aLidThatLeavesWhiteIsMeasuredInItsArea() {
        Character small = redrawn(FACE, "upper-lid-left", by(new Matrix(1, 0, 0, 0.4, 0, 470 * 0.6)));
        Finding f = Checks.of(small, "eyes").orElseThrow().stream()
                .filter(x -> x.code().equals("white-shows"))
                .findFirst()
                .orElseThrow();
        assertThat(f.measure().unit()).isEqualTo(Unit.SQUARE_UNITS);
        assertThat(f.measure().value()).isGreaterThan(0.5);
        assertThat(f.at()).containsKey("blink");
    }
}
