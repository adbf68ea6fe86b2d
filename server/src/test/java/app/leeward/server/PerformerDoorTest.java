package app.leeward.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.performer.SimulatedPerformance;
import app.leeward.core.signal.Signal;
import app.leeward.demo.DemoFiles;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletionException;
import java.util.concurrent.LinkedBlockingQueue;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** The door as a tracker meets it: the JDK's own WebSocket client, knowing nothing of the server's classes. */
@ServerTest
class PerformerDoorTest {
    @LocalServerPort
    int port;

    private String shot;
    private final BlockingQueue<SocketEnd> open = new LinkedBlockingQueue<>();

    @BeforeEach
    void aShot() {
        Client client = new Client(port);
        String character = client.upload("/api/v1/characters", "file", "maren.svg", DemoFiles.maren(), Map.of())
                .json()
                .get("id")
                .asText();
        shot = client.post("/api/v1/characters/" + character + "/shots", "{\"name\":\"Live\",\"frames\":48}")
                .json()
                .get("id")
                .asText();
    }

    @AfterEach
    void hangUp() {
        open.forEach(SocketEnd::abort);
    }

    private SocketEnd connect(String path, String... headers) {
        SocketEnd end = SocketEnd.at(port, path, headers);
        open.add(end);
        return end;
    }

    private SocketEnd page() {
        return connect("/api/v1/performers/" + shot + "/page");
    }

    private SocketEnd performer() {
        SocketEnd end = connect("/api/v1/performers/" + shot);
        assertThat(end.next("welcome").at("/signals/au12/to").asDouble()).isEqualTo(1);
        return end;
    }

    private static String signals(double at, SimulatedPerformance p) {
        ObjectNode out = Client.JSON.createObjectNode().put("kind", "signals").put("at", at);
        ObjectNode signals = out.putObject("signals");
        p.at(at).forEach((s, v) -> signals.put(s.word(), v));
        return out.toString();
    }

    @Test
    void whatAPerformerDoesReachesThePageInItsOrder() {
        SocketEnd page = page();
        SocketEnd performer = performer();
        assertThat(page.next("performer").get("name").asText()).isEqualTo("A performer");
        performer.say("{\"kind\":\"hello\",\"name\":\"Tracker\",\"latency\":38}");
        assertThat(page.next("performer").get("latency").asInt()).isEqualTo(38);
        for (int i = 0; i < 90; i++) {
            performer.say(signals(i / 30.0, SimulatedPerformance.DELIGHT));
        }
        for (int i = 0; i < 90; i++) {
            JsonNode heard = page.next("signals");
            assertThat(heard.get("at").asDouble()).isEqualTo(i / 30.0);
            assertThat(heard.at("/signals/au12").asDouble())
                    .isEqualTo(SimulatedPerformance.DELIGHT.at(i / 30.0).get(Signal.AU12));
        }
        performer.say("{\"kind\":\"lost\",\"reason\":\"two faces\"}");
        assertThat(page.next("lost").get("reason").asText()).isEqualTo("two faces");
        page.say("{\"kind\":\"ping\",\"at\":12.5}");
        assertThat(page.next("pong").get("at").asDouble()).isEqualTo(12.5);
        performer.close();
        assertThat(page.next("gone").get("reason").asText()).isEmpty();
        // a page that comes later hears who is there, and a new performer is let in
        performer();
        assertThat(page().next("performer").get("name").asText()).isEqualTo("A performer");
    }

    @Test
    void aSecondPerformerIsTurnedAwayAndThePageHearsOfIt() {
        SocketEnd page = page();
        SocketEnd first = performer();
        first.say("{\"kind\":\"hello\",\"name\":\"First\"}");
        page.next(m -> m.path("name").asText().equals("First"));
        SocketEnd second = connect("/api/v1/performers/" + shot);
        assertThat(second.next("problem").get("message").asText()).contains("First");
        assertThat(second.next("closed").get("code").asInt()).isEqualTo(4009);
        assertThat(page.next("problem").get("message").asText()).contains("turned away");
        first.say(signals(1, SimulatedPerformance.DOUBT));
        assertThat(page.next("signals").get("at").asDouble())
                .as("the first plays on")
                .isEqualTo(1);
    }

    @Test
    void nonsenseIsToldWithItsPlaceAndWhatIsRightIsTakenAllTheSame() {
        SocketEnd page = page();
        SocketEnd performer = performer();
        performer.say("{\"kind\":\"signals\",\"signals\":{\"au12\":NaN}}");
        assertThat(performer.next("problem").get("message").asText()).contains("no JSON");
        assertThat(page.next("problem").get("message").asText()).contains("cannot be taken");
        performer.say(signals(2, SimulatedPerformance.ANGER));
        assertThat(page.next("signals").get("at").asDouble()).isEqualTo(2);
        for (int i = 0; i < 100; i++) {
            performer.say("rubbish");
        }
        performer.say(signals(3, SimulatedPerformance.ANGER));
        assertThat(performer.isClosed()).isFalse();
    }

    /** A hundred thousand messages at once harm nobody: what is over is left out, one that goes on is turned away. */
    @Test
    void aFloodIsTurnedAwayAndTheNextPerformerIsHeard() {
        SocketEnd page = page();
        SocketEnd performer = performer();
        try {
            for (int i = 0; i < 100_000; i++) {
                performer.say(signals(i, SimulatedPerformance.CALM_TALK));
            }
        } catch (CompletionException closed) {
            // turned away in the middle of it
        }
        assertThat(performer.next("closed").get("code").asInt()).isEqualTo(4029);
        assertThat(page.next("gone").get("reason").asText()).contains("messages a second");
        performer().say(signals(7, SimulatedPerformance.CALM_TALK));
        assertThat(page.next(m ->
                        m.path("at").asDouble() == 7 && m.get("kind").asText().equals("signals")))
                .isNotNull();
    }

    @Test
    void aMessageOfTenMegabytesEndsTheConnectionAndNothingElse() {
        SocketEnd page = page();
        SocketEnd performer = performer();
        try {
            performer.say("{\"kind\":\"hello\",\"name\":\"" + "x".repeat(10_000_000) + "\"}");
        } catch (CompletionException closed) {
            // in the middle of it
        }
        assertThat(page.next("gone").get("reason").asText()).isNotEmpty();
        performer().say(signals(1, SimulatedPerformance.DOUBT));
        assertThat(page.next("signals").get("at").asDouble()).isEqualTo(1);
    }

    @Test
    void nobodyIsLetInToAShotThatIsNotThereNorFromAnotherPage() {
        for (String path : new String[] {"/api/v1/performers/nothing", "/api/v1/performers/" + new UUID(1, 2)}) {
            assertThat(SocketEnd.refused(() -> connect(path))).isEqualTo(404);
        }
        assertThat(SocketEnd.refused(() -> connect("/api/v1/performers/" + shot, "Origin", "http://elsewhere.example")))
                .isEqualTo(403);
    }
}
