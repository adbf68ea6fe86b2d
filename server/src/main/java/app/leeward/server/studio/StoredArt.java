package app.leeward.server.studio;

import app.leeward.core.art.Artwork;
import app.leeward.formats.art.Sha256;
import app.leeward.formats.json.ArtworkStore;
import app.leeward.formats.json.LeewardJson;
import app.leeward.server.store.ContentTexts;
import java.util.Collection;
import java.util.List;
import org.springframework.stereotype.Component;

/** Artwork in the database. */
@Component
public class StoredArt extends ContentShelf<Artwork> implements ArtworkStore {
    private static final int WORTH_SHARING = 50;
    /** Segments of outlines kept in memory; each takes about a hundred bytes. */
    private static final int MOST_SEGMENTS = 3_000_000;

    StoredArt(ContentTexts texts) {
        super(texts, ContentTexts.Content.ARTWORK, MOST_SEGMENTS);
    }

    @Override
    int weight(Artwork art) {
        return 10
                + art.shapes().stream()
                        .mapToInt(s -> s.path().segments().size())
                        .sum();
    }

    @Override
    Artwork read(String text) {
        return LeewardJson.artwork(text);
    }

    @Override
    public void put(Artwork art, String hash, String json) {
        put(art, hash, json, null);
    }

    /** Artwork written out, and as it reads back to the digits that are kept. */
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
            fresh.parallelStream().map(Written::of).toList().forEach(w -> put(w.art, w.hash, w.json, w.readBack));
        }
    }

    /** The hash of artwork that came from here, or of any other by working it out. */
    public String hashOf(Artwork art) {
        return hashOf(art, a -> Sha256.of(LeewardJson.artwork(a)));
    }
}
