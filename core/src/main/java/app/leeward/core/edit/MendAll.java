package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Several mends in one step, one after the other, so that one undo takes all of them back.
 *
 * @param mends 1 to {@link #MOST}, those in lists within it counted
 */
public record MendAll(List<Edit> mends) implements SheetEdit {
    /** More than any character has to mend. */
    public static final int MOST = 200;

    public MendAll {
        mends = List.copyOf(mends);
    }

    /** How many mends there are, those in lists within it counted. */
    public int size() {
        return mends.stream()
                .mapToInt(m -> m instanceof MendAll all ? all.size() : 1)
                .sum();
    }

    @Override
    public Set<Touch> touches() {
        return mends.stream().flatMap(m -> m.touches().stream()).collect(Collectors.toUnmodifiableSet());
    }

    @Override
    public String describe(Character before) {
        return mends.size() == 1 ? mends.get(0).describe(before) : "Mended " + mends.size() + " things at once";
    }

    @Override
    public Outcome on(Character before) {
        if (size() < 1 || size() > MOST) {
            return new Outcome.Refused(
                    RefusalCode.NOTHING_TO_MEND, "Between 1 and " + MOST + " mends can be made at once.");
        }
        Character c = before;
        for (Edit mend : mends) {
            Outcome outcome = Edits.apply(c, mend);
            if (!(outcome instanceof Outcome.Done done)) {
                return outcome;
            }
            c = done.character();
        }
        return new Outcome.Done(c);
    }
}
