package app.leeward.core.turn;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.Rigs;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.dial.Dial;
import app.leeward.core.intake.Layer;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Placement;
import app.leeward.core.rig.Solid;
import app.leeward.core.rig.SolidKind;
import app.leeward.core.solid.HeadSolids;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** What a turn leaves as it is is told, piece by piece, with the reason. */
class TurnNotesTest {
    private static final Path SKIN = Rigs.ellipse(500, 500, 100, 120);

    private static List<TurnNotes.TurnNote> notes(Character c) {
        HeadSolids solids = HeadSolids.of(c, TurnMaker.fitted(c).orElseThrow()).orElseThrow();
        return TurnNotes.of(c, solids, 45);
    }

    private static Character head(Layer... layers) {
        return Rigs.hung(Rigs.group("", layers));
    }

    private static void told(List<TurnNotes.TurnNote> notes, String part, String why) {
        assertThat(notes).filteredOn(n -> n.part().equals(part)).singleElement().satisfies(n -> assertThat(n.message())
                .contains(why));
    }

    @Test
    void aFaceThatTurnsAsAWholeHasNothingToTell() {
        assertThat(notes(Rigs.hung(Rigs.face()))).isEmpty();
    }

    @Test
    void whatWasTakenOutAndWhatLiesFarAwayIsTold() {
        Character c = head(
                Rigs.layer("face skin", SKIN),
                Rigs.layer("nose", Rigs.box(900, 40, 20, 20)),
                Rigs.layer("freckles", Rigs.ellipse(460, 540, 8, 8)));
        told(notes(c), "nose", "far from the head");
        Character out = c.withPart("freckles", p -> p.withSolid(Optional.of(Solid.of(SolidKind.FLAT, 0))));
        told(notes(out), "freckles", "by hand");
        // said to be a piece of it after all, it turns
        Character back = c.withPart("nose", p -> p.withSolid(Optional.of(Solid.of(SolidKind.MASS, 0))));
        assertThat(notes(back)).isEmpty();
    }

    @Test
    void whatIsSqueezedOntoALineIsTold() {
        Character c =
                Rigs.hung(Rigs.face()).withPart("nose", p -> p.with(q -> q.rest(new Placement(0, 0, 0, 0, 1, 0, 1))));
        told(notes(c), "nose", "squeezed onto a line");
    }

    @Test
    void whatHangsElsewhereIsToldWithItsMend() {
        Character c = Rigs.hung(Rigs.face()).withPart("brow-left", p -> p.with(q -> q.parent(Optional.empty())));
        told(notes(c), "brow-left", "it has no parent");
        told(notes(c), "brow-left", "on Parts");
    }

    @Test
    void aSecondHeadIsTold() {
        Character c = Rigs.hung(Rigs.face());
        Part second = new Part(
                "other-head",
                "other head",
                PartRole.HEAD,
                app.leeward.core.rig.Side.NONE,
                Optional.empty(),
                new Point(800, 500),
                Placement.REST,
                List.of(),
                Part.NOTHING);
        told(notes(c.withRig(rig -> rig.withNewPart(second, 0))), "other-head", "second head");
    }

    @Test
    void anOpenOutlineIsTold() {
        Path open = new Path(List.of(
                new Segment.Move(new Point(400, 400)),
                new Segment.Line(new Point(600, 400)),
                new Segment.Line(new Point(620, 600)),
                new Segment.Line(new Point(380, 600))));
        told(notes(head(Rigs.layer("face skin", open))), "face-skin", "open outline");
    }

    /** A star with so many points. */
    private static Path star(double x, double y, double radius, int points) {
        List<Segment> all = new ArrayList<>();
        for (int i = 0; i < points; i++) {
            double angle = 2 * Math.PI * i / points;
            double r = i % 2 == 0 ? radius : radius * 0.9;
            Point at = new Point(x + r * Math.cos(angle), y + r * Math.sin(angle));
            all.add(i == 0 ? new Segment.Move(at) : new Segment.Line(at));
        }
        all.add(new Segment.Close());
        return new Path(all);
    }

    @Test
    void piecesWithTooManyPointsGoAsOneAndTheOthersPointByPoint() {
        Character c = TurnMaker.addTo(head(
                Rigs.layer("face skin", SKIN),
                Rigs.layer("fringe", star(500, 420, 70, 59_000)),
                Rigs.layer("side hair L", star(430, 500, 20, 4_000)),
                Rigs.layer("cheek L", Rigs.ellipse(450, 540, 20, 15))));
        Dial turn = c.dial(TurnMaker.DIAL).orElseThrow();
        Set<String> reshaped = turn.stops().stream()
                .flatMap(s -> s.reshapes().keySet().stream())
                .collect(Collectors.toSet());
        assertThat(reshaped).contains("face-skin", "side-hair-left").doesNotContain("fringe");
        assertThat(turn.stops()).anySatisfy(s -> assertThat(s.offsets()).containsKey("fringe"));
        told(notes(c), "fringe", "a great many points");
    }
}
