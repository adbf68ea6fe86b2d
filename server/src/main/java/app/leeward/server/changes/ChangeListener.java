package app.leeward.server.changes;

import app.leeward.server.store.OwnConnection;
import jakarta.annotation.PreDestroy;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
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

    private final JdbcConnectionDetails details;
    private final ChangeSockets sockets;
    private final Thread thread = new Thread(this::listen, "change-listener");
    private volatile Connection connection;
    private final CountDownLatch ended = new CountDownLatch(1);

    ChangeListener(JdbcConnectionDetails details, ChangeSockets sockets) {
        this.sockets = sockets;
        this.details = details;
        thread.setDaemon(true);
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        thread.start();
    }

    private void listen() {
        while (isGoingOn(0)) {
            try (Connection c = OwnConnection.to(details, "leeward changes", 0);
                    Statement statement = c.createStatement()) {
                connection = c;
                statement.execute("listen leeward_changes");
                sockets.tell(MISSED);
                passOn(c, statement);
            } catch (SQLException away) {
                // the watch over the database says so in the log
                isGoingOn(AGAIN_MILLIS);
            }
        }
    }

    private void passOn(Connection c, Statement statement) throws SQLException {
        PGConnection here = c.unwrap(PGConnection.class);
        while (isGoingOn(0)) {
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

    /** Whether this server still is there after so long; known at once when it ends meanwhile. */
    private boolean isGoingOn(long millis) {
        try {
            return !ended.await(millis, TimeUnit.MILLISECONDS);
        } catch (InterruptedException e) {
            return false;
        }
    }

    @PreDestroy
    void end() throws SQLException {
        ended.countDown();
        Connection c = connection;
        if (c != null) {
            // a read that waits is not interrupted by anything else
            c.abort(Runnable::run);
        }
    }
}
