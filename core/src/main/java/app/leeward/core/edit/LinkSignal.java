package app.leeward.core.edit;

import app.leeward.core.dial.Dial;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Look;
import app.leeward.core.signal.Driven;
import app.leeward.core.signal.SignalLink;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/**
 * Lets a signal drive something, or says anew by how much.
 *
 * @param instead what it drove before and drives no more
 */
public record LinkSignal(SignalLink link, Optional<Driven> instead) implements DialEdit {
    public LinkSignal {
        Objects.requireNonNull(link, "link");
        instead = instead == null ? Optional.empty() : instead;
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.SIGNALS.of(link.signal().word()));
    }

    @Override
    public String describe(Character before) {
        return link.signal().title() + " drives " + name(before, link.drives()) + " by " + Math.round(link.by() * 100)
                + " %";
    }

    /** What is driven, by its name. */
    static String name(Character c, Driven driven) {
        return driven instanceof Driven.OfLook l
                ? c.look(l.look()).map(Look::name).orElse(l.look())
                : c.dial(((Driven.OfDial) driven).dial()).map(Dial::name).orElse(((Driven.OfDial) driven).dial());
    }

    @Override
    public Outcome on(Character before) {
        if (link.drives() instanceof Driven.OfDial d && before.dial(d.dial()).isEmpty()) {
            return new Outcome.Refused(RefusalCode.NO_DIAL, "There is no dial '" + d.dial() + "' any more.");
        }
        if (link.drives() instanceof Driven.OfLook l && before.look(l.look()).isEmpty()) {
            return DropLook.gone(l.look());
        }
        List<SignalLink> all = new ArrayList<>();
        boolean placed = false;
        for (SignalLink l : before.controls().links()) {
            boolean was = l.joins(link) || l.signal() == link.signal() && instead.equals(Optional.of(l.drives()));
            if (!was) {
                all.add(l);
            } else if (!placed) {
                all.add(link);
                placed = true;
            }
        }
        if (!placed) {
            all.add(link);
        }
        return new Outcome.Done(before.withControls(c -> c.withLinks(all)));
    }
}
