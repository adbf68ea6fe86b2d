package app.leeward.core.edit;

import app.leeward.core.rig.Character;
import java.util.Set;

/** Begins a character, or replaces it whole with one read from art. */
public record ImportCharacter(Character character, String source) implements SheetEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        return "Read " + character.rig().parts().size() + " parts from " + source;
    }

    @Override
    public Outcome on(Character before) {
        return new Outcome.Done(character);
    }
}
