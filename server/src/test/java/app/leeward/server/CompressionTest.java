package app.leeward.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.demo.DemoFiles;
import java.io.ByteArrayInputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.Map;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Large answers in text come compressed to whoever can take them, and are the same once they are unpacked. */
@ServerTest
class CompressionTest {
    @LocalServerPort
    int port;

    private final HttpClient http = HttpClient.newHttpClient();
    private String id;

    @BeforeEach
    void maren() {
        id = new Client(port)
                .upload("/api/v1/characters", "file", "maren.svg", DemoFiles.maren(), Map.of())
                .json()
                .get("id")
                .asText();
    }

    private HttpResponse<byte[]> ask(HttpRequest.Builder request, String accepts) throws Exception {
        return http.send(
                (accepts.isEmpty() ? request : request.header("Accept-Encoding", accepts)).build(),
                HttpResponse.BodyHandlers.ofByteArray());
    }

    private HttpRequest.Builder to(String path) {
        return HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path));
    }

    @Test
    void aLargeAnswerIsCompressedAndTheSame() throws Exception {
        String path = "/api/v1/characters/" + id + "/artwork";
        HttpResponse<byte[]> plain = ask(to(path), "");
        assertThat(ask(to(path), "gzip").headers().firstValue("Content-Encoding"))
                .as("artwork for this very machine goes over no wire")
                .isEmpty();
        HttpResponse<byte[]> squeezed = ask(to(path).header("X-Forwarded-For", "192.0.2.7"), "br, gzip");
        assertThat(plain.headers().firstValue("Content-Encoding")).isEmpty();
        assertThat(squeezed.headers().firstValue("Content-Encoding")).contains("gzip");
        assertThat(squeezed.body().length).isLessThan(plain.body().length * 6 / 10);
        byte[] unpacked = new GZIPInputStream(new ByteArrayInputStream(squeezed.body())).readAllBytes();
        assertThat(unpacked).isEqualTo(plain.body());
    }

    @Test
    void artworkOfARevisionIsKeptAndOfTheNewestAskedForAgain() throws Exception {
        String path = "/api/v1/characters/" + id + "/artwork";
        HttpResponse<byte[]> newest = ask(to(path), "");
        String tag = newest.headers().firstValue("ETag").orElseThrow();
        assertThat(newest.headers().firstValue("Cache-Control").orElseThrow()).contains("no-cache");
        HttpResponse<byte[]> again = ask(to(path).header("If-None-Match", tag), "");
        assertThat(again.statusCode()).isEqualTo(304);
        assertThat(again.body()).isEmpty();
        assertThat(ask(to(path).header("If-None-Match", "\"other\""), "").body())
                .isEqualTo(newest.body());
        HttpResponse<byte[]> first = ask(to(path + "?revision=1"), "");
        assertThat(first.headers().firstValue("Cache-Control").orElseThrow())
                .contains("immutable")
                .contains("private");
        assertThat(ask(to(path).header("X-Forwarded-For", "192.0.2.7"), "")
                        .headers()
                        .firstValue("ETag"))
                .contains("W/" + tag);
    }

    @Test
    void problemsAndPicturesAreSentAsTheyAre() throws Exception {
        HttpResponse<byte[]> problem = ask(to("/api/v1/characters/" + java.util.UUID.randomUUID()), "");
        assertThat(problem.statusCode()).isEqualTo(404);
        assertThat(new String(problem.body())).contains("detail");
        HttpResponse<byte[]> png = ask(
                to("/api/v1/characters/" + id + "/picture")
                        .header("Content-Type", "application/json")
                        .header("Cookie", "XSRF-TOKEN=a-test")
                        .header("X-XSRF-TOKEN", "a-test")
                        .POST(HttpRequest.BodyPublishers.ofString("{\"pose\":{},\"format\":\"png\",\"width\":900}")),
                "gzip");
        assertThat(png.headers().firstValue("Content-Encoding")).isEmpty();
        assertThat(png.body().length).isGreaterThan(12_288);
        assertThat(png.headers().firstValueAsLong("Content-Length")).hasValue(png.body().length);
        assertThat(png.body()).startsWith((byte) 0x89, 'P', 'N', 'G');
    }
}
