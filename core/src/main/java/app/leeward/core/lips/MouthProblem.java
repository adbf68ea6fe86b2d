package app.leeward.core.lips;

/** Why no mouth can be made from a drawing, in a sentence that says what to do. */
public final class MouthProblem extends IllegalArgumentException {
    private static final long serialVersionUID = 1;
    private final String code;

    MouthProblem(String code, String message) {
        super(message);
        this.code = code;
    }

    public String code() {
        return code;
    }
}
