package app.leeward.core.edit;

import app.leeward.core.rig.Character;
import java.util.Set;
import java.util.stream.Stream;

/** Takes a run away; its drawings stay. */
public record DropRun(String run) implements LibraryEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.RUN.all());
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
