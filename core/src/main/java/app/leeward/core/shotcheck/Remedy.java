package app.leeward.core.shotcheck;

import app.leeward.core.edit.Edit;
import app.leeward.core.shot.ShotEdit;
import java.util.Optional;

/** What may mend a finding; {@link ShotCheck} tries it before it is offered. */
record Remedy(String label, Optional<ShotEdit> shot, Optional<Edit> character) {
    static Remedy of(String label, ShotEdit edit) {
        return new Remedy(label, Optional.of(edit), Optional.empty());
    }

    static Remedy of(String label, Edit edit) {
        return new Remedy(label, Optional.empty(), Optional.of(edit));
    }
}
