package app.leeward.core.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Artwork;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.PathPoints;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.Fit;
import app.leeward.core.edit.Flip;
import app.leeward.core.edit.MovePoint;
import app.leeward.core.edit.Nudge;
import app.leeward.core.edit.Outcome;
import app.leeward.core.edit.Recolour;
import app.leeward.core.edit.TakeVersion;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.intake.LayerChange.Kind;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Canvas;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.ImportedSource;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** A designer's second version, held against the first and against what was rigged in between. */
class VersionsTest {
    private static final Character READ = read(Rigs.face(), "face-1.svg");

    private static Character read(Layer root, String file) {
        Character c = Rigs.hung(root);
        return c.withOrigin(origin -> origin.withSource(Optional.of(ImportedSource.of(file, c))));
    }

    private static Character done(Character c, Edit e) {
        Outcome outcome = Edits.apply(c, e);
        assertThat(outcome).as(e.describe(c) + " " + outcome).isInstanceOf(Outcome.Done.class);
        return ((Outcome.Done) outcome).character();
    }

    /** The layers with one of them changed, by name. */
    private static Layer with(Layer root, String name, UnaryOperator<Layer> change) {
        return new Layer(
                root.name(),
                root.hidden(),
                root.nodes().stream()
                        .map(n -> n instanceof Layer.Group g
                                ? new Layer.Group(
                                        g.layer().name().equals(name)
                                                ? change.apply(g.layer())
                                                : with(g.layer(), name, change))
                                : n)
                        .toList());
    }

    private static Layer without(Layer root, String name) {
        return new Layer(
                root.name(),
                root.hidden(),
                root.nodes().stream()
                        .filter(n ->
                                !(n instanceof Layer.Group g && g.layer().name().equals(name)))
                        .toList());
    }

    private static Layer plus(Layer root, Layer more) {
        List<Layer.Node> nodes = new ArrayList<>(root.nodes());
        nodes.add(new Layer.Group(more));
        return new Layer(root.name(), root.hidden(), nodes);
    }

    private static Layer transformed(Layer layer, Matrix m) {
        return new Layer(
                layer.name(),
                layer.hidden(),
                layer.nodes().stream()
                        .map(n -> n instanceof Layer.Group g
                                ? new Layer.Group(transformed(g.layer(), m))
                                : new Layer.Leaf(((Layer.Leaf) n).shape().transform(m)))
                        .map(Layer.Node.class::cast)
                        .toList());
    }

    private static List<LayerChange> changes(Character now, Layer root) {
        return Versions.between(now, "face-2.svg", Rigs.hung(root)).report().changes().stream()
                .filter(c -> c.kind() != Kind.SAME)
                .toList();
    }

    private static Artwork art(Character c, PartRole role) {
        Part p = c.part(role).orElseThrow();
        return p.drawing(p.shown()).orElseThrow().art();
    }

    @Test
    void theSameFileChangesNothing() {
        NewVersion v =
                Versions.between(READ, "face-2.svg", Rigs.hung(Rigs.face())).report();
        assertThat(v.was()).isEqualTo("face-1.svg");
        assertThat(v.message()).isEmpty();
        assertThat(v.changes())
                .hasSize(READ.rig().parts().stream()
                        .mapToInt(p -> p.drawings().size())
                        .sum())
                .allMatch(c -> c.kind() == Kind.SAME);
    }

    @Seeded(tries = 60)
    void aDrawingChangedInAFileScaledAndMovedIsTheOnlyChange(
            @Between(min = 0.2, max = 5) double scale,
            @Between(min = -900, max = 900) double dx,
            @Between(min = -900, max = 900) double dy,
            @Between(min = 1, max = 40) double by) {
        Layer changed = with(Rigs.face(), "Nose", l -> transformed(l, Matrix.translate(by, 0)));
        List<LayerChange> found = changes(READ, transformed(changed, new Matrix(scale, 0, 0, scale, dx, dy)));
        assertThat(found).hasSize(1);
        assertThat(found.get(0).name()).isEqualTo("nose");
        // what comes back is the designer's change in units of the canvas here
        Artwork after = found.get(0).after().orElseThrow();
        Point was = art(READ, PartRole.NOSE).bounds().orElseThrow().centre();
        Point is = after.bounds().orElseThrow().centre();
        assertThat(is.x() - was.x()).isCloseTo(by, within(0.02));
        assertThat(is.y() - was.y()).isCloseTo(0, within(0.02));
    }

    @Test
    void aChangedDrawingGoesWhereTheOldOneStandsAfterFittingFlippingAndRecolouring() {
        Character here = done(READ, new Fit(0.5, 30, 20, new Canvas(500, 500)));
        here = done(here, new Flip());
        here = done(here, new Recolour("#884422", "#aa5533"));
        Layer wider = with(Rigs.face(), "Nose", l -> Rigs.layer("Nose", Rigs.ellipse(510, 520, 14, 14)));
        List<LayerChange> found = changes(here, wider);
        assertThat(found).hasSize(1);
        assertThat(found.get(0).warning()).isEmpty();
        assertThat(found.get(0).advised()).isTrue();

        Character after = done(
                here,
                new TakeVersion(
                        "face-2.svg", Rigs.hung(wider), List.of(found.get(0).key())));
        double axis = here.sheet().model().axis();
        // by hand: x 510 was 0.5·510 + 30 = 285 and is reflected about the axis
        Artwork nose = art(after, PartRole.NOSE);
        assertThat(nose.bounds().orElseThrow().centre().x()).isCloseTo(2 * axis - 285, within(1e-3));
        assertThat(nose.bounds().orElseThrow().centre().y()).isCloseTo(0.5 * 520 + 20, within(1e-3));
        assertThat(nose.bounds().orElseThrow().width()).isCloseTo(14, within(1e-3));
        assertThat(nose.colours()).containsExactly("#aa5533");
        assertThat(changes(after, wider))
                .as("taken once, it is not offered again")
                .isEmpty();
    }

    /** A skin drawn wider is turned as it is drawn now: the line of its edge is where its solid has it. */
    @Test
    void aHeadThatIsDrawnAnewIsTurnedAnew() {
        Layer wider = with(Rigs.face(), "face skin", l -> Rigs.layer("face skin", Rigs.ellipse(500, 500, 110, 130)));
        LayerChange skin = changes(READ, wider).get(0);
        Character after = done(READ, new TakeVersion("b.svg", Rigs.hung(wider), List.of(skin.key())));
        Character fresh = Rigs.hung(wider);
        Pose turned = new Pose(Map.of("turn", 45.0), Map.of(), Map.of(), Map.of());
        Frame.Placed is = new Evaluator(after).frame(turned).of("face-skin").orElseThrow();
        Frame.Placed asFresh =
                new Evaluator(fresh).frame(turned).of("face-skin").orElseThrow();
        assertThat(is.outlines().get(0).bounds().orElseThrow().width())
                .isCloseTo(asFresh.outlines().get(0).bounds().orElseThrow().width(), within(1e-6));
    }

    @Test
    void riggingIsKept() {
        String nose = READ.part(PartRole.NOSE).orElseThrow().id();
        Character here = done(READ, new Nudge(nose, 4, -2));
        Layer next = with(Rigs.face(), "Nose", l -> Rigs.layer("Nose", Rigs.box(490, 510, 20, 20)));
        Character after = done(here, new TakeVersion("b.svg", Rigs.hung(next), List.of("nose/nose")));
        assertThat(after.controls().dials().subList(1, after.controls().dials().size()))
                .isEqualTo(here.controls()
                        .dials()
                        .subList(1, here.controls().dials().size()));
        assertThat(after.rig().windows()).isEqualTo(here.rig().windows());
        assertThat(after.voice().mouths()).isEqualTo(here.voice().mouths());
        assertThat(after.rig().order()).isEqualTo(here.rig().order());
        Part was = here.part(nose).orElseThrow();
        Part is = after.part(nose).orElseThrow();
        assertThat(is.pivot()).isEqualTo(was.pivot());
        assertThat(is.rest()).isEqualTo(was.rest());
        assertThat(is.drawings()).isNotEqualTo(was.drawings());
        // and every other part is drawn as before, in a turned pose too
        Pose turned = new Pose(Map.of("turn", 45.0), Map.of(), Map.of(), Map.of());
        assertThat(new Evaluator(after).frame(turned).placed())
                .usingElementComparator(
                        (a, b) -> a.part().equals(nose) && b.part().equals(nose) || a.equals(b) ? 0 : 1)
                .as("only the nose has another outline")
                .isEqualTo(new Evaluator(here).frame(turned).placed());
    }

    @Test
    void aDrawingChangedHereTooIsNotTakenUnasked() {
        String nose = READ.part(PartRole.NOSE).orElseThrow().id();
        String drawing = READ.part(nose).orElseThrow().shown();
        Character here = done(READ, new MovePoint(nose, drawing, 0, 1, PathPoints.Hold.POINT, new Point(505, 500)));
        assertThat(changes(here, Rigs.face())).as("the file did not change").isEmpty();
        Layer next = with(Rigs.face(), "Nose", l -> transformed(l, Matrix.translate(0, 5)));
        LayerChange change = changes(here, next).get(0);
        assertThat(change.message()).isEqualTo("moved 5 down");
        assertThat(change.warning()).contains("changed here too");
        assertThat(change.advised()).isFalse();
    }

    @Test
    void aNewMouthServesItsSoundAndANewPartIsHungAndMasked() {
        Layer next = with(Rigs.face(), "mouth", m -> plus(m, Rigs.layer("oo", Rigs.ellipse(500, 562, 9, 9))));
        next = plus(next, Rigs.layer("freckles", Rigs.ellipse(450, 530, 3, 3)));
        List<LayerChange> found = changes(READ, next);
        assertThat(found).extracting(LayerChange::kind).containsOnly(Kind.NEW);
        assertThat(READ.voice().mouths().drawn()).doesNotContainKey(Viseme.OO);
        Character after = done(
                READ,
                new TakeVersion(
                        "b.svg",
                        Rigs.hung(next),
                        found.stream().map(LayerChange::key).toList()));
        Part mouth = after.part(PartRole.MOUTH).orElseThrow();
        assertThat(mouth.drawing(after.voice().mouths().drawn().get(Viseme.OO))
                        .orElseThrow()
                        .name())
                .isEqualTo("oo");
        Part freckles = after.part(PartRole.FRECKLES).orElseThrow();
        assertThat(freckles.parent()).isEqualTo(after.part(PartRole.HEAD).map(Part::id));
        String face = after.part(PartRole.FACE).orElseThrow().id();
        assertThat(after.rig().windows().stream()
                        .filter(w -> w.by().equals(face))
                        .flatMap(w -> w.masked().stream()))
                .contains(freckles.id());
        assertThat(changes(after, next)).isEmpty();
    }

    @Test
    void aMissingLayerStaysUnlessItIsTakenAway() {
        Layer next = without(Rigs.face(), "Nose");
        List<LayerChange> found = changes(READ, next);
        assertThat(found).hasSize(1);
        assertThat(found.get(0).kind()).isEqualTo(Kind.MISSING);
        assertThat(found.get(0).advised()).isFalse();
        Character kept = done(READ, new TakeVersion("b.svg", Rigs.hung(next), List.of()));
        assertThat(kept.part(PartRole.NOSE)).isPresent();
        Character gone = done(
                READ,
                new TakeVersion("b.svg", Rigs.hung(next), List.of(found.get(0).key())));
        assertThat(gone.part(PartRole.NOSE)).isEmpty();
        assertThat(gone.rig().parts()).hasSize(READ.rig().parts().size() - 1);
    }

    @Test
    void aLayerThatOnlyChangedItsNameIsKnownByItsArt() {
        Layer next = with(Rigs.face(), "Nose", l -> new Layer("zzz", false, l.nodes()));
        assertThat(changes(READ, next)).isEmpty();
        List<String> said = Versions.between(READ, "b.svg", Rigs.hung(next)).report().changes().stream()
                .map(LayerChange::message)
                .filter(s -> !s.isEmpty())
                .toList();
        assertThat(said).containsExactly("called 'zzz' there");
    }

    @Test
    void saysWhatIsDifferent() {
        Artwork nose = art(READ, PartRole.NOSE);
        Artwork anew = new Artwork(List.of(Shape.filled("", Rigs.box(0, 0, 4, 4), "#884422")));
        Artwork more = new Artwork(List.of(nose.shapes().get(0), nose.shapes().get(0)));
        Artwork red = new Artwork(nose.shapes().stream()
                .map(s -> s.recoloured(Map.of("#884422", "#cc0000")))
                .collect(Collectors.toList()));
        assertThat(Difference.message(nose, anew)).isEqualTo("redrawn");
        assertThat(Difference.message(nose, more)).isEqualTo("1 shape more");
        assertThat(Difference.message(nose, red)).isEqualTo("recoloured");
        assertThat(Difference.message(nose, red.transform(Matrix.translate(-2, 1.5))))
                .isEqualTo("moved 2 left, 1.5 down, recoloured");
        assertThat(Difference.same(nose, nose.transform(Matrix.translate(0.01, 0))))
                .isTrue();
    }

    @Test
    void anUnknownChangeIsRefused() {
        Outcome o = Edits.apply(READ, new TakeVersion("b.svg", Rigs.hung(Rigs.face()), List.of("moustache/1")));
        assertThat(o).isInstanceOf(Outcome.Refused.class);
        assertThat(((Outcome.Refused) o).message()).contains("moustache/1");
    }
}
