package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Takes parts, in the order they are stacked in, directly in front of another.
 *
 * @param above the part to lie behind them; empty to go to the very back
 */
public record Stack(List<String> parts, Optional<String> above) implements PartEdit {
    public Stack {
        parts = List.copyOf(parts);
        above = above == null ? Optional.empty() : above;
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.ORDER.all());
    }

    @Override
    public String describe(Character before) {
        return Edits.namesOf(before, parts)
                + above.map(a -> " in front of " + Edits.nameOf(before, a)).orElse(" behind everything");
    }

    @Override
    public Outcome on(Character before) {
        Optional<String> gone = Edits.missing(before, parts)
                .or(() -> above.filter(a -> before.part(a).isEmpty()));
        if (gone.isPresent()) {
            return Edits.noPart(gone.get());
        }
        if (above.isPresent() && parts.contains(above.get())) {
            return new Outcome.Refused(RefusalCode.ORDER, "A part cannot lie in front of itself.");
        }
        List<String> moved =
                before.rig().order().stream().filter(parts::contains).toList();
        List<String> order = new ArrayList<>(before.rig().order());
        order.removeAll(moved);
        order.addAll(above.map(a -> order.indexOf(a) + 1).orElse(0), moved);
        return new Outcome.Done(before.withRig(rig -> rig.withOrder(order)));
    }
}
