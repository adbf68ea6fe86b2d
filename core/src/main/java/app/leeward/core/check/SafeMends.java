package app.leeward.core.check;

import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MendAll;
import app.leeward.core.edit.Outcome;
import app.leeward.core.rig.Character;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * The mends that can be made without asking: the only one there is for its finding, and after it not one check finds anything that
 * is worse than before. Where there is a choice only a rigger knows what was meant.
 */
public final class SafeMends {
    private SafeMends() {}

    /** In the order they are made in, the most harmful finding first. What was accepted stays. */
    public static List<SafeMend> of(Character c) {
        List<SafeMend> steps = ownChecks(c);
        return steps.isEmpty() || harmless(c, steps) ? steps : oneByOne(c, steps);
    }

    /** By each one's own check alone, which is made again after every step. */
    private static List<SafeMend> ownChecks(Character c) {
        List<SafeMend> steps = new ArrayList<>();
        Character now = c;
        Set<String> left = new HashSet<>(Checks.ids());
        for (Finding first : Checks.all(c).stream()
                .sorted(Comparator.comparing(Finding::harm))
                .toList()) {
            if (!left.remove(first.check())) {
                continue;
            }
            Set<Edit> made = new HashSet<>();
            for (int i = 0; i < MendAll.MOST; i++) {
                SafeMend next = next(now, first.check(), made);
                if (next == null) {
                    break;
                }
                made.add(next.mend().edit());
                steps.add(next);
                now = after(now, next.mend().edit());
            }
        }
        // a mend may be a list itself: the last are left for another time
        while (size(steps) > MendAll.MOST) {
            steps.remove(steps.size() - 1);
        }
        return steps;
    }

    private static int size(List<SafeMend> steps) {
        return new MendAll(steps.stream().map(s -> s.mend().edit()).toList()).size();
    }

    private static SafeMend next(Character c, String check, Set<Edit> made) {
        return Checks.of(c, check).orElseThrow().stream()
                .filter(f -> f.accepted().isEmpty() && f.mends().size() == 1)
                .filter(f -> !made.contains(f.mends().get(0).edit()))
                .min(Comparator.comparing(Finding::harm))
                .map(f -> new SafeMend(f, f.mends().get(0)))
                .orElse(null);
    }

    /** Those that harm nothing when the checks are all made again after each. */
    private static List<SafeMend> oneByOne(Character c, List<SafeMend> steps) {
        List<SafeMend> kept = new ArrayList<>();
        Character now = c;
        for (SafeMend s : steps) {
            if (harmless(now, List.of(s))) {
                kept.add(s);
                now = after(now, s.mend().edit());
            }
        }
        return kept;
    }

    private static boolean harmless(Character before, List<SafeMend> steps) {
        Character after = before;
        for (SafeMend s : steps) {
            if (!(Edits.apply(after, s.mend().edit()) instanceof Outcome.Done done)) {
                return false;
            }
            after = done.character();
        }
        return !MendTrial.harms(Checks.untried(before), Checks.untried(after), Finding::same, f -> f.measure()
                .value());
    }

    private static Character after(Character c, Edit edit) {
        return ((Outcome.Done) Edits.apply(c, edit)).character();
    }
}
