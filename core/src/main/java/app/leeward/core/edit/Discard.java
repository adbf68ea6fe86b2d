package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Takes parts away; what follows them follows what they followed. */
public record Discard(List<String> parts) implements PartEdit {
    public Discard {
        parts = List.copyOf(parts);
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        return "Took away " + Edits.namesOf(before, parts);
    }

    @Override
    public Outcome on(Character before) {
        Optional<String> gone = Edits.missing(before, parts);
        if (gone.isPresent()) {
            return Edits.noPart(gone.get());
        }
        if (parts.size() >= before.rig().parts().size()) {
            return new Outcome.Refused(RefusalCode.LAST_PART, "A character keeps at least one part.");
        }
        Character c = before;
        for (String id : parts) {
            Part part = c.part(id).orElseThrow();
            List<String> followers =
                    c.rig().childrenOf(id).stream().map(Part::id).toList();
            Outcome hung = new Hang(followers, part.parent()).on(c);
            if (hung instanceof Outcome.Done done) {
                c = done.character().withoutPart(id);
            } else {
                return hung;
            }
        }
        return new Outcome.Done(c);
    }
}
