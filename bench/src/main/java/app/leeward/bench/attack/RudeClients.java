package app.leeward.bench.attack;

import app.leeward.bench.Api;
import app.leeward.demo.DemoFiles;
import com.fasterxml.jackson.databind.JsonNode;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/**
 * One well-behaved client – poses as a hand drags them, an edit a second, now and then the whole character – beside clients
 * that send a byte and stop, ask for edits on revisions of long ago, unpack archives of nothing, send drawings of 20 MB all at
 * once, ask for poses with more dials than there are, and have long recordings read. Every rude client ends by itself.
 */
public final class RudeClients {
    private static final int SLOW_ONES = 220;
    private static final int OLD_REVISIONS = 10_000;
    private static final int ZIPS = 12;
    private static final int ZIP_MEGABYTES = 190;
    private static final int DRAWINGS = 50;

    private final String url;
    private final Connection database;
    private final Duration lasts;
    private final Api api;
    private final AtomicBoolean over = new AtomicBoolean();
    private final Map<String, AtomicInteger> answers = new java.util.concurrent.ConcurrentHashMap<>();

    private RudeClients(String url, Connection database, Duration lasts) {
        this.url = url;
        this.database = database;
        this.lasts = lasts;
        this.api = new Api(url, Duration.ofSeconds(60), "rude");
    }

    /** Argument: seconds; may be left out. */
    public static void main(String[] args) throws Exception {
        int seconds = args.length > 0 ? Integer.parseInt(args[0]) : 60;
        try (Studio studio = Studio.start(Path.of("."), "rude", 1, 2048);
                Connection database = studio.connect()) {
            System.out.println(run(studio.servers().get(0).url(), database, Duration.ofSeconds(seconds))
                    .message());
        }
    }

    /**
     * What the well-behaved client saw.
     *
     * @param percentile95 of its calls, milliseconds
     * @param slowest of them
     * @param failed calls of its that were not answered well
     * @param shortLineSeconds how long its own short recording took to be read
     */
    public record Seen(
            double percentile95, double slowest, int calls, int failed, double shortLineSeconds, String message) {}

    /** How long a short recording is waited for beyond the time of the others. */
    private static final Duration PATIENCE = Duration.ofSeconds(60);

    /** @param database of the server, to age a character in */
    public static Seen run(String url, Connection database, Duration lasts) throws Exception {
        return new RudeClients(url, database, lasts).run();
    }

    private Seen run() throws Exception {
        String good = api.character("good.svg", DemoFiles.maren());
        String old = aged(api.character("old.svg", DemoFiles.maren()));
        // both have seen a line, so that the model is there
        waitFor(line(api, good, 1));
        warm(good);
        ExecutorService pool = Executors.newCachedThreadPool();
        List<Future<?>> rude = new ArrayList<>();
        rude.add(pool.submit(() -> again(this::sendSlowly)));
        rude.add(pool.submit(() -> again(() -> askForOldRevisions(old))));
        rude.add(pool.submit(() -> again(() -> atOnce(pool, ZIPS, zip(), "a.zip"))));
        rude.add(pool.submit(() -> again(() -> atOnce(pool, DRAWINGS, drawing(), "a.svg"))));
        rude.add(pool.submit(() -> again(() -> askForTooMuch(good))));
        rude.add(pool.submit(() -> again(() -> readLongLines(old))));
        Seen seen;
        try {
            seen = behaveWell(good);
        } finally {
            over.set(true);
        }
        for (Future<?> r : rude) {
            r.get(3, TimeUnit.MINUTES);
        }
        pool.shutdown();
        return seen;
    }

    private interface Rudeness {
        void once() throws Exception;
    }

    private Void again(Rudeness rudeness) throws Exception {
        while (!over.get()) {
            rudeness.once();
            TimeUnit.MILLISECONDS.sleep(500);
        }
        return null;
    }

    private void count(String what, int status) {
        answers.computeIfAbsent(what + " " + status, k -> new AtomicInteger()).incrementAndGet();
    }

    private Seen behaveWell(String character) throws Exception {
        String at = "/api/v1/characters/" + character;
        List<Double> times = new ArrayList<>();
        int failed = 0;
        Api mine = new Api(url, Duration.ofSeconds(20), "good");
        int revision = mine.get(at).good().json().get("revision").asInt();
        String reading = null;
        long asked = 0;
        double read = Double.NaN;
        long until = System.nanoTime() + lasts.toNanos();
        for (int i = 0;
                System.nanoTime() < until || Double.isNaN(read) && System.nanoTime() < until + PATIENCE.toNanos();
                i++) {
            try {
                Api.Answer answer;
                if (i % 20 == 7) {
                    answer = mine.post(
                            at + "/edits",
                            "{\"base\":" + revision
                                    + ",\"edit\":{\"kind\":\"nudge\",\"part\":\"nose\",\"dx\":1,\"dy\":0}}");
                    revision = answer.ok() ? answer.json().get("revision").asInt() : revision;
                } else if (i % 20 == 13) {
                    answer = mine.get(at);
                } else {
                    answer = mine.post(
                            at + "/pose",
                            "{\"pose\":{\"dials\":{\"turn\":" + (i % 120 - 60) + "}},\"revision\":" + revision + "}");
                }
                times.add(answer.millis());
                if (!answer.ok()) {
                    failed++;
                    count("the good one's", answer.status());
                }
                if (i == 60) {
                    asked = System.nanoTime();
                    Api.Answer line = line(mine, character, 1);
                    reading = line.ok() ? line.json().get("id").asText() : null;
                    failed += line.ok() ? 0 : 1;
                }
                if (reading != null && Double.isNaN(read) && i % 5 == 0) {
                    JsonNode now = mine.get("/api/v1/readings/" + reading).json();
                    if (now.path("state").asText().equals("DONE")) {
                        read = (System.nanoTime() - asked) / 1e9;
                    }
                }
            } catch (IOException e) {
                failed++;
                count("the good one's unanswered", 0);
            }
            TimeUnit.MILLISECONDS.sleep(40);
        }
        double[] sorted =
                times.stream().mapToDouble(Double::doubleValue).sorted().toArray();
        double p95 = sorted[(int) (sorted.length * 0.95)];
        return new Seen(
                p95,
                sorted[sorted.length - 1],
                sorted.length,
                failed,
                read,
                String.format(
                        Locale.ROOT,
                        "rude clients: %d calls of a well-behaved one beside them, median %.0f ms, 95th percentile %.0f ms, slowest %.0f ms,"
                                + " %d not answered well; its short recording was read in %.1f s; the rude ones were answered %s",
                        sorted.length,
                        sorted[sorted.length / 2],
                        p95,
                        sorted[sorted.length - 1],
                        failed,
                        read,
                        new java.util.TreeMap<>(answers)));
    }

    private void warm(String character) throws Exception {
        for (int i = 0; i < 200; i++) {
            api.post("/api/v1/characters/" + character + "/pose", "{\"pose\":{\"dials\":{\"turn\":" + i % 60 + "}}}")
                    .good();
        }
    }

    /** A character with many revisions, written beside the server: making them one by one would take minutes. */
    private String aged(String character) throws Exception {
        try (PreparedStatement copy = database.prepareStatement(
                        "insert into revision (document, number, action, edit, touched, says, author, made_at, schema, state, stands_at, came_from, ahead)"
                                + " select document, n, action, '{\"kind\":\"nudge\",\"part\":\"nose\",\"dx\":1.0,\"dy\":0.0}',"
                                + " array['nose.x'], says, author, made_at, schema, state, n, n - 1, ahead"
                                + " from revision, generate_series(2, ?) n where document = ? and number = 1");
                PreparedStatement head = database.prepareStatement("update document set head = ? where id = ?")) {
            copy.setInt(1, OLD_REVISIONS);
            copy.setObject(2, UUID.fromString(character));
            copy.executeUpdate();
            head.setInt(1, OLD_REVISIONS);
            head.setObject(2, UUID.fromString(character));
            head.executeUpdate();
        }
        return character;
    }

    private void sendSlowly() throws IOException {
        int port = URI.create(url).getPort();
        List<Socket> sockets = new ArrayList<>();
        try {
            for (int i = 0; i < SLOW_ONES && !over.get(); i++) {
                Socket s = new Socket();
                try {
                    s.connect(new InetSocketAddress("127.0.0.1", port), 2_000);
                } catch (SocketTimeoutException e) {
                    // a server that lets no more of these in has done well
                    s.close();
                    continue;
                }
                s.getOutputStream()
                        .write(("POST /api/v1/characters HTTP/1.1\r\nHost: 127.0.0.1:" + port
                                        + "\r\nCookie: XSRF-TOKEN=rude\r\nX-XSRF-TOKEN: rude\r\nContent-Type: "
                                        + (i % 2 == 0 ? "application/json" : "multipart/form-data; boundary=b")
                                        + "\r\nContent-Length: 5000\r\n\r\n{")
                                .getBytes(StandardCharsets.US_ASCII));
                sockets.add(s);
            }
            TimeUnit.SECONDS.sleep(8);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } finally {
            for (Socket s : sockets) {
                s.close();
            }
        }
    }

    private void askForOldRevisions(String character) throws Exception {
        String at = "/api/v1/characters/" + character;
        for (String path : List.of("/edits", "/undo", "/redo", "/return")) {
            String edit =
                    path.equals("/edits") ? ",\"edit\":{\"kind\":\"nudge\",\"part\":\"nose\",\"dx\":1,\"dy\":0}" : "";
            count(
                    "old base",
                    api.post(at + path, "{\"base\":1,\"to\":1" + edit + "}").status());
        }
    }

    private void atOnce(ExecutorService pool, int count, byte[] file, String name) throws Exception {
        List<Future<?>> all = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            all.add(pool.submit(() -> {
                try {
                    count(
                            name,
                            api.upload("/api/v1/characters", "file", name, file, Map.of())
                                    .status());
                } catch (IOException e) {
                    count(name + " unanswered", 0);
                }
                return null;
            }));
        }
        for (Future<?> f : all) {
            f.get();
        }
    }

    /** An archive of a few hundred kilobytes that unpacks to a picture of nothing. */
    private static byte[] zip() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            zip.putNextEntry(new ZipEntry("face.png"));
            byte[] megabyte = new byte[1 << 20];
            for (int i = 0; i < ZIP_MEGABYTES; i++) {
                zip.write(megabyte);
            }
            zip.closeEntry();
        }
        return out.toByteArray();
    }

    private static byte[] drawing() {
        StringBuilder out = new StringBuilder(21 << 20);
        out.append("<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 4000 4000'>")
                .append("<g id='face'><circle cx='2000' cy='2000' r='900' fill='#eecbaa'/></g>");
        for (int i = 0; out.length() < 20 << 20; i++) {
            out.append("<g id='piece ").append(i).append("'><path fill='#5e8dd0' d='M1000 1000");
            for (int k = 0; k < 400; k++) {
                out.append("L")
                        .append(1000 + (i * 31 + k * 17) % 2000)
                        .append(".25 ")
                        .append(1000 + (k * 71) % 2000)
                        .append(".5");
            }
            out.append("Z'/></g>");
        }
        return out.append("</svg>").toString().getBytes(StandardCharsets.UTF_8);
    }

    private void askForTooMuch(String character) throws Exception {
        String at = "/api/v1/characters/" + character;
        try {
            count(
                    "million dials",
                    api.post(at + "/pose", "{\"pose\":{\"dials\":" + dials(1_000_000) + "}}")
                            .status());
        } catch (IOException e) {
            // it is told so, and the connection closed, before all of it was sent
            count("million dials hung up on", 0);
        }
        for (int dials : new int[] {10_000, 1_900}) {
            count(
                    "pose of " + dials + " dials",
                    api.post(at + "/pose", "{\"pose\":{\"dials\":" + dials(dials) + "}}")
                            .status());
        }
    }

    private static String dials(int count) {
        StringBuilder out = new StringBuilder("{");
        for (int i = 0; i < count; i++) {
            out.append(i == 0 ? "" : ",").append("\"dial").append(i).append("\":1");
        }
        return out.append('}').toString();
    }

    private void readLongLines(String character) throws Exception {
        DemoFiles.Line line = DemoFiles.lines().get(0);
        int times = 8;
        byte[] wav = repeated(line.wav(), times);
        String words = String.join(" ", Collections.nCopies(times, line.words()));
        for (int i = 0; i < 3 && !over.get(); i++) {
            Api.Answer answer = api.upload(
                    "/api/v1/characters/" + character + "/lines", "sound", "long.wav", wav, Map.of("words", words));
            count("long line", answer.status());
        }
        TimeUnit.SECONDS.sleep(5);
    }

    /** The same samples several times, with the lengths in the header put right (WAVE: bytes 4 and 40). */
    private static byte[] repeated(byte[] wav, int times) {
        int data = wav.length - 44;
        byte[] out = Arrays.copyOf(wav, 44 + data * times);
        for (int i = 1; i < times; i++) {
            System.arraycopy(wav, 44, out, 44 + i * data, data);
        }
        java.nio.ByteBuffer header = java.nio.ByteBuffer.wrap(out).order(java.nio.ByteOrder.LITTLE_ENDIAN);
        header.putInt(4, out.length - 8);
        header.putInt(40, data * times);
        return out;
    }

    private static Api.Answer line(Api api, String character, int which) throws Exception {
        DemoFiles.Line line = DemoFiles.lines().get(which);
        return api.upload(
                "/api/v1/characters/" + character + "/lines",
                "sound",
                "a.wav",
                line.wav(),
                Map.of("words", line.words()));
    }

    private void waitFor(Api.Answer asked) throws Exception {
        String reading = asked.good().json().get("id").asText();
        while (!api.get("/api/v1/readings/" + reading)
                .good()
                .json()
                .get("state")
                .asText()
                .equals("DONE")) {
            TimeUnit.MILLISECONDS.sleep(100);
        }
    }
}
