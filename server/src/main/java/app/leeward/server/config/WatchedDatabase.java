package app.leeward.server.config;

import com.zaxxer.hikari.HikariDataSource;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.time.Duration;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.jdbc.datasource.DelegatingDataSource;
import org.springframework.stereotype.Component;

/**
 * Tells a database that is away from one whose connections are all in use: while it is away whoever asks is told at once,
 * while it is busy they wait their turn.
 */
@Component
class WatchedDatabase implements BeanPostProcessor {
    private static final long PATIENCE = Duration.ofSeconds(10).toNanos();

    private final ObjectProvider<DatabaseWatch> watch;

    WatchedDatabase(ObjectProvider<DatabaseWatch> watch) {
        this.watch = watch;
    }

    @Override
    public Object postProcessAfterInitialization(Object bean, String name) {
        return bean instanceof HikariDataSource pool ? new Watched(pool, watch) : bean;
    }

    private static final class Watched extends DelegatingDataSource {
        private final ObjectProvider<DatabaseWatch> watch;

        Watched(HikariDataSource pool, ObjectProvider<DatabaseWatch> watch) {
            super(pool);
            this.watch = watch;
        }

        @Override
        public Connection getConnection() throws SQLException {
            long until = System.nanoTime() + PATIENCE;
            while (true) {
                requireThere();
                try {
                    return super.getConnection();
                } catch (SQLTransientConnectionException e) {
                    // nothing came free within the pool's own, short patience
                    if (System.nanoTime() > until) {
                        throw e;
                    }
                }
            }
        }

        private void requireThere() throws SQLTransientConnectionException {
            if (watch.getObject().away()) {
                throw new SQLTransientConnectionException("the database does not answer", "08006");
            }
        }
    }
}
