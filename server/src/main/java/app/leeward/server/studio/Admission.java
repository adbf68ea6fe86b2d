package app.leeward.server.studio;

import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;

/**
 * Memory for heavy work is given out before the work begins, by what it is estimated to take, so that many at once wait for
 * each other instead of running out of it together.
 */
@Component
public class Admission {
    private static final int GRAIN = 1 << 20;
    /** Share of the heap that heavy work gets; the rest is for caches and everything light. */
    private static final double SHARE = 0.5;

    private static final int PATIENCE_SECONDS = 8;
    /** Waiting takes a thread each. */
    private static final int MOST_WAITING = 24;

    private final int all;
    private final Semaphore free;

    Admission() {
        this(Runtime.getRuntime().maxMemory());
    }

    Admission(long heap) {
        all = (int) Math.max(1, heap * SHARE / GRAIN);
        free = new Semaphore(all, true);
    }

    /** Memory that was given out. */
    public interface Held extends AutoCloseable {
        @Override
        void close();
    }

    /**
     * Waits a while for memory.
     *
     * @param bytes estimated; more than there is altogether is taken for all there is
     * @throws Problem {@code memory-busy} (503) when there is none in time
     */
    public Held take(long bytes) {
        int grains = (int) Math.min(all, 1 + bytes / GRAIN);
        try {
            boolean got = free.tryAcquire(grains)
                    || free.getQueueLength() < MOST_WAITING
                            && free.tryAcquire(grains, PATIENCE_SECONDS, TimeUnit.SECONDS);
            if (!got) {
                throw Problem.busy(
                        "memory-busy",
                        "Leeward is busy with other large files; try again in a moment. Nothing was changed.");
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw Problem.busy("memory-busy", "The server is ending.");
        }
        return () -> free.release(grains);
    }
}
