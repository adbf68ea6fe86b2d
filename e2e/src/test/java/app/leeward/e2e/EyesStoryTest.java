package app.leeward.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Eyes made of pieces of three designs, looked with, shut, and mended, on the Eyes bench. */
class EyesStoryTest extends Story {
    /** What the bench promises from loose pieces to two finished eyes. */
    private static final int MOST_CLICKS = 12;

    private final ObjectMapper json = new ObjectMapper();
    private int clicks;

    private void click(Locator what) {
        what.click();
        clicks++;
    }

    private void drop(String name, byte[] art) {
        hand.drop(name.toLowerCase(java.util.Locale.ROOT) + ".svg", "image/svg+xml", art);
        clicks = 1;
        assertThat(page.getByLabel("Name of the character: " + name + ". Rename"))
                .isVisible();
    }

    private static byte[] art(String file) throws Exception {
        return Files.readAllBytes(Path.of("src/test/resources/art", file));
    }

    private String idOf(String name) throws Exception {
        for (JsonNode c :
                json.readTree(server.body("/api/v1/characters?size=200")).get("items")) {
            if (c.get("name").asText().equals(name)) {
                return c.get("id").asText();
            }
        }
        throw new AssertionError(name);
    }

    private JsonNode eyes(String name) throws Exception {
        String id = idOf(name);
        return json.readTree(java.net.http.HttpClient.newHttpClient()
                .send(
                        java.net.http.HttpRequest.newBuilder(
                                        java.net.URI.create(server.url() + "/api/v1/characters/" + id + "/eyes"))
                                .header("Content-Type", "application/json")
                                .header("Cookie", "XSRF-TOKEN=a-test")
                                .header("X-XSRF-TOKEN", "a-test")
                                .POST(java.net.http.HttpRequest.BodyPublishers.ofString("{\"pose\":{}}"))
                                .build(),
                        java.net.http.HttpResponse.BodyHandlers.ofByteArray())
                .body());
    }

    private void finished(String name) throws Exception {
        assertThat(page.getByText("no issues", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        JsonNode eyes = eyes(name);
        assertThat(eyes.get("eyes")).hasSize(2);
        assertThat(server.body("/api/v1/characters/" + idOf(name) + "/findings?check=eyes"))
                .contains("\"findings\":[]");
        assertThat(eyes.get("field").size()).as("points of the gaze field").isGreaterThan(30);
        eyes.get("eyes").forEach(e -> assertThat(e.get("missing")).isEmpty());
        assertThat(clicks).as("clicks").isLessThanOrEqualTo(MOST_CLICKS);
    }

    private double[] shift(String part) {
        String t =
                page.locator("[data-testid=stage] [data-part='" + part + "']").getAttribute("transform");
        String[] m = t.replaceAll("matrix\\(|\\)", "").split(" ");
        return new double[] {Double.parseDouble(m[4]), Double.parseDouble(m[5])};
    }

    /** Maren's eye pieces as a designer leaves them: without names that say anything, and no eye put together. */
    @Test
    void marensLoosePiecesBecomeTwoFinishedEyes() throws Exception {
        String art = Files.readString(Path.of("../demo/src/main/resources/demo/maren.svg"))
                .replace("Maren Quill", "Loose Maren")
                .replaceAll(
                        "<g id=\"(eye white|iris|pupil|highlight|lower lid|upper lid|eye outline) (right|left)\"",
                        "<g id=\"shape\"");
        drop("Loose Maren", art.getBytes(StandardCharsets.UTF_8));
        click(button("Take all"));
        assertThat(button("Take all")).hasCount(0);
        click(hand.bench("Eyes"));
        finished("Loose Maren");

        String pupil = partOf("Loose Maren", "PUPIL");
        String lid = partOf("Loose Maren", "UPPER_LID");
        // the pad's edge is the field: pulled into its corner, the look stays where the pupil is kept
        BoundingBox pad = page.getByTestId("pad-gaze").last().boundingBox();
        page.mouse().move(pad.x + pad.width / 2, pad.y + pad.height / 2);
        page.mouse().down();
        page.mouse().move(pad.x + pad.width - 2, pad.y + pad.height - 2);
        page.mouse().up();
        waitForShift(pupil, 4, "> 3");
        double[] corner = shift(pupil);
        Locator kept =
                page.getByText(Pattern.compile("pupil \\d+ % in its window")).first();
        assertThat(kept).not().hasText("pupil 100 % in its window");
        int share = Integer.parseInt(kept.textContent().replaceAll("\\D+", ""));
        assertThat(share).isBetween(57, 100);
        assertThat(corner[1]).isGreaterThan(1);
        page.getByTestId("pad-gaze").last().press("Delete");
        waitForShift(pupil, 4, "=== 0");

        // shut by the strip, seen on the stage
        click(page.getByLabel("Blink shut"));
        waitForShift(lid, 5, "> 20");
    }

    private void waitForShift(String part, int number, String is) {
        page.waitForFunction("() => { const t = document.querySelector('[data-testid=stage] [data-part=\"" + part
                + "\"]').getAttribute('transform') ?? 'matrix(1 0 0 1 0 0)'; return Number(t.replace(/matrix\\(|\\)/g, '').split(' ')["
                + number + "]) " + is + "; }");
    }

    /** Id of the piece of the left eye in a role. */
    private String partOf(String name, String role) throws Exception {
        for (JsonNode p :
                json.readTree(server.body("/api/v1/characters/" + idOf(name))).at("/character/rig/parts")) {
            if (p.get("role").asText().equals(role) && p.get("side").asText().equals("LEFT")) {
                return p.get("id").asText();
            }
        }
        throw new AssertionError(role);
    }

    @Test
    void lidsDrawnThreeTimesStepThroughTheBlink() throws Exception {
        drop("Ruth", art("ruth.svg"));
        click(hand.bench("Eyes"));
        finished("Ruth");
        click(page.getByLabel("Blink half"));
        page.waitForFunction(
                "() => document.querySelector('[aria-label=\"Blink half\"]').getAttribute('aria-pressed') === 'true'");
        assertThat(page.getByLabel("Blink half")).hasAttribute("aria-pressed", "true");
    }

    @Test
    void eyesBehindGlassesAreMadeOfOneLensAndAPupil() throws Exception {
        drop("Bram", art("bram.svg"));
        click(hand.bench("Eyes"));
        assertThat(page.getByText("The other eye is missing")).isVisible();
        click(button("Make them whole"));
        assertThat(button("Make them whole")).hasCount(0);
        finished("Bram");
        assertThat(page.locator("[data-testid=stage] [data-part=pupil-left]")).isAttached();
        // taken back in one step
        button("Undo").click();
        assertThat(page.getByText("The other eye is missing")).isVisible();
    }

    @Test
    void aLidUnlikeTheOtherIsToldAndMended() throws Exception {
        String art = Files.readString(Path.of("../demo/src/main/resources/demo/maren.svg"))
                .replace("Maren Quill", "Small lid")
                .replace(
                        "<g id=\"upper lid left\"",
                        "<g id=\"upper lid left\" transform=\"translate(485 240) scale(0.4) translate(-485 -240)\"");
        drop("Small lid", art.getBytes(StandardCharsets.UTF_8));
        hand.bench("Eyes").click();
        Locator finding =
                page.getByLabel("Findings").getByRole(AriaRole.LISTITEM).first();
        // too small to cover the white, it takes no part: the eye shuts all the same
        assertThat(finding).containsText("not each other's reflection: the upper lid");
        // the hand-over bench knows of it, too
        hand.bench("Hand over").click();
        assertThat(page.getByRole(
                                AriaRole.REGION,
                                new Page.GetByRoleOptions().setName("Check").setExact(true))
                        .getByText("each other's reflection"))
                .isVisible();
        hand.bench("Eyes").click();
        finding.getByText("Left from right").click();
        assertThat(page.getByText("each other's reflection")).hasCount(0);
        button("Undo").click();
        assertThat(page.getByText("each other's reflection")).isVisible();
    }

    @Test
    void dialsAreMadeOnRequestAndTakenAway() {
        hand.bench("Eyes").click();
        button("Squint").click();
        Locator squint = page.getByTestId("ruler-squint").last();
        squint.press("End");
        page.waitForFunction(
                "() => { const m = document.querySelector('[data-testid=stage] [data-part=eye-white-left]').getAttribute('transform'); return m !== null && Math.abs(Number(m.replace(/matrix\\(|\\)/g, '').split(' ')[3]) - 0.5) < 0.01; }");
        button("Delete the dial Squint").click();
        assertThat(page.getByTestId("ruler-squint")).hasCount(0);
        button("Undo").click();
        assertThat(page.getByTestId("ruler-squint").first()).isVisible();
        button("Undo").click();
        assertThat(page.getByTestId("ruler-squint")).hasCount(0);
    }
}
