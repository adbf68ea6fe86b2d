package app.leeward.core.solid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Stroke;
import app.leeward.core.intake.Layer;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.HeadShape;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.SolidKind;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is worn round a face and grows on it. */
class HoodsAndWhiskersTest {
    private static final Path HOLE = Rigs.ellipse(500, 500, 90, 110);

    private static Path hood() {
        List<Segment> all = new ArrayList<>(Rigs.ellipse(500, 500, 140, 170).segments());
        all.addAll(HOLE.segments());
        return new Path(all);
    }

    private static Layer whiskers(String name, int way) {
        List<Layer.Node> lines = new ArrayList<>();
        for (int i = -1; i <= 1; i++) {
            Path line = Path.of(
                    new Segment.Move(new Point(500 + way * 30, 560 + 5 * i)),
                    new Segment.Line(new Point(500 + way * 130, 550 + 20 * i)));
            lines.add(new Layer.Leaf(new Shape(
                    "",
                    ShapeRole.OTHER,
                    line,
                    Paint.NONE,
                    FillRule.NONZERO,
                    new Stroke(Paint.flat("#202020"), 2, Stroke.Cap.ROUND, Stroke.Join.ROUND, 4),
                    1,
                    false)));
        }
        return new Layer(name, false, lines);
    }

    private static Character hung(Layer... more) {
        List<Layer> all = new ArrayList<>(List.of(
                Rigs.layer("face skin", Rigs.ellipse(500, 500, 100, 120)),
                Rigs.layer("white left", Rigs.ellipse(540, 480, 20, 15)),
                Rigs.layer("white right", Rigs.ellipse(460, 480, 20, 15)),
                Rigs.layer("muzzle", Rigs.ellipse(500, 560, 40, 30)),
                Rigs.layer("mouth", Rigs.box(480, 570, 40, 4))));
        all.addAll(List.of(more));
        return Rigs.hung(Rigs.group("", all.toArray(new Layer[0])));
    }

    /** The edge of the hole goes as far as the skin under it, the hood's own outline hardly at all. */
    @ParameterizedTest
    @ValueSource(doubles = {-40, -20, 20, 40})
    void theHoleOfAHoodGoesWithTheFace(double yaw) {
        Character c = hung(Rigs.layer("headscarf", hood()));
        String cap = c.part(PartRole.CAP).orElseThrow().id();
        HeadSolids solids = HeadSolids.of(c, HeadShape.HUMAN).orElseThrow();
        Path turned = solids.outline(cap, hood()).at(View.yaw(yaw));
        List<Path> parts = turned.subPaths();
        Point outer = parts.get(0).bounds().orElseThrow().centre();
        Point inner = parts.get(1).bounds().orElseThrow().centre();
        assertThat(Math.signum(inner.x() - 500)).isEqualTo(Math.signum(yaw));
        assertThat(Math.abs(inner.x() - 500)).isGreaterThan(Math.abs(outer.x() - 500) + 5);
        Path still = solids.outline(cap, hood()).at(View.yaw(0));
        assertThat(still.bounds().orElseThrow().height())
                .isCloseTo(hood().bounds().orElseThrow().height(), within(1e-9));
    }

    @Test
    void whiskersStayWhereTheyGrowAndTheFarOnesAreShorter() {
        Character c = hung(whiskers("whiskers left", 1), whiskers("whiskers right", -1));
        HeadSolids solids = HeadSolids.of(c, HeadShape.ANIMAL).orElseThrow();
        assertThat(solids.kind("whiskers-left")).isEqualTo(SolidKind.PLATE);
        Point root = solids.root("whiskers-left");
        assertThat(root.x()).isCloseTo(530, within(11.0));
        assertThat(root.y()).isCloseTo(560, within(3.0));
        for (double yaw : new double[] {-40, -20, 20, 40}) {
            View view = View.yaw(yaw);
            Matrix near = solids.placed(yaw > 0 ? "whiskers-right" : "whiskers-left", view);
            Matrix far = solids.placed(yaw > 0 ? "whiskers-left" : "whiskers-right", view);
            assertThat(near.a()).isGreaterThan(far.a() + 0.2);
            assertThat(near.d()).isEqualTo(1);
            // the root goes with the muzzle under it
            Path spot = Rigs.box(root.x() - 1, root.y() - 1, 2, 2);
            Point muzzle = solids.outline("muzzle", spot)
                    .at(view)
                    .bounds()
                    .orElseThrow()
                    .centre();
            Point now = solids.placed("whiskers-left", view).apply(root);
            assertThat(now.x()).isCloseTo(muzzle.x(), within(6.0));
        }
        Matrix still = solids.placed("whiskers-left", View.yaw(0));
        assertThat(still.apply(root).distance(root)).isLessThan(1e-6);
        assertThat(still.a()).isCloseTo(1, within(1e-9));
    }

    @Test
    void aHeadMuchWiderThanTallHasNoChin() {
        Character frog = Rigs.hung(Rigs.group(
                "",
                Rigs.layer("face skin", Rigs.ellipse(500, 500, 180, 110)),
                Rigs.layer("mouth", Rigs.box(480, 560, 40, 6))));
        assertThat(HeadSolids.guessedShape(frog)).contains(HeadShape.ROUND);
    }
}
