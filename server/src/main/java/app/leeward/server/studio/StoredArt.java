package app.leeward.server.studio;

import app.leeward.core.art.Artwork;
import app.leeward.formats.art.Sha256;
import app.leeward.formats.json.ArtworkStore;
import app.leeward.formats.json.LeewardJson;
import app.leeward.server.store.ArtworkRow;
import app.leeward.server.store.Artworks;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Collection;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Artwork in the database, with what was used lately kept in memory: it never changes. */
@Component
public class StoredArt implements ArtworkStore {
    private static final int WORTH_SHARING = 50;
    /** Segments of outlines kept in memory; each takes about a hundred bytes. */
    private static final int MOST_SEGMENTS = 3_000_000;

    private static int segments(Artwork art) {
        return 10
                + art.shapes().stream()
                        .mapToInt(s -> s.path().segments().size())
                        .sum();
    }

    private final Artworks artworks;
    private final Cache<String, Artwork> byHash = Caffeine.newBuilder()
            .maximumWeight(MOST_SEGMENTS)
            .weigher((String hash, Artwork art) -> segments(art))
            .build();
    /** By identity: hashing artwork again for each answer would cost more than the answer. */
    private final Cache<Artwork, String> hashes =
            Caffeine.newBuilder().weakKeys().build();

    StoredArt(Artworks artworks) {
        this.artworks = artworks;
    }

    /** What one transaction puts here: it goes to the database in one go, and counts as kept once that is certain. */
    private final class Putting implements TransactionSynchronization {
        private final Map<String, String> shapes = new LinkedHashMap<>();
        private final Map<Artwork, String> known = new IdentityHashMap<>();
        /** As it reads back, to the digits that are kept. */
        private final Map<String, Artwork> readBack = new HashMap<>();

        @Override
        public void beforeCommit(boolean readOnly) {
            artworks.keepAll(shapes);
        }

        @Override
        public void afterCommit() {
            readBack.forEach((hash, art) -> {
                byHash.put(hash, art);
                hashes.put(art, hash);
            });
        }

        @Override
        public void afterCompletion(int status) {
            TransactionSynchronizationManager.unbindResource(StoredArt.this);
        }
    }

    private Optional<Putting> putting() {
        return Optional.ofNullable((Putting) TransactionSynchronizationManager.getResource(this));
    }

    /** Whether the transaction at hand has put new artwork here. */
    boolean puts() {
        return putting().isPresent();
    }

    @Override
    public void put(Artwork art, String hash, String json) {
        put(new Written(art, hash, json, null));
    }

    /** Artwork written out, and as it reads back to the digits that are kept; null when nobody has read it back yet. */
    private record Written(Artwork art, String hash, String json, Artwork readBack) {
        static Written of(Artwork art) {
            String json = LeewardJson.artwork(art);
            return new Written(art, Sha256.of(json), json, LeewardJson.readBack(art, json));
        }
    }

    /** Puts much new artwork at once: writing outlines and reading them back is shared among the processors. */
    public void putAll(Collection<Artwork> arts) {
        List<Artwork> fresh = arts.stream().filter(a -> known(a).isEmpty()).toList();
        if (fresh.size() > WORTH_SHARING) {
            fresh.parallelStream().map(Written::of).toList().forEach(this::put);
        }
    }

    /** Sends what the transaction at hand has put here to the database at once, for one that will be taken back. */
    void practise() {
        putting().ifPresent(p -> artworks.keepAll(p.shapes));
        artworks.flush();
    }

    private void put(Written w) {
        Putting putting = putting().orElseGet(() -> {
            Putting begun = new Putting();
            TransactionSynchronizationManager.bindResource(this, begun);
            TransactionSynchronizationManager.registerSynchronization(begun);
            return begun;
        });
        putting.known.put(w.art, w.hash);
        if (byHash.getIfPresent(w.hash) == null) {
            putting.shapes.put(w.hash, w.json);
            if (w.readBack != null) {
                putting.readBack.put(w.hash, w.readBack);
            }
        }
    }

    /** What came out of the database is in it; what was put there by a transaction that was taken back is not. */
    @Override
    public Optional<String> known(Artwork art) {
        String here = putting().map(p -> p.known.get(art)).orElse(null);
        if (here != null) {
            return Optional.of(here);
        }
        String hash = hashes.getIfPresent(art);
        return hash != null && byHash.getIfPresent(hash) != null ? Optional.of(hash) : Optional.empty();
    }

    @Override
    public Artwork get(String hash) {
        Putting putting = putting().orElse(null);
        if (putting != null && putting.shapes.containsKey(hash)) {
            return putting.readBack.computeIfAbsent(hash, h -> LeewardJson.artwork(putting.shapes.get(h)));
        }
        Artwork art = byHash.get(hash, h -> artworks.findById(h)
                .map(ArtworkRow::shapes)
                .map(LeewardJson::artwork)
                .orElseThrow(() -> new IllegalStateException("artwork " + h + " is missing")));
        hashes.put(art, hash);
        return art;
    }

    /** The hash of artwork that came from here, or of any other by working it out. */
    public String hashOf(Artwork art) {
        return hashes.get(art, a -> Sha256.of(LeewardJson.artwork(a)));
    }
}
