package app.leeward.formats.json;

import app.leeward.core.art.Artwork;

/** Where artwork is kept by its content. */
public interface ArtShelf {
    /**
     * @param json the artwork as {@link LeewardJson#artwork} writes it
     */
    void put(String hash, String json);

    /** @throws IllegalStateException when nothing with this hash was ever put here */
    Artwork get(String hash);
}
