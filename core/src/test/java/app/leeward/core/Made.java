package app.leeward.core;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.Outcome;
import app.leeward.core.rig.Character;

/** Edits as tests make them. */
public final class Made {
    private Made() {}

    /** The character an edit makes, which must not be refused. */
    public static Character done(Character c, Edit edit) {
        Outcome o = Edits.apply(c, edit);
        assertThat(o).as(edit.describe(c)).isInstanceOf(Outcome.Done.class);
        return ((Outcome.Done) o).character();
    }

    /** The code an edit is refused with, which must not be made. */
    public static String refused(Character c, Edit edit) {
        Outcome o = Edits.apply(c, edit);
        assertThat(o).as(edit.describe(c)).isInstanceOf(Outcome.Refused.class);
        return ((Outcome.Refused) o).code();
    }
}
