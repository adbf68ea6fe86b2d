package app.leeward.core.performer;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.Rigs;
import app.leeward.core.dial.Purpose;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.LinkSignal;
import app.leeward.core.edit.Outcome;
import app.leeward.core.edit.SuggestLinks;
import app.leeward.core.edit.UnlinkSignal;
import app.leeward.core.rig.Character;
import app.leeward.core.signal.Driven;
import app.leeward.core.signal.Signal;
import app.leeward.core.signal.SignalLink;
import app.leeward.core.signal.SignalSource;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class SuggestedLinksTest {
    private static final Character FACE = Rigs.hung(Rigs.face());

    private static Character done(Character before, Edit edit) {
        return ((Outcome.Done) edit.on(before)).character();
    }

    @Test
    void eachDialIsDrivenByWhatItIsFor() {
        List<SignalLink> links = SuggestedLinks.of(FACE, SignalSource.FACE);
        FACE.controls().dials().forEach(d -> {
            Optional<Signal> meant =
                    switch (d.purpose()) {
                        case TURN -> Optional.of(Signal.HEAD_YAW);
                        case NOD -> Optional.of(Signal.HEAD_PITCH);
                        case BLINK -> Optional.of(Signal.AU45);
                        case GAZE_ACROSS -> Optional.of(Signal.GAZE_ACROSS);
                        case GAZE_DOWN -> Optional.of(Signal.GAZE_DOWN);
                        default -> Optional.empty();
                    };
            meant.ifPresent(s -> assertThat(links)
                    .anyMatch(l -> l.signal() == s && l.drives().equals(new Driven.OfDial(d.id()))));
        });
        assertThat(FACE.controls().dials()).anyMatch(d -> d.purpose() == Purpose.BLINK || d.purpose() == Purpose.TURN);
    }

    /** The line opens the mouth: a performer's jaw would fight with it. */
    @Test
    void theJawIsLeftToTheLine() {
        assertThat(SuggestedLinks.of(FACE, SignalSource.FACE)).noneMatch(l -> l.signal() == Signal.JAW);
    }

    @Test
    void linksAreMadeChangedAndTakenAway() {
        Character linked = done(FACE, new SuggestLinks(SignalSource.FACE));
        SignalLink first = linked.controls().links().get(0);
        SignalLink stronger = new SignalLink(first.signal(), first.drives(), 1.2, first.least(), first.most());
        Character changed = done(linked, new LinkSignal(stronger, Optional.empty()));
        assertThat(changed.controls().links())
                .hasSameSizeAs(linked.controls().links())
                .contains(stronger);
        Driven other = new Driven.OfDial(FACE.controls().dials().get(0).id());
        SignalLink moved = new SignalLink(first.signal(), other, 1, -1, 1);
        Character elsewhere = done(changed, new LinkSignal(moved, Optional.of(first.drives())));
        assertThat(elsewhere.controls().links().get(0)).isEqualTo(moved);
        Character without = done(elsewhere, new UnlinkSignal(first.signal(), other));
        assertThat(without.controls().links()).hasSize(linked.controls().links().size() - 1);
        // what a gamepad drives stays when the face is linked anew
        SignalLink stick = new SignalLink(Signal.STICK_LEFT_ACROSS, other, 1, -1, 1);
        Character both = done(without, new LinkSignal(stick, Optional.empty()));
        assertThat(done(both, new SuggestLinks(SignalSource.FACE)).controls().links())
                .contains(stick, first);
    }

    @Test
    void whatIsNotThereCannotBeDriven() {
        assertThat(new LinkSignal(new SignalLink(Signal.AU1, new Driven.OfDial("gone"), 1, 0, 1), Optional.empty())
                        .on(FACE))
                .satisfies(o -> assertThat(((Outcome.Refused) o).code()).isEqualTo("no-dial"));
        assertThat(new LinkSignal(new SignalLink(Signal.AU1, new Driven.OfLook("gone"), 1, 0, 1), Optional.empty())
                        .on(FACE))
                .isInstanceOf(Outcome.Refused.class);
        assertThat(new UnlinkSignal(Signal.AU1, new Driven.OfDial("gone")).on(FACE))
                .satisfies(o -> assertThat(((Outcome.Refused) o).code()).isEqualTo("no-change"));
    }
}
