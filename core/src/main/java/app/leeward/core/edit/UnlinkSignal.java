package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.signal.Driven;
import app.leeward.core.signal.Signal;
import app.leeward.core.signal.SignalLink;
import java.util.List;
import java.util.Objects;
import java.util.Set;

/** Lets a signal drive something no more. */
public record UnlinkSignal(Signal signal, Driven drives) implements DialEdit {
    public UnlinkSignal {
        Objects.requireNonNull(signal, "signal");
        Objects.requireNonNull(drives, "drives");
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.SIGNALS.of(signal.word()));
    }

    @Override
    public String describe(Character before) {
        return signal.title() + " drives " + LinkSignal.name(before, drives) + " no more";
    }

    @Override
    public Outcome on(Character before) {
        List<SignalLink> left = before.controls().links().stream()
                .filter(l -> l.signal() != signal || !l.drives().equals(drives))
                .toList();
        return left.size() < before.controls().links().size()
                ? new Outcome.Done(before.withControls(c -> c.withLinks(left)))
                : new Outcome.Refused(
                        RefusalCode.NO_CHANGE,
                        signal.title() + " does not drive " + LinkSignal.name(before, drives) + " any more.");
    }
}
