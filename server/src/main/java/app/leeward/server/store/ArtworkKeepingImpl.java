package app.leeward.server.store;

import jakarta.persistence.EntityManager;
import java.sql.PreparedStatement;
import java.util.Map;
import org.hibernate.Session;

/** A layered file has a thousand drawings and more: they go to the database together, not one question each. */
class ArtworkKeepingImpl implements ArtworkKeeping {
    private final EntityManager entities;

    ArtworkKeepingImpl(EntityManager entities) {
        this.entities = entities;
    }

    @Override
    public void keepAll(Map<String, String> shapes) {
        entities.unwrap(Session.class).doWork(connection -> {
            try (PreparedStatement insert = connection.prepareStatement(
                    "insert into artwork (hash, shapes) values (?, ?) on conflict do nothing")) {
                for (Map.Entry<String, String> one : shapes.entrySet()) {
                    insert.setString(1, one.getKey());
                    insert.setString(2, one.getValue());
                    insert.addBatch();
                }
                insert.executeBatch();
            }
        });
    }
}
