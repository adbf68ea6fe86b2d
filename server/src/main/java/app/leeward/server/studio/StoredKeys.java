package app.leeward.server.studio;

import app.leeward.core.shot.DialKey;
import app.leeward.formats.json.KeyStore;
import app.leeward.formats.json.StoredJson;
import app.leeward.server.store.ContentTexts;
import java.util.List;
import org.springframework.stereotype.Component;

/** Long tracks of keys in the database. */
@Component
public class StoredKeys extends ContentShelf<List<DialKey>> implements KeyStore {
    /** Keys kept in memory; each takes about a hundred bytes. */
    private static final int MOST_KEYS = 1_000_000;

    StoredKeys(ContentTexts texts) {
        super(texts, ContentTexts.Content.KEY_TRACK, MOST_KEYS);
    }

    @Override
    public boolean keeps() {
        return true;
    }

    @Override
    int weight(List<DialKey> keys) {
        return 10 + keys.size();
    }

    @Override
    List<DialKey> read(String text) {
        return StoredJson.keys(text);
    }

    /** Keys read back just as they were. */
    @Override
    public void put(List<DialKey> keys, String hash, String json) {
        put(keys, hash, json, keys);
    }
}
