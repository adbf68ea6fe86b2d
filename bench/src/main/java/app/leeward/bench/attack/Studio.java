package app.leeward.bench.attack;

import app.leeward.bench.Api;
import app.leeward.bench.ServerJar;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A database of its own and servers on it, each a process that can be killed and started again. */
public final class Studio implements AutoCloseable {
    private static final Pattern SETTING = Pattern.compile("(\\w+)='([^']*)'");

    private final Path project;
    private final String cluster;
    private final int heapMegabytes;
    private final Map<String, String> connection = new HashMap<>();
    private final List<Server> servers = new ArrayList<>();

    /** One server. */
    public static final class Server {
        private final int port;
        private volatile Process process;

        private Server(int port) {
            this.port = port;
        }

        public String url() {
            return "http://127.0.0.1:" + port;
        }

        public Process process() {
            return process;
        }
    }

    private Studio(Path project, String cluster, int heapMegabytes) {
        this.project = project;
        this.cluster = cluster;
        this.heapMegabytes = heapMegabytes;
    }

    /**
     * Starts with an empty database.
     *
     * @param project the folder with {@code leeward} in it, built
     * @param cluster name of the private database cluster
     */
    public static Studio start(Path project, String cluster, int servers, int heapMegabytes) throws Exception {
        Studio studio = new Studio(project.toAbsolutePath().normalize(), cluster, heapMegabytes);
        Matcher settings = SETTING.matcher(studio.script("fresh"));
        while (settings.find()) {
            studio.connection.put(settings.group(1), settings.group(2));
        }
        try {
            for (int i = 0; i < servers; i++) {
                studio.servers.add(new Server(freePort()));
            }
            studio.endOnceInGoodOrder();
            for (Server server : studio.servers) {
                studio.launch(server);
            }
            for (Server server : studio.servers) {
                studio.awaitHealth(server);
            }
        } catch (Exception e) {
            studio.close();
            throw e;
        }
        return studio;
    }

    /** What makes later starts short is left behind by a server that ends in good order, which none here will. */
    private void endOnceInGoodOrder() throws Exception {
        if (!ServerJar.quick(project)) {
            Server first = servers.get(0);
            launch(first);
            awaitHealth(first);
            first.process.destroy();
            first.process.waitFor(60, TimeUnit.SECONDS);
            ServerJar.share(project);
        }
    }

    private static int freePort() throws IOException {
        try (ServerSocket s = new ServerSocket(0)) {
            return s.getLocalPort();
        }
    }

    public List<Server> servers() {
        return servers;
    }

    /** How to connect to the database, as the application does. */
    public Connection connect() throws SQLException {
        return DriverManager.getConnection(
                connection.get("LEEWARD_DB_URL"),
                connection.get("LEEWARD_DB_USER"),
                connection.get("LEEWARD_DB_PASSWORD"));
    }

    public void launch(Server server) throws IOException, InterruptedException {
        Path log = Files.createDirectories(project.resolve("bench/target")).resolve("attack-" + server.port + ".log");
        ProcessBuilder builder = new ProcessBuilder(ServerJar.command(
                        project,
                        "-Xmx" + heapMegabytes + "m",
                        "-XX:+UseG1GC",
                        "-XX:ThreadPriorityPolicy=1",
                        "-XX:JavaPriority1_To_OSPriority=19",
                        "-XX:JavaPriority2_To_OSPriority=4"))
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.appendTo(log.toFile()));
        builder.environment().putAll(connection);
        builder.environment().put("LEEWARD_PORT", String.valueOf(server.port));
        builder.environment().put("LEEWARD_DEMO", "false");
        server.process = builder.start();
    }

    public void awaitHealth(Server server) throws Exception {
        Api api = new Api(server.url(), Duration.ofSeconds(5));
        long until = System.nanoTime() + Duration.ofSeconds(180).toNanos();
        while (System.nanoTime() < until) {
            try {
                if (api.get("/actuator/health").ok()) {
                    return;
                }
            } catch (IOException e) {
                if (!server.process.isAlive()) {
                    throw new IllegalStateException("a server on port " + server.port + " ended by itself", e);
                }
            }
            TimeUnit.MILLISECONDS.sleep(200);
        }
        throw new TimeoutException("a server on port " + server.port + " is not well");
    }

    /** Starts servers again that ended by themselves because the database died while they began, as the start command does. */
    public void revive() throws IOException, InterruptedException {
        for (Server server : servers) {
            if (!server.process.isAlive()) {
                launch(server);
            }
        }
    }

    /** As a power cut does it. */
    public void kill(Server server) throws InterruptedException {
        server.process.destroyForcibly().waitFor();
    }

    /** Kills the database's main process and starts it again, as the start command does. */
    public void killDatabase() throws Exception {
        long pid = Long.parseLong(script("pid").strip());
        ProcessHandle.of(pid).ifPresent(ProcessHandle::destroyForcibly);
        script("start");
    }

    /** Kills the database and leaves it dead. */
    public void leaveDatabaseDead() throws Exception {
        long pid = Long.parseLong(script("pid").strip());
        ProcessHandle database = ProcessHandle.of(pid).orElseThrow();
        database.destroyForcibly();
        database.onExit().get(30, TimeUnit.SECONDS);
    }

    public void startDatabase() throws Exception {
        script("start");
    }

    private String script(String command) throws Exception {
        ProcessBuilder builder = new ProcessBuilder("bash", "scripts/cluster.sh", cluster, command)
                .directory(project.toFile())
                .redirectError(ProcessBuilder.Redirect.INHERIT);
        // a setting of another database's must not get into this one's
        builder.environment().keySet().removeIf(k -> k.startsWith("LEEWARD_DB"));
        builder.environment().put("PGOPTS", "-c max_connections=200");
        Process process = builder.start();
        String out = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        if (process.waitFor() != 0) {
            throw new IllegalStateException("cluster.sh " + cluster + " " + command + " failed");
        }
        return out;
    }

    @Override
    public void close() throws Exception {
        for (Server server : servers) {
            if (server.process != null) {
                server.process.destroy();
                if (!server.process.waitFor(20, TimeUnit.SECONDS)) {
                    kill(server);
                }
            }
        }
        script("stop");
    }
}
