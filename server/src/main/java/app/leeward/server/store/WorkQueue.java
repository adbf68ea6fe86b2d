package app.leeward.server.store;

import java.util.Optional;
import java.util.UUID;

/**
 * Long work that is kept in the database and done by whichever server is free. Each of these is one statement that asks for the
 * state it begins from; all but {@link #holdTheQueue} and {@link #take} want a transaction of their own.
 */
public interface WorkQueue {
    /** Held until the transaction ends, so that only one worker at a time chooses what is done next. */
    int holdTheQueue();

    /**
     * Takes what is to be done next. The client with the least under way comes first, then the one that was served the longest
     * ago. Something long is taken only while nothing else long is being done, so that room is always left for what is short.
     *
     * @param by who takes it
     * @param longer from how much work on it is long; in what is counted, the queue says
     */
    Optional<UUID> take(String by, double longer);

    /** What a worker that broke off had taken is taken by the next one. */
    int putBack(String by);

    /** @return 0 when it was cancelled in the meantime */
    int reached(UUID id, String by, double share);

    /** @return 0 when it was cancelled in the meantime, and nothing may be written */
    int end(UUID id, String by, String state, String problem);
}
