package app.leeward.core.art;

/** Where pictures made of pixels are kept, by the SHA-256 of their PNG. */
@FunctionalInterface
public interface ImageShelf {
    /** @throws IllegalStateException when nothing with this hash was ever kept */
    byte[] png(String hash);

    /** For characters without such pictures. */
    ImageShelf NONE = hash -> {
        throw new IllegalStateException("there is no picture " + hash);
    };
}
