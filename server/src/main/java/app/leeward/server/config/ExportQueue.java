package app.leeward.server.config;

import app.leeward.server.studio.ExportJobs;
import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.time.Clock;
import java.time.Duration;
import javax.sql.DataSource;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.datasource.TransactionAwareDataSourceProxy;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * The workers behind {@link ExportJobs}: threads of their own beside those that read recordings, woken for every file that is asked
 * for, and on every server for frames that wait to be drawn. When a server has not been heard of for a while, what it was making is
 * taken up by another.
 */
@Component
class ExportQueue {
    private static final int THREADS = 3;
    /** How many are called to draw; each goes on until nothing is left. */
    private static final int HANDS = 4;

    private static final Duration AGAIN = Duration.ofSeconds(3);

    private final OneTimeTask<Void> make;
    private final OneTimeTask<Void> draw;
    private final Scheduler scheduler;
    private final Clock clock;

    ExportQueue(ExportJobs jobs, DataSource database, Clock clock) {
        this.clock = clock;
        make = Tasks.oneTime("make-file")
                .onFailure(new FailureHandler.OnFailureRetryLater<>(AGAIN))
                .execute((instance, context) -> jobs.work(instance.getId()));
        draw = Tasks.oneTime("draw-frames")
                .onFailure(new FailureHandler.OnFailureRetryLater<>(AGAIN))
                .execute((instance, context) -> jobs.draw());
        scheduler = Scheduler.create(new TransactionAwareDataSourceProxy(database), make, draw)
                .tableName("export_tasks")
                .threads(THREADS)
                .pollingInterval(Duration.ofSeconds(1))
                .heartbeatInterval(Duration.ofSeconds(5))
                .missedHeartbeatsLimit(4)
                .shutdownMaxWait(Duration.ofSeconds(3))
                .build();
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        scheduler.start();
    }

    @EventListener(ContextClosedEvent.class)
    void stop() {
        scheduler.stop();
    }

    @EventListener
    void asked(ExportJobs.Asked asked) {
        scheduler.scheduleIfNotExists(make.instance(asked.export().toString()), clock.instant());
    }

    @EventListener
    void laid(ExportJobs.FramesLaid laid) {
        for (int i = 0; i < HANDS; i++) {
            scheduler.scheduleIfNotExists(draw.instance(laid.export() + "/" + i), clock.instant());
        }
    }

    @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
    void now(ExportJobs.Asked asked) {
        scheduler.triggerCheckForDueExecutions();
    }

    @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
    void now(ExportJobs.FramesLaid laid) {
        scheduler.triggerCheckForDueExecutions();
    }
}
