package app.leeward.core.edit;

import app.leeward.core.cue.Cue;
import app.leeward.core.rig.Character;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/** Puts a cue in place of the one with its id, or adds it. */
public record SetCue(Cue cue) implements LibraryEdit {
    public SetCue {
        Objects.requireNonNull(cue, "cue");
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.CUE.of(cue.id()));
    }

    @Override
    public String describe(Character before) {
        return (before.cue(cue.id()).isPresent() ? "Changed the cue " : "Added the cue ") + cue.name();
    }

    @Override
    public Outcome on(Character before) {
        Optional<Outcome> bad = Edits.badName(cue.name());
        if (bad.isPresent()) {
            return bad.get();
        }
        List<Cue> cues = new ArrayList<>(before.library().cues());
        int at = cues.indexOf(before.cue(cue.id()).orElse(null));
        if (at < 0) {
            cues.add(cue);
        } else {
            cues.set(at, cue);
        }
        return new Outcome.Done(before.withLibrary(library -> library.withCues(cues)));
    }
}
