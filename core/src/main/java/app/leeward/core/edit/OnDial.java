package app.leeward.core.edit;

import app.leeward.core.dial.Dial;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.List;
import java.util.function.UnaryOperator;

/** What edits of one dial share. */
final class OnDial {
    private OnDial() {}

    /** @throws Refusal when {@code change} refuses */
    static Outcome change(Character c, String id, UnaryOperator<Dial> change) {
        Dial dial = c.dial(id).orElse(null);
        if (dial == null) {
            return new Outcome.Refused(RefusalCode.NO_DIAL, "There is no dial '" + id + "' any more.");
        }
        Dial changed = change.apply(dial);
        List<Dial> dials = c.controls().dials().stream()
                .map(d -> d.id().equals(id) ? changed : d)
                .toList();
        return new Outcome.Done(c.withDials(dials, c.controls().pads()));
    }

    /** "Turn at 30°". */
    static String at(Character c, String dial, double at) {
        Dial d = c.dial(dial).orElse(null);
        return d == null ? dial : d.name() + " at " + Edits.plain(at) + d.unit();
    }

    static double inside(Dial d, double at) {
        if (!(at >= d.from() && at <= d.to())) {
            throw new Refusal(
                    RefusalCode.BAD_STOP,
                    "The dial goes from " + Edits.plain(d.from()) + " to " + Edits.plain(d.to()) + "; there is no "
                            + Edits.plain(at) + " on it.");
        }
        return at;
    }
}
