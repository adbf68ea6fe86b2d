package app.leeward.core.edit;

import app.leeward.core.rig.Character;
import java.util.Set;

/** Takes what a correction does to one part back out of it. */
public record ForgetCorner(String a, double atA, String b, double atB, String part) implements DialEdit, ShapesDial {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.DIAL.of(a), Facet.DIAL.of(b));
    }

    @Override
    public String describe(Character before) {
        return OnDial.at(before, a, atA) + " with " + OnDial.at(before, b, atB) + ": no correction of "
                + Edits.nameOf(before, part);
    }

    @Override
    public Outcome on(Character before) {
        return new Outcome.Done(
                before.withControls(controls -> controls.withCorrectives(before.controls().correctives().stream()
                        .map(k -> k.at(a, atA, b, atB) ? k.without(part) : k)
                        .filter(k -> !k.offsets().isEmpty())
                        .toList())));
    }
}
