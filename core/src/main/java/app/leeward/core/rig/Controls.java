package app.leeward.core.rig;

import app.leeward.core.art.Bending;
import app.leeward.core.dial.Corrective;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Pad;
import app.leeward.core.dial.Travel;
import app.leeward.core.signal.SignalLink;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What a hand moves the rig by, and how it answers.
 *
 * @param correctives corrections at pairs of dial values
 * @param turn how the head turn was made from the art, when it was
 * @param views whole sub-faces that a dial exchanges, when it has such
 * @param links what a performer's signals move; a signal moves one thing at most once
 * @param bending how drawings go where dials bend them
 */
@RecordBuilder
public record Controls(
        List<Dial> dials,
        List<Pad> pads,
        List<Corrective> correctives,
        Optional<TurnPlan> turn,
        Optional<ViewSet> views,
        List<SignalLink> links,
        Bending bending)
        implements ControlsBuilder.With {
    public static final Controls NONE = new Controls(
            List.of(), List.of(), List.of(), Optional.empty(), Optional.empty(), List.of(), Bending.CURVED);

    public Controls {
        dials = List.copyOf(dials);
        pads = List.copyOf(pads);
        // stored before there were such things
        correctives = correctives == null ? List.of() : List.copyOf(correctives);
        turn = turn == null ? Optional.empty() : turn;
        views = views == null ? Optional.empty() : views;
        links = links == null ? List.of() : List.copyOf(links);
        bending = bending == null ? Bending.EASED : bending;
        for (int i = 0; i < links.size(); i++) {
            for (int k = 0; k < i; k++) {
                if (links.get(i).joins(links.get(k))) {
                    throw new IllegalArgumentException(links.get(i).signal().title() + " drives the same thing twice");
                }
            }
        }
    }

    public Optional<Dial> dial(String id) {
        return dials.stream().filter(d -> d.id().equals(id)).findFirst();
    }

    /** Ids of dials that do not glide from key to key. */
    public Set<String> straightDials() {
        return dials.stream()
                .filter(d -> d.travels() == Travel.STRAIGHT)
                .map(Dial::id)
                .collect(Collectors.toSet());
    }

    /** Values at which a dial exchanges some drawing or the whole head, in rising order. */
    public List<Double> exchanges(Dial dial) {
        Stream<Double> heads = views.filter(v -> v.dial().equals(dial.id())).stream()
                .flatMap(v -> v.bands().stream().skip(1).map(ViewBand::from));
        return Stream.concat(dial.edges().stream(), heads).distinct().sorted().toList();
    }

    /**
     * Without all that was said of a part.
     *
     * @param above on what a dial hangs that hung on it
     */
    Controls without(String part, Optional<String> above) {
        List<Dial> left = dials.stream()
                .map(d -> d.withEffects(d.effects().stream().flatMap(e -> e.without(part).stream()))
                        .withHangsOn(d.hangsOn().equals(Optional.of(part)) ? above : d.hangsOn()))
                .toList();
        return new Controls(
                left,
                pads,
                correctives.stream()
                        .map(c -> c.without(part))
                        .filter(c -> !c.offsets().isEmpty())
                        .toList(),
                turn,
                views.flatMap(v -> v.view(part).isPresent() ? v.without(part) : Optional.of(v)),
                links,
                bending);
    }
}
