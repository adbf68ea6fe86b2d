package app.leeward.e2e;

import app.leeward.bench.ServerJar;
import java.io.File;
import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** The built application as its own process, on a database of its own, so that it can be killed and started again. */
final class LeewardServer implements AutoCloseable {
    /** Which of the Java machines that run stories beside each other this is. */
    private static final String FORK = System.getProperty("leeward.fork", "1");

    /** A database with the demo in it, made once for all of them; others begin as copies. */
    private static final String TEMPLATE = "leeward_template";

    /** Where a database keeps a copy of the documents it began with. */
    private static final String BEGINNING = "beginning";

    private static final List<String> OF_DOCUMENTS = List.of("document", "revision", "milestone", "demo_document");

    private static LeewardServer shared;

    private final String database;
    private final int port;
    private Process process;

    private LeewardServer(String database, int port) {
        this.database = database;
        this.port = port;
    }

    /** The one that all stories of this Java machine use, with the demo as on the first day; ends with the machine. */
    static synchronized LeewardServer shared() throws Exception {
        if (shared == null) {
            shared = start("stories_" + FORK);
            LeewardServer made = shared;
            try (Connection c = made.connect()) {
                c.createStatement().execute("create schema " + BEGINNING);
                for (String table : OF_DOCUMENTS) {
                    c.createStatement()
                            .execute("create table %1$s.%2$s as table public.%2$s".formatted(BEGINNING, table));
                }
            }
            Runtime.getRuntime().addShutdownHook(new Thread(() -> made.process.destroyForcibly()));
        } else {
            if (!shared.process.isAlive()) {
                shared.launch();
            }
            shared.begin();
        }
        return shared;
    }

    /** Every document is again what it was at the beginning, under an id that no server has heard of. */
    private void begin() throws SQLException {
        try (Connection c = connect()) {
            c.setAutoCommit(false);
            c.createStatement()
                    .execute(
                            "truncate face, reading, recording, recording_piece, export, export_piece, export_stretch, "
                                    + String.join(", ", OF_DOCUMENTS));
            for (String table : OF_DOCUMENTS) {
                c.createStatement()
                        .execute("insert into public.%2$s select * from %1$s.%2$s".formatted(BEGINNING, table));
            }
            c.createStatement().execute("update document set id = gen_random_uuid()");
            c.commit();
        }
    }

    /** Starts with the demo on a database of its own. */
    static LeewardServer start(String name) throws Exception {
        String url = System.getenv("LEEWARD_DB_URL");
        if (url == null) {
            throw new IllegalStateException(
                    "run the end-to-end tests with ./leeward test, which starts their database");
        }
        String database = "leeward_" + name;
        try (Connection c = DriverManager.getConnection(url, user(), password());
                Statement s = c.createStatement()) {
            // one of the Java machines makes it, the others wait
            s.execute("select pg_advisory_lock(1)");
            makeTemplate(url, s);
            make(url, database, "template " + TEMPLATE);
        }
        LeewardServer server = new LeewardServer(of(url, database), freePort());
        server.launch();
        return server;
    }

    /** Makes the template unless there is one made by this very build. */
    private static void makeTemplate(String url, Statement s) throws Exception {
        String build = String.valueOf(ServerJar.built(root()));
        try (ResultSet r = s.executeQuery(
                "select shobj_description(oid, 'pg_database') from pg_database where datname = '" + TEMPLATE + "'")) {
            if (r.next() && build.equals(r.getString(1))) {
                return;
            }
        }
        make(url, TEMPLATE, "");
        LeewardServer first = new LeewardServer(of(url, TEMPLATE), freePort());
        first.launch();
        // it has to have ended before it can be copied
        first.close();
        ServerJar.share(root());
        s.execute("comment on database " + TEMPLATE + " is '" + build + "'");
    }

    private static Path root() {
        return Path.of("..").toAbsolutePath().normalize();
    }

    private static String of(String url, String database) {
        return url.replaceFirst("/leeward\\?", "/" + database + "?");
    }

    private static void make(String url, String database, String how) {
        try (Connection c = DriverManager.getConnection(url, user(), password())) {
            // Not by force: that would end a cleaning process of the database's own as well, which only its superuser
            // may.
            c.createStatement()
                    .execute("select pg_terminate_backend(pid) from pg_stat_activity"
                            + " where usename = current_user and datname = '" + database + "'");
            c.createStatement().execute("drop database if exists " + database);
            c.createStatement().execute("create database " + database + " " + how);
        } catch (SQLException e) {
            throw new IllegalStateException("the tests' database does not answer at " + url, e);
        }
    }

    /** How to connect to this server's database. */
    Connection connect() throws SQLException {
        return DriverManager.getConnection(database, user(), password());
    }

    /** The tests' role owns its databases and may make more of them. */
    private static String user() {
        return System.getenv("LEEWARD_DB_USER");
    }

    private static String password() {
        return System.getenv("LEEWARD_DB_PASSWORD");
    }

    private static int freePort() throws IOException {
        try (ServerSocket s = new ServerSocket(0)) {
            return s.getLocalPort();
        }
    }

    void launch() throws Exception {
        File log = Files.createDirectories(Path.of("target"))
                .resolve("server-" + FORK + ".log")
                .toFile();
        ProcessBuilder builder = new ProcessBuilder(
                        ServerJar.command(root(), "-Xmx1500m", "-XX:+UseSerialGC", "-XX:TieredStopAtLevel=1"))
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.appendTo(log));
        builder.environment().put("LEEWARD_DB_URL", database);
        builder.environment().put("LEEWARD_PORT", String.valueOf(port));
        builder.environment().put("LEEWARD_DEMO", "true");
        // stories do the rigging
        builder.environment().put("LEEWARD_DEMO_RIGGED", "false");
        // figures are not taken here, and the stories beside this one want the processor
        builder.environment().put("LEEWARD_PRACTISES", "listening");
        process = builder.start();
        long until = System.nanoTime() + Duration.ofSeconds(120).toNanos();
        while (!body("/api/v1/characters").contains("Maren") || !linesAreThere()) {
            if (!process.isAlive() || System.nanoTime() > until) {
                throw new IllegalStateException("the server did not come up; see " + log.getAbsolutePath());
            }
            Thread.sleep(300);
        }
    }

    private boolean linesAreThere() {
        String id = body("/api/v1/characters").replaceAll("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
        return body("/api/v1/characters/" + id + "/lines").contains("Mind the ropes");
    }

    /** The answer's text; empty while nobody answers. */
    String body(String path) {
        try {
            return HttpClient.newHttpClient()
                    .send(
                            HttpRequest.newBuilder(URI.create(url() + path)).build(),
                            HttpResponse.BodyHandlers.ofString())
                    .body();
        } catch (IOException e) {
            return "";
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return "";
        }
    }

    /** A header of the answer. */
    String header(String path, String name) throws IOException, InterruptedException {
        return HttpClient.newHttpClient()
                .send(HttpRequest.newBuilder(URI.create(url() + path)).build(), HttpResponse.BodyHandlers.discarding())
                .headers()
                .firstValue(name)
                .orElse("");
    }

    /** As a power cut does it. */
    void kill() throws InterruptedException {
        process.destroyForcibly();
        process.waitFor(20, TimeUnit.SECONDS);
    }

    String url() {
        return "http://127.0.0.1:" + port;
    }

    @Override
    public void close() throws InterruptedException {
        process.destroy();
        if (!process.waitFor(20, TimeUnit.SECONDS)) {
            kill();
        }
    }
}
