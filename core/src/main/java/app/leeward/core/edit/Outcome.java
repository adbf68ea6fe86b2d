package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;

/** What became of an edit. */
public sealed interface Outcome {
    record Done(Character character) implements Outcome {}

    /**
     * The edit cannot be made; nothing changed.
     *
     * @param reason for programs
     * @param message one sentence a rigger understands
     */
    record Refused(RefusalCode reason, String message) implements Outcome {
        /** The reason as it goes over the wire. */
        public String code() {
            return reason.word();
        }
    }
}
