package app.leeward.core.edit;

import app.leeward.core.lips.MouthSet;
import app.leeward.core.mouth.Mood;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.Set;

/** Takes a row of mouths away; what was drawn or shaped by hand for it stays in the set. */
public record DropMood(String mood) implements MouthEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.MOUTHS.all());
    }

    @Override
    public String describe(Character before) {
        return "Took away the mood "
                + before.voice().mouths().mood(mood).map(Mood::name).orElse(mood);
    }

    @Override
    public Outcome on(Character before) {
        return before.voice().mouths().mood(mood).isEmpty()
                ? new Outcome.Refused(RefusalCode.NO_MOOD, "There is no such mood any more.")
                : new Outcome.Done(MouthSet.withoutMood(before, mood));
    }
}
