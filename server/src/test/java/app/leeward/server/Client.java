package app.leeward.server;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;

/** Speaks HTTP as the page does, knowing nothing of the server's classes. */
final class Client {
    static final ObjectMapper JSON = new ObjectMapper();
    private final HttpClient http = HttpClient.newHttpClient();
    private final String base;

    Client(int port) {
        base = "http://127.0.0.1:" + port;
    }

    record Answer(int status, String type, byte[] body) {
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

    private Answer send(HttpRequest request) {
        try {
            HttpResponse<byte[]> r = http.send(request, HttpResponse.BodyHandlers.ofByteArray());
            return new Answer(
                    r.statusCode(), r.headers().firstValue("Content-Type").orElse(""), r.body());
        } catch (IOException | InterruptedException e) {
            throw new AssertionError(e);
        }
    }

    Answer get(String path) {
        return send(HttpRequest.newBuilder(URI.create(base + path)).build());
    }

    Answer post(String path, String json) {
        return send(HttpRequest.newBuilder(URI.create(base + path))
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(json))
                .build());
    }

    /** A form with one file and text fields. */
    Answer upload(String path, String field, String fileName, byte[] file, Map<String, String> texts) {
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        Map<String, byte[]> parts = new LinkedHashMap<>();
        parts.put("; name=\"" + field + "\"; filename=\"" + fileName + "\"", file);
        texts.forEach((k, v) -> parts.put("; name=\"" + k + "\"", v.getBytes(StandardCharsets.UTF_8)));
        parts.forEach((header, bytes) -> {
            body.writeBytes(("--leeward\r\nContent-Disposition: form-data" + header + "\r\n\r\n")
                    .getBytes(StandardCharsets.UTF_8));
            body.writeBytes(bytes);
            body.writeBytes("\r\n".getBytes(StandardCharsets.UTF_8));
        });
        body.writeBytes("--leeward--\r\n".getBytes(StandardCharsets.UTF_8));
        return send(HttpRequest.newBuilder(URI.create(base + path))
                .header("Content-Type", "multipart/form-data; boundary=leeward")
                .POST(HttpRequest.BodyPublishers.ofByteArray(body.toByteArray()))
                .build());
    }
}
