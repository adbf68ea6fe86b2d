package app.leeward.core.refusal;

/**
 * What was asked for cannot be done, for a reason that lies with who asked and not with the program. Its message is one sentence a
 * rigger understands. Nothing changed.
 */
public final class Refusal extends RuntimeException {
    private final RefusalCode reason;

    public Refusal(RefusalCode reason, String message) {
        super(message);
        this.reason = reason;
    }

    public RefusalCode reason() {
        return reason;
    }
}
