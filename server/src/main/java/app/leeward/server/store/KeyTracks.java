package app.leeward.server.store;

import jakarta.persistence.EntityManager;
import jakarta.persistence.PersistenceContext;
import java.sql.PreparedStatement;
import java.util.Map;
import java.util.Optional;
import org.hibernate.Session;
import org.springframework.stereotype.Repository;

/** Long tracks of keys by the hash of their text. */
@Repository
public class KeyTracks {
    @PersistenceContext
    private EntityManager entities;

    /**
     * Keeps tracks unless they are there already.
     *
     * @param texts by hash
     */
    public void keepAll(Map<String, String> texts) {
        entities.unwrap(Session.class).doWork(connection -> {
            try (PreparedStatement insert = connection.prepareStatement(
                    "insert into key_track (hash, keys) values (?, ?) on conflict do nothing")) {
                for (Map.Entry<String, String> one : texts.entrySet()) {
                    insert.setString(1, one.getKey());
                    insert.setString(2, one.getValue());
                    insert.addBatch();
                }
                insert.executeBatch();
            }
        });
    }

    public Optional<String> keys(String hash) {
        return entities
                .unwrap(Session.class)
                .createNativeQuery("select keys from key_track where hash = :hash", String.class)
                .setParameter("hash", hash)
                .getResultList()
                .stream()
                .findFirst();
    }
}
