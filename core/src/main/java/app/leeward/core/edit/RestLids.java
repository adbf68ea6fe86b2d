package app.leeward.core.edit;

import app.leeward.core.art.Numbers;
import app.leeward.core.eye.LidLine;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.Optional;
import java.util.Set;

/**
 * Lets the lids rest lower or higher while the eyes are open.
 *
 * @param upper share of their whole way, 0 as drawn to 1 shut; below 0 further out of sight
 * @param lower the same of the lower lids
 */
public record RestLids(double upper, double lower) implements EyeEdit {
    private static final double LEAST = -0.5;
    private static final double MOST = 0.9;

    public RestLids {
        Numbers.finite("resting lids", upper + lower);
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        return "Lids rest at " + Edits.plain(100 * upper) + " % and " + Edits.plain(100 * lower) + " % of their way";
    }

    @Override
    public Outcome on(Character before) {
        if (upper < LEAST || upper > MOST || lower < LEAST || lower > MOST) {
            return new Outcome.Refused(RefusalCode.LID_HEIGHT, "Lids rest between −50 and 90 % of their way.");
        }
        Optional<Character> rested = LidLine.resting(before, upper, lower);
        return rested.isPresent()
                ? new Outcome.Done(rested.get())
                : new Outcome.Refused(
                        RefusalCode.NO_LID, "No lid of this character travels, so none can rest elsewhere.");
    }
}
