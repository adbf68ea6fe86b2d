package app.leeward.server.studio;

import app.leeward.server.store.ContentTexts;
import app.leeward.server.store.ContentTexts.Content;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Values in the database by the hash of their text, with what was used lately kept in memory: they never change.
 *
 * @param <T> told apart by identity, because hashing one again for each answer would cost more than the answer
 */
abstract class ContentShelf<T> {
    private final ContentTexts texts;
    private final Content content;
    private final Cache<String, T> byHash;
    private final Cache<T, String> hashes = Caffeine.newBuilder().weakKeys().build();

    /** @param most the weight of what is kept in memory, as {@link #weight} weighs it */
    ContentShelf(ContentTexts texts, Content content, long most) {
        this.texts = texts;
        this.content = content;
        byHash = Caffeine.newBuilder()
                .maximumWeight(most)
                .weigher((String hash, T value) -> weight(value))
                .build();
    }

    abstract int weight(T value);

    abstract T read(String text);

    /** What one transaction puts here: it goes to the database in one go, and counts as kept once that is certain. */
    private final class Putting implements TransactionSynchronization {
        private final Map<String, String> texts = new LinkedHashMap<>();
        private final Map<T, String> known = new IdentityHashMap<>();
        private final Map<String, T> readBack = new HashMap<>();

        @Override
        public void beforeCommit(boolean readOnly) {
            ContentShelf.this.texts.keepAll(content, texts);
        }

        @Override
        public void afterCommit() {
            readBack.forEach((hash, value) -> {
                byHash.put(hash, value);
                hashes.put(value, hash);
            });
        }

        @Override
        public void afterCompletion(int status) {
            TransactionSynchronizationManager.unbindResource(ContentShelf.this);
        }
    }

    @SuppressWarnings("unchecked") // nobody else binds something to this
    private Optional<Putting> putting() {
        return Optional.ofNullable((Putting) TransactionSynchronizationManager.getResource(this));
    }

    /** Whether the transaction at hand has put something new here. */
    final boolean puts() {
        return putting().isPresent();
    }

    /** Sends what the transaction at hand has put here to the database at once, for one that will be taken back. */
    final void practise() {
        putting().ifPresent(p -> texts.keepAll(content, p.texts));
        texts.flush();
    }

    /** @param readBack the value as its text reads back; null when nobody has read it back yet */
    final void put(T value, String hash, String text, T readBack) {
        Putting putting = putting().orElseGet(() -> {
            Putting begun = new Putting();
            TransactionSynchronizationManager.bindResource(this, begun);
            TransactionSynchronizationManager.registerSynchronization(begun);
            return begun;
        });
        putting.known.put(value, hash);
        if (byHash.getIfPresent(hash) == null) {
            putting.texts.put(hash, text);
            if (readBack != null) {
                putting.readBack.put(hash, readBack);
            }
        }
    }

    /** What came out of the database is in it; what was put there by a transaction that was taken back is not. */
    public final Optional<String> known(T value) {
        String here = putting().map(p -> p.known.get(value)).orElse(null);
        if (here != null) {
            return Optional.of(here);
        }
        String hash = hashes.getIfPresent(value);
        return hash != null && byHash.getIfPresent(hash) != null ? Optional.of(hash) : Optional.empty();
    }

    public final T get(String hash) {
        Putting putting = putting().orElse(null);
        if (putting != null && putting.texts.containsKey(hash)) {
            return putting.readBack.computeIfAbsent(hash, h -> read(putting.texts.get(h)));
        }
        T value = byHash.get(hash, h -> read(text(h)));
        hashes.put(value, hash);
        return value;
    }

    public final String text(String hash) {
        return texts.text(content, hash)
                .orElseThrow(() -> new IllegalStateException(content + " " + hash + " is missing"));
    }

    /** The hash of a value that came from here, or of any other by working it out. */
    final String hashOf(T value, Function<T, String> work) {
        return hashes.get(value, work);
    }
}
