package app.leeward.core.edit;

import app.leeward.core.rig.Character;

/** What became of an edit. */
public sealed interface Outcome {
    record Done(Character character) implements Outcome {}

    /**
     * The edit cannot be made; nothing changed.
     *
     * @param code stable, for programs
     * @param says one sentence a rigger understands
     */
    record Refused(String code, String says) implements Outcome {}
}
