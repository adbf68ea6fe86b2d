package app.leeward.core.art;

import java.util.Objects;

/** One piece of art a part can show. The id is unique within its set. */
public record Drawing(String id, String name, Artwork art) {
    public Drawing {
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(art, "art");
        if (id.isBlank()) {
            throw new IllegalArgumentException("a drawing needs an id");
        }
    }
}
