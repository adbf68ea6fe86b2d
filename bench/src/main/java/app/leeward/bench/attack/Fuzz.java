package app.leeward.bench.attack;

import app.leeward.bench.Api;
import app.leeward.demo.DemoFiles;
import com.fasterxml.jackson.databind.JsonNode;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;

/**
 * Calls of every address in the API's own description, with values that are not always as described. No answer may be a
 * fault, take over five seconds, or be a refusal without a code and a sentence; what was refused may have changed nothing.
 * Drawn from a seed: each call from the seed and its number, so that one can be made again by itself.
 */
public final class Fuzz {
    private static final double SLOWEST_MILLIS = 5_000;
    /** Calls after which a fresh character is begun, since edits that were taken leave little of one. */
    private static final int FRESH = 250;

    private static final String COUNTS =
            "select (select count(*) from revision), (select coalesce(sum(head), 0) from document), (select count(*) from document),"
                    + " (select count(*) from sound), (select count(*) from artwork), (select count(*) from image),"
                    + " (select coalesce(md5(string_agg(number || name, ',' order by document, number)), '') from milestone),"
                    + " (select count(*) from reading where state in ('WAITING', 'READING', 'DONE'))";

    private final Api api;
    private final Connection database;
    private final JsonNode described;
    private final long seed;
    private final List<String> ids = new ArrayList<>();
    private final List<String> names = new ArrayList<>();
    private final Map<String, Integer> revisions = new HashMap<>();
    private final Map<Integer, Integer> statuses = new TreeMap<>();
    private double slowest;
    private String slowestCall = "";

    private record Call(String method, String path, JsonNode operation) {}

    private Fuzz(Api api, Connection database, long seed) throws Exception {
        this.api = api;
        this.database = database;
        this.seed = seed;
        this.described = api.get("/api/openapi").good().json();
    }

    /** Arguments: seed, calls; both may be left out. */
    public static void main(String[] args) throws Exception {
        long seed = args.length > 0 ? Long.parseLong(args[0]) : 20261127;
        int calls = args.length > 1 ? Integer.parseInt(args[1]) : 10_000;
        try (Studio studio = Studio.start(Path.of("."), "fuzz", 1, 1500);
                Connection database = studio.connect()) {
            System.out.println(run(studio.servers().get(0).url(), database, seed, calls));
        }
    }

    /**
     * @return what was done, in words
     * @throws IllegalStateException with everything that should not have been
     */
    public static String run(String url, Connection database, long seed, int calls) throws Exception {
        return new Fuzz(new Api(url, Duration.ofSeconds(30)), database, seed).run(calls);
    }

    private String run(int calls) throws Exception {
        List<Call> operations = operations();
        List<String> faults = new ArrayList<>();
        for (int i = 0; i < calls; i++) {
            if (i % FRESH == 0) {
                begin();
            }
            Random random = new Random(seed * 1_000_003 + i);
            Call call = operations.get(random.nextInt(operations.size()));
            String fault = made(call, random, i);
            if (fault != null) {
                faults.add("call " + i + " of seed " + seed + ", " + call.method() + " " + call.path() + ": " + fault);
            }
        }
        if (!faults.isEmpty()) {
            throw new IllegalStateException(
                    faults.size() + " faults:\n" + String.join("\n", faults.subList(0, Math.min(20, faults.size()))));
        }
        return String.format(
                Locale.ROOT,
                "fuzz, seed %d: %d calls of %d addresses, no fault, nothing changed by what was refused; slowest %.0f ms (%s); answers %s",
                seed,
                calls,
                operations.size(),
                slowest,
                slowestCall,
                statuses);
    }

    private List<Call> operations() {
        List<Call> out = new ArrayList<>();
        described.get("paths").fields().forEachRemaining(path -> path.getValue()
                .fields()
                .forEachRemaining(
                        o -> out.add(new Call(o.getKey().toUpperCase(Locale.ROOT), path.getKey(), o.getValue()))));
        return out;
    }

    private void begin() throws Exception {
        ids.clear();
        names.clear();
        String id = api.character("maren.svg", DemoFiles.maren());
        ids.add(id);
        JsonNode character = api.get("/api/v1/characters/" + id).good().json().get("character");
        character.at("/rig/parts").forEach(p -> {
            names.add(p.get("id").asText());
            p.get("drawings").forEach(d -> names.add(d.get("id").asText()));
        });
        character.at("/controls/dials").forEach(d -> names.add(d.get("id").asText()));
        DemoFiles.Line line = DemoFiles.lines().get(1);
        JsonNode reading = api.upload(
                        "/api/v1/characters/" + id + "/lines",
                        "sound",
                        "a.wav",
                        line.wav(),
                        Map.of("words", line.words()))
                .good()
                .json();
        ids.add(reading.get("line").asText());
        ids.add(reading.get("id").asText());
        for (int i = 0; i < 600; i++) {
            String state = api.get("/api/v1/readings/" + reading.get("id").asText())
                    .good()
                    .json()
                    .get("state")
                    .asText();
            if (state.equals("DONE")) {
                return;
            }
            TimeUnit.MILLISECONDS.sleep(100);
        }
        throw new IllegalStateException("the line was not read in a minute");
    }

    private String counts() throws SQLException {
        try (ResultSet r = database.createStatement().executeQuery(COUNTS)) {
            r.next();
            StringBuilder out = new StringBuilder();
            for (int i = 1; i <= r.getMetaData().getColumnCount(); i++) {
                out.append(r.getString(i)).append(' ');
            }
            return out.toString();
        }
    }

    /** Makes one call; what was wrong with the answer, or null. */
    private String made(Call call, Random random, int number) throws Exception {
        // half of the calls are nearly right, so that they get far
        List<String> about = new ArrayList<>(ids);
        Collections.rotate(
                about, call.path().contains("/lines/{") ? -1 : call.path().contains("/readings/{") ? 1 : 0);
        int newest = revisions.getOrDefault(about.get(0), 1);
        Nonsense nonsense = new Nonsense(described, random, random.nextBoolean() ? 40 : 6, about, names, newest);
        HttpRequest.Builder request = api.writing(address(call, nonsense, random));
        HttpRequest.BodyPublisher body = HttpRequest.BodyPublishers.noBody();
        JsonNode content = call.operation().at("/requestBody/content");
        if (content.has("application/json")) {
            JsonNode value = nonsense.value(content.at("/application~1json/schema"), "", 0);
            String text = nonsense.written(value);
            request.header("Content-Type", type(random));
            body = HttpRequest.BodyPublishers.ofByteArray(text.getBytes(StandardCharsets.UTF_8));
        } else if (content.has("multipart/form-data")) {
            request.header(
                    "Content-Type", random.nextInt(8) == 0 ? "multipart/form-data" : "multipart/form-data; boundary=b");
            body = HttpRequest.BodyPublishers.ofByteArray(form(random));
        }
        String before = counts();
        Api.Answer answer = api.send(request.method(call.method(), body));
        statuses.merge(answer.status(), 1, Integer::sum);
        if (answer.millis() > slowest) {
            slowest = answer.millis();
            slowestCall = call.method() + " " + call.path() + ", call " + number;
        }
        if (answer.status() >= 500) {
            return "answered " + answer.status() + " " + answer.text();
        }
        if (answer.ok() && answer.type().contains("json") && answer.json().has("revision")) {
            revisions.put(about.get(0), answer.json().get("revision").asInt());
        }
        if (answer.millis() > SLOWEST_MILLIS) {
            return "took " + Math.round(answer.millis()) + " ms";
        }
        if (answer.status() >= 400) {
            JsonNode problem = answer.type().contains("json") ? answer.json() : null;
            if (problem == null
                    || problem.path("code").asText().isEmpty()
                    || problem.path("detail").asText().isEmpty()) {
                return "refused without a code and a sentence: " + answer.status() + " " + answer.text();
            }
            String after = counts();
            // a line that is being read meanwhile may come to its end, which is no change of this call's
            if (!after.equals(before) && settled()) {
                return "refused, yet changed " + before + "to " + after + answer.text();
            }
        }
        return null;
    }

    private boolean settled() throws SQLException {
        try (ResultSet r = database.createStatement()
                .executeQuery(
                        "select count(*) from reading where state in ('WAITING', 'READING') or ended_at > now() - interval '2 s'")) {
            r.next();
            return r.getInt(1) == 0;
        }
    }

    private static String type(Random random) {
        return switch (random.nextInt(30)) {
            case 0 -> "text/plain";
            case 1 -> "application/yaml";
            case 2 -> "application/xml";
            case 3 -> "multipart/form-data; boundary=b";
            case 4 -> "application/x-www-form-urlencoded";
            default -> "application/json";
        };
    }

    private String address(Call call, Nonsense nonsense, Random random) {
        String path = call.path();
        StringBuilder query = new StringBuilder();
        for (JsonNode p : call.operation().path("parameters")) {
            String name = p.get("name").asText();
            boolean inPath = p.get("in").asText().equals("path");
            String value = p.at("/schema/format").asText().equals("uuid")
                    ? nonsense.id()
                    : inPath
                            ? nonsense.name()
                            : nonsense.value(p.get("schema"), name, 3).asText();
            String coded = coded(value);
            if (inPath) {
                path = path.replace("{" + name + "}", coded.isEmpty() ? "%20" : coded);
            } else if (p.path("required").asBoolean() ? random.nextInt(10) > 0 : random.nextBoolean()) {
                query.append(query.isEmpty() ? '?' : '&')
                        .append(name)
                        .append('=')
                        .append(coded);
            }
        }
        return URI.create(path + query).toString();
    }

    private static String coded(String value) {
        String shorter = value.length() > 2_000 ? value.substring(0, 2_000) : value;
        return URLEncoder.encode(shorter, StandardCharsets.UTF_8).replace("+", "%20");
    }

    private static byte[] form(Random random) {
        byte[] file =
                switch (random.nextInt(6)) {
                    case 0 -> DemoFiles.lines().get(0).wav().clone();
                    case 1 -> "PK\u0003\u0004 nothing".getBytes(StandardCharsets.ISO_8859_1);
                    case 2 -> new byte[random.nextInt(2_000)];
                    case 3 ->
                        "<svg viewBox='0 0 9 9'><g id='face'><rect width='1e999' height='NaN'/></g></svg>"
                                .getBytes(StandardCharsets.UTF_8);
                    default -> DemoFiles.pilchard().clone();
                };
        for (int i = random.nextInt(4); i > 0 && file.length > 0; i--) {
            file[random.nextInt(file.length)] = (byte) random.nextInt();
        }
        String name = random.nextBoolean() ? "file" : "sound";
        String fileName = random.nextInt(6) == 0 ? "a\u0001.svg" : random.nextInt(6) == 0 ? "../../x" : "a.svg";
        String head = "--b\r\nContent-Disposition: form-data; name=\"words\"\r\n\r\nMind the ropes\r\n--b\r\n"
                + "Content-Disposition: form-data; name=\"base\"\r\n\r\n" + random.nextInt(3)
                + "\r\n--b\r\nContent-Disposition: form-data; name=\"" + name + "\"; filename=\"" + fileName
                + "\"\r\n\r\n";
        java.io.ByteArrayOutputStream out = new java.io.ByteArrayOutputStream();
        out.writeBytes(head.getBytes(StandardCharsets.UTF_8));
        out.writeBytes(file);
        out.writeBytes((random.nextInt(8) == 0 ? "" : "\r\n--b--\r\n").getBytes(StandardCharsets.UTF_8));
        return out.toByteArray();
    }
}
