package app.leeward.server.studio;

import app.leeward.core.art.ImageShelf;
import app.leeward.server.store.ImageRow;
import app.leeward.server.store.Images;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Pictures made of pixels in the database, with what was used lately kept in memory: they never change. */
@Component
public class StoredImages implements ImageShelf {
    private static final int MOST_BYTES = 96 * 1024 * 1024;

    private final Images images;
    private final Cache<String, byte[]> lately = Caffeine.newBuilder()
            .maximumWeight(MOST_BYTES)
            .weigher((String hash, byte[] png) -> png.length)
            .build();

    StoredImages(Images images) {
        this.images = images;
    }

    @Transactional
    public void keep(Map<String, byte[]> pngs) {
        pngs.forEach(images::keep);
    }

    public Optional<byte[]> find(String hash) {
        return Optional.ofNullable(
                lately.get(hash, h -> images.findById(h).map(ImageRow::png).orElse(null)));
    }

    @Override
    public byte[] png(String hash) {
        return find(hash).orElseThrow(() -> new IllegalStateException("picture " + hash + " is missing"));
    }
}
