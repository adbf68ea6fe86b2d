package app.leeward.server.studio;

import java.util.List;
import org.springframework.http.HttpStatus;

/** Something a person asked for cannot be done; told as a problem document. */
public final class Problem extends RuntimeException {
    private final transient HttpStatus status;
    private final String code;
    private final String place;
    private final transient List<String> since;
    private final int sinceAll;

    public Problem(HttpStatus status, String code, String place, String message) {
        this(status, code, place, message, List.of(), 0);
    }

    /**
     * @param since what others changed in the meantime, the latest of it, oldest first
     * @param sinceAll how many changes there were
     */
    public Problem(HttpStatus status, String code, String place, String message, List<String> since, int sinceAll) {
        super(message);
        this.status = status;
        this.code = code;
        this.place = place;
        this.since = List.copyOf(since);
        this.sinceAll = sinceAll;
    }

    public static Problem notThere(String what) {
        return new Problem(HttpStatus.NOT_FOUND, "not-there", "", "There is no such " + what + ".");
    }

    public static Problem refused(String code, String message) {
        return new Problem(HttpStatus.UNPROCESSABLE_ENTITY, code, "", message);
    }

    /** Not now: ask again in a while. */
    public static Problem busy(String code, String message) {
        return new Problem(HttpStatus.SERVICE_UNAVAILABLE, code, "", message);
    }

    public HttpStatus status() {
        return status;
    }

    public String code() {
        return code;
    }

    public String place() {
        return place;
    }

    public List<String> since() {
        return since;
    }

    public int sinceAll() {
        return sinceAll;
    }
}
