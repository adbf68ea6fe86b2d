package app.leeward.page.json;

import app.leeward.core.art.Artwork;
import java.util.function.Supplier;

/** What is read once and found again: artwork, which JSON names by its hash alone, and what an edit leaves as it was. */
public interface Shelf {
    /** @throws IllegalArgumentException for a hash that nobody brought the artwork of */
    Artwork get(String hash);

    /** What {@code art} is named by: its hash where it came with one, else a name of its own. */
    String hashOf(Artwork art);

    /** The value that {@code in} was read as before, or what {@code read} makes of it now. */
    <T> T kept(JsonValue in, Supplier<T> read);
}
