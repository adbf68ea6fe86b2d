package app.leeward.core.edit;

import app.leeward.core.rig.Character;
import app.leeward.core.rig.DrawnRun;
import java.util.List;
import java.util.Set;

/** Takes a run away; its drawings stay. */
public record DropRun(String run) implements Edit {
    @Override
    public Set<String> touches() {
        return Set.of("run " + run);
    }

    @Override
    public String describe(Character before) {
        return "Took away the run "
                + before.runs().stream()
                        .filter(r -> r.id().equals(run))
                        .map(DrawnRun::name)
                        .findFirst()
                        .orElse(run);
    }

    @Override
    public Outcome on(Character before) {
        List<DrawnRun> left =
                before.runs().stream().filter(r -> !r.id().equals(run)).toList();
        return left.size() == before.runs().size() ? gone(run) : new Outcome.Done(before.withRuns(left));
    }

    static Outcome.Refused gone(String run) {
        return new Outcome.Refused("no-run", "There is no run '" + run + "' any more.");
    }
}
