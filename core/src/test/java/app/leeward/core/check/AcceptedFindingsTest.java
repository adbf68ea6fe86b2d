package app.leeward.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.Rigs;
import app.leeward.core.art.Point;
import app.leeward.core.edit.AcceptFinding;
import app.leeward.core.edit.Discard;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MendAll;
import app.leeward.core.edit.Outcome;
import app.leeward.core.edit.RenamePart;
import app.leeward.core.edit.ReopenFinding;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.AcceptedFinding;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;

class AcceptedFindingsTest {
    private static final Part NOSE = Rigs.part(
            "nose",
            null,
            new Point(0, 0),
            Rigs.drawing("a", Rigs.box(0, 0, 9, 9)),
            Rigs.drawing("b", Rigs.box(0, 0, 9, 9)));
    private static final Part EAR = Rigs.part("ear", null, new Point(0, 0), Rigs.drawing("e", Rigs.box(0, 0, 9, 9)));
    private static final Character C = Rigs.character(List.of(NOSE, EAR), List.of());

    private static Character done(Character c, Edit e) {
        Outcome outcome = Edits.apply(c, e);
        assertThat(outcome).as(outcome.toString()).isInstanceOf(Outcome.Done.class);
        return ((Outcome.Done) outcome).character();
    }

    private static RefusalCode refused(Character c, Edit e) {
        return ((Outcome.Refused) Edits.apply(c, e)).reason();
    }

    private static Finding unused(Character c) {
        return Checks.of(c, "unused").orElseThrow().get(0);
    }

    private static AcceptedFinding as(Finding f, String reason) {
        return new AcceptedFinding(
                f.check(),
                f.code(),
                f.subject().part(),
                f.subject().drawing(),
                f.subject().dial(),
                f.measure().value(),
                reason);
    }

    @Test
    void whatIsAcceptedSaysWhyAndCanBeTakenUpAgain() {
        Character accepted = done(C, new AcceptFinding(as(unused(C), " for the sequel ")));
        assertThat(unused(accepted).accepted()).contains("for the sequel");
        assertThat(unused(done(accepted, new AcceptFinding(as(unused(C), "kept"))))
                        .accepted())
                .contains("kept");
        Character again = done(accepted, new ReopenFinding(as(unused(C), "")));
        assertThat(unused(again).accepted()).isEmpty();
        assertThat(again).isEqualTo(C);
        assertThat(refused(C, new ReopenFinding(as(unused(C), "")))).isEqualTo(RefusalCode.NOT_ACCEPTED);
    }

    @Test
    void whatBecameWorseIsNotAcceptedAnyMore() {
        Character three = Rigs.character(
                List.of(NOSE.withDrawings(
                        List.of(
                                Rigs.drawing("a", Rigs.box(0, 0, 9, 9)),
                                Rigs.drawing("b", Rigs.box(0, 0, 9, 9)),
                                Rigs.drawing("c", Rigs.box(0, 0, 9, 9))),
                        "a")),
                List.of());
        AcceptedFinding two = as(unused(three), "spares");
        assertThat(unused(done(three, new AcceptFinding(two))).accepted()).contains("spares");
        AcceptedFinding one =
                new AcceptedFinding(two.check(), two.code(), two.part(), two.drawing(), two.dial(), 1, "spare");
        assertThat(unused(done(three, new AcceptFinding(one))).accepted()).isEmpty();
    }

    @Test
    void aReasonIsSaidAndShortAndThePartIsThere() {
        assertThat(refused(C, new AcceptFinding(as(unused(C), "  ")))).isEqualTo(RefusalCode.NO_REASON);
        assertThat(refused(C, new AcceptFinding(as(unused(C), "x".repeat(AcceptedFinding.LONGEST_REASON + 1)))))
                .isEqualTo(RefusalCode.LONG_NAME);
        assertThat(refused(C, new AcceptFinding(new AcceptedFinding("unused", "never-shown", "gone", "", "", 1, "x"))))
                .isEqualTo(RefusalCode.NO_PART);
    }

    @Test
    void aPartThatGoesTakesWhatWasSaidOfItAlong() {
        Character accepted = done(C, new AcceptFinding(as(unused(C), "kept")));
        assertThat(done(accepted, new Discard(List.of("nose"))).review().accepted())
                .isEmpty();
        assertThat(done(accepted, new Discard(List.of("ear"))).review().accepted())
                .hasSize(1);
    }

    @Test
    void severalMendsAreMadeWhollyOrNotAtAll() {
        Edit one = new RenamePart("nose", "Snout");
        Edit two = new RenamePart("ear", "Horn");
        MendAll both = new MendAll(List.of(one, two));
        assertThat(done(C, both)).isEqualTo(done(done(C, one), two));
        assertThat(both.touches()).containsAll(one.touches()).containsAll(two.touches());
        assertThat(both.describe(C)).isEqualTo("Mended 2 things at once");
        assertThat(refused(C, new MendAll(List.of(one, new RenamePart("gone", "x")))))
                .isEqualTo(RefusalCode.NO_PART);
        assertThat(refused(C, new MendAll(List.of()))).isEqualTo(RefusalCode.NOTHING_TO_MEND);
        assertThat(refused(C, new MendAll(List.of(new MendAll(Collections.nCopies(MendAll.MOST + 1, one))))))
                .isEqualTo(RefusalCode.NOTHING_TO_MEND);
    }
}
