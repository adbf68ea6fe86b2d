package app.leeward.core.edit;

import app.leeward.core.dial.Corrective;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Offset;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Poses a part as a correction for two dials away from rest together; each alone does what it did.
 *
 * @param pose a {@link Nudge} or a {@link Place}
 */
public record RecordCorner(String a, double atA, String b, double atB, Edit pose) implements DialEdit, ShapesDial {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.DIAL.of(a), Facet.DIAL.of(b));
    }

    @Override
    public String describe(Character before) {
        return OnDial.at(before, a, atA) + " with " + OnDial.at(before, b, atB) + ": " + pose.describe(before);
    }

    @Override
    public Outcome on(Character before) {
        if (pose.on(before) instanceof Outcome.Refused refused) {
            return refused;
        }
        Optional<Part> part = pose instanceof Show ? Optional.empty() : Posing.part(before, pose);
        Optional<Dial> one = before.dial(a);
        Optional<Dial> other = before.dial(b);
        if (part.isEmpty()) {
            return new Outcome.Refused(
                    RefusalCode.NOT_POSED, "Only places, sizes and turns can be recorded as a correction.");
        }
        if (one.isEmpty() || other.isEmpty()) {
            return new Outcome.Refused(
                    RefusalCode.NO_DIAL, "There is no dial '" + (one.isEmpty() ? a : b) + "' any more.");
        }
        if (a.equals(b)) {
            return new Outcome.Refused(RefusalCode.ONE_DIAL, "A correction lies between two dials.");
        }
        if (atA == one.get().rest() || atB == other.get().rest()) {
            return new Outcome.Refused(RefusalCode.AT_REST, "A correction needs both dials away from their rest.");
        }
        OnDial.inside(one.get(), atA);
        OnDial.inside(other.get(), atB);
        List<Corrective> corners = new ArrayList<>(before.controls().correctives());
        Corrective there = corners.stream()
                .filter(k -> k.at(a, atA, b, atB))
                .findFirst()
                .orElse(new Corrective(a, atA, b, atB, Map.of()));
        corners.remove(there);
        String id = part.get().id();
        Offset was = there.offsets().getOrDefault(id, Offset.NONE);
        corners.add(there.with(id, was.and(Posing.more(part.get(), pose))));
        return new Outcome.Done(before.withControls(controls -> controls.withCorrectives(corners)));
    }
}
