package app.leeward.core.lips;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Artwork;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.PathPoints;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Stroke;
import app.leeward.core.edit.DropMood;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MakeMouths;
import app.leeward.core.edit.MendMouth;
import app.leeward.core.edit.MovePoint;
import app.leeward.core.edit.Outcome;
import app.leeward.core.edit.ServeSound;
import app.leeward.core.edit.SetMood;
import app.leeward.core.edit.ThinMouths;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.mouth.MouthRulers;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.speech.Phone;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A character's set of mouths: made, kept, thinned, measured and mended. */
class MouthSetTest {
    /** A face with nothing but one smiling mouth. */
    private static final Character PLAIN = Rigs.hung(Rigs.group(
            "",
            Rigs.layer("face skin", Rigs.ellipse(500, 500, 100, 120)),
            Rigs.lined("mouth", MouthMakerTest.path("M450 540 C470 556 530 556 550 540 C530 557 470 557 450 540 Z"))));

    private static final Character MADE = done(PLAIN, new MakeMouths("", null, null, true, null));

    private static Character done(Character c, Edit edit) {
        Outcome o = Edits.apply(c, edit);
        assertThat(o).as("%s", o).isInstanceOf(Outcome.Done.class);
        return ((Outcome.Done) o).character();
    }

    private static String refused(Character c, Edit edit) {
        return ((Outcome.Refused) Edits.apply(c, edit)).code();
    }

    private static Part mouth(Character c) {
        return MouthSet.part(c).orElseThrow();
    }

    private static Artwork art(Character c, Viseme v) {
        return mouth(c).drawing(c.voice().mouths().drawn().get(v)).orElseThrow().art();
    }

    /** The drawing of a class changed behind the rig's back, as a hand in the shape editor would. */
    private static Character redrawn(Character c, Viseme v, java.util.function.UnaryOperator<Shape> change) {
        String id = c.voice().mouths().drawn().get(v);
        return c.withPart(
                mouth(c).id(),
                p -> p.withDrawings(
                        p.drawings().stream()
                                .map(d -> d.id().equals(id)
                                        ? new app.leeward.core.art.Drawing(
                                                id,
                                                d.name(),
                                                new Artwork(d.art().shapes().stream()
                                                        .map(change)
                                                        .toList()))
                                        : d)
                                .toList(),
                        p.shown()));
    }

    @Test
    void oneMouthBecomesAWholeSet() {
        assertThat(PLAIN.voice().mouths().drawn()).containsOnlyKeys(Viseme.REST);
        assertThat(MADE.voice().mouths().drawn()).containsOnlyKeys(Viseme.values());
        assertThat(mouth(MADE).drawings()).hasSize(17);
        assertThat(MADE.voice().mouths().drawn().get(Viseme.REST))
                .as("the starting mouth stays the one at rest")
                .isEqualTo(PLAIN.voice().mouths().drawn().get(Viseme.REST));
        assertThat(OnModel.of(MADE)).isEmpty();
        for (Phone p : Phone.values()) {
            assertThat(MADE.voice().mouths().serve(Viseme.of(p)).orElseThrow().own())
                    .isTrue();
        }
    }

    @Test
    void aMouthShapedByHandIsKeptAndTheOthersFollowTheRulers() {
        String ah = MADE.voice().mouths().drawn().get(Viseme.AH);
        Character shaped =
                done(MADE, new MovePoint(mouth(MADE).id(), ah, 0, 3, PathPoints.Hold.POINT, new Point(500, 700)));
        assertThat(MouthSet.origin(shaped, ah)).isEqualTo(MouthSet.Origin.SHAPED);
        assertThat(MouthMakerTest.of(art(shaped, Viseme.AH), ShapeRole.WINDOW).path())
                .as("the window goes along with its outline")
                .isEqualTo(MouthMakerTest.of(art(shaped, Viseme.AH), ShapeRole.OUTLINE)
                        .path());
        MouthRulers mumbling = new MouthRulers(0.4, 1, 1, 1, 1, 0);
        Character again = done(shaped, new MakeMouths("", mumbling, null, false, null));
        assertThat(art(again, Viseme.AH)).isEqualTo(art(shaped, Viseme.AH));
        assertThat(art(again, Viseme.EH)).isNotEqualTo(art(shaped, Viseme.EH));
        Character over = done(again, new MakeMouths("", mumbling, null, false, List.of(Viseme.AH)));
        assertThat(art(over, Viseme.AH)).isNotEqualTo(art(again, Viseme.AH));
        assertThat(mouth(over).drawing(ah))
                .as("the shaped one stays in the set")
                .isPresent();
    }

    @Test
    void rulersOfOneClassLeaveTheOthersAlone() {
        Character c =
                done(MADE, new MakeMouths("", null, Map.of(Viseme.OO, new MouthRulers(2, 1, 1, 1, 1, 0)), false, null));
        assertThat(art(c, Viseme.OO)).isNotEqualTo(art(MADE, Viseme.OO));
        assertThat(art(c, Viseme.OH)).isEqualTo(art(MADE, Viseme.OH));
    }

    @Test
    void mouthsThatWereDrawnAreKept() {
        Character face = Rigs.hung(Rigs.face());
        Character c = done(face, new MakeMouths("", null, null, true, null));
        assertThat(art(c, Viseme.AH)).isEqualTo(art(face, Viseme.AH));
        assertThat(c.voice().mouths().drawn()).containsOnlyKeys(Viseme.values());
    }

    @Test
    void aMoodIsARowOfItsOwnAndGoesAgain() {
        Character happy = done(MADE, new SetMood("", "Happy", 0.8, 0.1));
        assertThat(happy.voice().mouths().mood("happy").orElseThrow().drawn()).containsOnlyKeys(Viseme.values());
        assertThat(mouth(happy).drawings()).hasSize(34);
        assertThat(OnModel.of(happy)).isEmpty();
        Character sadder = done(happy, new SetMood("happy", "Bitter", -0.5, 0.1));
        assertThat(sadder.voice().mouths().in("happy").drawn())
                .isEqualTo(happy.voice().mouths().in("happy").drawn());
        assertThat(mouth(sadder).drawings()).isNotEqualTo(mouth(happy).drawings());
        Character gone = done(sadder, new DropMood("happy"));
        assertThat(gone.voice().mouths()).isEqualTo(MADE.voice().mouths());
        assertThat(written(gone)).isEqualTo(written(MADE));
        assertThat(refused(happy, new SetMood("", "happy", 0, 0))).isEqualTo("mood-twice");
        assertThat(refused(MADE, new SetMood("angry", "Angry", 0, 0))).isEqualTo("no-mood");
        assertThat(refused(MADE, new DropMood("angry"))).isEqualTo("no-mood");
    }

    /** Every mouth to the digits that are written. */
    private static List<String> written(Character c) {
        return mouth(c).drawings().stream()
                .map(d -> d.id() + d.name() + MouthMakerTest.outlines(d.art()))
                .toList();
    }

    /** A cell without a mouth is served by its row's nearest, a closed one never by an open mouth. */
    @Test
    void missingCellsOfAMoodFallBackAlongTheirRow() {
        Character happy = done(MADE, new SetMood("", "Happy", 0.8, 0));
        MouthChart chart =
                done(happy, new ServeSound(Viseme.TH, "", "happy")).voice().mouths();
        MouthChart.Service th = chart.serve("happy", Viseme.TH).orElseThrow();
        assertThat(th.row()).isEqualTo("happy");
        assertThat(th.own()).isFalse();
        MouthChart gaping = happy.voice()
                .mouths()
                .with(happy.voice()
                        .mouths()
                        .mood("happy")
                        .orElseThrow()
                        .withDrawn(Map.of(
                                Viseme.AH,
                                happy.voice()
                                        .mouths()
                                        .mood("happy")
                                        .orElseThrow()
                                        .drawn()
                                        .get(Viseme.AH))));
        MouthChart.Service m = gaping.serve("happy", Viseme.PBM).orElseThrow();
        assertThat(m.row()).isEmpty();
        assertThat(m.from()).isEqualTo(Viseme.PBM);
        assertThat(gaping.serve("happy", Viseme.EH).orElseThrow().row()).isEqualTo("happy");
        assertThat(gaping.serve("unheard-of", Viseme.EH)).isEqualTo(gaping.serve(Viseme.EH));
    }

    @ParameterizedTest
    @ValueSource(ints = {16, 9, 5, 3})
    void fewerMouthsStillServeEverySound(int count) {
        MouthChart chart = done(MADE, new ThinMouths(count)).voice().mouths();
        assertThat(chart.drawn()).hasSize(count);
        for (Phone p : Phone.values()) {
            MouthChart.Service s = chart.serve(Viseme.of(p)).orElseThrow();
            if (p.closure()) {
                assertThat(s.from()).isIn(Viseme.PBM, Viseme.REST, Viseme.SMILE);
            }
            if (p.lipToTeeth()) {
                assertThat(s.from()).isEqualTo(Viseme.FV);
            }
        }
        assertThat(refused(MADE, new ThinMouths(2))).isEqualTo("mouth-count");
    }

    /** Every fault put into one mouth is found there, and mended there. */
    @ParameterizedTest
    @EnumSource(
            value = MouthFinding.Kind.class,
            names = {"OUTLINE_LENGTH"},
            mode = EnumSource.Mode.EXCLUDE)
    void aMouthOffModelIsFoundAndMended(MouthFinding.Kind kind) {
        Character broken = redrawn(MADE, Viseme.EH, s -> broken(s, kind));
        String id = MADE.voice().mouths().drawn().get(Viseme.EH);
        assertThat(OnModel.of(broken))
                .filteredOn(f -> f.kind() == kind)
                .singleElement()
                .satisfies(f -> assertThat(f.drawing()).isEqualTo(id))
                .satisfies(f -> assertThat(f.mendable()).isTrue());
        Character mended = done(broken, new MendMouth(id, kind));
        assertThat(OnModel.of(mended)).noneMatch(f -> f.kind() == kind);
        if (kind == MouthFinding.Kind.POINTS) {
            double was = MouthMakerTest.of(art(broken, Viseme.EH), ShapeRole.OUTLINE)
                    .path()
                    .length();
            assertThat(MouthMakerTest.of(art(mended, Viseme.EH), ShapeRole.OUTLINE)
                            .path()
                            .length())
                    .isCloseTo(was, within(0.01));
        }
    }

    private static Shape broken(Shape s, MouthFinding.Kind kind) {
        boolean line = s.role() == ShapeRole.OUTLINE;
        return switch (kind) {
            case TEETH_MOVED -> s.role() == ShapeRole.UPPER_TEETH ? s.transform(Matrix.translate(0, 3)) : s;
            case TEETH_SIZE -> s.role() == ShapeRole.UPPER_TEETH ? s.transform(Matrix.scale(1.1, 1)) : s;
            case LOWER_TEETH_OFF -> s.role() == ShapeRole.LOWER_TEETH ? s.transform(Matrix.translate(0, 40)) : s;
            case WINDOW_OFF -> s.role() == ShapeRole.WINDOW ? s.transform(Matrix.translate(2, 0)) : s;
            case LINE_WEIGHT ->
                line
                        ? new Shape(
                                s.name(),
                                s.role(),
                                s.path(),
                                Paint.NONE,
                                s.rule(),
                                new Stroke(
                                        s.stroke().paint(),
                                        2 * s.stroke().width(),
                                        s.stroke().cap(),
                                        s.stroke().join(),
                                        4),
                                1,
                                false)
                        : s;
            case COLOUR -> s.role() == ShapeRole.TONGUE ? s.withFill(Paint.flat("#00ff00")) : s;
            case POINTS -> line || s.role() == ShapeRole.WINDOW ? s.withPath(fewer(s)) : s;
            case OUTLINE_LENGTH -> s;
        };
    }

    /** The same outline as a designer would draw it anew: one curve less in the start than in this one. */
    private static app.leeward.core.art.Path fewer(Shape s) {
        return PathPoints.removed(s.path(), 1);
    }

    @Test
    void anOutlineFarTooLongIsFoundAndLeftToTheHand() {
        Character long_ =
                redrawn(MADE, Viseme.EH, s -> s.transform(new Matrix(1.4, 0, 0, 1.4, -0.4 * 500, -0.4 * 540)));
        assertThat(OnModel.of(long_)).anyMatch(f -> f.kind() == MouthFinding.Kind.OUTLINE_LENGTH && !f.mendable());
        assertThat(refused(
                        long_,
                        new MendMouth(MADE.voice().mouths().drawn().get(Viseme.EH), MouthFinding.Kind.OUTLINE_LENGTH)))
                .isEqualTo("by-hand");
    }

    @Test
    void aFaceWithoutAMouthIsToldWhatToDo() {
        Character none = Rigs.hung(Rigs.group("", Rigs.layer("face skin", Rigs.ellipse(500, 500, 100, 120))));
        assertThat(refused(none, new MakeMouths("", null, null, true, null))).isEqualTo("no-mouth");
        assertThat(OnModel.of(none)).isEmpty();
        assertThatThrownBy(() -> MouthSet.preview(none, MouthRulers.AS_ASKED, Map.of()))
                .hasMessageContaining("no mouth yet");
        assertThat(refused(MADE, new MakeMouths("gone", null, null, true, null)))
                .isEqualTo("no-drawing");
    }

    @Test
    void thePreviewIsWhatIsMade() {
        List<MouthSet.Made> preview = MouthSet.preview(PLAIN, MouthRulers.AS_ASKED, Map.of());
        assertThat(preview).hasSize(17);
        assertThat(EnumSet.copyOf(preview.stream().map(MouthSet.Made::viseme).toList()))
                .hasSameSizeAs(Arrays.asList(Viseme.values()));
        for (MouthSet.Made m : preview) {
            assertThat(art(MADE, m.viseme())).as(m.viseme().words()).isEqualTo(m.art());
        }
        assertThat(Set.copyOf(
                        MADE.voice().mouths().recipe().orElseThrow().made().keySet()))
                .hasSize(16);
    }
}
