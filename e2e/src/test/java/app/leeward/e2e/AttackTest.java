package app.leeward.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.bench.attack.Chaos;
import app.leeward.bench.attack.Fuzz;
import app.leeward.bench.attack.RudeClients;
import java.nio.file.Path;
import java.sql.Connection;
import java.time.Duration;
import org.junit.jupiter.api.Test;

/** What {@code ./leeward bench} does for long, for a short time: see the package {@code app.leeward.bench.attack}. */
class AttackTest {
    @Test
    void nothingAcknowledgedIsLostWhileServersAndDatabaseAreKilled() throws Exception {
        String told = Chaos.run(Path.of(".."), "chaos", 17, 40, 3, 1_500);
        assertThat(told).contains("none missing, none doubled");
    }

    @Test
    void noCallMakesAFaultAndWhatIsRefusedChangesNothing() throws Exception {
        LeewardServer server = LeewardServer.shared();
        try (Connection database = server.connect()) {
            assertThat(Fuzz.run(server.url(), database, 17, 350)).contains("no fault");
        }
    }

    /** Half a second is no promise, but what a machine that tests run on at the same time still keeps: the bench has the figure. */
    @Test
    void rudeClientsHarmNoOther() throws Exception {
        LeewardServer server = LeewardServer.shared();
        try (Connection database = server.connect()) {
            RudeClients.Seen seen = RudeClients.run(server.url(), database, Duration.ofSeconds(8));
            assertThat(seen.failed()).as(seen.message()).isZero();
            assertThat(seen.calls()).as(seen.message()).isGreaterThan(40);
            assertThat(seen.shortLineSeconds()).as(seen.message()).isLessThan(60);
        }
    }
}
