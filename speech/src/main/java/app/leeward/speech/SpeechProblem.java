package app.leeward.speech;

/** A recording or its words cannot be used; the message is one sentence a rigger understands. */
public final class SpeechProblem extends RuntimeException {
    private final String code;

    /** @param code stable, for programs, for example {@code wav-truncated} */
    public SpeechProblem(String code, String message) {
        super(message);
        this.code = code;
    }

    public String code() {
        return code;
    }
}
