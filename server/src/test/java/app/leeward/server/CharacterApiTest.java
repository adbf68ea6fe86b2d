package app.leeward.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.demo.DemoFiles;
import com.fasterxml.jackson.databind.JsonNode;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

@ServerTest
class CharacterApiTest {
    @LocalServerPort
    int port;

    private Client client;
    private String id;

    @BeforeEach
    void maren() {
        client = new Client(port);
        Client.Answer made = client.upload("/api/v1/characters", "file", "maren.svg", DemoFiles.maren(), Map.of());
        assertThat(made.status()).isEqualTo(201);
        id = made.json().get("id").asText();
    }

    private String at(String rest) {
        return "/api/v1/characters/" + id + rest;
    }

    private Client.Answer edit(int base, String edit) {
        return client.post(at("/edits"), "{\"base\":" + base + ",\"edit\":" + edit + "}");
    }

    private JsonNode character() {
        return client.get(at("")).json();
    }

    private static String nudge(String part, int dx) {
        return "{\"kind\":\"nudge\",\"part\":\"" + part + "\",\"dx\":" + dx + ",\"dy\":0}";
    }

    private double x(String part) {
        for (JsonNode p : character().at("/character/rig/parts")) {
            if (p.get("id").asText().equals(part)) {
                return p.at("/rest/x").asDouble();
            }
        }
        throw new AssertionError(part);
    }

    @Test
    void editsUndoAndRedoAreRevisionsAndNothingIsLost() {
        JsonNode begun = character();
        assertThat(edit(1, nudge("nose", 4)).status()).isEqualTo(200);
        assertThat(edit(2, "{\"kind\":\"rename\",\"name\":\"Ada\"}")
                        .json()
                        .at("/character/name")
                        .asText())
                .isEqualTo("Ada");
        assertThat(client.post(at("/undo"), "{\"base\":3}")
                        .json()
                        .at("/character/name")
                        .asText())
                .isEqualTo("Maren Quill");
        assertThat(x("nose")).isEqualTo(4);
        JsonNode undone = client.post(at("/undo"), "{\"base\":4}").json();
        assertThat(undone.get("character")).as("edit then undo is identity").isEqualTo(begun.get("character"));
        assertThat(undone.get("undo").isNull()).isTrue();
        assertThat(undone.at("/redo/message").asText()).isNotBlank();
        assertThat(client.post(at("/undo"), "{\"base\":5}").code()).isEqualTo("nothing-to-undo");
        client.post(at("/redo"), "{\"base\":5}");
        JsonNode again = client.post(at("/redo"), "{\"base\":6}").json();
        assertThat(again.at("/character/name").asText()).isEqualTo("Ada");
        assertThat(again.get("redo").isNull()).isTrue();
        List<String> message = new ArrayList<>();
        client.get(at("/history"))
                .json()
                .get("steps")
                .forEach(s -> message.add(s.get("message").asText()));
        assertThat(message)
                .containsExactly(
                        "Did again: Renamed the character from Maren Quill to Ada",
                        "Did again: Moved nose 4 to the right",
                        "Undid: Moved nose 4 to the right",
                        "Undid: Renamed the character from Maren Quill to Ada",
                        "Renamed the character from Maren Quill to Ada",
                        "Moved nose 4 to the right",
                        "Read 44 parts from maren.svg");
    }

    @Test
    void anEditAfterAnUndoEndsTheRedo() {
        edit(1, nudge("nose", 4));
        client.post(at("/undo"), "{\"base\":2}");
        assertThat(edit(3, nudge("mouth", 2)).json().get("redo").isNull()).isTrue();
        assertThat(client.post(at("/redo"), "{\"base\":4}").code()).isEqualTo("nothing-to-redo");
    }

    @Test
    void independentEditsFromTwoWindowsAreBothKeptAndOthersAreToldApart() {
        edit(1, nudge("nose", 4));
        assertThat(edit(1, nudge("mouth", 2)).status()).as("another part").isEqualTo(200);
        Client.Answer clash = edit(1, nudge("nose", 9));
        assertThat(clash.status()).isEqualTo(409);
        assertThat(clash.code()).isEqualTo("stale");
        assertThat(clash.json().get("since").toString()).contains("Moved nose 4 to the right");
        assertThat(x("nose")).isEqualTo(4);
        assertThat(x("mouth")).isEqualTo(2);
        assertThat(client.post(at("/undo"), "{\"base\":1}").status())
                .as("undo of something unseen")
                .isEqualTo(409);
    }

    @Test
    void manyHandsAtOnceLoseNothing() throws Exception {
        String[] parts = {"nose", "mouth", "cap", "fringe", "brow-left", "brow-right", "ear-left", "ear-right"};
        var pool = Executors.newFixedThreadPool(8);
        try {
            List<Future<Integer>> answers = new ArrayList<>();
            for (int round = 0; round < 3; round++) {
                for (String part : parts) {
                    answers.add(
                            pool.submit(() -> edit(character().get("revision").asInt(), nudge(part, 1))
                                    .status()));
                }
            }
            int accepted = 0;
            for (Future<Integer> a : answers) {
                assertThat(a.get()).isIn(200, 409);
                accepted += a.get() == 200 ? 1 : 0;
            }
            double moved = 0;
            for (String part : parts) {
                moved += x(part);
            }
            assertThat(moved)
                    .as("every accepted edit shows, no refused one does")
                    .isEqualTo(accepted);
            assertThat(character().get("revision").asInt()).isEqualTo(1 + accepted);
        } finally {
            pool.shutdownNow();
        }
    }

    @Test
    void posesAndReasonsTellTheSameStory() {
        JsonNode frame = client.post(at("/pose"), "{\"pose\":{\"dials\":{\"turn\":45}}}")
                .json()
                .at("/frame/placed");
        assertThat(frame).isNotEmpty();
        JsonNode why = client.post(at("/why"), "{\"pose\":{\"dials\":{\"turn\":45}},\"part\":\"nose\"}")
                .json();
        assertThat(why.at("/reasons/0/heard/0/message").asText())
                .isEqualTo("Turn at 45° asks for profile to screen right");
        assertThat(why.at("/reasons/0/overruled/0/kind").asText()).isEqualTo("REST");
    }

    @Test
    void thePictureComesAsSvgAndPng() throws Exception {
        Client.Answer svg = client.post(at("/picture"), "{\"pose\":{},\"format\":\"svg\"}");
        assertThat(svg.type()).startsWith("image/svg+xml");
        assertThat(new String(svg.body(), StandardCharsets.UTF_8))
                .contains("<clipPath")
                .contains("</svg>");
        Client.Answer png = client.post(at("/picture"), "{\"pose\":{},\"format\":\"png\",\"width\":300}");
        assertThat(png.status())
                .as(new String(png.body(), StandardCharsets.ISO_8859_1))
                .isEqualTo(200);
        var image = ImageIO.read(new ByteArrayInputStream(png.body()));
        assertThat(image.getWidth()).isEqualTo(300);
        assertThat(image.getRGB(150, 200) & 0xFF000000).as("the face is opaque").isEqualTo(0xFF000000);
        assertThat(image.getRGB(2, 2) >>> 24).as("the ground is clear").isZero();
        assertThat(client.post(at("/picture"), "{\"format\":\"png\",\"width\":99999}")
                        .code())
                .isEqualTo("picture-size");
    }

    @Test
    void badArtIsRefusedInWordsAndLeavesNothingBehind() {
        long before =
                client.get("/api/v1/characters?size=1").json().get("total").asLong();
        Map<String, String> bad = Map.of(
                "svg-not", "this is a shopping list",
                "svg-external", "<svg><image href='http://example.org/x.png'/></svg>",
                "svg-entities", "<!DOCTYPE svg [<!ENTITY a 'b'>]><svg><title>&a;</title></svg>",
                "svg-deep", "<svg>" + "<g>".repeat(10_000) + "</g>".repeat(10_000) + "</svg>",
                "art-empty", "<svg viewBox='0 0 9 9'/>",
                "no-face", "<svg viewBox='0 0 9 9'><g id='roof'><rect width='4' height='4'/></g></svg>");
        bad.forEach((code, text) -> {
            Client.Answer a = client.upload(
                    "/api/v1/characters", "file", "x.svg", text.getBytes(StandardCharsets.UTF_8), Map.of());
            assertThat(a.status()).as(code).isEqualTo(422);
            assertThat(a.type()).startsWith("application/problem+json");
            assertThat(a.code()).isEqualTo(code);
            assertThat(a.json().get("detail").asText()).hasSizeGreaterThan(15);
            assertThat(a.json().get("place").asText()).isNotBlank();
        });
        assertThat(client.get("/api/v1/characters?size=1").json().get("total").asLong())
                .isEqualTo(before);
    }

    @Test
    void nonsenseGetsAProblemAndNeverAFault() {
        String nobody = "/api/v1/characters/00000000-0000-0000-0000-000000000000";
        assertThat(client.get(nobody).code()).isEqualTo("not-there");
        assertThat(client.get("/api/v1/characters/oops").status()).isEqualTo(400);
        assertThat(client.post(at("/edits"), "{oops").code()).isEqualTo("unreadable");
        assertThat(client.post(at("/edits"), "{}").code()).isEqualTo("missing");
        assertThat(edit(1, "{\"kind\":\"explode\"}").status()).isEqualTo(400);
        assertThat(edit(1, "{\"kind\":\"rename\",\"name\":\"\"}").code()).isEqualTo("no-name");
        assertThat(edit(1, "{\"kind\":\"show\",\"part\":\"nose\",\"drawing\":\"trunk\"}")
                        .code())
                .isEqualTo("no-drawing");
        for (String half : new String[] {
            "{\"kind\":\"rename\"}",
            "{\"kind\":\"rename-part\",\"name\":\"x\"}",
            "{\"kind\":\"nudge\",\"dx\":1,\"dy\":0}",
            "{\"kind\":\"show\",\"part\":\"nose\"}",
            "{\"kind\":\"serve-sound\",\"drawing\":\"ah\"}",
            "{\"kind\":\"pronounce\",\"phones\":[\"M\"]}",
            "{\"kind\":\"set-dial\"}",
            "{\"kind\":\"place\",\"part\":\"nose\"}",
            "{\"kind\":\"move-pivot\",\"part\":\"nose\"}",
            "{\"kind\":\"move-pivot\",\"part\":\"nose\",\"to\":[1]}",
            "{\"kind\":\"hang\"}",
            "{\"kind\":\"hang\",\"parts\":[null]}",
            "{\"kind\":\"stack\",\"above\":\"nose\"}",
            "{\"kind\":\"fit\",\"scale\":1,\"dx\":0,\"dy\":0}",
            "{\"kind\":\"read-as\",\"offers\":[{\"part\":\"nose\"}]}",
            "{\"kind\":\"set-sides\",\"sides\":{\"nose\":null}}",
            "{\"kind\":\"merge-colours\"}",
            "{\"kind\":\"move-point\",\"part\":\"nose\",\"drawing\":\"front\",\"shape\":0,\"at\":0}"
        }) {
            assertThat(edit(1, half).status()).as(half).isEqualTo(400);
        }
        assertThat(edit(99, nudge("nose", 1)).code()).isEqualTo("no-revision");
        assertThat(client.post(at("/why"), "{\"part\":\"tail\"}").code()).isEqualTo("not-there");
        assertThat(client.post(at("/pose"), "{\"pose\":{\"dials\":{\"turn\":1e999}}}")
                        .code())
                .isEqualTo("no-number");
        assertThat(client.get("/api/v1/nowhere").status()).isEqualTo(404);
    }

    @Test
    void anyRevisionIsLookedAtNamedReturnedToAndThatIsUndone() {
        edit(1, nudge("nose", 4));
        edit(2, nudge("nose", 6));
        assertThat(client.get(at("?revision=2")).json().get("revision").asInt()).isEqualTo(2);
        assertThat(client.post(at("/milestones"), "{\"number\":2,\"name\":\"agreed\"}")
                        .status())
                .isEqualTo(204);
        JsonNode back = client.post(at("/return"), "{\"base\":3,\"to\":2}").json();
        assertThat(back.get("revision").asInt()).isEqualTo(4);
        assertThat(x("nose")).isEqualTo(4);
        JsonNode steps = client.get(at("/history")).json().get("steps");
        assertThat(steps.get(0).get("message").asText()).startsWith("Returned to “agreed”");
        assertThat(steps.get(2).get("milestone").asText()).isEqualTo("agreed");
        client.post(at("/undo"), "{\"base\":4}");
        assertThat(x("nose")).isEqualTo(10);
        assertThat(client.post(at("/return"), "{\"base\":5,\"to\":77}").code()).isEqualTo("not-there");
        assertThat(client.post(at("/return"), "{\"base\":1,\"to\":1}").code()).isEqualTo("stale");
        assertThat(client.post(at("/milestones"), "{\"number\":99,\"name\":\"x\"}")
                        .code())
                .isEqualTo("not-there");
    }

    @Test
    void aNewVersionOfTheArtIsHeldAgainstTheOldAndTakenAsOneEdit() {
        String next = new String(DemoFiles.maren(), StandardCharsets.UTF_8)
                .replace("<g id=\"brow left\"", "<g id=\"brow left\" transform=\"translate(0 -10)\"")
                .replaceFirst("<g id=\"cheek left\">[\\s\\S]*?</g>", "")
                .replace(
                        "<g id=\"nose\"",
                        "<g id=\"satchel\"><path d=\"M400 700h200v40h-200z\" fill=\"#cc3344\"/></g><g id=\"nose\"");
        byte[] file = next.getBytes(StandardCharsets.UTF_8);
        edit(1, nudge("nose", 4));
        JsonNode before = character();
        Client.Answer held = client.upload(at("/versions"), "file", "maren-2.svg", file, Map.of());
        assertThat(held.status()).isEqualTo(200);
        assertThat(character()).as("looking changes nothing").isEqualTo(before);
        Map<String, String> told = new java.util.LinkedHashMap<>();
        List<String> keys = new ArrayList<>();
        held.json().get("changes").forEach(c -> {
            if (!c.get("kind").asText().equals("SAME")) {
                told.put(
                        c.get("name").asText(),
                        c.get("kind").asText() + " " + c.get("message").asText());
                keys.add(c.get("key").asText());
            }
        });
        assertThat(told)
                .containsOnly(
                        Map.entry("left brow", "CHANGED moved 10 up"),
                        Map.entry("satchel", "NEW new"),
                        Map.entry("left cheek", "MISSING not in the new version"));

        Map<String, String> asked = Map.of("base", "2", "keys", String.join(",", keys));
        JsonNode taken = client.upload(at("/versions/taken"), "file", "maren-2.svg", file, asked)
                .json();
        List<String> parts = new ArrayList<>();
        taken.at("/character/rig/parts").forEach(p -> parts.add(p.get("name").asText()));
        assertThat(parts).contains("satchel").doesNotContain("left cheek");
        assertThat(x("nose")).as("what was placed stays placed").isEqualTo(4);
        assertThat(client.upload(at("/versions"), "file", "maren-2.svg", file, Map.of())
                        .json()
                        .get("changes"))
                .allMatch(c -> c.get("kind").asText().equals("SAME"));
        JsonNode undone = client.post(at("/undo"), "{\"base\":3}").json();
        assertThat(undone.get("character")).isEqualTo(before.get("character"));

        // what cannot be used is refused by name
        assertThat(client.upload(at("/versions"), "file", "x.svg", "no drawing".getBytes(), Map.of())
                        .status())
                .isEqualTo(422);
        assertThat(client.upload(
                                at("/versions/taken"),
                                "file",
                                "maren-2.svg",
                                file,
                                Map.of("base", "4", "keys", "beard/1"))
                        .code())
                .isEqualTo("no-change");
        assertThat(client.upload(at("/versions/taken"), "file", "maren-2.svg", file, asked)
                        .code())
                .isEqualTo("stale");
    }

    @Test
    void aDraftIsShownAndNotMade() {
        String draft = "{\"pose\":{},\"joints\":true,\"draft\":" + nudge("nose", 40) + "}";
        JsonNode shown = client.post(at("/pose"), draft).json();
        for (JsonNode p : shown.at("/frame/placed")) {
            if (p.get("part").asText().equals("nose")) {
                assertThat(p.get("matrix").get(4).asDouble()).isEqualTo(40);
            }
        }
        assertThat(shown.get("joints")).hasSize(44);
        assertThat(shown.get("redrawn")).isEmpty();
        JsonNode redrawn = client.post(
                        at("/pose"),
                        "{\"pose\":{},\"draft\":{\"kind\":\"recolour\",\"from\":\"#f6c9a4\",\"to\":\"#112233\"}}")
                .json()
                .get("redrawn");
        assertThat(redrawn).hasSizeGreaterThan(2);
        assertThat(redrawn.toString()).contains("#112233").doesNotContain("#f6c9a4");
        assertThat(character().get("revision").asInt()).isEqualTo(1);
        assertThat(x("nose")).isZero();
        assertThat(client.post(at("/pose"), "{\"pose\":{},\"draft\":{\"kind\":\"mirror-side\",\"part\":\"nose\"}}")
                        .code())
                .isEqualTo("no-side");
    }

    @Test
    void looksAndWorstCasesAreToldAndBadOnesAreRefused() {
        assertThat(edit(1, "{\"kind\":\"make-brows\"}").status()).isEqualTo(200);
        assertThat(edit(2, "{\"kind\":\"make-looks\"}").status()).isEqualTo(200);
        assertThat(edit(3, "{\"kind\":\"make-cues\"}").status()).isEqualTo(200);
        JsonNode looks = client.get(at("/looks")).json();
        assertThat(looks.get("looks")).hasSize(6);
        JsonNode bent = client.post(at("/pose"), "{\"pose\":{\"looks\":{\"look-anger\":1}}}")
                .json();
        JsonNode plain = client.post(at("/pose"), "{\"pose\":{}}").json();
        int outlines = 0;
        for (JsonNode placed : bent.at("/frame/placed")) {
            outlines += placed.has("outlines") ? 1 : 0;
        }
        assertThat(outlines).as("both brows are bent by an angry look").isEqualTo(2);
        for (JsonNode placed : plain.at("/frame/placed")) {
            assertThat(placed.has("outlines")).isFalse();
        }
        JsonNode brows = client.post(at("/brows"), "{\"pose\":{\"looks\":{\"look-anger\":1}}}")
                .json()
                .get("brows");
        assertThat(brows).hasSize(2);
        double inner = brows.get(1).at("/inner/1").asDouble();
        assertThat(inner)
                .as("angry: the inner end is the lowest")
                .isGreaterThan(brows.get(1).at("/outer/1").asDouble());
        assertThat(client.post(at("/worst"), "{}").json().get("cases")).isNotEmpty();

        assertThat(client.post(at("/pose"), "{\"pose\":{\"looks\":{\"gone\":1}}}")
                        .status())
                .as("a look that was deleted is skipped")
                .isEqualTo(200);
        assertThat(client.post(at("/pose"), "{\"pose\":{\"looks\":{\"look-anger\":1e999}}}")
                        .code())
                .isEqualTo("no-number");
        assertThat(edit(4, "{\"kind\":\"keep-look\",\"name\":\"\",\"dials\":{\"turn\":3},\"keep\":[\"turn\"]}")
                        .code())
                .isIn("no-name", "missing");
        assertThat(edit(4, "{\"kind\":\"set-cue\",\"cue\":{\"id\":\"q\",\"name\":\"Q\",\"tracks\":{\"turn\":[]}}}")
                        .status())
                .isEqualTo(400);
        assertThat(edit(4, "{\"kind\":\"split-dial\",\"dials\":[\"turn\"]}").code())
                .isEqualTo("no-sides");
        assertThat(edit(4, "{\"kind\":\"rest-lids\",\"upper\":4,\"lower\":0}").code())
                .isEqualTo("lid-height");
        assertThat(character().get("revision").asInt())
                .as("nothing refused was kept")
                .isEqualTo(4);
    }

    @Test
    void aHandThatBendsIsAskedForByItsAngle() {
        String hand = at("/hands/hand-left/bent?by=");
        assertThat(client.get(hand + "20").json().get("drawings"))
                .as("as one piece")
                .isEmpty();
        edit(1, "{\"kind\":\"bend-wrist\",\"part\":\"hand-left\",\"reach\":0.5}");
        JsonNode still = client.get(hand + "0").json().get("drawings");
        JsonNode bent = client.get(hand + "20").json().get("drawings");
        assertThat(still).hasSize(8);
        assertThat(bent.at("/fist/outlines")).isNotEqualTo(still.at("/fist/outlines"));
        assertThat(bent.at("/fist/weights")).isEqualTo(still.at("/fist/weights"));
        assertThat(client.get(hand + "500").status()).isEqualTo(422);
        assertThat(client.get(hand + "NaN").status()).isEqualTo(422);
        assertThat(client.get(at("/hands/gone/bent?by=1")).status()).isEqualTo(404);
    }

    @Test
    void aCharacterThatIsPutAwayIsBroughtBackAsItWas() {
        String at = client.maren();
        String id = at.replaceAll("^.*/", "");
        client.post(at + "/edits", "{\"base\":1,\"edit\":{\"kind\":\"rename\",\"name\":\"Away\"}}");
        JsonNode before = client.get(at).json();
        assertThat(client.post(at + "/put-away", "{}").status()).isEqualTo(204);
        assertThat(client.post(at + "/put-away", "{}").status())
                .as("a second time")
                .isEqualTo(204);
        assertThat(ids("?size=200")).doesNotContain(id);
        assertThat(ids("?size=200&away=true")).startsWith(id);
        assertThat(client.post(at + "/bring-back", "{}").status()).isEqualTo(204);
        assertThat(ids("?size=200&away=true")).doesNotContain(id);
        assertThat(client.get(at).json()).isEqualTo(before);
        assertThat(client.post("/api/v1/characters/" + java.util.UUID.randomUUID() + "/put-away", "{}")
                        .status())
                .isEqualTo(404);
    }

    private java.util.List<String> ids(String query) {
        java.util.List<String> all = new java.util.ArrayList<>();
        client.get("/api/v1/characters" + query)
                .json()
                .get("items")
                .forEach(i -> all.add(i.get("id").asText()));
        return all;
    }
}
