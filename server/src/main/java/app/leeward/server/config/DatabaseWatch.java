package app.leeward.server.config;

import app.leeward.server.store.OwnConnection;
import jakarta.annotation.PreDestroy;
import java.sql.Connection;
import java.sql.SQLException;
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
    /** One that takes longer hangs. */
    private static final int PATIENCE_SECONDS = 3;

    private final JdbcConnectionDetails details;
    private final Thread thread = new Thread(this::watch, "database-watch");
    private volatile boolean away;
    private volatile boolean ended;

    DatabaseWatch(JdbcConnectionDetails details) {
        this.details = details;
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
                    connection = OwnConnection.to(details, "leeward watch", PATIENCE_SECONDS);
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
