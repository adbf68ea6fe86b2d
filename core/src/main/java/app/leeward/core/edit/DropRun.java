package app.leeward.core.edit;

import app.leeward.core.rig.Character;
import java.util.Set;
import java.util.stream.Stream;

/** Takes a run away; its drawings stay. */
public record DropRun(String run) implements Edit {
    @Override
    public Set<String> touches() {
        return Set.of("runs");
    }

    @Override
    public String describe(Character before) {
        return "Took away the run " + Runs.name(before, run);
    }

    @Override
    public Outcome on(Character before) {
        return Runs.change(before, run, r -> Stream.empty());
    }
}
