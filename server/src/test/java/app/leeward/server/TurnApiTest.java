package app.leeward.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.demo.DemoFiles;
import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** The head turn and dials stop by stop over HTTP: made, recorded, refused in words. */
@ServerTest
class TurnApiTest {
    @LocalServerPort
    int port;

    private Client client;
    private String at;
    private int base = 1;

    @BeforeEach
    void maren() {
        client = new Client(port);
        at = client.maren();
    }

    private Client.Answer edit(String edit) {
        Client.Answer answer = client.post(at + "/edits", "{\"base\":" + base + ",\"edit\":" + edit + "}");
        base += answer.status() == 200 ? 1 : 0;
        return answer;
    }

    private JsonNode turn() {
        Client.Answer answer = client.get(at + "/turn");
        assertThat(answer.status()).isEqualTo(200);
        return answer.json();
    }

    /** Where the turn dial ends. */
    private double turnsTo() {
        for (JsonNode d : client.get(at).json().at("/character/controls/dials")) {
            if (d.get("id").asText().equals("turn")) {
                return d.get("to").asDouble();
            }
        }
        throw new AssertionError("there is no turn");
    }

    /** At its stops the dial's way and the solid's are one, between them nearly. */
    @Test
    void theExactWayComesBesideTheStrip() {
        Client.Answer answer = client.post(at + "/turn/exact", "{\"pose\":{},\"pictures\":7}");
        assertThat(answer.status()).isEqualTo(200);
        JsonNode exact = answer.json();
        assertThat(exact.get("at")).hasSize(7);
        assertThat(exact.get("strays")).hasSize(7).allSatisfy(s -> assertThat(s.asDouble())
                .isBetween(0.0, 0.02));
        assertThat(exact.at("/strays/3").asDouble()).isZero();
    }

    @Test
    void rootsWeldsAndTheReachAreSaidByHand() {
        assertThat(edit("{\"kind\":\"set-solid\",\"part\":\"fringe\",\"solid\":null,\"forward\":0,"
                                + "\"root\":null,\"weld\":{\"to\":\"ear-left\"}}")
                        .status())
                .isEqualTo(422);
        assertThat(edit("{\"kind\":\"set-solid\",\"part\":\"fringe\",\"solid\":null,\"forward\":0,"
                                + "\"root\":null,\"weld\":{\"to\":null}}")
                        .status())
                .isEqualTo(200);
        assertThat(turn().get("pieces"))
                .filteredOn(p -> p.get("part").asText().equals("fringe"))
                .singleElement()
                .satisfies(p -> assertThat(p.get("welded")).isEmpty());
        assertThat(edit("{\"kind\":\"make-turn\",\"shape\":null,\"reach\":50}").status())
                .isEqualTo(200);
        assertThat(turnsTo()).isEqualTo(50);
        assertThat(edit("{\"kind\":\"make-turn\",\"shape\":null,\"reach\":80}").status())
                .isEqualTo(400);
    }

    private JsonNode dial(String id) {
        return client.post(at + "/dials/" + id, "{}").json();
    }

    @Test
    void theStripTheSolidsAndWhatIsOfferedComeInOneAnswer() {
        JsonNode t = turn();
        assertThat(t.get("made").asBoolean()).isTrue();
        assertThat(t.at("/shape/0/roundness").asDouble()).isEqualTo(2.5);
        assertThat(t.at("/angle/scale").asDouble()).isEqualTo(1);
        assertThat(t.at("/angle/drawn").asDouble()).isZero();
        assertThat(t.at("/bears/degrees").asDouble()).isBetween(40.0, 60.0);
        assertThat(t.get("notes")).isEmpty();
        assertThat(t.get("drawnAngle").isNull()).isTrue();
        assertThat(t.get("side")).hasSizeGreaterThan(20);
        assertThat(t.get("pieces")).anySatisfy(p -> {
            assertThat(p.get("part").asText()).isEqualTo("back-hair");
            assertThat(p.get("kind").asText()).isEqualTo("SHELL");
            assertThat(p.get("guessed").asText()).isEqualTo("SHELL");
        });
        assertThat(t.get("pieces"))
                .filteredOn(p -> p.get("part").asText().equals("pupil-left"))
                .extracting(p -> p.get("alongWith").asText())
                .containsExactly("eye-left");
        assertThat(turnsTo()).isEqualTo(45);
        assertThat(t.get("measured")).hasSize(9).allSatisfy(m -> assertThat(
                        m.get("message").asText())
                .as("Maren has hair all round")
                .isEmpty());
        assertThat(t.get("uneven")).as("both halves are alike").isEmpty();
        assertThat(t.get("offered")).extracting(o -> o.get("dial").asText()).contains("NOD", "TILT", "HAIR_DRAG");
    }

    @Test
    void handsAreMeasuredBroughtOntoTheWristAndRefusedInWords() {
        JsonNode hands = client.get(at + "/hands").json().get("hands");
        assertThat(hands).hasSize(2);
        assertThat(hands.get(0).get("arm").asText()).isEqualTo("forearm-left");
        assertThat(hands.get(0).get("drawings"))
                .hasSize(8)
                .allSatisfy(d -> assertThat(d.get("message").asText()).isEmpty());
        assertThat(edit("{\"kind\":\"register-hand\",\"part\":\"hand-left\",\"drawing\":\"\",\"keepSize\":false}")
                        .status())
                .isEqualTo(200);
        assertThat(client.get(at + "/hands").json().at("/hands/0/drawings"))
                .allSatisfy(d -> assertThat(d.get("off").asDouble()).isLessThan(1e-6));
        Client.Answer gone = edit(
                "{\"kind\":\"set-wrist\",\"part\":\"hand-left\",\"drawing\":\"gone\",\"first\":[0,0],\"second\":[1,1]}");
        assertThat(gone.status()).isEqualTo(422);
        assertThat(edit("{\"kind\":\"set-wrist\",\"part\":\"hand-left\",\"drawing\":\"fist\",\"first\":[3,3]}")
                        .status())
                .as("half a wrist")
                .isBetween(400, 422);
        assertThat(edit("{\"kind\":\"set-key\",\"part\":\"cap\",\"drawing\":\"nothing\",\"key\":\"c\"}")
                        .status())
                .isEqualTo(200);
    }

    @Test
    void viewsAreMeasuredMendedAndRefusedInWords() {
        String drawn = new String(DemoFiles.wick(), StandardCharsets.UTF_8)
                .replace("<g id=\"side view\">", "<g id=\"side view\" transform=\"translate(9 -6)\">");
        at = "/api/v1/characters/"
                + client.upload(
                                "/api/v1/characters",
                                "file",
                                "wick.svg",
                                drawn.getBytes(StandardCharsets.UTF_8),
                                Map.of())
                        .json()
                        .get("id")
                        .asText();
        JsonNode t = turn();
        assertThat(t.get("shape")).isEmpty();
        assertThat(t.get("edges")).hasSize(4);
        assertThat(t.at("/edges/3/jumps/NECK").asDouble()).isBetween(10.5, 11.0);
        assertThat(t.at("/edges/3/mends").asText()).isEqualTo("side-view");
        assertThat(t.at("/edges/1/mends").isMissingNode()
                        || t.at("/edges/1/mends").isNull())
                .isTrue();
        assertThat(edit("{\"kind\":\"register-views\",\"view\":\"side-view\"}").status())
                .isEqualTo(200);
        assertThat(turn().get("edges"))
                .allSatisfy(e -> assertThat(e.get("message").asText()).isEmpty());
        Client.Answer far = edit("{\"kind\":\"move-view-edge\",\"after\":2,\"at\":400}");
        assertThat(far.status()).isEqualTo(422);
        assertThat(far.json().get("detail").asText()).contains("no room");
        assertThat(edit("{\"kind\":\"make-turn\"}").status()).isEqualTo(422);
    }

    @Test
    void whatIsRecordedIsToldForgottenAndKeptWhenTheTurnIsMadeAnew() {
        assertThat(
                        edit("{\"kind\":\"record\",\"dial\":\"turn\",\"at\":45,\"pose\":{\"kind\":\"nudge\",\"part\":\"nose\",\"dx\":5,\"dy\":0}}")
                                .status())
                .isEqualTo(200);
        assertThat(turn().get("byHand").asInt()).isEqualTo(1);
        assertThat(turn().at("/uneven/0/part").asText()).isEqualTo("nose");
        assertThat(turn().at("/uneven/0/by").asDouble()).isBetween(4.9, 5.1);
        Client.Answer again = edit("{\"kind\":\"make-turn\",\"shape\":{\"front\":0.9,\"back\":1,\"chin\":0.5,"
                + "\"nape\":0,\"roundness\":2.5,\"muzzle\":0.5,\"pivot\":0.1}}");
        assertThat(again.status()).isEqualTo(200);
        assertThat(client.get(at + "/history").json().at("/steps/0/message").asText())
                .isEqualTo("Rebuilt the head turn, keeping 1 thing shaped by hand");
        assertThat(dial("turn").get("changes"))
                .filteredOn(c -> c.get("part").asText().equals("nose")
                        && c.get("at").asDouble() == 45
                        && c.get("aspect").asText().equals("PLACE"))
                .hasSize(1);
        edit("{\"kind\":\"forget\",\"dial\":\"turn\",\"at\":45,\"part\":\"nose\",\"aspect\":\"PLACE\"}");
        assertThat(dial("turn").get("changes"))
                .noneMatch(c -> c.get("part").asText().equals("nose")
                        && c.get("at").asDouble() == 45
                        && c.get("aspect").asText().equals("PLACE"));
    }

    @Test
    void aDroppedTurnIsMadeInOneStepAndTravelIsSaidOrLeftToTheDial() {
        edit("{\"kind\":\"drop-dial\",\"dial\":\"turn\"}");
        assertThat(turn().get("made").asBoolean()).isFalse();
        assertThat(edit("{\"kind\":\"make-turn\"}").status()).isEqualTo(200);
        assertThat(turn().get("made").asBoolean()).isTrue();
        assertThat(turn().get("byHand").asInt()).isZero();
        assertThat(edit("{\"kind\":\"travel-by\",\"dial\":\"turn\",\"travel\":\"STRAIGHT\"}")
                        .status())
                .isEqualTo(200);
        assertThat(edit("{\"kind\":\"travel-by\",\"dial\":\"turn\"}").status()).isEqualTo(200);
        assertThat(edit("{\"kind\":\"travel-by\",\"dial\":\"turn\",\"travel\":\"FLY\"}")
                        .status())
                .isEqualTo(400);
    }

    @Test
    void nonsenseIsRefusedInWords() {
        assertThat(client.post(at + "/dials/gone", "{}").status()).isEqualTo(404);
        for (String bad : new String[] {
            "{\"kind\":\"new-dial\",\"name\":\"X\",\"from\":1,\"to\":1,\"rest\":1,\"unit\":\"\"}",
            "{\"kind\":\"new-dial\",\"name\":\"X\",\"from\":0,\"to\":1,\"rest\":5,\"unit\":\"\"}",
            "{\"kind\":\"ease-stop\",\"dial\":\"turn\",\"at\":11,\"ease\":{\"kind\":\"smooth\"}}",
            "{\"kind\":\"ease-stop\",\"dial\":\"turn\",\"at\":45,\"ease\":{\"kind\":\"curve\",\"x1\":7,\"y1\":0,\"x2\":0,\"y2\":0}}",
            "{\"kind\":\"ease-stop\",\"dial\":\"turn\",\"at\":45}",
            "{\"kind\":\"follow-dial\",\"dial\":\"turn\",\"follow\":{\"leader\":\"turn\",\"below\":0,\"above\":1,\"later\":0}}",
            "{\"kind\":\"follow-dial\",\"dial\":\"turn\",\"follow\":{\"leader\":\"blink\",\"below\":0,\"above\":1,\"later\":99}}",
            "{\"kind\":\"follow-dial\",\"dial\":\"turn\"}",
            "{\"kind\":\"record\",\"dial\":\"turn\",\"at\":45,\"pose\":{\"kind\":\"rename\",\"name\":\"A\"}}",
            "{\"kind\":\"record\",\"dial\":\"turn\",\"at\":45,\"pose\":{\"kind\":\"nudge\",\"part\":\"gone\",\"dx\":1,\"dy\":1}}",
            "{\"kind\":\"record\",\"dial\":\"turn\",\"at\":45}",
            "{\"kind\":\"record-corner\",\"a\":\"turn\",\"atA\":45,\"b\":\"gone\",\"atB\":1,\"pose\":{\"kind\":\"nudge\",\"part\":\"nose\",\"dx\":1,\"dy\":1}}",
            "{\"kind\":\"pull-point\",\"dial\":\"turn\",\"at\":45,\"part\":\"nose\",\"drawing\":\"gone\",\"shape\":0,\"segment\":0,\"hold\":\"POINT\",\"dx\":1,\"dy\":1,\"mirrored\":false}",
            "{\"kind\":\"make-turn\",\"shape\":{\"front\":9,\"back\":1,\"chin\":0.5,\"nape\":0,\"roundness\":2,\"muzzle\":0,\"pivot\":0}}",
            "{\"kind\":\"make-turn\",\"shape\":{\"front\":1,\"back\":1,\"chin\":-0.4,\"nape\":0,\"roundness\":2,\"muzzle\":0,\"pivot\":0}}",
            "{\"kind\":\"set-solid\",\"part\":\"gone\",\"solid\":\"MASS\",\"forward\":0}",
            "{\"kind\":\"set-solid\",\"part\":\"hand-left\",\"solid\":\"MASS\",\"forward\":0}",
            "{\"kind\":\"set-solid\",\"part\":\"nose\",\"solid\":\"BLOB\",\"forward\":0}",
            "{\"kind\":\"set-solid\",\"part\":\"nose\",\"solid\":\"MASS\",\"forward\":7}",
            "{\"kind\":\"make-head-dial\"}"
        }) {
            Client.Answer answer = edit(bad);
            assertThat(answer.status()).as(bad).isBetween(400, 422);
            assertThat(answer.json().get("detail").asText()).as(bad).isNotBlank();
            assertThat(answer.code()).as(bad).isNotBlank();
        }
        assertThat(client.get(at).json().get("revision").asInt()).isEqualTo(1);
    }

    /** A head from the side is told so before anybody asks for its turn. */
    @Test
    void whyAHeadCannotTurnIsToldBeforeItIsAskedFor() {
        String svg = "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 1000 1000'>"
                + "<g id='head'><rect x='300' y='300' width='400' height='400' fill='#e8b898'/></g>"
                + "<g id='eye-white'><rect x='380' y='420' width='60' height='40' fill='#ffffff'/></g>"
                + "<g id='nose'><rect x='290' y='460' width='40' height='40' fill='#d09070'/></g>"
                + "<g id='mouth'><rect x='320' y='580' width='140' height='10' fill='#702030'/></g></svg>";
        Client.Answer there =
                client.upload("/api/v1/characters", "file", "side.svg", svg.getBytes(StandardCharsets.UTF_8), Map.of());
        String side = "/api/v1/characters/" + there.json().get("id").asText();
        JsonNode turn = client.get(side + "/turn").json();
        assertThat(turn.get("made").asBoolean()).isFalse();
        assertThat(turn.get("refused").asText()).contains("side");
        Client.Answer made = client.post(
                side + "/edits", "{\"base\":1,\"edit\":{\"kind\":\"make-turn\",\"shape\":null,\"reach\":null}}");
        assertThat(made.status()).isEqualTo(422);
        assertThat(made.json().get("detail").asText())
                .isEqualTo(turn.get("refused").asText());
        assertThat(turn().get("refused").isNull()).isTrue();
    }
}
