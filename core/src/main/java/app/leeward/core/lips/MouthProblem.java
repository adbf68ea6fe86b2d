package app.leeward.core.lips;

import app.leeward.core.refusal.RefusalCode;

/** Why no mouth can be made from a drawing, in a sentence that says what to do. */
public final class MouthProblem extends IllegalArgumentException {
    private static final long serialVersionUID = 1;
    private final RefusalCode reason;

    MouthProblem(RefusalCode reason, String message) {
        super(message);
        this.reason = reason;
    }

    public RefusalCode reason() {
        return reason;
    }
}
