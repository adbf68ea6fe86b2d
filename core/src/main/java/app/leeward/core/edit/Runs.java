package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.DrawnRun;
import java.util.function.Function;
import java.util.stream.Stream;

/** What edits of runs have in common. */
final class Runs {
    private Runs() {}

    static String name(Character c, String id) {
        return c.rig().runs().stream()
                .filter(r -> r.id().equals(id))
                .map(DrawnRun::name)
                .findFirst()
                .orElse(id);
    }

    /** With one run changed, or taken away where nothing is left of it. */
    static Outcome change(Character c, String id, Function<DrawnRun, Stream<DrawnRun>> change) {
        return c.rig()
                .playedBy(id)
                .map(owner -> Edits.onPart(
                        c,
                        owner.id(),
                        p -> p.withRuns(p.runs().stream()
                                .flatMap(r -> r.id().equals(id) ? change.apply(r) : Stream.of(r))
                                .toList())))
                .orElse(new Outcome.Refused(RefusalCode.NO_RUN, "There is no run '" + id + "' any more."));
    }
}
