package app.leeward.server.changes;

import jakarta.annotation.PreDestroy;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Properties;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.springframework.boot.autoconfigure.jdbc.JdbcConnectionDetails;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Hears from the database what changed ({@code listen leeward_changes}; the triggers of migration 13 say it), over a connection of its
 * own, and passes it on as it is. What is said while that connection is broken is missed, and that is passed on too.
 */
@Component
class ChangeListener {
    private static final String MISSED = "{\"kind\":\"missed\"}";
    private static final String STILL = "{\"kind\":\"still\"}";

    /** After so long without a change it is said that all is well: less than a socket may be silent before it is closed. */
    private static final int QUIET_MILLIS = 45_000;

    private static final long AGAIN_MILLIS = 500;

    private final String url;
    private final Properties how = new Properties();
    private final ChangeSockets sockets;
    private final Thread thread = new Thread(this::listen, "change-listener");
    private volatile Connection connection;
    private volatile boolean ended;

    ChangeListener(JdbcConnectionDetails details, ChangeSockets sockets) {
        this.sockets = sockets;
        url = details.getJdbcUrl();
        how.setProperty("user", details.getUsername());
        how.setProperty("password", details.getPassword());
        how.setProperty("loginTimeout", "3");
        how.setProperty("ApplicationName", "leeward changes");
        thread.setDaemon(true);
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        thread.start();
    }

    private void listen() {
        while (!ended) {
            try (Connection c = DriverManager.getConnection(url, how);
                    Statement statement = c.createStatement()) {
                connection = c;
                statement.execute("listen leeward_changes");
                sockets.tell(MISSED);
                passOn(c, statement);
            } catch (SQLException away) {
                // the watch over the database says so in the log
                pause();
            }
        }
    }

    private void passOn(Connection c, Statement statement) throws SQLException {
        PGConnection here = c.unwrap(PGConnection.class);
        while (!ended) {
            PGNotification[] told = here.getNotifications(QUIET_MILLIS);
            if (told == null || told.length == 0) {
                // throws when nobody is there any more
                statement.execute("select 1");
                sockets.tell(STILL);
            } else {
                for (PGNotification n : told) {
                    sockets.tell(n.getParameter());
                }
            }
        }
    }

    private void pause() {
        try {
            Thread.sleep(AGAIN_MILLIS);
        } catch (InterruptedException e) {
            ended = true;
        }
    }

    @PreDestroy
    void end() throws SQLException {
        ended = true;
        thread.interrupt();
        Connection c = connection;
        if (c != null) {
            // a read that waits is not interrupted by anything else
            c.abort(Runnable::run);
        }
    }
}
