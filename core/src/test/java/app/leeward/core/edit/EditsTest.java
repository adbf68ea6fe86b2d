package app.leeward.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Box;
import app.leeward.core.art.PathPoints;
import app.leeward.core.art.Point;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.speech.Lexicon;
import app.leeward.core.speech.Phone;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class EditsTest {
    private static final Character FACE = Rigs.hung(Rigs.face());

    private static Character done(Character c, Edit e) {
        Outcome outcome = Edits.apply(c, e);
        assertThat(outcome).isInstanceOf(Outcome.Done.class);
        return ((Outcome.Done) outcome).character();
    }

    private static String refused(Edit e) {
        Outcome outcome = Edits.apply(FACE, e);
        assertThat(outcome).isInstanceOf(Outcome.Refused.class);
        return ((Outcome.Refused) outcome).code();
    }

    @Test
    void wordsAreTaughtManyAtOnceAndForgottenAgain() {
        Lexicon many = new Lexicon(Map.of("sorrel", List.of(Phone.S), "quay", List.of(Phone.K, Phone.IY)));
        Character taught = done(FACE, new TeachWords(many));
        assertThat(taught.voice().lexicon().entries()).hasSize(2);
        Character again = done(taught, new TeachWords(Lexicon.EMPTY.with("Quay", List.of(Phone.K))));
        assertThat(again.voice().lexicon().of("QUAY")).contains(List.of(Phone.K));
        assertThat(done(again, new ForgetWord("quay")).voice().lexicon().entries())
                .containsOnlyKeys("sorrel");
        assertThat(refused(new ForgetWord("quay"))).isEqualTo("gone");
        assertThat(refused(new TeachWords(Lexicon.EMPTY))).isEqualTo("no-sounds");
        Map<String, List<Phone>> tooMany = new HashMap<>();
        for (int i = 0; i <= Lexicon.MOST; i++) {
            tooMany.put("w" + i, List.of(Phone.W));
        }
        assertThat(refused(new TeachWords(new Lexicon(tooMany)))).isEqualTo("no-sounds");
    }

    @Test
    void editsDoWhatTheyDescribeAndTouchNothingElse() {
        Nudge nudge = new Nudge("nose", 3, 0);
        Character after = done(FACE, nudge);
        assertThat(nudge.describe(FACE)).isEqualTo("Moved nose 3 to the right");
        assertThat(after.part("nose").orElseThrow().rest().x()).isEqualTo(3);
        assertThat(done(after, new Nudge("nose", -3, 0))).as("there and back").isEqualTo(FACE);
        assertThat(done(FACE, new Rename("  Ada  ")).name()).isEqualTo("Ada");
        Character named = done(FACE, new RenamePart("nose", "beak"));
        assertThat(named.part("nose").orElseThrow().name()).isEqualTo("beak");
        assertThat(done(named, new RenamePart("nose", "nose"))).isEqualTo(FACE);
        assertThat(done(FACE, new Show("mouth", Part.NOTHING))
                        .part("mouth")
                        .orElseThrow()
                        .shown())
                .isEqualTo(Part.NOTHING);
        assertThat(done(FACE, new ServeSound(Viseme.OO, "ah", ""))
                        .voice()
                        .mouths()
                        .drawn())
                .containsEntry(Viseme.OO, "ah");
        assertThat(done(FACE, new Pronounce("Sorrel", List.of(Phone.S, Phone.AO)))
                        .voice()
                        .lexicon()
                        .of("SORREL"))
                .contains(List.of(Phone.S, Phone.AO));
    }

    @Test
    void whatCannotBeDoneIsRefusedWithAStableCode() {
        assertThat(refused(new Rename(" "))).isEqualTo("no-name");
        assertThat(refused(new Rename("x".repeat(81)))).isEqualTo("long-name");
        assertThat(refused(new RenamePart("tail", "tail"))).isEqualTo("no-part");
        assertThat(refused(new Nudge("nose", 1e7, 0))).isEqualTo("too-far");
        assertThat(refused(new Show("mouth", "yodel"))).isEqualTo("no-drawing");
        assertThat(refused(new ServeSound(Viseme.AH, "yodel", ""))).isEqualTo("no-drawing");
        assertThat(refused(new Pronounce("Sorrel", List.of()))).isEqualTo("no-sounds");
    }

    @Test
    void independentEditsTouchDifferentThings() {
        assertThat(new Nudge("nose", 1, 0).touches()).doesNotContainAnyElementsOf(new Rename("x").touches());
        assertThat(new Nudge("nose", 1, 0).touches()).isEqualTo(new Nudge("nose", 0, 9).touches());
    }

    @Test
    void aCharacterThatFollowsItselfCannotBeMade() {
        Part a = Rigs.part("a", "b", new app.leeward.core.art.Point(0, 0));
        Part b = Rigs.part("b", "a", new app.leeward.core.art.Point(0, 0));
        assertThatThrownBy(() -> Rigs.character(List.of(a, b), List.of())).hasMessageContaining("follow itself");
        Part orphan = Rigs.part("c", "nobody", new app.leeward.core.art.Point(0, 0));
        assertThatThrownBy(() -> Rigs.character(List.of(orphan), List.of())).hasMessageContaining("not there");
        assertThat(FACE.part("head").orElseThrow().parent()).isEqualTo(Optional.of("neck"));
    }

    @Test
    void artworkIsChangedPointByPointAndALinkedTwinFollows() {
        Character linked = done(FACE, new MirrorSide("ear-left"));
        Character drawn =
                done(linked, new MovePoint("ear-left", "ear-l", 0, 1, PathPoints.Hold.POINT, new Point(610, 470)));
        double left =
                drawn.part("ear-left").orElseThrow().bounds().orElseThrow().minY();
        assertThat(left).isLessThan(480);
        assertThat(drawn.part("ear-right").orElseThrow().bounds().orElseThrow().minY())
                .isEqualTo(left);
        assertThat(drawn.part("ear-left").orElseThrow().rest())
                .as("placement is not touched")
                .isEqualTo(FACE.part("ear-left").orElseThrow().rest());
        assertThat(refused(new MovePoint("nose", "nose", 0, 99, PathPoints.Hold.POINT, new Point(0, 0))))
                .isEqualTo("no-such-point");
        assertThat(refused(new RemovePoint("nose", "nose", 7, 0))).isEqualTo("no-such-point");
        assertThat(refused(new PaintShape("nose", "nose", 0, "#123456", "", 0))).isEqualTo("no-colour");
        Character copied = done(FACE, new CopyDrawing("nose", "nose", "nose up", Optional.empty()));
        assertThat(copied.part("nose").orElseThrow().drawing("nose-up")).isPresent();
        assertThat(done(copied, new DropDrawing("nose", "nose-up"))).isEqualTo(FACE);
        assertThat(refused(new DropDrawing("mouth", "ah"))).isEqualTo("in-use");
        Character painted = done(FACE, new PaintShape("nose", "nose", 0, "", "#884422", 3));
        assertThat(painted.part("nose")
                        .orElseThrow()
                        .drawings()
                        .get(0)
                        .art()
                        .shapes()
                        .get(0)
                        .stroke()
                        .width())
                .isEqualTo(3);
    }

    @Test
    void aDrawingIsCopiedOntoAnotherPartAboutItsPivotAndOntoTheOtherSideMirrored() {
        Part nose = FACE.part("nose").orElseThrow();
        Part mouth = FACE.part("mouth").orElseThrow();
        Box was = box(FACE, "nose", "nose");
        Character copied = done(FACE, new CopyDrawing("nose", "nose", "odd", Optional.of("mouth")));
        assertThat(copied.part("nose")).contains(nose);
        Box is = box(copied, "mouth", "odd");
        assertThat(is.minX() - mouth.pivot().x())
                .isCloseTo(was.minX() - nose.pivot().x(), within(1e-9));
        assertThat(is.maxY() - mouth.pivot().y())
                .isCloseTo(was.maxY() - nose.pivot().y(), within(1e-9));

        Part left = FACE.part("ear-left").orElseThrow();
        Part right = FACE.part("ear-right").orElseThrow();
        String ear = left.drawings().get(0).id();
        Box drawn = box(FACE, "ear-left", ear);
        Box across = box(
                done(FACE, new CopyDrawing("ear-left", ear, "other", Optional.of("ear-right"))), "ear-right", "other");
        assertThat(across.maxX() - right.pivot().x()).isCloseTo(left.pivot().x() - drawn.minX(), within(1e-9));
        assertThat(across.minY() - right.pivot().y())
                .isCloseTo(drawn.minY() - left.pivot().y(), within(1e-9));
        assertThat(refused(new CopyDrawing("nose", "nose", "odd", Optional.of("gone"))))
                .isEqualTo("no-part");
    }

    private static Box box(Character c, String part, String drawing) {
        return c.drawing(part, drawing).orElseThrow().art().bounds().orElseThrow();
    }
}
