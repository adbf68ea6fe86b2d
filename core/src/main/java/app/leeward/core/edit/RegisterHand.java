package app.leeward.core.edit;

import app.leeward.core.art.Drawing;
import app.leeward.core.hand.Hands;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Brings drawings of a hand onto the wrist of its default drawing.
 *
 * @param drawing one of them; all the others than the default one when empty
 * @param keepSize they are turned and moved, but stay as large as they were drawn
 */
public record RegisterHand(String part, String drawing, boolean keepSize) implements HandEdit {
    public RegisterHand {
        drawing = drawing == null ? "" : drawing;
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.ART.of(part + (drawing.isEmpty() ? "" : "/" + drawing)));
    }

    @Override
    public String describe(Character before) {
        String what = drawing.isEmpty()
                ? "every drawing of " + Edits.nameOf(before, part)
                : Redrawing.name(before, part, drawing);
        return "Brought " + what + " onto the wrist" + (keepSize ? ", as large as before" : "");
    }

    @Override
    public Outcome on(Character before) {
        Optional<Part> hand = before.part(part);
        if (hand.isEmpty() || !drawing.isEmpty() && hand.get().drawing(drawing).isEmpty()) {
            return new Outcome.Refused(RefusalCode.NO_DRAWING, "There is no such drawing any more.");
        }
        List<String> ids = drawing.isEmpty()
                ? hand.get().drawings().stream()
                        .map(Drawing::id)
                        .filter(id -> !id.equals(hand.get().shown()))
                        .toList()
                : List.of(drawing);
        Character now = before;
        int brought = 0;
        for (String id : ids) {
            Optional<Character> one = Hands.registered(now, part, id, keepSize);
            brought += one.isPresent() ? 1 : 0;
            now = one.orElse(now);
        }
        return brought == 0
                ? new Outcome.Refused(
                        RefusalCode.NO_WRIST,
                        "No wrist was found to bring onto another; put the wrist's two points there by hand.")
                : new Outcome.Done(now);
    }
}
