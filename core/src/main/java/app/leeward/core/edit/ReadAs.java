package app.leeward.core.edit;

import app.leeward.core.intake.Offer;
import app.leeward.core.intake.Reading;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Says what parts are: their roles and sides. Each is hung, masked and turned as its role asks, and the ready-made dials
 * are made anew.
 */
public record ReadAs(List<Offer> offers) implements PartEdit {
    public ReadAs {
        offers = List.copyOf(offers);
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        if (offers.size() != 1) {
            return "Took " + offers.size() + " layers for what they look like";
        }
        Offer o = offers.get(0);
        return "Took " + Edits.nameOf(before, o.part()) + " for the " + o.side().prefix()
                + o.role().words();
    }

    @Override
    public Outcome on(Character before) {
        Optional<String> gone =
                Edits.missing(before, offers.stream().map(Offer::part).toList());
        if (gone.isPresent()) {
            return Edits.noPart(gone.get());
        }
        if (offers.isEmpty()) {
            return new Outcome.Refused(RefusalCode.NO_PARTS, "There is nothing to take for anything.");
        }
        for (Offer o : offers) {
            boolean empty =
                    before.part(o.part()).map(Part::drawings).orElseThrow().isEmpty();
            if (empty && o.role() != PartRole.OTHER && o.role() != PartRole.HEAD && o.role() != PartRole.EYE) {
                return new Outcome.Refused(
                        RefusalCode.NO_DRAWING,
                        Edits.nameOf(before, o.part()) + " has no drawing, so it cannot be the "
                                + o.role().words() + ".");
            }
        }
        return new Outcome.Done(Reading.as(before, offers));
    }
}
