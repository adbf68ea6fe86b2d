package app.leeward.core.edit;

import app.leeward.core.dial.Dial;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.Set;

/** Takes a dial away, with the pad it was part of, its corrections, and what other dials follow of it. */
public record DropDial(String dial) implements DialEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        return "Took away the dial " + before.dial(dial).map(Dial::name).orElse(dial);
    }

    @Override
    public Outcome on(Character before) {
        if (before.dial(dial).isEmpty()) {
            return new Outcome.Refused(RefusalCode.NO_DIAL, "There is no dial '" + dial + "' any more.");
        }
        return new Outcome.Done(before.withDials(
                        before.controls().dials().stream()
                                .filter(d -> !d.id().equals(dial))
                                .map(this::following)
                                .toList(),
                        before.controls().pads().stream()
                                .filter(p ->
                                        !p.across().equals(dial) && !p.down().equals(dial))
                                .toList())
                .withControls(controls -> controls.withCorrectives(before.controls().correctives().stream()
                        .filter(k -> !k.a().equals(dial) && !k.b().equals(dial))
                        .toList())));
    }

    /** Without what it follows of the dial that goes. */
    private Dial following(Dial d) {
        return d.withFollows(
                d.follows().stream().filter(f -> !f.leader().equals(dial)).toList());
    }
}
