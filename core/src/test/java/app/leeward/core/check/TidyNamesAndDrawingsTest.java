package app.leeward.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Artwork;
import app.leeward.core.art.Bending;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.Purpose;
import app.leeward.core.dial.Stop;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.Outcome;
import app.leeward.core.lips.Opening;
import app.leeward.core.mouth.Mood;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.DrawingKey;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What nobody sees yet: names twice, drawings nothing shows, fills thinner than a pixel; and lips that stay apart. */
class TidyNamesAndDrawingsTest {
    private static Part part(String id, String name, Drawing... drawings) {
        return Rigs.part(id, null, new Point(0, 0), drawings).withName(name);
    }

    private static Drawing drawing(String id) {
        return Rigs.drawing(id, Rigs.box(10, 10, 50, 50));
    }

    private static Character with(Part... parts) {
        return Rigs.character(List.of(parts), List.of());
    }

    private static List<Finding> found(Character c, String check) {
        return Checks.of(c, check).orElseThrow();
    }

    @Test
    void partsCalledAlikeAreNumberedPastNamesThatAreTaken() {
        Character c = with(
                part("a", "Ear", drawing("x")),
                part("b", "ear ", drawing("x")),
                part("c", "ear 2", drawing("x")),
                part("d", "Ear", drawing("x")));
        Finding f = found(c, "names").get(0);
        assertThat(f.message()).isEqualTo("3 parts are called “Ear”.");
        assertThat(f.harm()).isEqualTo(Harm.UNTIDY);
        Outcome.Done done = (Outcome.Done) Edits.apply(c, f.mends().get(0).edit());
        assertThat(done.character().rig().parts())
                .extracting(Part::name)
                .containsExactly("Ear", "ear 3", "ear 2", "Ear 4");
        assertThat(found(done.character(), "names")).isEmpty();
    }

    /** What an older rig bends keeps its kinks until it is asked; a new one never has them. */
    @Test
    void bendsOfAnOlderRigAreOfferedOneCurve() {
        Part brow = part("p", "Brow", drawing("one"));
        List<Stop> stops = List.of(new Stop(1, Map.of("p", Offset.bent(0, -8, 0))));
        Dial raise = new Dial("raise", "raise", Purpose.OWN, 0, 1, 0, "", stops, List.of());
        Character now = Rigs.character(List.of(brow), List.of(), raise);
        assertThat(found(now, "bends")).isEmpty();
        Character older = now.withControls(c -> c.withBending(Bending.EASED));
        Finding f = found(older, "bends").get(0);
        assertThat(f.subject()).isEqualTo(Subject.dial("raise"));
        assertThat(f.mends()).extracting(Mend::leaves).containsExactly(0.0);
        Outcome.Done done = (Outcome.Done) Edits.apply(older, f.mends().get(0).edit());
        assertThat(done.character()).isEqualTo(now);
        assertThat(Edits.apply(now, f.mends().get(0).edit())).isInstanceOf(Outcome.Refused.class);
        assertThat(found(with(brow).withControls(c -> c.withBending(Bending.EASED)), "bends"))
                .isEmpty();
    }

    @Test
    void aDrawingThatAKeyShowsIsUsedAndAHandsAreThereToBePicked() {
        Part many = part("p", "Nose", drawing("one"), drawing("two"), drawing("three"));
        Part hand = part("h", "Hand", drawing("fist"), drawing("flat")).withRole(PartRole.HAND);
        Character c = with(many, hand);
        Finding f = found(c, "unused").get(0);
        assertThat(found(c, "unused")).hasSize(1);
        assertThat(f.message()).contains("Nose", "“two”, “three”").doesNotContain("one”");
        assertThat(f.measure()).isEqualTo(new Measure(2, Unit.COUNT));
        Character keyed = c.withLibrary(l -> l.withKeys(List.of(new DrawingKey("q", "p", "two"))));
        assertThat(found(keyed, "unused").get(0).subject()).isEqualTo(Subject.drawing("p", "three"));
    }

    @Test
    void aFillThinnerThanHalfAPixelIsToldUnlessALineLiesRoundIt() {
        // a canvas of 100 units on 720 lines: half a pixel is 0.069 units
        Shape thin = Shape.filled("crease", Rigs.box(10, 10, 40, 0.06), "#336699");
        Shape thick = Shape.filled("fold", Rigs.box(10, 10, 40, 0.08), "#336699");
        Character c = with(part("p", "Lid", new Drawing("d", "open", new Artwork(List.of(thin, thick)))));
        assertThat(found(c, "hairlines")).hasSize(1);
        assertThat(found(c, "hairlines").get(0).message())
                .isEqualTo("Lid: one fill of “open” is thinner than half a pixel at 720 lines (“crease” among them).");
        Shape lined = thin.painted("#336699", "#000000", 2);
        assertThat(found(with(part("p", "Lid", new Drawing("d", "open", Artwork.of(lined)))), "hairlines"))
                .isEmpty();
    }

    private static Drawing mouth(String id, double height, double line) {
        Shape window =
                Shape.filled("window", Rigs.box(0, 0, 40, height), "#772233").withRole(ShapeRole.WINDOW, false);
        Shape outline = Shape.filled("lips", Rigs.box(0, 0, 40, height), "#772233")
                .painted("#772233", "#000000", line)
                .withFill(new Paint.None())
                .withRole(ShapeRole.OUTLINE, false);
        return new Drawing(id, id, new Artwork(List.of(window, outline)));
    }

    @Test
    void lipsAreApartByTheMeanHeightLessTheLine() {
        assertThat(Opening.of(mouth("m", 7, 2).art())).isCloseTo(5, within(1e-9));
        assertThat(Opening.of(mouth("m", 1.5, 2).art())).isZero();
        assertThat(Opening.of(drawing("none").art())).isZero();
    }

    @Test
    void lipsThatDoNotMeetOnPBMAreToldInEachMood() {
        Part mouth = part("mouth", "Mouth", mouth("shut", 1, 2), mouth("open", 9, 2), mouth("sad", 5, 2))
                .withRole(PartRole.MOUTH);
        MouthChart chart = new MouthChart(Optional.of("mouth"), Map.of(Viseme.PBM, "shut", Viseme.AH, "open"))
                .with(new Mood("sad", "Sad", -1, 0, Map.of(Viseme.PBM, "sad")));
        Character c = with(mouth).withVoice(v -> v.withMouths(chart));
        List<Finding> found = found(c, "lips");
        assertThat(found)
                .extracting(Finding::message)
                .containsExactly("“sad” is shown for p, b and m when sad and is not shut: the lips stay 3.0 apart.");
        assertThat(found.get(0).measure().value()).isCloseTo(3, within(1e-9));
        Character gaping = c.withVoice(v -> v.withMouths(chart.with(Viseme.PBM, "open")));
        assertThat(found(gaping, "lips")).extracting(f -> f.subject().drawing()).contains("open");
    }
}
