package app.leeward.server.store;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.art.Artwork;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.Outcome;
import app.leeward.core.rig.Character;
import app.leeward.core.shot.Shot;
import app.leeward.formats.json.ArtworkStore;
import app.leeward.formats.json.LeewardJson;
import app.leeward.formats.json.StoredJson;
import app.leeward.server.Client;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.zip.GZIPInputStream;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.configuration.FluentConfiguration;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A database as the version before left it, brought to where this one wants it. */
class UpgradeTest {
    private static final String DATABASE = "leeward_upgrade";
    /** The demo's first character, as every installation had it. */
    private static final UUID MAREN = UUID.nameUUIDFromBytes("leeward demo maren".getBytes());

    private static final UUID LINE = UUID.nameUUIDFromBytes("leeward demo Mind the ropes".getBytes());
    private static final UUID OWN = UUID.randomUUID();

    private Connection connection;
    private String url;

    private static Connection connect(String url) throws SQLException {
        return DriverManager.getConnection(url, System.getenv("LEEWARD_DB_USER"), System.getenv("LEEWARD_DB_PASSWORD"));
    }

    private static void admin(String sql) throws SQLException {
        try (Connection c = connect(System.getenv("LEEWARD_DB_URL"))) {
            c.createStatement().execute(sql);
        }
    }

    /**
     * Ends our own connections and then drops: dropping by force would also end a cleaning process of the database's own,
     * which only its superuser may; without force the database ends that one itself.
     */
    private static void drop() throws SQLException {
        admin("select pg_terminate_backend(pid) from pg_stat_activity where usename = current_user and datname = '"
                + DATABASE + "'");
        admin("drop database if exists " + DATABASE);
    }

    @BeforeEach
    void asItWas() throws SQLException {
        drop();
        admin("create database " + DATABASE);
        url = System.getenv("LEEWARD_DB_URL").replaceFirst("/leeward\\?", "/" + DATABASE + "?");
        flyway().target("4").load().migrate();
        connection = connect(url);
        try (Statement s = connection.createStatement()) {
            for (UUID id : new UUID[] {MAREN, OWN}) {
                s.execute("insert into document values ('" + id + "', 'CHARACTER', null, 'Maren', 3, now(), now())");
            }
            s.execute(
                    "insert into document values ('" + LINE + "', 'SHOT', '" + MAREN + "', 'Ropes', 1, now(), now())");
            revision(s, MAREN, 1, "EDIT", "{\"kind\":\"adopt\",\"nothing\":\"of this can be read\"}");
            revision(s, MAREN, 2, "EDIT", "{\"kind\":\"nudge\",\"part\":\"nose\",\"dx\":1.0,\"dy\":0.0}");
            revision(s, MAREN, 3, "UNDO", null);
            revision(s, OWN, 1, "EDIT", "{\"kind\":\"rename\",\"name\":\"Maren\"}");
            revision(s, LINE, 1, "EDIT", "{\"kind\":\"rename-shot\",\"name\":\"Ropes\"}");
            s.execute("insert into milestone values ('" + MAREN + "', 2, 'first nudge')");
        }
    }

    private static void revision(Statement s, UUID document, int number, String action, String edit)
            throws SQLException {
        s.execute("insert into revision values ('" + document + "', " + number + ", '" + action + "', "
                + (edit == null ? "null" : "'" + edit + "'") + ", 'says', 'crew', now(), '{}', " + number
                + ", null, '[]')");
    }

    private FluentConfiguration flyway() {
        return Flyway.configure()
                .dataSource(url, System.getenv("LEEWARD_DB_USER"), System.getenv("LEEWARD_DB_PASSWORD"))
                .javaMigrations(new TouchedPartsMigration());
    }

    @AfterEach
    void end() throws SQLException {
        connection.close();
        drop();
    }

    private String one(String sql) throws SQLException {
        try (ResultSet r = connection.createStatement().executeQuery(sql)) {
            return r.next() ? r.getString(1) : null;
        }
    }

    @Test
    void editsAreToldWhatTheyTouchAndDemoIdsAreDrawnAnewWithAllThatHangsOnThem() throws SQLException {
        flyway().load().migrate();
        String maren = one("select document from demo_document where name = 'maren'");
        String line = one("select document from demo_document where name = 'Mind the ropes'");
        assertThat(maren).isNotNull().isNotEqualTo(MAREN.toString());
        assertThat(line).isNotNull().isNotEqualTo(LINE.toString());
        assertThat(one("select count(*) from document where id in ('" + MAREN + "', '" + LINE + "')"))
                .isEqualTo("0");
        assertThat(one("select id from document where id = '" + OWN + "'"))
                .as("what people made keeps its address")
                .isNotNull();
        assertThat(one("select belongs_to from document where id = '" + line + "'"))
                .isEqualTo(maren);
        assertThat(one("select count(*) from revision where document = '" + maren + "'"))
                .isEqualTo("3");
        assertThat(one("select name from milestone where document = '" + maren + "'"))
                .isEqualTo("first nudge");

        assertThat(one("select touched from revision where document = '" + maren + "' and number = 1"))
                .isEqualTo("{everything}");
        assertThat(one("select touched from revision where document = '" + maren + "' and number = 2"))
                .contains("nose");
        assertThat(one("select touched from revision where document = '" + maren + "' and number = 3"))
                .isNull();
        assertThat(one("select touched from revision where document = '" + line + "'"))
                .isEqualTo("{name}");
        flyway().load().validate();
    }

    /**
     * A database as the server of 2026-11-27 left it, with a character that edits, undo and a milestone went through and a line:
     * everything is read, and each state is what the edits before it make.
     */
    @Test
    void aDatabaseOfLongAgoIsReadWhole() throws Exception {
        restore("/database-of-2026-11-27.sql.gz");
        flyway().load().migrate();
        assertThat(one("select count(*) from revision where schema = 1")).isEqualTo("20");
        List<String> unknown = new ArrayList<>();
        StoredJson json = new StoredJson(artwork(), unknown::add);
        Character before = null;
        String asked = "select r.number, r.schema, r.edit, r.state from revision r join document d on d.id = r.document"
                + " where d.name = 'Maren Quill' order by r.number";
        int read = 0;
        try (ResultSet rows = connection.createStatement().executeQuery(asked)) {
            while (rows.next()) {
                Character state = json.read(rows.getInt("schema"), rows.getString("state"), Character.class);
                Edit edit = json.read(rows.getInt("schema"), rows.getString("edit"), Edit.class);
                if (before != null) {
                    Outcome made = Edits.apply(before, edit);
                    String again = json.write(Character.class, ((Outcome.Done) made).character());
                    assertThat(Client.JSON.readTree(again))
                            .as("revision %d", rows.getInt("number"))
                            .isEqualTo(Client.JSON.readTree(json.write(Character.class, state)));
                }
                before = state;
                read++;
            }
        }
        assertThat(read).isEqualTo(9);
        String line =
                one("select state from revision where document = (select id from document where name like 'Boat%')"
                        + " order by number desc");
        assertThat(json.read(1, line, Shot.class).name()).isEqualTo("Boat to Sorrel, take 2");
        assertThat(unknown).isEmpty();
    }

    private void restore(String dump) throws IOException, SQLException {
        drop();
        admin("create database " + DATABASE);
        connection = connect(url);
        try (InputStream in = new GZIPInputStream(UpgradeTest.class.getResourceAsStream(dump));
                Statement s = connection.createStatement()) {
            s.execute(new String(in.readAllBytes(), StandardCharsets.UTF_8));
        }
    }

    private ArtworkStore artwork() throws SQLException {
        Map<String, Artwork> byHash = new HashMap<>();
        try (ResultSet r = connection.createStatement().executeQuery("select hash, shapes from artwork")) {
            while (r.next()) {
                byHash.put(r.getString(1), LeewardJson.artwork(r.getString(2)));
            }
        }
        return new ArtworkStore() {
            @Override
            public void put(Artwork art, String hash, String text) {
                byHash.put(hash, LeewardJson.artwork(text));
            }

            @Override
            public Artwork get(String hash) {
                return byHash.get(hash);
            }
        };
    }
}
