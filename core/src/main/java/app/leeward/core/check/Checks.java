package app.leeward.core.check;

import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.Outcome;
import app.leeward.core.rig.AcceptedFinding;
import app.leeward.core.rig.Character;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Every check there is. A mend is offered only after it was tried: the check is made again on the changed character, and the mend has
 * to make its own finding smaller, make none of the others larger and bring none up.
 */
public final class Checks {
    private static final List<Check> ALL = List.of(
            new StandingCheck(),
            new SidesCheck(),
            new PaletteCheck(),
            new StraysCheck(),
            new EyesCheck(),
            new MouthsCheck(),
            new HandsCheck(),
            new HalvesCheck(),
            new SkullCheck(),
            new ViewsCheck(),
            new LipsCheck(),
            new SweepCheck(),
            new BendsCheck(),
            new UnusedCheck(),
            new NamesCheck(),
            new HairlinesCheck());

    private Checks() {}

    /** What checks are asked for by. */
    public static List<String> ids() {
        return ALL.stream().map(Check::id).toList();
    }

    /**
     * What one check finds, with the mends that were found to help.
     *
     * @return empty for a check that is not there
     */
    public static Optional<List<Finding>> of(Character c, String id) {
        return ALL.stream().filter(k -> k.id().equals(id)).findFirst().map(check -> found(check, c));
    }

    /** What all checks find. */
    public static List<Finding> all(Character c) {
        return ALL.parallelStream().flatMap(check -> found(check, c).stream()).toList();
    }

    private static List<Finding> found(Check check, Character c) {
        List<Fault> faults = check.find(c).toList();
        List<Finding> before =
                faults.stream().map(f -> told(check, c, f, List.of())).toList();
        return faults.stream()
                .map(f -> told(check, c, f, mends(check, c, before, f)))
                .toList();
    }

    /** What all checks find, without what may mend it: that takes far less time. */
    static List<Finding> untried(Character c) {
        return ALL.parallelStream()
                .flatMap(check -> check.find(c).map(f -> told(check, c, f, List.of())))
                .toList();
    }

    private static Finding told(Check check, Character c, Fault f, List<Mend> mends) {
        Optional<String> accepted = c.review().accepted().stream()
                .filter(a -> accepts(a, check, f))
                .map(AcceptedFinding::reason)
                .findFirst();
        return new Finding(
                check.id(),
                f.code(),
                check.harm(f.code()),
                f.subject(),
                f.measure(),
                f.at(),
                f.where(),
                f.message(),
                mends,
                accepted);
    }

    private static boolean accepts(AcceptedFinding a, Check check, Fault f) {
        Subject s = f.subject();
        return a.holds(
                AcceptedFinding.about(check.id(), f.code(), s.part(), s.drawing(), s.dial()),
                f.measure().value());
    }

    private static List<Mend> mends(Check check, Character c, List<Finding> before, Fault fault) {
        List<Mend> out = new ArrayList<>();
        fault.tries().forEach((label, edit) -> leaves(check, c, before, told(check, c, fault, List.of()), edit)
                .ifPresent(left -> out.add(new Mend(label, edit, left))));
        return out;
    }

    /** What an edit leaves of a finding; empty when it cannot be made, does not help, or harms something else. */
    private static Optional<Double> leaves(Check check, Character c, List<Finding> before, Finding mended, Edit edit) {
        if (!(Edits.apply(c, edit) instanceof Outcome.Done done)) {
            return Optional.empty();
        }
        List<Finding> after = check.find(done.character())
                .map(f -> told(check, done.character(), f, List.of()))
                .toList();
        return MendTrial.leaves(
                mended, before, after, Finding::same, f -> f.measure().value());
    }
}
