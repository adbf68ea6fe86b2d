package app.leeward.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.bench.Api;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The commands people start and end Leeward with, and the private database behind them, in a folder of their own. */
class StartCommandTest {
    private static final Path PROJECT = Path.of("..").toAbsolutePath().normalize();

    @TempDir
    Path home;

    private Process front;

    @BeforeEach
    void nobodyElseEnters() throws IOException {
        Files.setPosixFilePermissions(home, PosixFilePermissions.fromString("rwxr-xr-x"));
    }

    @AfterEach
    void end() throws Exception {
        if (front != null) {
            front.destroy();
            front.waitFor(60, TimeUnit.SECONDS);
        }
        run("bash", "scripts/cluster.sh", "database", "wipe");
    }

    private ProcessBuilder command(String... command) {
        ProcessBuilder builder =
                new ProcessBuilder(command).directory(PROJECT.toFile()).redirectErrorStream(true);
        builder.environment().keySet().removeIf(k -> k.startsWith("LEEWARD_DB") || k.equals("PGOPTS"));
        builder.environment()
                .putAll(Map.of("LEEWARD_HOME", home.toString(), "LEEWARD_BUILT", "1", "PROJECT", PROJECT.toString()));
        return builder;
    }

    private record Ran(int code, String out) {}

    private Ran run(String... command) throws Exception {
        Process process = command(command).start();
        String out = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        return new Ran(process.waitFor(), out);
    }

    private Ran sql(String sql) throws Exception {
        return run(
                "bash",
                "-c",
                "set -a; . scripts/common.sh; eval \"$(bash scripts/cluster.sh database env)\"; socket=${LEEWARD_DB_URL##*socketFactoryArg=};"
                        + " PGPASSWORD=$LEEWARD_DB_PASSWORD psql -AtX \"host='${socket%/*}' user=$LEEWARD_DB_USER dbname=leeward\" -c \"$0\"",
                sql);
    }

    private static void await(String what, BooleanSupplier holds) throws InterruptedException {
        long until = System.nanoTime() + Duration.ofSeconds(90).toNanos();
        while (!holds.getAsBoolean()) {
            assertThat(System.nanoTime()).as(what).isLessThan(until);
            TimeUnit.MILLISECONDS.sleep(200);
        }
    }

    @Test
    void aClusterThatTrustedEveryoneIsBroughtOverWithAllItHolds() throws Exception {
        Path old = PROJECT.resolve("e2e/src/test/resources/cluster-of-2026-11-26.sh");
        Ran made = run("bash", old.toString(), "database", "start");
        assertThat(made.code()).as(made.out()).isZero();
        String port = made.out().strip().replaceAll(".*:(\\d+)/leeward$", "$1");
        String trusting = "psql -qAtX -h 127.0.0.1 -p " + port + " -U postgres leeward -c ";
        assertThat(run("bash", "-c", trusting + "\"create table kept (words text); insert into kept values ('ropes')\"")
                        .code())
                .isZero();
        // a shell for whoever asks: this is what is to end
        assertThat(run("bash", "-c", trusting + "\"copy kept to program 'cat > /dev/null'\"")
                        .code())
                .isZero();

        Ran over = run("bash", "scripts/cluster.sh", "database", "start");
        assertThat(over.code()).as(over.out()).isZero();
        assertThat(sql("select words from kept").out().strip()).isEqualTo("ropes");
        assertThat(sql("insert into kept values ('gulls')").code())
                .as("it owns its tables")
                .isZero();
        assertThat(sql("show data_checksums").out().strip()).isEqualTo("on");
        assertThat(sql("show listen_addresses").out().strip()).isEmpty();
        assertThat(sql("select rolsuper or rolcreatedb or rolcreaterole from pg_roles where rolname = current_user")
                        .out()
                        .strip())
                .isEqualTo("f");
        assertThat(sql("copy kept to program 'cat > /dev/null'").out()).contains("must be superuser");
        assertThat(sql("select count(*) from pg_authid").out()).contains("permission denied");
        assertThat(run("bash", "-c", trusting + "\"select 1\"").code())
                .as("the old way in")
                .isNotZero();
        String socket = over.out().replaceAll("(?s).*socketFactoryArg=([^']*)/\\.s\\.PGSQL.*", "$1");
        assertThat(run(
                                "bash",
                                "-c",
                                "PGPASSWORD= psql -w -AtX \"host='" + socket
                                        + "' user=postgres dbname=postgres\" -c 'select 1' </dev/null")
                        .out())
                .contains("no password");
        assertThat(mode(home)).isEqualTo("700");
        assertThat(mode(Path.of(socket))).isEqualTo("700");
        for (String secret : new String[] {"application.password", "superuser.password"}) {
            assertThat(mode(Path.of(socket).resolveSibling(secret))).isEqualTo("600");
        }
        // asked again it is left as it is
        assertThat(run("bash", "scripts/cluster.sh", "database", "start").out())
                .isEqualTo(over.out().substring(over.out().indexOf("LEEWARD_DB_URL")));
    }

    private String mode(Path file) throws Exception {
        return run("stat", "-c", "%a", file.toString()).out().strip();
    }

    @Test
    void whatIsHalfDeadIsMendedAndStopComesBackWhenAllHasEnded() throws Exception {
        int port;
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        ProcessBuilder start = command("./leeward", "start");
        start.environment().put("LEEWARD_PORT", String.valueOf(port));
        front = start.redirectOutput(home.resolve("front.out").toFile()).start();
        Api api = new Api("http://127.0.0.1:" + port, Duration.ofSeconds(3));
        await("the first start", () -> healthy(api));

        // a database that dies comes back by itself, and the server goes on by itself
        long database = pid("bash", "scripts/cluster.sh", "database", "pid");
        ProcessHandle.of(database).orElseThrow().destroyForcibly();
        await("the database's death is told", () -> !healthy(api));
        Api.Answer away = api.get("/api/v1/characters");
        if (away.status() != 200) {
            assertThat(away.status()).isEqualTo(503);
            assertThat(away.code()).isEqualTo("database-away");
            assertThat(away.json().get("detail").asText()).contains("Nothing accepted is lost");
            // a second is promised; a machine that runs tests may take longer
            assertThat(away.millis()).isLessThan(3_000);
        }
        await("the server goes on", () -> healthy(api));
        assertThat(pid("bash", "scripts/cluster.sh", "database", "pid")).isNotEqualTo(database);

        // a server that hangs is ended and started again where it was
        long server =
                Long.parseLong(Files.readString(home.resolve("server.pid")).split(" ")[0]);
        run("kill", "-STOP", String.valueOf(server));
        Process second = command("./leeward", "start")
                .redirectOutput(home.resolve("second.out").toFile())
                .start();
        await("the second start", () -> read("second.out").contains("ready:  http://127.0.0.1:" + port + "/"));
        assertThat(read("second.out")).contains("does not answer; it is ended and started again");
        await("it answers", () -> healthy(api));

        long again = Long.parseLong(Files.readString(home.resolve("server.pid")).split(" ")[0]);
        Ran stopped = run("./leeward", "stop");
        assertThat(stopped.out()).contains("The server has ended.");
        assertThat(running(again)).as("the server's process").isFalse();
        assertThat(run("bash", "scripts/cluster.sh", "database", "pid").out()).isBlank();
        assertThat(second.waitFor(60, TimeUnit.SECONDS)).isTrue();
        assertThat(read("server.log")).as("kept over all these starts").contains("The database does not answer");
    }

    /** What has ended and was not yet taken note of by whoever began it (state Z) does not run any more; proc(5). */
    private static boolean running(long pid) {
        try {
            String stat = Files.readString(Path.of("/proc/" + pid + "/stat"));
            return stat.charAt(stat.lastIndexOf(')') + 2) != 'Z';
        } catch (IOException gone) {
            return false;
        }
    }

    private String read(String file) {
        try {
            return Files.readString(home.resolve(file));
        } catch (IOException e) {
            return "";
        }
    }

    private long pid(String... command) throws Exception {
        return Long.parseLong(run(command).out().strip());
    }

    private static boolean healthy(Api api) {
        try {
            return api.get("/actuator/health").ok();
        } catch (IOException e) {
            return false;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }
}
