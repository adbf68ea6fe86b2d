package app.leeward.server.store;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Properties;
import org.springframework.boot.autoconfigure.jdbc.JdbcConnectionDetails;

/** A way to the database beside the pool, for what waits for long or must not wait for others. */
public final class OwnConnection {
    /** A database that is gone refuses at once; one that takes longer than this hangs. On a busy machine a second is nothing. */
    private static final String LOGIN_SECONDS = "3";

    private OwnConnection() {}

    /**
     * @param name what it is called in the database's own list
     * @param answerSeconds how long an answer may take; 0 for as long as it takes
     */
    public static Connection to(JdbcConnectionDetails details, String name, int answerSeconds) throws SQLException {
        Properties how = new Properties();
        how.setProperty("user", details.getUsername());
        how.setProperty("password", details.getPassword());
        how.setProperty("loginTimeout", LOGIN_SECONDS);
        how.setProperty("socketTimeout", String.valueOf(answerSeconds));
        how.setProperty("ApplicationName", name);
        return DriverManager.getConnection(details.getJdbcUrl(), how);
    }
}
