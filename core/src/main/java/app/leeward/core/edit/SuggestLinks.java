package app.leeward.core.edit;

import app.leeward.core.performer.SuggestedLinks;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.signal.SignalLink;
import app.leeward.core.signal.SignalSource;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Links the signals of a source anew, by what the dials are for; those of other sources stay. */
public record SuggestLinks(SignalSource source) implements DialEdit {
    public SuggestLinks {
        Objects.requireNonNull(source, "source");
    }

    @Override
    public Set<Touch> touches() {
        return Stream.concat(
                        Stream.of(Facet.SIGNALS.all()),
                        source.signals().stream().map(s -> Facet.SIGNALS.of(s.word())))
                .collect(Collectors.toSet());
    }

    @Override
    public String describe(Character before) {
        return switch (source) {
            case FACE -> "Linked a performer's face to the dials";
            case GAMEPAD -> "Linked a gamepad to the dials";
            case MICROPHONE -> "Linked the loudness of sound to the dials";
        };
    }

    @Override
    public Outcome on(Character before) {
        List<SignalLink> made = SuggestedLinks.of(before, source);
        if (made.isEmpty()) {
            return new Outcome.Refused(
                    RefusalCode.NO_PIECES,
                    "There is no dial yet that could be driven by this: make a turn, a gaze or brows.");
        }
        List<SignalLink> all = Stream.concat(
                        made.stream(), before.controls().links().stream().filter(l -> !source.signals()
                                .contains(l.signal())))
                .toList();
        return all.equals(before.controls().links())
                ? new Outcome.Refused(RefusalCode.NO_CHANGE, "The links are already those that would be suggested.")
                : new Outcome.Done(before.withControls(c -> c.withLinks(all)));
    }
}
