package app.leeward.server.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.UUID;
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

    @BeforeEach
    void asItWas() throws SQLException {
        admin("drop database if exists " + DATABASE + " with (force)");
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
        admin("drop database " + DATABASE + " with (force)");
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
}
