package app.leeward.core.edit;

import app.leeward.core.intake.Views;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.PartRole;
import java.util.Optional;
import java.util.Set;

/** Puts every part that is a view on the dial of the head turn, each at the angle its name tells. */
public record MakeViews() implements TurnEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.VIEWS.all(), Facet.DIAL.all());
    }

    @Override
    public String describe(Character before) {
        return "Put the views of the head on its turn";
    }

    @Override
    public Outcome on(Character before) {
        if (before.rig().parts().stream().filter(p -> p.role() == PartRole.VIEW).count() < 2) {
            return new Outcome.Refused(
                    RefusalCode.VIEWS_FEW,
                    "A head is exchanged from two views on: make groups of pieces views on the Parts bench.");
        }
        return new Outcome.Done(Views.addTo(before.withControls(controls -> controls.withViews(Optional.empty()))));
    }
}
