package app.leeward.formats.json;

import app.leeward.core.art.Artwork;
import java.util.Optional;

/** Where artwork is kept by its content. */
public interface ArtworkStore {
    /**
     * @param json the artwork as {@link LeewardJson#artwork} writes it
     */
    void put(Artwork art, String hash, String json);

    /** The hash of artwork that certainly lies here already, when that is known without working it out. */
    default Optional<String> known(Artwork art) {
        return Optional.empty();
    }

    /** @throws IllegalStateException when nothing with this hash was ever put here */
    Artwork get(String hash);
}
