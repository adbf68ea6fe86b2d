package app.leeward.core.edit;

import app.leeward.core.art.Bending;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.Set;

/** Lets all that dials bend follow one curve, where it was rigged when bends had kinks ({@link Bending}). */
public record CurveBends() implements SheetEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.BENDING.all());
    }

    @Override
    public String describe(Character before) {
        return "Brows and mouths bend in one curve";
    }

    @Override
    public Outcome on(Character before) {
        return before.controls().bending() == Bending.CURVED
                ? new Outcome.Refused(RefusalCode.NOTHING_TO_MEND, "Brows and mouths bend in one curve already.")
                : new Outcome.Done(before.withControls(c -> c.withBending(Bending.CURVED)));
    }
}
