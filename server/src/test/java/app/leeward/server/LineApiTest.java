package app.leeward.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.demo.DemoFiles;
import app.leeward.speech.Sound;
import app.leeward.speech.WavFile;
import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

@ServerTest
class LineApiTest {
    private static final DemoFiles.Line LINE = DemoFiles.lines().get(0);

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

    private Client.Answer record(byte[] wav, String words) {
        return client.read(client.upload(
                "/api/v1/characters/" + character + "/lines", "sound", "line.wav", wav, Map.of("words", words)));
    }

    private static String drawingAt(JsonNode line, int frame) {
        return line.get("drawings").get(frame).asText();
    }

    @Test
    void aRecordingGetsItsMouths() {
        Client.Answer made = record(LINE.wav(), LINE.words());
        assertThat(made.status()).isEqualTo(200);
        JsonNode line = made.json();
        assertThat(line.get("fits").asBoolean()).isTrue();
        assertThat(line.get("doubtful").get(0)).isEmpty();
        assertThat(line.get("notShown")).isEmpty();
        assertThat(line.get("frames").asInt()).isEqualTo(100);
        for (JsonNode p : line.at("/shot/lines/0/line/phones")) {
            String wanted =
                    switch (p.get("phone").asText()) {
                        case "P", "B", "M" -> "m-b-p";
                        case "F", "V" -> "f-v";
                        default -> null;
                    };
            if (wanted != null) {
                int from = (int) Math.floor(p.get("start").asDouble() * 24 - 1);
                int to = (int) Math.floor(p.get("end").asDouble() * 24 - 1);
                boolean seen = false;
                for (int f = Math.max(0, from); f <= to; f++) {
                    seen |= drawingAt(line, f).equals(wanted);
                }
                assertThat(seen).as("%s", p).isTrue();
            }
        }
        assertThat(drawingAt(line, 0)).isEqualTo("rest");
        assertThat(client.get("/api/v1/lines/" + line.get("id").asText() + "/sound.wav")
                        .body())
                .isEqualTo(LINE.wav());
        assertThat(client.get("/api/v1/lines/" + line.get("id").asText() + "/peaks?count=50")
                        .json())
                .hasSize(50);
    }

    @Test
    void onesTwosPinsAndUndo() {
        JsonNode line = record(LINE.wav(), LINE.words()).json();
        String at = "/api/v1/lines/" + line.get("id").asText();
        JsonNode twos = client.post(
                        at + "/edits",
                        "{\"base\":1,\"edit\":{\"kind\":\"expose\",\"exposure\":2,\"lead\":1,\"minimumHold\":2}}")
                .json();
        for (int f = 0; f + 1 < 100; f += 2) {
            assertThat(drawingAt(twos, f)).isEqualTo(drawingAt(twos, f + 1));
        }
        JsonNode pinned = client.post(
                        at + "/edits",
                        "{\"base\":2,\"edit\":{\"kind\":\"pin-mouth\",\"from\":20,\"to\":23,\"drawing\":\"surprise\"}}")
                .json();
        assertThat(drawingAt(pinned, 21)).isEqualTo("surprise");
        assertThat(frame(pinned, 21, "{\"dials\":{\"turn\":30}}").toString())
                .contains("\"drawing\":\"surprise\"")
                .contains("profile-to-right");
        String csv = new String(client.get(at + "/exposure.csv").body(), StandardCharsets.UTF_8);
        assertThat(csv.lines()).hasSize(101);
        assertThat(csv).contains("22,0.875,").contains("surprise,yes");
        assertThat(client.post(
                                at + "/edits",
                                "{\"base\":3,\"edit\":{\"kind\":\"pin-mouth\",\"from\":1,\"to\":2,\"drawing\":\"yodel\"}}")
                        .code())
                .isEqualTo("no-drawing");
        assertThat(client.post(at + "/edits", "{\"base\":3,\"edit\":{\"kind\":\"rename-shot\"}}")
                        .code())
                .isEqualTo("missing");
        assertThat(client.post(at + "/edits", "{\"base\":3,\"edit\":{\"kind\":\"feel\",\"mood\":\"seasick\"}}")
                        .code())
                .isEqualTo("no-mood");
        JsonNode undone = client.post(at + "/undo", "{\"base\":3}").json();
        assertThat(undone.get("drawings")).isEqualTo(twos.get("drawings"));
        assertThat(client.post(
                                at + "/edits",
                                "{\"base\":4,\"edit\":{\"kind\":\"pin-mouth\",\"from\":90,\"to\":400,\"drawing\":\"ah\"}}")
                        .code())
                .isEqualTo("beyond-shot");
        assertThat(client.post(
                                at + "/edits",
                                "{\"base\":4,\"edit\":{\"kind\":\"expose\",\"exposure\":9,\"lead\":1,\"minimumHold\":2}}")
                        .status())
                .isEqualTo(422);
    }

    @Test
    void aWordNobodyKnowsIsGuessedCorrectedAndRemembered() {
        JsonNode line =
                record(LINE.wav(), LINE.words().replace("Sorrel", "Zorelle")).json();
        assertThat(line.at("/shot/lines/0/line/guesses/0/word").asText()).isEqualTo("zorelle");
        String at = "/api/v1/lines/" + line.get("id").asText();
        JsonNode taught = client.read(client.post(
                        at + "/pronounce", "{\"base\":1,\"word\":\"zorelle\",\"soundsLike\":\"S AO R AH L\"}"))
                .json();
        assertThat(taught.at("/shot/lines/0/line/guesses")).isEmpty();
        JsonNode lexicon =
                client.get("/api/v1/characters/" + character).json().at("/character/voice/lexicon/entries/zorelle");
        assertThat(lexicon).hasSize(5);
        assertThat(record(LINE.wav(), LINE.words().replace("Sorrel", "Zorelle"))
                        .json()
                        .at("/shot/lines/0/line/guesses"))
                .as("remembered")
                .isEmpty();
        assertThat(client.post(at + "/pronounce", "{\"base\":2,\"word\":\"zorelle\",\"soundsLike\":\"!!\"}")
                        .code())
                .isEqualTo("sounds-none");
    }

    @Test
    void correctedWordsAreReadAgain() {
        JsonNode wrong =
                record(LINE.wav(), LINE.words().replace("Sorrel", "Portugal")).json();
        assertThat(wrong.get("doubtful").get(0)).hasSize(1);
        String at = "/api/v1/lines/" + wrong.get("id").asText();
        JsonNode right = client.read(client.post(
                        at + "/words",
                        Client.JSON
                                .createObjectNode()
                                .put("base", 1)
                                .put("words", LINE.words())
                                .toString()))
                .json();
        assertThat(right.get("doubtful").get(0)).isEmpty();
        assertThat(right.get("revision").asInt()).isEqualTo(2);
    }

    @Test
    void soundsAreCorrectedByHandListenedForAgainAndLetGo() {
        JsonNode line = record(LINE.wav(), LINE.words()).json();
        String at = "/api/v1/lines/" + line.get("id").asText();
        JsonNode phones = line.at("/shot/lines/0/line/phones");
        int b = 0;
        while (!phones.get(b).get("phone").asText().equals("B")) {
            b++;
        }
        double was = phones.get(b).get("start").asDouble();
        JsonNode moved = client.post(
                        at + "/edits",
                        "{\"base\":1,\"edit\":{\"kind\":\"move-edge\",\"at\":0,\"sound\":" + b
                                + ",\"end\":false,\"to\":" + (was - 0.04) + ",\"push\":false}}")
                .json();
        assertThat(moved.at("/shot/lines/0/line/held/0").asDouble()).isEqualTo(was - 0.04);
        assertThat(moved.get("drawings")).isNotEqualTo(line.get("drawings"));
        String stretch = "{\"base\":%d,\"at\":0,\"from\":" + (was - 0.3) + ",\"to\":" + (was + 0.3) + "}";
        Client.Answer held = client.post(at + "/again", stretch.formatted(2));
        if (held.status() == 200) {
            assertThat(held.json()
                            .at("/shot/lines/0/line/phones/" + b + "/start")
                            .asDouble())
                    .as("what a hand has put stays")
                    .isEqualTo(was - 0.04);
        } else {
            assertThat(held.code()).isEqualTo("nothing-there");
        }
        int base = held.status() == 200 ? 3 : 2;
        JsonNode free = client.post(
                        at + "/edits",
                        "{\"base\":" + base + ",\"edit\":{\"kind\":\"release-edges\",\"at\":0,\"from\":0,\"to\":9}}")
                .json();
        assertThat(free.at("/shot/lines/0/line/held")).isEmpty();
        JsonNode again = client.post(at + "/again", stretch.formatted(base + 1)).json();
        assertThat(again.at("/shot/lines/0/line/phones/" + b + "/start").asDouble())
                .isBetween(was - 0.02, was + 0.02);
        assertThat(client.post(at + "/again", "{\"base\":" + (base + 2) + ",\"at\":7,\"from\":0,\"to\":1}")
                        .status())
                .isEqualTo(404);
        assertThat(client.post(at + "/again", "{\"base\":" + (base + 2) + ",\"at\":0,\"from\":0}")
                        .code())
                .isEqualTo("missing");
        assertThat(client.post(
                                at + "/edits",
                                "{\"base\":" + (base + 2)
                                        + ",\"edit\":{\"kind\":\"change-sound\",\"at\":0,\"sound\":4000,\"phone\":\"AA\"}}")
                        .code())
                .isEqualTo("gone");
        assertThat(client.post(
                                at + "/edits",
                                "{\"base\":" + (base + 2)
                                        + ",\"edit\":{\"kind\":\"change-sound\",\"at\":0,\"sound\":4,\"phone\":\"QQ\"}}")
                        .status())
                .isBetween(400, 422);
    }

    /** The same recording behind a pause: a later take of the same words. */
    private static byte[] later(double seconds) {
        Sound sound = WavFile.read(LINE.wav());
        float[] all = new float[(int) (seconds * sound.rate()) + sound.samples().length];
        System.arraycopy(sound.samples(), 0, all, all.length - sound.samples().length, sound.samples().length);
        return WavFile.write(new Sound(sound.rate(), all));
    }

    private Client.Answer retake(String line, byte[] wav, int base, int at) {
        return client.read(client.upload(
                "/api/v1/lines/" + line + "/takes",
                "sound",
                "take.wav",
                wav,
                Map.of("base", String.valueOf(base), "at", String.valueOf(at))));
    }

    @Test
    void anotherTakeGoesInAndWhatIsActedGoesWithItsWords() {
        JsonNode line = record(LINE.wav(), LINE.words()).json();
        String id = line.get("id").asText();
        String note = "{\"from\":40,\"to\":46,\"text\":\"brows up\",\"author\":\"\"}";
        client.post(
                "/api/v1/lines/" + id + "/edits",
                "{\"base\":1,\"edit\":{\"kind\":\"write-note\",\"was\":-1,\"note\":" + note + "}}");
        JsonNode taken = retake(id, later(0.5), 2, 0).json();
        assertThat(taken.get("revision").asInt()).isEqualTo(3);
        assertThat(taken.get("frames").asInt()).isEqualTo(line.get("frames").asInt() + 12);
        assertThat(taken.at("/shot/tracks/notes/0/from").asInt()).isBetween(51, 53);
        assertThat(taken.at("/shot/lines/0/line/words/3/start").asDouble())
                .isBetween(
                        line.at("/shot/lines/0/line/words/3/start").asDouble() + 0.45,
                        line.at("/shot/lines/0/line/words/3/start").asDouble() + 0.55);
        // what cannot go in leaves everything as it is
        assertThat(retake(id, later(0), 1, 0).code()).isEqualTo("stale");
        byte[] other = DemoFiles.lines().get(1).wav();
        assertThat(retake(id, other, 3, 0).code()).isIn("words-not-found", "words-long");
        assertThat(retake(id, later(0), 3, 7).status()).isEqualTo(404);
        assertThat(client.get("/api/v1/lines/" + id).json().get("revision").asInt())
                .isEqualTo(3);
        JsonNode undone =
                client.post("/api/v1/lines/" + id + "/undo", "{\"base\":3}").json();
        assertThat(undone.at("/shot/tracks/notes/0/from").asInt()).isEqualTo(40);
        assertThat(undone.get("frames")).isEqualTo(line.get("frames"));
    }

    /** The second line of a shot is retyped, and taken again, as the first one is. */
    @Test
    void theSecondLineOfAShotIsReadAgainByItself() {
        JsonNode line = record(LINE.wav(), LINE.words()).json();
        String id = line.get("id").asText();
        String wrong = record(LINE.wav(), LINE.words().replace("Sorrel", "Portugal"))
                .json()
                .get("id")
                .asText();
        JsonNode two = client.post(
                        "/api/v1/lines/" + id + "/place", "{\"base\":1,\"at\":150,\"from\":\"" + wrong + "\"}")
                .json();
        assertThat(two.get("doubtful").get(0)).isEmpty();
        assertThat(two.get("doubtful").get(1)).hasSize(1);
        JsonNode right = client.read(client.post(
                        "/api/v1/lines/" + id + "/words",
                        Client.JSON
                                .createObjectNode()
                                .put("base", 2)
                                .put("at", 150)
                                .put("words", LINE.words())
                                .toString()))
                .json();
        assertThat(right.get("doubtful").get(1)).isEmpty();
        assertThat(right.at("/shot/lines/1/line/text").asText()).isEqualTo(LINE.words());
        assertThat(right.at("/shot/lines/0")).isEqualTo(two.at("/shot/lines/0"));
        JsonNode taken = retake(id, later(0.25), 3, 150).json();
        assertThat(taken.at("/shot/lines/0")).isEqualTo(two.at("/shot/lines/0"));
        assertThat(taken.get("frames").asInt()).isEqualTo(right.get("frames").asInt() + 6);
    }

    @Test
    void aMoodAndAnotherTimingAreSetForAStretch() {
        JsonNode line = record(LINE.wav(), LINE.words()).json();
        String at = "/api/v1/lines/" + line.get("id").asText() + "/edits";
        String feel =
                "{\"base\":%d,\"edit\":{\"kind\":\"feel-along\",\"span\":{\"from\":%d,\"to\":%d,\"mood\":\"%s\"}}}";
        assertThat(client.post(at, feel.formatted(1, 10, 20, "furious")).code()).isEqualTo("no-mood");
        assertThat(client.post(at, feel.formatted(1, 10, 4000, "")).code()).isEqualTo("beyond-shot");
        assertThat(client.post(at, feel.formatted(1, 20, 10, "")).status()).isBetween(400, 422);
        String mood = client.post(
                        "/api/v1/characters/" + character + "/edits",
                        "{\"base\":1,\"edit\":{\"kind\":\"set-mood\",\"mood\":\"\",\"name\":\"Happy\",\"corners\":0.6,\"tension\":0}}")
                .json()
                .at("/character/voice/mouths/moods/0/id")
                .asText();
        JsonNode happy = client.post(at, feel.formatted(1, 10, 20, mood)).json();
        assertThat(happy.at("/shot/tracks/moods/0/mood").asText()).isEqualTo(mood);
        JsonNode early = client.post(
                        at,
                        "{\"base\":2,\"edit\":{\"kind\":\"time-along\",\"span\":{\"from\":30,\"to\":60,\"lead\":6,\"minimumHold\":4}}}")
                .json();
        assertThat(early.get("drawings")).isNotEqualTo(happy.get("drawings"));
        for (int f = 0; f < 24; f++) {
            assertThat(drawingAt(early, f)).as("frame %d", f).isEqualTo(drawingAt(happy, f));
        }
        assertThat(client.post(
                                at,
                                "{\"base\":3,\"edit\":{\"kind\":\"time-along\",\"span\":{\"from\":30,\"to\":60,\"lead\":60,\"minimumHold\":4}}}")
                        .code())
                .isEqualTo("unreadable");
    }

    @Test
    void aRecordingOfAnyKindIsReadAndKeptAsAWav() throws Exception {
        Path wav = Files.createTempFile("line", ".wav");
        Path flac = Files.createTempFile("line", ".flac");
        Files.write(wav, LINE.wav());
        Process p = new ProcessBuilder("ffmpeg", "-loglevel", "error", "-y", "-i", wav.toString(), flac.toString())
                .inheritIO()
                .start();
        assertThat(p.waitFor()).isZero();
        JsonNode line = record(Files.readAllBytes(flac), LINE.words()).json();
        assertThat(line.get("fits").asBoolean()).isTrue();
        byte[] kept = client.get("/api/v1/lines/" + line.get("id").asText() + "/sound.wav")
                .body();
        // lossless both ways: the very same samples
        assertThat(Arrays.copyOfRange(kept, kept.length - 2000, kept.length))
                .isEqualTo(Arrays.copyOfRange(LINE.wav(), LINE.wav().length - 2000, LINE.wav().length));
        assertThat(record(Arrays.copyOf(Files.readAllBytes(flac), 60), LINE.words())
                        .code())
                .isEqualTo("sound-broken");
        Files.delete(wav);
        Files.delete(flac);
    }

    @Test
    void aWordThatWasLeftOutIsTold() {
        JsonNode line = record(LINE.wav(), LINE.words().replace("Sorrel ", "")).json();
        assertThat(line.at("/shot/lines/0/line/unwritten")).hasSize(1);
        assertThat(line.at("/shot/lines/0/line/unwritten/0/word").asInt()).isEqualTo(7);
    }

    @Test
    void badRecordingsAndWordsAreRefusedInWords() {
        byte[] wav = LINE.wav();
        assertThat(record("no sound".getBytes(StandardCharsets.UTF_8), "x").code())
                .isEqualTo("wav-not");
        assertThat(record(Arrays.copyOf(wav, 4000), "x").code()).isEqualTo("wav-truncated");
        byte[] silent = wav.clone();
        Arrays.fill(silent, 44, silent.length, (byte) 0);
        assertThat(record(silent, "x").code()).isEqualTo("wav-silent");
        assertThat(record(wav, "(laughs)").code()).isEqualTo("words-none");
        assertThat(record(wav, LINE.words().repeat(40)).code()).isIn("words-long", "words-many");
        assertThat(record(wav, "日本語").code()).isEqualTo("word-unreadable");
        Client.Answer misfit = record(wav, "Whistle three angry monkeys under purple yoghurt");
        if (misfit.status() == 200) {
            assertThat(misfit.json().get("fits").asBoolean()).isFalse();
        } else {
            assertThat(misfit.code()).isEqualTo("words-not-found");
        }
        assertThat(client.get("/api/v1/characters/" + character + "/lines")
                        .json()
                        .get("total")
                        .asInt())
                .isLessThanOrEqualTo(1);
    }

    @Test
    void blinksAreLaidSetAndRefusedInWords() {
        JsonNode line = record(LINE.wav(), LINE.words()).json();
        String at = "/api/v1/lines/" + line.get("id").asText();
        JsonNode laid = client.post(
                        at + "/edits", "{\"base\":1,\"edit\":{\"kind\":\"lay-blinks\",\"perMinute\":60,\"seed\":4}}")
                .json();
        assertThat(laid.at("/shot/tracks/blinks").size())
                .as("four seconds at one a second")
                .isBetween(2, 6);
        int first = laid.at("/shot/tracks/blinks/0/frame").asInt();
        JsonNode clash = client.post(
                        at + "/edits",
                        "{\"base\":2,\"edit\":{\"kind\":\"set-blink\",\"was\":-1,\"blink\":{\"frame\":" + (first + 2)
                                + ",\"down\":3,\"hold\":0,\"up\":3}}}")
                .json();
        assertThat(clash.get("detail").asText()).contains("has ended");
        assertThat(client.post(
                                at + "/edits",
                                "{\"base\":2,\"edit\":{\"kind\":\"lay-blinks\",\"perMinute\":0,\"seed\":4}}")
                        .status())
                .isEqualTo(422);
        assertThat(frame(laid, first + 3, "{}")).isNotEqualTo(frame(laid, first, "{}"));
        JsonNode undone = client.post(at + "/undo", "{\"base\":2}").json();
        assertThat(undone.at("/shot/tracks/blinks")).isEmpty();
    }

    @Test
    void aRunAlongALineIsThePickWhileItPlaysAndOneThatIsNotThereIsRefused() {
        JsonNode line = record(LINE.wav(), LINE.words()).json();
        String at = "/api/v1/lines/" + line.get("id").asText();
        String set =
                "{\"base\":%d,\"edit\":{\"kind\":\"set-gesture\",\"was\":-1,\"gesture\":{\"from\":5,\"to\":%d,\"run\":\"wave\"}}}";
        Client.Answer none = client.post(at + "/edits", set.formatted(1, 9));
        assertThat(none.status()).isEqualTo(422);
        assertThat(none.json().get("detail").asText()).contains("no run 'wave'").contains("Hands bench");

        String home = "/api/v1/characters/" + character;
        int revision = client.get(home).json().get("revision").asInt();
        assertThat(client.post(
                                home + "/edits",
                                "{\"base\":" + revision
                                        + ",\"edit\":{\"kind\":\"keep-run\",\"part\":\"hand-left\",\"name\":\"Wave\","
                                        + "\"drawings\":[\"open\",\"flat\"],\"frames\":[2,2],\"way\":\"LOOP\"}}")
                        .status())
                .isEqualTo(200);
        Client.Answer backwards = client.post(at + "/edits", set.formatted(1, 4));
        assertThat(backwards.status()).isEqualTo(400);
        assertThat(backwards.json().get("detail").asText()).contains("lasts a frame at least");
        assertThat(client.post(at + "/edits", set.formatted(1, 100_000))
                        .json()
                        .get("detail")
                        .asText())
                .contains("frames");
        assertThat(client.post(at + "/edits", set.formatted(1, 9)).status()).isEqualTo(200);
        List<String> shown = new ArrayList<>();
        for (int f = 4; f < 12; f++) {
            for (JsonNode p : frame(line, f, "{}")) {
                if (p.get("part").asText().equals("hand-left")) {
                    shown.add(p.get("drawing").asText());
                }
            }
        }
        assertThat(shown).containsExactly("relaxed", "open", "open", "flat", "flat", "open", "open", "relaxed");
    }

    /** What is placed at a frame of a line, over a pose. */
    private JsonNode frame(JsonNode line, int at, String pose) {
        return client.post(
                        "/api/v1/characters/" + line.get("character").asText() + "/pose",
                        "{\"pose\":" + pose + ",\"line\":\"" + line.get("id").asText() + "\",\"frame\":" + at + "}")
                .json()
                .at("/frame/placed");
    }
}
