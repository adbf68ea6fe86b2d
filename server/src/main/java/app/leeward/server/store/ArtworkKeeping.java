package app.leeward.server.store;

import java.util.Map;

/** Keeping artwork, many pieces in one go. */
public interface ArtworkKeeping {
    /**
     * Keeps artwork unless it is there already; two uploads of the same file at once do no harm.
     *
     * @param shapes by hash
     */
    void keepAll(Map<String, String> shapes);
}
