package app.leeward.server.studio;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
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

    /** How much one client may have under way or wait for at a time, and all at one address. */
    private static final int MOST_OF_ONE = 3;

    private static final int MOST_OF_ADDRESS = 12;

    private final int all;
    private final Semaphore free;
    private final Map<String, Integer> underWay = new HashMap<>();

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
     * Counts a large file of one client, so that whoever sends many at once waits for their own and not others for them.
     *
     * @throws Problem {@code files-many} (503) when the client has too many under way
     */
    public Held file(LineReadings.Client client) {
        synchronized (underWay) {
            if (underWay.getOrDefault(client.key(), 0) >= MOST_OF_ONE
                    || underWay.getOrDefault(client.address(), 0) >= MOST_OF_ADDRESS) {
                throw Problem.busy(
                        "files-many", "Your last files are still being read; send the next when they are done.");
            }
            underWay.merge(client.key(), 1, Integer::sum);
            underWay.merge(client.address(), 1, Integer::sum);
        }
        return () -> {
            synchronized (underWay) {
                for (String key : List.of(client.key(), client.address())) {
                    underWay.computeIfPresent(key, (k, n) -> n == 1 ? null : n - 1);
                }
            }
        };
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
