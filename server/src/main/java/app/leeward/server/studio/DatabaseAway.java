package app.leeward.server.studio;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.Optional;

/** What a failure says about the database. The classes of SQLSTATE are those of PostgreSQL's appendix A. */
public enum DatabaseAway {
    /** It cannot be reached, or is starting or ending: 08, 57P. */
    GONE("database-away", "The database does not answer. Nothing accepted is lost; try again in a moment."),
    /** It has no room left to write: 53100. */
    FULL(
            "disk-full",
            "The disk the database is on is full, so nothing can be written. Nothing accepted is lost; make room and try again."),
    /** Everything it has room for is in use: the rest of 53. */
    BUSY("database-busy", "The database has too much to do; try again in a moment.");

    private static final int DEEPEST = 20;
    /** The pool's word, without a state, for a connection it gave up because the database had gone. */
    private static final String CLOSED = "Connection is closed";

    private final String code;
    private final String message;

    DatabaseAway(String code, String message) {
        this.code = code;
        this.message = message;
    }

    public String code() {
        return code;
    }

    public String message() {
        return message;
    }

    /** Which of these a failure comes from; empty when it has another cause. */
    public static Optional<DatabaseAway> behind(Throwable failure) {
        Throwable t = failure;
        for (int i = 0; t != null && i < DEEPEST; i++, t = t.getCause()) {
            if (t instanceof SQLTransientConnectionException
                    || t instanceof SQLException s && CLOSED.equals(s.getMessage())) {
                return Optional.of(GONE);
            }
            if (t instanceof SQLException sql && sql.getSQLState() != null) {
                String state = sql.getSQLState();
                if (state.equals("53100")) {
                    return Optional.of(FULL);
                }
                if (state.startsWith("53")) {
                    return Optional.of(BUSY);
                }
                if (state.startsWith("08") || state.startsWith("57P")) {
                    return Optional.of(GONE);
                }
            }
        }
        return Optional.empty();
    }
}
