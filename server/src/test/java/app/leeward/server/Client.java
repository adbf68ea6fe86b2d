package app.leeward.server;

import app.leeward.demo.DemoFiles;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpHeaders;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.locks.LockSupport;

/** Speaks HTTP as the page does, knowing nothing of the server's classes. */
public final class Client {
    public static final ObjectMapper JSON = new ObjectMapper();
    private final HttpClient http = HttpClient.newHttpClient();
    private final String base;

    Client(int port) {
        base = "http://127.0.0.1:" + port;
    }

    record Answer(int status, String type, byte[] body, HttpHeaders headers) {
        String header(String name) {
            return headers.firstValue(name).orElse("");
        }

        JsonNode json() {
            try {
                return JSON.readTree(body);
            } catch (IOException e) {
                throw new AssertionError(new String(body, StandardCharsets.UTF_8), e);
            }
        }

        String code() {
            return json().path("code").asText();
        }
    }

    /** What a program that is no browser writes with: any value, in the cookie and in the header. */
    private static final String TOKEN = "a-test";

    private Answer send(HttpRequest.Builder request) {
        try {
            HttpResponse<byte[]> r = http.send(request.build(), HttpResponse.BodyHandlers.ofByteArray());
            return new Answer(
                    r.statusCode(), r.headers().firstValue("Content-Type").orElse(""), r.body(), r.headers());
        } catch (IOException | InterruptedException e) {
            throw new AssertionError(e);
        }
    }

    /** Unless it is still what has this tag. */
    Answer getUnless(String path, String tag) {
        return send(HttpRequest.newBuilder(URI.create(base + path)).header("If-None-Match", tag));
    }

    Answer get(String path) {
        return send(HttpRequest.newBuilder(URI.create(base + path)));
    }

    private HttpRequest.Builder writing(String path) {
        return HttpRequest.newBuilder(URI.create(base + path))
                .header("Cookie", "XSRF-TOKEN=" + TOKEN)
                .header("X-XSRF-TOKEN", TOKEN);
    }

    /**
     * Waits for a recording to be read.
     *
     * @param asked the answer to having asked for it
     * @return the line; or, where it was refused, the refusal as if it had come at once
     */
    Answer read(Answer asked) {
        if (asked.status() != 202) {
            return asked;
        }
        String reading = "/api/v1/readings/" + asked.json().get("id").asText();
        for (int i = 0; i < 600; i++) {
            JsonNode now = get(reading).json();
            switch (now.get("state").asText()) {
                case "DONE" -> {
                    return get("/api/v1/lines/" + now.get("line").asText());
                }
                case "REFUSED" -> {
                    return new Answer(
                            422,
                            "",
                            now.get("problem").toString().getBytes(StandardCharsets.UTF_8),
                            HttpHeaders.of(Map.of(), (a, b) -> true));
                }
                case "CANCELLED" -> throw new AssertionError("cancelled: " + now);
                default -> LockSupport.parkNanos(100_000_000);
            }
        }
        throw new AssertionError("not read in a minute: " + get(reading).json());
    }

    Answer post(String path, String json) {
        return post(path, "application/json", json.getBytes(StandardCharsets.UTF_8));
    }

    Answer post(String path, String type, byte[] body) {
        return send(writing(path).header("Content-Type", type).POST(HttpRequest.BodyPublishers.ofByteArray(body)));
    }

    /** By a program that knows the state before and makes edits by the same rules. */
    Answer postForeseen(String path, String json) {
        return send(writing(path)
                .header("Content-Type", "application/json")
                .header("Prefer", "return=minimal")
                .POST(HttpRequest.BodyPublishers.ofString(json)));
    }

    Answer delete(String path) {
        return send(writing(path).DELETE());
    }

    /** The second of the demo's characters, freshly read; his id. */
    String wick() {
        return upload("/api/v1/characters", "file", "wick.svg", DemoFiles.wick(), Map.of())
                .json()
                .get("id")
                .asText();
    }

    /** Reads Maren anew; the address of the character. */
    String maren() {
        return "/api/v1/characters/"
                + upload("/api/v1/characters", "file", "maren.svg", DemoFiles.maren(), Map.of())
                        .json()
                        .get("id")
                        .asText();
    }

    /** A form with one file and text fields. */
    Answer upload(String path, String field, String fileName, byte[] file, Map<String, String> texts) {
        return upload(path, Map.of(field + "\"; filename=\"" + fileName, file), texts);
    }

    /** @param files by the names of their fields, each with {@code "; filename="} behind it or without */
    Answer upload(String path, Map<String, byte[]> files, Map<String, String> texts) {
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        Map<String, byte[]> parts = new LinkedHashMap<>();
        files.forEach((name, file) ->
                parts.put("; name=\"" + name + (name.contains("filename") ? "\"" : "\"; filename=\"file\""), file));
        texts.forEach((k, v) -> parts.put("; name=\"" + k + "\"", v.getBytes(StandardCharsets.UTF_8)));
        parts.forEach((header, bytes) -> {
            body.writeBytes(("--leeward\r\nContent-Disposition: form-data" + header + "\r\n\r\n")
                    .getBytes(StandardCharsets.UTF_8));
            body.writeBytes(bytes);
            body.writeBytes("\r\n".getBytes(StandardCharsets.UTF_8));
        });
        body.writeBytes("--leeward--\r\n".getBytes(StandardCharsets.UTF_8));
        return post(path, "multipart/form-data; boundary=leeward", body.toByteArray());
    }
}
