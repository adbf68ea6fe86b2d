package app.leeward.server.studio;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/**
 * A document as it stands.
 *
 * @param revision number of the newest revision; writes carry it back
 * @param state what the document is now
 * @param undo the edit that going back would take back; empty when there is none
 * @param redo the edit that going on would make again; empty when there is none
 */
public record Snapshot<T>(UUID id, UUID belongsTo, int revision, T state, Optional<Made> undo, Optional<Made> redo) {
    /**
     * An edit that was made.
     *
     * @param message what it did, in words
     * @param at when it was made first
     */
    public record Made(String message, Instant at) {}
}
