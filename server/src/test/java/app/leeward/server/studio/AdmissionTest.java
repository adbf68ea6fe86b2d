package app.leeward.server.studio;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DataAccessResourceFailureException;

class AdmissionTest {
    private static final long MEGABYTE = 1 << 20;
    /** Half of it is for heavy work. */
    private final Admission admission = new Admission(200 * MEGABYTE);

    private final LineReadings.Client client = new LineReadings.Client("crew", "10.0.0.1", "a");

    @Test
    void memoryIsGivenOutOnceAndComesBack() throws Exception {
        Admission.Held most = admission.take(90 * MEGABYTE);
        CompletableFuture<Void> waits =
                CompletableFuture.runAsync(() -> admission.take(50 * MEGABYTE).close());
        TimeUnit.MILLISECONDS.sleep(200);
        assertThat(waits).isNotDone();
        most.close();
        waits.get(5, TimeUnit.SECONDS);
        // more than there is gets all there is, instead of never anything
        admission.take(5_000 * MEGABYTE).close();
    }

    @Test
    void oneClientHasAFewFilesUnderWayAndTheOthersTheirs() {
        Admission.Held first = admission.file(client);
        admission.file(client);
        admission.file(client);
        assertThatExceptionOfType(Problem.class)
                .isThrownBy(() -> admission.file(client))
                .matches(p -> p.status().value() == 503 && p.code().equals("files-many"));
        admission.file(new LineReadings.Client("crew", "10.0.0.1", "b")).close();
        first.close();
        admission.file(client).close();
    }

    @Test
    void whatADatabaseSaysOfItselfIsToldApart() {
        assertThat(DatabaseAway.behind(new DataAccessResourceFailureException("x", new SQLException("x", "53100"))))
                .hasValue(DatabaseAway.FULL);
        assertThat(DatabaseAway.behind(new RuntimeException(new SQLException("x", "57P01"))))
                .hasValue(DatabaseAway.GONE);
        assertThat(DatabaseAway.behind(new SQLTransientConnectionException("x")))
                .hasValue(DatabaseAway.GONE);
        assertThat(DatabaseAway.behind(new SQLException("x", "53300"))).hasValue(DatabaseAway.BUSY);
        assertThat(DatabaseAway.behind(new SQLException("x", "23505"))).isEmpty();
        assertThat(DatabaseAway.behind(new IllegalStateException("x"))).isEmpty();
    }
}
