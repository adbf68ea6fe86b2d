package app.leeward.server.config;

import app.leeward.server.studio.LineReadings;
import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.time.Duration;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * The workers behind {@link LineReadings}. The library wakes one for every reading that is asked for, and again when the
 * server it ran on has not been heard of for a while; which reading it takes is the queue's own matter.
 */
@Configuration
class ReadingQueue {
    private static final Duration AGAIN = Duration.ofSeconds(3);

    @Bean
    OneTimeTask<Void> readLine(ObjectProvider<LineReadings> readings) {
        return Tasks.oneTime("read-line")
                .onFailure(new FailureHandler.OnFailureRetryLater<>(AGAIN))
                .execute((instance, context) -> readings.getObject().work(instance.getId()));
    }
}
