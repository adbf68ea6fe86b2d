package app.leeward.server.studio;

import app.leeward.core.art.Artwork;
import app.leeward.formats.json.ArtShelf;
import app.leeward.formats.json.LeewardJson;
import app.leeward.server.store.ArtworkRow;
import app.leeward.server.store.Artworks;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Artwork in the database, with what was used lately kept in memory: it never changes. */
@Component
public class StoredArt implements ArtShelf {
    private final Artworks artworks;
    private final Cache<String, Artwork> byHash =
            Caffeine.newBuilder().maximumSize(5_000).build();
    /** By identity: hashing artwork again for each answer would cost more than the answer. */
    private final Cache<Artwork, String> hashes =
            Caffeine.newBuilder().weakKeys().build();

    StoredArt(Artworks artworks) {
        this.artworks = artworks;
    }

    @Override
    public void put(String hash, String json) {
        if (byHash.getIfPresent(hash) == null) {
            artworks.keep(hash, json);
        }
    }

    /** What came out of the database is in it; what was only put there may have been taken back with its transaction. */
    @Override
    public Optional<String> known(Artwork art) {
        String hash = hashes.getIfPresent(art);
        return hash != null && byHash.getIfPresent(hash) == art ? Optional.of(hash) : Optional.empty();
    }

    @Override
    public Artwork get(String hash) {
        Artwork art = byHash.get(hash, h -> artworks.findById(h)
                .map(ArtworkRow::shapes)
                .map(LeewardJson::artwork)
                .orElseThrow(() -> new IllegalStateException("artwork " + h + " is missing")));
        hashes.put(art, hash);
        return art;
    }

    /** The hash of artwork that came from here, or of any other by working it out. */
    public String hashOf(Artwork art) {
        return hashes.get(art, a -> LeewardJson.sha256(LeewardJson.artwork(a).getBytes(StandardCharsets.UTF_8)));
    }
}
