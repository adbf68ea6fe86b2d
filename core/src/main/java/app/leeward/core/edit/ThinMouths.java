package app.leeward.core.edit;

import app.leeward.core.lips.MouthSet;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.Set;

/** Lets fewer mouths serve all sounds; the drawings that are freed stay in the set. */
public record ThinMouths(int count) implements Edit {
    @Override
    public Set<String> touches() {
        return Set.of("mouths");
    }

    @Override
    public String describe(Character before) {
        return "Made do with " + count + " mouths";
    }

    @Override
    public Outcome on(Character before) {
        try {
            return new Outcome.Done(before.withVoice(
                    voice -> voice.withMouths(MouthSet.thinned(before.voice().mouths(), count))));
        } catch (IllegalArgumentException e) {
            return new Outcome.Refused(RefusalCode.MOUTH_COUNT, e.getMessage());
        }
    }
}
