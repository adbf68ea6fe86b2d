package app.leeward.core.edit;

import app.leeward.core.lips.MouthSet;
import app.leeward.core.rig.Character;
import java.util.Set;

/** Lets fewer mouths serve all sounds; the drawings that are freed stay in the set. */
public record ThinMouths(int count) implements MouthEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.MOUTHS.all());
    }

    @Override
    public String describe(Character before) {
        return "Made do with " + count + " mouths";
    }

    @Override
    public Outcome on(Character before) {
        return new Outcome.Done(before.withVoice(
                voice -> voice.withMouths(MouthSet.thinned(before.voice().mouths(), count))));
    }
}
