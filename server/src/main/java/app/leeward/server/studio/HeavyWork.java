package app.leeward.server.studio;

import java.util.concurrent.ExecutionException;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.ForkJoinWorkerThread;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/**
 * Work that takes seconds is done by threads of its own that give way to all others, on all processors together, so that
 * whoever drags a dial meanwhile does not notice. The start command tells the Java machine to make the system's priorities of
 * Java's; by itself it leaves all threads alike.
 */
@Component
public class HeavyWork {
    private final ForkJoinPool threads = new ForkJoinPool(
            Runtime.getRuntime().availableProcessors(),
            pool -> {
                ForkJoinWorkerThread thread = ForkJoinPool.defaultForkJoinWorkerThreadFactory.newThread(pool);
                thread.setName("heavy-" + thread.getPoolIndex());
                thread.setPriority(Thread.MIN_PRIORITY);
                return thread;
            },
            null,
            false);

    /** Does it while the caller waits; streams that run in parallel in it stay on these threads. */
    public <T> T done(Supplier<T> work) {
        try {
            return threads.submit(work::get).get();
        } catch (ExecutionException e) {
            if (e.getCause() instanceof RuntimeException r) {
                throw r;
            }
            if (e.getCause() instanceof Error error) {
                throw error;
            }
            throw new IllegalStateException(e.getCause());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw Problem.busy("ending", "The server is ending.");
        }
    }

    /** Makes the thread at hand, which does nothing else, one that gives way, though less than those here. */
    static void giveWay() {
        Thread.currentThread().setPriority(Thread.MIN_PRIORITY + 1);
    }
}
