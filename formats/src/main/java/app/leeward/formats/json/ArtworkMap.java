package app.leeward.formats.json;

import app.leeward.core.art.Artwork;
import java.util.Collections;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;

/** Artwork kept in memory, by its hash. */
public final class ArtworkMap implements ArtworkStore {
    private final Map<String, String> texts = new TreeMap<>();
    private final Map<String, Artwork> read = new HashMap<>();
    private final Map<Artwork, String> hashes = new IdentityHashMap<>();

    @Override
    public void put(Artwork art, String hash, String text) {
        texts.put(hash, text);
        hashes.put(art, hash);
    }

    /** Artwork as it was written before; it is read when somebody asks for it. */
    public void put(String hash, String text) {
        texts.put(hash, text);
    }

    @Override
    public Optional<String> known(Artwork art) {
        return Optional.ofNullable(hashes.get(art));
    }

    @Override
    public Artwork get(String hash) {
        String text = texts.get(hash);
        if (text == null) {
            throw new IllegalStateException("artwork " + hash + " is missing");
        }
        Artwork art = read.computeIfAbsent(hash, h -> LeewardJson.artwork(text));
        hashes.put(art, hash);
        return art;
    }

    /** Hashes of the pictures made of pixels that any of it refers to. */
    public SortedSet<String> images() {
        SortedSet<String> all = new TreeSet<>();
        texts.keySet().forEach(hash -> all.addAll(get(hash).images()));
        return all;
    }

    /** Hash to what is written, in the order of the hashes. */
    public Map<String, String> texts() {
        return Collections.unmodifiableMap(texts);
    }
}
