package app.leeward.server.config;

import jakarta.annotation.PreDestroy;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Properties;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.jdbc.JdbcConnectionDetails;
import org.springframework.stereotype.Component;

/**
 * Asks the database twice a second whether it is there, over a connection of its own, so that nobody has to find out by
 * waiting for it.
 */
@Component
class DatabaseWatch {
    private static final Logger LOG = LoggerFactory.getLogger(DatabaseWatch.class);
    private static final long EVERY_MILLIS = 400;
    /** A database that is gone refuses at once; one that takes longer than this hangs. On a busy machine a second is nothing. */
    private static final String PATIENCE_SECONDS = "3";

    private final String url;
    private final Properties how = new Properties();
    private final Thread thread = new Thread(this::watch, "database-watch");
    private volatile boolean away;
    private volatile boolean ended;

    DatabaseWatch(JdbcConnectionDetails details) {
        url = details.getJdbcUrl();
        how.setProperty("user", details.getUsername());
        how.setProperty("password", details.getPassword());
        how.setProperty("loginTimeout", PATIENCE_SECONDS);
        how.setProperty("socketTimeout", PATIENCE_SECONDS);
        how.setProperty("ApplicationName", "leeward watch");
        thread.setDaemon(true);
        thread.start();
    }

    /** Whether it did not answer when it was asked last. */
    boolean away() {
        return away;
    }

    private void watch() {
        Connection connection = null;
        while (!ended) {
            try {
                if (connection == null) {
                    connection = DriverManager.getConnection(url, how);
                }
                connection.createStatement().execute("select 1");
                note(false, "");
            } catch (SQLException e) {
                note(true, e.getMessage());
                close(connection);
                connection = null;
            }
            try {
                Thread.sleep(EVERY_MILLIS);
            } catch (InterruptedException e) {
                break;
            }
        }
        close(connection);
    }

    private void note(boolean nowAway, String why) {
        if (nowAway != away) {
            LOG.warn(nowAway ? "The database does not answer: {}" : "The database answers again{}", why);
        }
        away = nowAway;
    }

    private static void close(Connection connection) {
        try {
            if (connection != null) {
                connection.close();
            }
        } catch (SQLException e) {
            LOG.debug("a broken connection was left", e);
        }
    }

    @PreDestroy
    void end() {
        ended = true;
        thread.interrupt();
    }
}
