package app.leeward.e2e;

import static app.leeward.e2e.Pictures.ALIKE;
import static app.leeward.e2e.Pictures.apart;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.art.Box;
import app.leeward.core.art.Path;
import app.leeward.core.art.PathReader;
import com.microsoft.playwright.Page;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Our reading of paths against Chromium's; our pictures against Chromium's and librsvg's of the exported SVG. */
class OutsidePicturesTest {
    private static LeewardServer server;
    private static Browser hand;

    @BeforeAll
    static void start() throws Exception {
        server = LeewardServer.shared();
        hand = new Browser();
    }

    @AfterAll
    static void end() throws Exception {
        hand.close();
    }

    private static List<String> paths() {
        List<String> all = new ArrayList<>(List.of(
                "M10-20L30.5.5 7e1,8z",
                "m5 5h40v-30H2V9z m10 10 20 5t10 10 20-4",
                "M0 0C10 40 50-40 60 0S90 30 99 0",
                "M10 80Q52.5 10 95 80T180 80",
                "M10 10A30 50 0 0 1 162.55 162.45L172.55 152.45A30 50-45 0 1 215.1 109.9",
                "M0 0a25 25-30 0 1 50-25l50-25z",
                "M100 100a40 20 30 1 0 30 10A5 5 0 0 0 90 90"));
        Random random = new Random(12);
        for (int i = 0; i < 120; i++) {
            StringBuilder d = new StringBuilder("M" + n(random) + " " + n(random));
            for (int k = 2 + random.nextInt(7); k > 0; k--) {
                char c = "LlHhVvCcSsQqTtAaz".charAt(random.nextInt(17));
                d.append(c);
                int count =
                        switch (java.lang.Character.toLowerCase(c)) {
                            case 'h', 'v' -> 1;
                            case 'l', 't' -> 2;
                            case 's', 'q' -> 4;
                            case 'c' -> 6;
                            default -> 0;
                        };
                if (java.lang.Character.toLowerCase(c) == 'a') {
                    d.append(20 + random.nextInt(60))
                            .append(' ')
                            .append(20 + random.nextInt(60))
                            .append(' ')
                            .append(n(random))
                            .append(' ')
                            .append(random.nextInt(2))
                            .append(' ')
                            .append(random.nextInt(2))
                            .append(' ')
                            .append(n(random))
                            .append(' ')
                            .append(n(random));
                }
                for (int j = 0; j < count; j++) {
                    d.append(j > 0 ? " " : "").append(n(random));
                }
            }
            all.add(d.toString());
        }
        return all;
    }

    private static String n(Random r) {
        return String.format(Locale.ROOT, "%.2f", r.nextDouble() * 200 - 60);
    }

    @Test
    void pathsAreReadAsChromiumReadsThem() {
        Page page = hand.page;
        page.setContent("<svg width='800' height='800'><path id='p' fill='none' stroke='black'/></svg>");
        for (String d : paths()) {
            List<?> theirs = (List<?>) page.evaluate(
                    "d => { const p = document.getElementById('p'); p.setAttribute('d', d); const b = p.getBBox(); return [b.x, b.y, b.width, b.height, p.getTotalLength()]; }",
                    d);
            PathReader.Result ours = PathReader.read(d);
            assertThat(ours.error()).as(d).isNull();
            Path path = ours.path();
            Box b = path.bounds().orElseThrow();
            double[] expected =
                    theirs.stream().mapToDouble(v -> ((Number) v).doubleValue()).toArray();
            // the browser draws an arc as quarter turns, which stray by a few parts in ten thousand of its size
            double near = 0.05 + 5e-4 * Math.max(expected[2], expected[3]);
            assertThat(b.minX()).as("left of %s", d).isCloseTo(expected[0], within(near));
            assertThat(b.minY()).as("top of %s", d).isCloseTo(expected[1], within(near));
            assertThat(b.width()).as("width of %s", d).isCloseTo(expected[2], within(near));
            assertThat(b.height()).as("height of %s", d).isCloseTo(expected[3], within(near));
            assertThat(path.length()).as("length of %s", d).isCloseTo(expected[4], within(0.02 + expected[4] * 2e-3));
        }
    }

    private static byte[] picture(String format, String pose) throws Exception {
        String id = server.body("/api/v1/characters").replaceAll("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
        return picture(id, format, pose);
    }

    private static byte[] picture(String id, String format, String pose) throws Exception {
        String body = "{\"format\":\"" + format + "\",\"width\":" + SIZE + ",\"pose\":" + pose + "}";
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(server.url() + "/api/v1/characters/" + id + "/picture"))
                                .header("Content-Type", "application/json")
                                .header("Cookie", "XSRF-TOKEN=a-test")
                                .header("X-XSRF-TOKEN", "a-test")
                                .POST(HttpRequest.BodyPublishers.ofString(body))
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray())
                .body();
    }

    /** Pixels along the side of a picture. */
    private static final int SIZE = 800;

    @Test
    void ourPicturesAreThoseOfChromiumAndLibrsvg() throws Exception {
        hand.page.navigate(server.url());
        String made = (String) hand.page.evaluate("async () => { const at = '/api/v1/characters';"
                + "const id = (await (await fetch(at)).json()).items[0].id;"
                + "for (const edit of [{ kind: 'make-brows' }, { kind: 'make-looks' },"
                + "  { kind: 'show-past', part: 'fringe', by: 'face-skin' }]) {"
                + "  const { revision } = await (await fetch(`${at}/${id}`)).json();"
                + "  const body = JSON.stringify({ base: revision, edit });"
                + "  const headers = { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': /XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1] };"
                + "  const answer = await fetch(`${at}/${id}/edits`, { method: 'POST', body, headers });"
                + "  if (!answer.ok) return await answer.text();"
                + "} return 'made'; }");
        assertThat(made).isEqualTo("made");
        Map<String, String> poses = Map.of(
                "bent: afraid, one brow more than the other, mouth down",
                        "{\"looks\":{\"look-fear\":0.7,\"look-disgust\":0.8},\"dials\":{\"brow-inner\":0.9,\"turn\":15}}",
                "a bell between palm and fingers",
                        "{\"picks\":{\"hand-left\":\"hold\",\"handbell\":\"handbell\"},\"dials\":{\"turn\":-30,\"blink\":1}}",
                "rest", "{}",
                "turned, half shut, looking up",
                        "{\"dials\":{\"turn\":-55,\"blink\":0.45,\"gaze-down\":-0.9,\"gaze-across\":0.7}}",
                "smiling without the cap",
                        "{\"pins\":{\"mouth\":\"smile\",\"cap\":\"nothing\"},\"dials\":{\"turn\":30,\"blink\":1}}");
        BufferedImage rest = null;
        for (Map.Entry<String, String> pose : poses.entrySet()) {
            byte[] svg = picture("svg", pose.getValue());
            BufferedImage ours = ImageIO.read(new ByteArrayInputStream(picture("png", pose.getValue())));
            hand.page.setViewportSize(SIZE, SIZE);
            hand.page.setContent("<body style='margin:0'><img id='i' width='" + SIZE + "' height='" + SIZE
                    + "' src='data:image/svg+xml;base64,"
                    + java.util.Base64.getEncoder().encodeToString(svg) + "'>");
            hand.page.waitForFunction("() => document.getElementById('i').complete");
            BufferedImage chromium = ImageIO.read(new ByteArrayInputStream(hand.page.screenshot()));
            java.nio.file.Path file = Files.createTempFile("frame", ".svg");
            Files.write(file, svg);
            Process p = new ProcessBuilder("rsvg-convert", "-w", String.valueOf(SIZE), file.toString()).start();
            BufferedImage librsvg =
                    ImageIO.read(new ByteArrayInputStream(p.getInputStream().readAllBytes()));
            // edges are smoothed differently; whole shapes in the wrong place differ by far more
            assertThat(apart(ours, chromium))
                    .as("%s against Chromium", pose.getKey())
                    .isLessThan(ALIKE);
            assertThat(apart(ours, librsvg))
                    .as("%s against librsvg", pose.getKey())
                    .isLessThan(ALIKE);
            if (rest != null) {
                assertThat(apart(ours, rest))
                        .as("another pose is another picture")
                        .isGreaterThan(ALIKE);
            }
            rest = ours;
        }
    }

    /** The measure itself: of every part that shows, its absence is noticed. */
    @Test
    void theAbsenceOfAnyPartIsNoticed() throws Exception {
        // a lower lid lies under the white until the eye shuts
        String shut = "\"dials\":{\"blink\":1}";
        BufferedImage open = ImageIO.read(new ByteArrayInputStream(picture("png", "{}")));
        BufferedImage closed = ImageIO.read(new ByteArrayInputStream(picture("png", "{" + shut + "}")));
        hand.page.navigate(server.url());
        List<?> parts = (List<?>)
                hand.page.evaluate(
                        "async () => { const at = '/api/v1/characters';"
                                + "const id = (await (await fetch(at)).json()).items[0].id;"
                                + "const view = await (await fetch(`${at}/${id}`)).json();"
                                + "return view.character.rig.parts.filter(p => p.drawings.length > 0 && p.shown !== 'nothing').map(p => p.id); }");
        List<String> unnoticed = new ArrayList<>();
        for (Object part : parts) {
            String pins = "\"pins\":{\"" + part + "\":\"nothing\"}";
            BufferedImage less = ImageIO.read(new ByteArrayInputStream(picture("png", "{" + pins + "}")));
            BufferedImage lessShut =
                    ImageIO.read(new ByteArrayInputStream(picture("png", "{" + pins + "," + shut + "}")));
            double apart = Math.max(apart(open, less), apart(closed, lessShut));
            if (apart <= ALIKE) {
                unnoticed.add(String.format(Locale.ROOT, "%s %.1f", part, apart));
            }
        }
        assertThat(parts).hasSizeGreaterThan(30);
        assertThat(unnoticed).isEmpty();
    }

    /** What is read is what the file shows: our picture of it at rest against both renderers' pictures of the file itself. */
    @Test
    void aFileOfEveryFeatureLooksAsItDoesElsewhere() throws Exception {
        java.nio.file.Path file = java.nio.file.Path.of("src/test/resources/art/features.svg");
        String boundary = "leeward-test";
        String head = "--" + boundary
                + "\r\nContent-Disposition: form-data; name=\"file\"; filename=\"features.svg\"\r\nContent-Type: image/svg+xml\r\n\r\n";
        String made = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(server.url() + "/api/v1/characters"))
                                .header("Content-Type", "multipart/form-data; boundary=" + boundary)
                                .header("Cookie", "XSRF-TOKEN=a-test")
                                .header("X-XSRF-TOKEN", "a-test")
                                .POST(HttpRequest.BodyPublishers.ofString(
                                        head + Files.readString(file) + "\r\n--" + boundary + "--\r\n"))
                                .build(),
                        HttpResponse.BodyHandlers.ofString())
                .body();
        assertThat(made).contains("\"name\":\"Features\"").doesNotContain("gradient-flattened");
        String id = made.replaceAll("(?s)^\\{\"id\":\"([^\"]+)\".*", "$1");
        BufferedImage ours = ImageIO.read(new ByteArrayInputStream(picture(id, "png", "{}")));
        hand.page.setViewportSize(SIZE, SIZE);
        hand.page.setContent("<body style='margin:0'><img id='i' width='" + SIZE + "' height='" + SIZE
                + "' src='data:image/svg+xml;base64,"
                + java.util.Base64.getEncoder().encodeToString(Files.readAllBytes(file)) + "'>");
        hand.page.waitForFunction("() => document.getElementById('i').complete");
        BufferedImage chromium = ImageIO.read(new ByteArrayInputStream(hand.page.screenshot()));
        Process p = new ProcessBuilder("rsvg-convert", "-w", String.valueOf(SIZE), file.toString()).start();
        BufferedImage librsvg =
                ImageIO.read(new ByteArrayInputStream(p.getInputStream().readAllBytes()));
        ImageIO.write(ours, "png", new java.io.File("target/features-ours.png"));
        ImageIO.write(chromium, "png", new java.io.File("target/features-chromium.png"));
        assertThat(apart(ours, chromium)).as("against Chromium").isLessThan(ALIKE);
        assertThat(apart(ours, librsvg)).as("against librsvg").isLessThan(ALIKE);
    }
}
