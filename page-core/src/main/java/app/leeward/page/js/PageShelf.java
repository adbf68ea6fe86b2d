package app.leeward.page.js;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Shape;
import app.leeward.page.json.Codec;
import app.leeward.page.json.JsonValue;
import app.leeward.page.json.Shelf;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;

/** Keeps what one revision is made of, for itself and for the next one. */
final class PageShelf implements Shelf {
    private final Map<String, Artwork> art = new HashMap<>();
    private final Map<Artwork, String> hashes = new IdentityHashMap<>();
    /** By the text they were read from. */
    private final Map<String, Object> values = new HashMap<>();

    private final Map<String, Object> earlier;
    private final Map<String, Artwork> earlierArt;

    PageShelf(PageShelf before) {
        earlier = before == null ? Map.of() : before.values;
        earlierArt = before == null ? Map.of() : before.art;
    }

    void read(Codec codec, JsValue artwork) {
        for (String hash : artwork.names()) {
            Artwork known = earlierArt.get(hash);
            Artwork now = known == null ? read(codec, artwork.get(hash)) : known;
            art.put(hash, now);
            hashes.put(now, hash);
        }
    }

    private static Artwork read(Codec codec, JsonValue list) {
        List<Shape> shapes = new ArrayList<>();
        for (int i = 0; i < list.size(); i++) {
            shapes.add(codec.readShape(list.at(i)));
        }
        return new Artwork(shapes);
    }

    @Override
    public Artwork get(String hash) {
        Artwork found = art.get(hash);
        if (found == null) {
            throw new IllegalArgumentException("the artwork " + hash + " was not brought along");
        }
        return found;
    }

    @Override
    public String hashOf(Artwork drawn) {
        return hashes.computeIfAbsent(drawn, d -> "draft-" + hashes.size());
    }

    @Override
    @SuppressWarnings("unchecked") // the text says what it is: a part and a dial share no property list
    public <T> T kept(JsonValue in, Supplier<T> read) {
        String text = ((JsValue) in).json();
        Object known = earlier.get(text);
        Object now = known == null ? read.get() : known;
        values.put(text, now);
        return (T) now;
    }
}
