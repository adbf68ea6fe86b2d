package app.leeward.core.edit;

import app.leeward.core.cue.Cue;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.Set;

/** Takes a cue away; shots in which it was dropped keep its place and skip it. */
public record DropCue(String cue) implements LibraryEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.CUE.of(cue));
    }

    @Override
    public String describe(Character before) {
        return "Took away the cue " + before.cue(cue).map(Cue::name).orElse(cue);
    }

    @Override
    public Outcome on(Character before) {
        return before.cue(cue).isEmpty()
                ? new Outcome.Refused(RefusalCode.NO_CUE, "There is no cue '" + cue + "' any more.")
                : new Outcome.Done(before.withLibrary(library -> library.withCues(before.library().cues().stream()
                        .filter(q -> !q.id().equals(cue))
                        .toList())));
    }
}
