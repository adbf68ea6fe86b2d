package app.leeward.bench;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Map;
import java.util.zip.GZIPInputStream;

/** Speaks to a running server on this machine as a program does that is no browser; knows nothing of the server's classes. */
public final class Api {
    public static final ObjectMapper JSON = new ObjectMapper();
    /** Such programs write with any value, in the cookie and in the header. */
    private final String token;

    private static final String BOUNDARY = "leeward-bench";

    private final HttpClient http = HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .connectTimeout(Duration.ofSeconds(5))
            .build();
    private final URI base;
    private final Duration patience;

    public Api(String base) {
        this(base, Duration.ofSeconds(120));
    }

    /** @param patience after which a call counts as not answered */
    public Api(String base, Duration patience) {
        this(base, patience, "a-program");
    }

    /** @param token by which the server tells clients at one address apart */
    public Api(String base, Duration patience, String token) {
        this.token = token;
        this.base = URI.create(base);
        this.patience = patience;
        if (!"127.0.0.1".equals(this.base.getHost())) {
            throw new IllegalArgumentException("only this machine is ever asked: http://127.0.0.1:…");
        }
    }

    /**
     * @param status of HTTP
     * @param type of the body
     * @param body unpacked
     * @param sent bytes of the body as they were sent
     * @param millis from asking to the last byte
     */
    public record Answer(int status, String type, byte[] body, int sent, double millis) {
        public boolean ok() {
            return status >= 200 && status < 300;
        }

        public String text() {
            return new String(body, StandardCharsets.UTF_8);
        }

        public JsonNode json() throws IOException {
            return JSON.readTree(body);
        }

        /** A problem's code; empty when it has none. */
        public String code() {
            try {
                return json() == null ? "" : json().path("code").asText();
            } catch (IOException e) {
                return "";
            }
        }

        /** Itself, or a failure that says what was answered. */
        public Answer good() {
            if (!ok()) {
                throw new IllegalStateException("answered " + status + ": " + text());
            }
            return this;
        }
    }

    public HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(base.resolve(path)).timeout(patience);
    }

    /** A request that may write. */
    public HttpRequest.Builder writing(String path) {
        return request(path).header("Cookie", "XSRF-TOKEN=" + token).header("X-XSRF-TOKEN", token);
    }

    /** @throws IOException when nobody answers in time */
    public Answer send(HttpRequest.Builder request) throws IOException, InterruptedException {
        long from = System.nanoTime();
        HttpResponse<byte[]> r = http.send(request.build(), HttpResponse.BodyHandlers.ofByteArray());
        double millis = (System.nanoTime() - from) / 1e6;
        byte[] body = r.body();
        if (r.headers().firstValue("Content-Encoding").filter("gzip"::equals).isPresent()) {
            try (InputStream in = new GZIPInputStream(new java.io.ByteArrayInputStream(body))) {
                body = in.readAllBytes();
            }
        }
        return new Answer(
                r.statusCode(), r.headers().firstValue("Content-Type").orElse(""), body, r.body().length, millis);
    }

    public Answer get(String path) throws IOException, InterruptedException {
        return send(request(path).header("Accept-Encoding", "gzip"));
    }

    public Answer post(String path, String json) throws IOException, InterruptedException {
        return send(writing(path)
                .header("Content-Type", "application/json")
                .header("Accept-Encoding", "gzip")
                .POST(HttpRequest.BodyPublishers.ofString(json)));
    }

    /** A form with one file and text fields. */
    public Answer upload(String path, String field, String name, byte[] file, Map<String, String> texts)
            throws IOException, InterruptedException {
        StringBuilder head = new StringBuilder();
        texts.forEach((k, v) -> head.append("--" + BOUNDARY + "\r\nContent-Disposition: form-data; name=\"" + k
                + "\"\r\nContent-Type: text/plain; charset=UTF-8\r\n\r\n" + v + "\r\n"));
        head.append("--" + BOUNDARY + "\r\nContent-Disposition: form-data; name=\"" + field + "\"; filename=\"" + name
                + "\"\r\n\r\n");
        HttpRequest.BodyPublisher body = HttpRequest.BodyPublishers.concat(
                HttpRequest.BodyPublishers.ofString(head.toString()),
                HttpRequest.BodyPublishers.ofByteArray(file),
                HttpRequest.BodyPublishers.ofString("\r\n--" + BOUNDARY + "--\r\n"));
        return send(writing(path)
                .header("Content-Type", "multipart/form-data; boundary=" + BOUNDARY)
                .POST(body));
    }

    /** Begins a character and returns its id. */
    public String character(String name, byte[] file) throws IOException, InterruptedException {
        return upload("/api/v1/characters", "file", name, file, Map.of())
                .good()
                .json()
                .get("id")
                .asText();
    }
}
