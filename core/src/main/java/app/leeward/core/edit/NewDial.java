package app.leeward.core.edit;

import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Purpose;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Ids;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Adds a dial that does nothing yet.
 *
 * @param unit shown behind the value; may be empty
 */
public record NewDial(String name, double from, double to, double rest, String unit) implements DialEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.DIAL.all());
    }

    @Override
    public String describe(Character before) {
        return "New dial " + name.strip();
    }

    @Override
    public Outcome on(Character before) {
        Optional<Outcome> refused = Edits.badName(name).or(() -> badRange(from, to, rest, unit));
        if (refused.isPresent()) {
            return refused.get();
        }
        Set<String> taken = before.controls().dials().stream().map(Dial::id).collect(Collectors.toSet());
        List<Dial> dials = new ArrayList<>(before.controls().dials());
        dials.add(new Dial(
                Ids.unused(name, taken),
                name.strip(),
                Purpose.OWN,
                from,
                to,
                rest,
                unit.strip(),
                List.of(),
                List.of()));
        return new Outcome.Done(before.withDials(dials, before.controls().pads()));
    }

    /** The refusal of a range that no dial can have; empty for a good one. */
    static Optional<Outcome> badRange(double from, double to, double rest, String unit) {
        if (!Double.isFinite(from) || !Double.isFinite(to) || !Double.isFinite(rest)) {
            return Optional.of(new Outcome.Refused(RefusalCode.BAD_RANGE, "A dial goes from a number to a number."));
        }
        if (!(from < to)) {
            return Optional.of(new Outcome.Refused(
                    RefusalCode.BAD_RANGE,
                    "A dial needs some way to go: it cannot run from " + Edits.plain(from) + " to " + Edits.plain(to)
                            + "."));
        }
        if (rest < from || rest > to) {
            return Optional.of(new Outcome.Refused(
                    RefusalCode.BAD_RANGE,
                    "Rest lies inside the range, not at " + Edits.plain(rest) + " of " + Edits.plain(from) + " to "
                            + Edits.plain(to) + "."));
        }
        return unit.length() > 8
                ? Optional.of(new Outcome.Refused(RefusalCode.BAD_UNIT, "A unit has at most 8 letters."))
                : Optional.empty();
    }
}
