package app.leeward.server.store;

import jakarta.persistence.EntityManager;
import jakarta.persistence.PersistenceContext;
import java.sql.PreparedStatement;
import java.util.Map;
import java.util.Optional;
import org.hibernate.Session;
import org.springframework.stereotype.Repository;

/** Texts by their hash: what never changes once it is kept, and lies once whatever revisions it is in. */
@Repository
public class ContentTexts {
    /** What has a table of its own. */
    public enum Content {
        ARTWORK("artwork", "shapes"),
        KEY_TRACK("key_track", "keys");

        private final String insert;
        private final String select;

        Content(String table, String column) {
            insert = String.format("insert into %s (hash, %s) values (?, ?) on conflict do nothing", table, column);
            select = String.format("select %s from %s where hash = :hash", column, table);
        }
    }

    @PersistenceContext
    private EntityManager entities;

    /**
     * Keeps texts unless they are there already; two uploads of the same file at once do no harm. A layered file has a
     * thousand drawings and more: they go to the database together, not one question each.
     *
     * @param texts by hash
     */
    public void keepAll(Content content, Map<String, String> texts) {
        entities.unwrap(Session.class).doWork(connection -> {
            try (PreparedStatement insert = connection.prepareStatement(content.insert)) {
                for (Map.Entry<String, String> one : texts.entrySet()) {
                    insert.setString(1, one.getKey());
                    insert.setString(2, one.getValue());
                    insert.addBatch();
                }
                insert.executeBatch();
            }
        });
    }

    public Optional<String> text(Content content, String hash) {
        return entities
                .unwrap(Session.class)
                .createNativeQuery(content.select, String.class)
                .setParameter("hash", hash)
                .getResultList()
                .stream()
                .findFirst();
    }

    /** Sends whatever the transaction at hand has changed to the database at once. */
    public void flush() {
        entities.flush();
    }
}
