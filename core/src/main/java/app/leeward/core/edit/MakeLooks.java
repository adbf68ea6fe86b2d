package app.leeward.core.edit;

import app.leeward.core.look.Prototype;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.Optional;
import java.util.Set;

/** Adds dials for facial action units and the six prototype looks made of them, or makes them anew. */
public record MakeLooks() implements LibraryEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        return "Made action units and the six prototype looks";
    }

    @Override
    public Outcome on(Character before) {
        Optional<Character> made = Prototype.addTo(before);
        return made.isPresent()
                ? new Outcome.Done(made.get())
                : new Outcome.Refused(
                        RefusalCode.NO_PIECES,
                        "There are no brows, lids, cheeks, nose or mouth that a look could move.");
    }
}
