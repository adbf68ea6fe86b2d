package app.leeward.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.demo.DemoFiles;
import java.io.IOException;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Every error has a code and a sentence of ours, whoever finds it. */
@ServerTest
class ErrorAnswersTest {
    @LocalServerPort
    int port;

    private Client client;
    private String character;

    @BeforeEach
    void maren() {
        client = new Client(port);
        character = client.upload("/api/v1/characters", "file", "maren.svg", DemoFiles.maren(), Map.of())
                .json()
                .get("id")
                .asText();
    }

    private static void assertTold(Client.Answer answer, int status, String code) {
        String text = new String(answer.body(), StandardCharsets.UTF_8);
        assertThat(answer.status()).as(text).isEqualTo(status);
        assertThat(answer.type()).as(text).startsWith("application/problem+json");
        assertThat(answer.code()).as(text).isEqualTo(code);
        assertThat(answer.json().get("detail").asText()).as(text).endsWith(".").doesNotContain("Request", "resource");
    }

    @Test
    void whatTheFrameworkRefusesIsToldInOurWords() {
        String at = "/api/v1/characters/" + character;
        assertTold(client.get("/api/v1/nowhere"), 404, "not-there");
        assertTold(client.get("/error"), 404, "not-there");
        assertTold(client.get("/api/v1/characters?page=2147483647"), 422, "page");
        assertTold(client.get("/api/v1/characters?page=x"), 400, "http-400");
        assertTold(client.get("/api/v1/characters/not-an-id"), 400, "http-400");
        assertTold(client.get(at + "/undo"), 405, "http-405");
        assertTold(client.post(at + "/undo", "{\"base\":1,\"base\":2}"), 400, "unreadable");
        assertTold(
                client.post(at + "/edits", "application/yaml", "base: 1".getBytes(StandardCharsets.UTF_8)),
                415,
                "http-415");
        assertTold(client.post(at + "/edits", "[".repeat(900)), 400, "unreadable");
        assertTold(client.post(at + "/edits", ""), 400, "unreadable");
        assertTold(client.post("/api/v1/characters", "multipart/form-data", new byte[3]), 400, "unreadable");
        assertTold(client.post("/api/v1/characters", "multipart/form-data; boundary=b", new byte[0]), 400, "http-400");
    }

    /** A misspelt or forgotten property would be lost in silence, and with it what somebody meant. */
    @Test
    void whatIsUnknownOrMissingIsNamed() {
        String at = "/api/v1/characters/" + character + "/edits";
        Client.Answer misspelt = client.post(at, "{\"base\":1,\"edit\":{\"kind\":\"rename\",\"nam\":\"A\"}}");
        assertTold(misspelt, 400, "unknown-property");
        assertThat(misspelt.json().get("detail").asText()).contains("'nam'").endsWith("It knows name.");
        assertThat(misspelt.json().get("place").asText()).isEqualTo("edit.nam");
        Client.Answer beside =
                client.post(at, "{\"base\":1,\"basis\":2,\"edit\":{\"kind\":\"rename\",\"name\":\"A\"}}");
        assertTold(beside, 400, "unknown-property");
        Client.Answer missing = client.post(at, "{\"base\":1,\"edit\":{\"kind\":\"keep-kit\",\"name\":\"Storm\"}}");
        assertTold(missing, 400, "unreadable");
        assertThat(missing.json().get("detail").asText()).isEqualTo("Something that belongs here was left out.");
        assertThat(client.get("/api/v1/characters/" + character)
                        .json()
                        .get("revision")
                        .asInt())
                .isEqualTo(1);
    }

    @Test
    void whatIsTooLargeIsRefusedByItsSizeAndWritesNeedAToken() throws Exception {
        String at = "/api/v1/characters/" + character;
        StringBuilder dials = new StringBuilder("{\"pose\":{\"dials\":{");
        for (int i = 0; i < 10_000; i++) {
            dials.append(i == 0 ? "" : ",").append("\"d").append(i).append("\":1");
        }
        dials.append("}}}");
        assertTold(client.post(at + "/pose", dials.toString()), 422, "pose-large");
        assertTold(client.post(at + "/pose", "{\"pose\":\"" + "x".repeat(1 << 20) + "\"}"), 413, "body-large");
        assertTold(
                client.upload(at + "/lines", "sound", "a.wav", new byte[9], Map.of("words", "x".repeat((1 << 20) + 1))),
                413,
                "body-large");
        String head = "POST " + at + "/undo HTTP/1.1\r\nHost: 127.0.0.1:" + port + "\r\nConnection: close\r\n";
        assertThat(raw(head + "Content-Type: application/json\r\nContent-Length: 10\r\n\r\n{\"base\":1}"))
                .startsWith("HTTP/1.1 403")
                .contains("\"code\":\"no-token\"");
        assertThat(raw(head + "Origin: http://elsewhere.example\r\nContent-Length: 0\r\n\r\n"))
                .startsWith("HTTP/1.1 403")
                .contains("\"code\":\"other-origin\"");
        assertThat(raw("GET / HTTP/1.1\r\nHost: elsewhere.example\r\nConnection: close\r\n\r\n"))
                .startsWith("HTTP/1.1 421")
                .contains("\"code\":\"host\"");
        assertThat(raw("GET /%zz HTTP/1.1\r\nHost: 127.0.0.1\r\nConnection: close\r\n\r\n"))
                .startsWith("HTTP/1.1 400")
                .contains("\"code\":\"http-400\"")
                .doesNotContain("<html");
    }

    private String raw(String request) throws IOException {
        try (Socket socket = new Socket("127.0.0.1", port)) {
            socket.setSoTimeout(20_000);
            socket.getOutputStream().write(request.getBytes(StandardCharsets.US_ASCII));
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @Test
    void whoeverAnnouncesMoreThanTheySendIsLeftAndHoldsNobodyUp() throws Exception {
        Socket[] slow = new Socket[300];
        for (int i = 0; i < slow.length; i++) {
            slow[i] = new Socket("127.0.0.1", port);
            slow[i].getOutputStream()
                    .write(
                            ("POST /api/v1/characters HTTP/1.1\r\nHost: 127.0.0.1\r\nCookie: XSRF-TOKEN=x\r\nX-XSRF-TOKEN: x\r\n"
                                            + "Content-Type: "
                                            + (i % 2 == 0 ? "multipart/form-data; boundary=b" : "application/json")
                                            + "\r\nContent-Length: 5000\r\n\r\n-")
                                    .getBytes(StandardCharsets.US_ASCII));
        }
        for (int i = 0; i < 20; i++) {
            long from = System.nanoTime();
            assertThat(client.post("/api/v1/characters/" + character + "/pose", "{\"pose\":{}}")
                            .status())
                    .isEqualTo(200);
            assertThat((System.nanoTime() - from) / 1e9).isLessThan(5);
        }
        slow[0].setSoTimeout(40_000);
        String told = new String(slow[0].getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(told).startsWith("HTTP/1.1 408").contains("\"code\":\"body-slow\"");
        for (Socket s : slow) {
            s.close();
        }
        assertThat(client.upload("/api/v1/characters", "file", "pilchard.svg", DemoFiles.pilchard(), Map.of())
                        .status())
                .isEqualTo(201);
    }
}
