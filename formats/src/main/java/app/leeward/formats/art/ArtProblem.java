package app.leeward.formats.art;

/** A file cannot be read as art. */
public final class ArtProblem extends RuntimeException {
    private final String code;
    private final String place;

    /**
     * @param code stable, for programs
     * @param place where in the file, for example {@code line 12}; empty when it is the whole file
     * @param message one sentence with the reason
     */
    public ArtProblem(String code, String place, String message) {
        super(message);
        this.code = code;
        this.place = place;
    }

    public String code() {
        return code;
    }

    public String place() {
        return place;
    }
}
