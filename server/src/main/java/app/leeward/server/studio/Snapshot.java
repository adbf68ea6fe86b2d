package app.leeward.server.studio;

import java.util.UUID;

/**
 * A document as it stands.
 *
 * @param revision number of the newest revision; writes carry it back
 * @param state what the document is now
 */
public record Snapshot<T>(UUID id, UUID belongsTo, int revision, T state, boolean canUndo, boolean canRedo) {}
