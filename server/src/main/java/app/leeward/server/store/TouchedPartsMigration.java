package app.leeward.server.store;

import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Touch;
import app.leeward.core.shot.ShotEdit;
import app.leeward.formats.json.StoredJson;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Set;
import org.flywaydb.core.api.MigrationVersion;
import org.flywaydb.core.api.migration.Context;
import org.flywaydb.core.api.migration.JavaMigration;
import org.springframework.stereotype.Component;

/** Writes beside the edits of older databases what each of them touches. An edit nobody can read any more touches everything. */
@Component
class TouchedPartsMigration implements JavaMigration {
    private static final int AT_ONCE = 500;

    /** The form of everything that was written before there were numbers. */
    private static final int FIRST_SCHEMA = 1;

    private final StoredJson json = new StoredJson(StoredJson.withoutArt(), unknown -> {});

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
                        Set<Touch> touched = touched(rows.getString("kind"), rows.getString("edit"));
                        write.setArray(
                                1,
                                connection.createArrayOf(
                                        "text",
                                        touched.stream().map(Touch::word).toArray()));
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

    Set<Touch> touched(String kind, String edit) {
        try {
            return kind.equals(DocumentKind.CHARACTER.name())
                    ? json.read(FIRST_SCHEMA, edit, Edit.class).touches()
                    : json.read(FIRST_SCHEMA, edit, ShotEdit.class).touches();
        } catch (RuntimeException e) {
            return Set.of(Touch.EVERYTHING);
        }
    }
}
