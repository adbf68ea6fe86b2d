package app.leeward.core.edit;

import app.leeward.core.art.Numbers;
import app.leeward.core.eye.LidLine;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.Optional;
import java.util.Set;

/**
 * Bends the line on which the lids meet, in both eyes alike.
 *
 * @param inner user units downwards at the inner corner, as the other two
 */
public record BendLidLine(double inner, double middle, double outer) implements EyeEdit {
    public BendLidLine {
        Numbers.finite("lid line", inner + middle + outer);
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        return "Bent the lid line by " + Edits.plain(inner) + ", " + Edits.plain(middle) + " and " + Edits.plain(outer);
    }

    @Override
    public Outcome on(Character before) {
        if (Edits.tooFar(before, inner, middle, outer)) {
            return Edits.TOO_FAR;
        }
        Optional<Character> bent = LidLine.bent(before, inner, middle, outer);
        return bent.isPresent()
                ? new Outcome.Done(bent.get())
                : new Outcome.Refused(
                        RefusalCode.NO_LID, "No lid of this character travels, so there is no line to bend.");
    }
}
