package app.leeward.server.store;

import app.leeward.core.art.Artwork;
import app.leeward.core.edit.Edit;
import app.leeward.core.shot.ShotEdit;
import app.leeward.formats.json.ArtShelf;
import app.leeward.formats.json.LeewardJson;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.flywaydb.core.api.MigrationVersion;
import org.flywaydb.core.api.migration.Context;
import org.flywaydb.core.api.migration.JavaMigration;
import org.springframework.stereotype.Component;

/** Writes beside the edits of older databases what each of them touches. An edit nobody can read any more touches everything. */
@Component
class TouchedPartsMigration implements JavaMigration {
    private static final int AT_ONCE = 500;

    /** What an edit touches does not depend on outlines, so none is fetched. */
    private static final ArtShelf NO_ART = new ArtShelf() {
        @Override
        public Optional<String> known(Artwork art) {
            return Optional.empty();
        }

        @Override
        public void put(Artwork art, String hash, String json) {
            throw new IllegalStateException("a migration keeps no artwork");
        }

        @Override
        public Artwork get(String hash) {
            return new Artwork(List.of());
        }
    };

    private final ObjectMapper json = LeewardJson.mapper(NO_ART);

    @Override
    public MigrationVersion getVersion() {
        return MigrationVersion.fromVersion("6");
    }

    @Override
    public String getDescription() {
        return "touched parts";
    }

    @Override
    public Integer getChecksum() {
        return null;
    }

    @Override
    public boolean canExecuteInTransaction() {
        return true;
    }

    @Override
    public void migrate(Context context) throws SQLException {
        Connection connection = context.getConnection();
        try (PreparedStatement some = connection.prepareStatement(
                        "select r.document, r.number, d.kind, r.edit from revision r join document d on d.id = r.document"
                                + " where r.action = 'EDIT' and r.touched is null limit " + AT_ONCE);
                PreparedStatement write = connection.prepareStatement(
                        "update revision set touched = ? where document = ? and number = ?")) {
            int found;
            do {
                found = 0;
                try (ResultSet rows = some.executeQuery()) {
                    while (rows.next()) {
                        Set<String> touched = touched(rows.getString("kind"), rows.getString("edit"));
                        write.setArray(1, connection.createArrayOf("text", touched.toArray()));
                        write.setObject(2, rows.getObject("document"));
                        write.setInt(3, rows.getInt("number"));
                        write.addBatch();
                        found++;
                    }
                }
                write.executeBatch();
            } while (found > 0);
        }
    }

    Set<String> touched(String kind, String edit) {
        try {
            return kind.equals(DocumentKind.CHARACTER.name())
                    ? json.readValue(edit, Edit.class).touches()
                    : json.readValue(edit, ShotEdit.class).touches();
        } catch (JsonProcessingException | RuntimeException e) {
            return Set.of(Edit.EVERYTHING);
        }
    }
}
