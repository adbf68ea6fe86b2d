package app.leeward.server.config;

import app.leeward.server.studio.DatabaseAway;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.boot.actuate.health.Health;
import org.springframework.boot.actuate.health.HealthIndicator;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Down for a while whenever the database could not write for want of room. */
@Component
class DiskHealth implements HealthIndicator {
    private static final Duration REMEMBERED = Duration.ofSeconds(30);

    private final Clock clock;
    private volatile Instant full = Instant.EPOCH;

    DiskHealth(Clock clock) {
        this.clock = clock;
    }

    @EventListener
    void failed(DatabaseAway how) {
        if (how == DatabaseAway.FULL) {
            full = clock.instant();
        }
    }

    @Override
    public Health health() {
        return full.plus(REMEMBERED).isAfter(clock.instant())
                ? Health.down().withDetail("disk", DatabaseAway.FULL.message()).build()
                : Health.up().build();
    }
}
