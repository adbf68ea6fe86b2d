package app.leeward.core.edit;

import app.leeward.core.rig.Character;
import app.leeward.core.rig.StackingOrder;
import java.util.Set;

/** Stacks every part where its role belongs; parts without a role stay next to the one they lay in front of. */
public record StackByRole() implements PartEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.ORDER.all());
    }

    @Override
    public String describe(Character before) {
        return "Stacked the parts by their roles";
    }

    @Override
    public Outcome on(Character before) {
        return new Outcome.Done(before.withRig(rig -> rig.withOrder(StackingOrder.byRole(before))));
    }
}
