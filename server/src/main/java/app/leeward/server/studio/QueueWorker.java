package app.leeward.server.studio;

import app.leeward.core.refusal.Refusal;
import app.leeward.server.store.WorkQueue;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.function.DoubleConsumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.transaction.support.TransactionTemplate;

/** Works a queue off: takes what is next, does it, and writes what becomes of it in one transaction. */
final class QueueWorker {
    private static final Logger LOG = LoggerFactory.getLogger(QueueWorker.class);
    private static final long TELL_EVERY_NS = 250_000_000;
    private static final ObjectMapper JSON = new ObjectMapper();

    private final WorkQueue queue;
    private final TransactionTemplate transaction;
    private final double longer;

    /** @param longer from how much work on something is long */
    QueueWorker(WorkQueue queue, TransactionTemplate transaction, double longer) {
        this.queue = queue;
        this.transaction = transaction;
        this.longer = longer;
    }

    /** What is done about one of the queue. */
    interface Task {
        /**
         * Does the long part.
         *
         * @param reached told how much is done, 0 to 1; throws {@link CancellationException} when nobody wants it any more
         * @return what is written together with its end
         */
        Runnable made(UUID id, DoubleConsumer reached);
    }

    /**
     * Until nothing can be taken.
     *
     * @param by the execution this is done by, so that what it had taken when it broke off is found again
     */
    void work(String by, Task task) {
        HeavyWork.giveWay();
        transaction.execute(t -> queue.putBack(by));
        for (Optional<UUID> next = take(by); next.isPresent(); next = take(by)) {
            one(next.get(), by, task);
        }
    }

    private Optional<UUID> take(String by) {
        return transaction.execute(t -> {
            queue.holdTheQueue();
            return queue.take(by, longer);
        });
    }

    private void one(UUID id, String by, Task task) {
        try {
            Runnable write = task.made(id, reached(id, by));
            transaction.executeWithoutResult(t -> {
                if (queue.end(id, by, "DONE", null) == 0) {
                    throw new CancellationException();
                }
                write.run();
            });
        } catch (CancellationException e) {
            requireStillHere(e);
        } catch (Problem e) {
            requireStillHere(e);
            refused(id, by, e.code(), e.place(), e.getMessage());
        } catch (Refusal e) {
            refused(id, by, e.reason().word(), "", e.getMessage());
        } catch (LinkageError | OutOfMemoryError e) {
            // tried again, it would end the same way, for ever
            LOG.error("What was asked for cannot be done on this machine", e);
            refused(
                    id,
                    by,
                    "fault",
                    "",
                    "This machine could not do it; nothing was changed. The server's log says more.");
        } catch (RuntimeException e) {
            requireStillHere(e);
            Optional<DatabaseAway> away = DatabaseAway.behind(e);
            if (away.filter(a -> a == DatabaseAway.FULL).isPresent()) {
                refused(id, by, away.get().code(), "", away.get().message());
            } else if (away.isPresent()) {
                // what was asked for stays asked for
                throw e;
            } else {
                LOG.error("What was asked for could not be done", e);
                refused(
                        id,
                        by,
                        "fault",
                        "",
                        "Leeward made a mistake; nothing was changed. The server's log says more.");
            }
        }
    }

    /** When the server is ending, another one, or this one when it is back, begins again. */
    private static void requireStillHere(RuntimeException e) {
        if (Thread.currentThread().isInterrupted()) {
            throw e;
        }
    }

    private DoubleConsumer reached(UUID id, String by) {
        long[] told = {System.nanoTime()};
        return share -> {
            if (Thread.currentThread().isInterrupted()) {
                throw new CancellationException();
            }
            if (System.nanoTime() - told[0] > TELL_EVERY_NS) {
                told[0] = System.nanoTime();
                Integer still = transaction.execute(t -> queue.reached(id, by, share));
                if (still != null && still == 0) {
                    throw new CancellationException();
                }
            }
        };
    }

    private void refused(UUID id, String by, String code, String place, String message) {
        Map<String, String> problem = new LinkedHashMap<>();
        problem.put("code", code);
        problem.put("place", place);
        problem.put("detail", message);
        transaction.execute(t -> queue.end(id, by, "REFUSED", JsonText.write(JSON, problem)));
    }

    /** Why something was refused: code, place and sentence, by these words; empty when it was not. */
    @SuppressWarnings("unchecked") // written by refused(), above
    static Optional<Map<String, String>> problem(String stored) {
        return Optional.ofNullable(stored).map(text -> JsonText.read(JSON, text, Map.class));
    }
}
