package app.leeward.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Art as it arrives – too large, off-centre, half named, left and right mixed up – made a clean rig by counted clicks. */
class IntakeStoryTest extends Story {
    private static final int MOST_CLICKS = 25;

    private final ObjectMapper json = new ObjectMapper();
    private int clicks;

    private void click(String name) {
        button(name).click();
        clicks++;
        assertThat(button(name)).hasCount(0);
    }

    private JsonNode fetch(String path) throws Exception {
        return json.readTree(server.body(path));
    }

    private String open(String name) throws Exception {
        for (JsonNode c : fetch("/api/v1/characters?size=200").get("items")) {
            if (c.get("name").asText().equals(name)) {
                return c.get("id").asText();
            }
        }
        throw new AssertionError(name);
    }

    /** Role and side of every part with the number of its drawings. */
    private static final Set<String> GIVEN_MORE_SINCE =
            Set.of("HAND", "TORSO", "COLLAR", "CAP", "UPPER_ARM", "FOREARM");

    private static TreeMap<String, Integer> pieces(JsonNode character) {
        TreeMap<String, Integer> out = new TreeMap<>();
        character.at("/character/rig/parts").forEach(p -> {
            // nor was there anything to hold then
            boolean held = p.get("role").asText().equals("OTHER");
            if (!p.get("drawings").isEmpty() && !held) {
                String role = p.get("role").asText();
                // the copies were made when Maren had two drawings of a hand and one set of clothes
                int drawings =
                        GIVEN_MORE_SINCE.contains(role) ? 1 : p.get("drawings").size();
                out.merge(role + " " + p.get("side").asText(), drawings, Integer::sum);
            }
        });
        return out;
    }

    private static TreeSet<String> masks(JsonNode character) {
        TreeMap<String, String> names = new TreeMap<>();
        character
                .at("/character/rig/parts")
                .forEach(p -> names.put(
                        p.get("id").asText(),
                        p.get("role").asText() + " " + p.get("side").asText()));
        TreeSet<String> out = new TreeSet<>();
        character.at("/character/rig/windows").forEach(w -> w.get("masked")
                .forEach(m -> out.add(
                        names.get(m.asText()) + " in " + names.get(w.get("by").asText()))));
        return out;
    }

    private JsonNode maren() throws Exception {
        return fetch("/api/v1/characters/" + open("Maren Quill"));
    }

    private void drop(String file, String type, String name) throws Exception {
        drop(Path.of("src/test/resources/art", file), type, name);
    }

    private void drop(Path file, String type, String name) throws Exception {
        hand.drop(file.getFileName().toString(), type, Files.readAllBytes(file));
        clicks = 1;
        // sixty large layers of pixels take their time on a busy machine
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Intake")))
                .isVisible(new com.microsoft.playwright.assertions.LocatorAssertions.IsVisibleOptions()
                        .setTimeout(60_000));
        assertThat(page.getByLabel("Name of the character: " + name + ". Rename"))
                .isVisible(new com.microsoft.playwright.assertions.LocatorAssertions.IsVisibleOptions()
                        .setTimeout(60_000));
    }

    private void actsLikeMaren(String name) throws Exception {
        JsonNode now = fetch("/api/v1/characters/" + open(name));
        assertThat(pieces(now)).isEqualTo(pieces(maren()));
        assertThat(masks(now)).isEqualTo(masks(maren()));
        JsonNode report = fetch("/api/v1/characters/" + open(name) + "/intake");
        assertThat(report.at("/axis/x").asDouble())
                .as("on the canvas's axis")
                .isCloseTo(now.at("/character/sheet/canvas/width").asDouble() / 2, within(0.1));
        assertThat(clicks).as("clicks").isLessThanOrEqualTo(MOST_CLICKS);
        hand.dragRuler("turn", 0.5, 0.95);
        page.waitForFunction(
                "() => { const t = document.querySelector('[data-testid=stage] [data-part=nose]').getAttribute('transform') || ''; return Number(t.split(' ')[4]) > 20; }");
        hand.dragRuler("blink", 0, 1);
        page.waitForFunction(
                "() => Number(document.querySelector('[data-testid=stage] [data-part=upper-lid-left]').getAttribute('transform').split(' ')[5].replace(')', '')) > 20");
        assertThat(page.getByTestId("pad-gaze")).isVisible();
    }

    @Test
    void aMuddledCopyOfTheDemosArtBecomesACleanRig() throws Exception {
        long from = System.nanoTime();
        drop("muddled.svg", "image/svg+xml", "Maren muddled");
        click("Fit, stand and centre");
        click("Sides as it faces us");
        click("Take all");
        click("Merge them");
        click("Delete them");
        button("pucker oo").dragTo(page.locator("[data-slot=MOUTH]"));
        clicks++;
        assertThat(page.getByText("Nothing: every layer has its place.")).isVisible();
        assertThat(page.getByText("No issues.")).isVisible();
        assertThat((System.nanoTime() - from) / 1e9).as("seconds").isLessThan(120);
        actsLikeMaren("Maren muddled");
        // every one of these steps can be taken back
        for (int i = 0; i < 6; i++) {
            assertThat(button("Undo")).isEnabled();
            button("Undo").click();
            hand.settle();
        }
        assertThat(button("Fit, stand and centre")).isVisible();
        assertThat(button("pucker oo")).isVisible();
    }

    @Test
    void layersMadeOfPixelsBecomeARigToo() throws Exception {
        drop("muddled.ora", "image/openraster", "muddled");
        click("Fit, stand and centre");
        click("Sides as it faces us");
        click("Take all");
        assertThat(page.getByText("No issues.")).isVisible();
        actsLikeMaren("muddled");
        assertThat(page.locator("[data-testid=stage] [data-part=nose] image").first())
                .hasAttribute("href", Pattern.compile("/api/v1/images/[0-9a-f]{64}\\.png"));
        // masked and exported like drawn ones
        String svg = new String(java.net.http.HttpClient.newHttpClient()
                .send(
                        java.net.http.HttpRequest.newBuilder(java.net.URI.create(
                                        server.url() + "/api/v1/characters/" + open("muddled") + "/picture"))
                                .header("Content-Type", "application/json")
                                .header("Cookie", "XSRF-TOKEN=a-test")
                                .header("X-XSRF-TOKEN", "a-test")
                                .POST(java.net.http.HttpRequest.BodyPublishers.ofString(
                                        "{\"pose\":{\"dials\":{\"turn\":40}},\"format\":\"svg\"}"))
                                .build(),
                        java.net.http.HttpResponse.BodyHandlers.ofByteArray())
                .body());
        assertThat(svg).contains("<image").contains("data:image/png;base64,").contains("clipPath");
        // and mirrored like drawn ones: the other ear is the same pixels, turned over
        hand.bench("Parts").click();
        page.getByLabel("Layer order")
                .getByTitle("left ear", new Locator.GetByTitleOptions().setExact(true))
                .click();
        button("Make the right one from it").or(button("Mirror again")).click();
        Locator ears = page.locator("[data-testid=stage] [data-part^=ear-] image");
        assertThat(page.locator("[data-testid=stage] [data-part^=ear-] image[transform^='matrix(-']"))
                .hasCount(1);
        assertThat(ears).hasCount(2);
        assertThat(ears.first()).hasAttribute("href", ears.last().getAttribute("href"));
    }

    /** A painted face, its pupils and its shade clipped to what lies below them, as painting programs keep it. */
    @Test
    void aPaintedFileWithClippedLayersLooksAboutBehindItsWhites() throws Exception {
        drop(Path.of("../bench/src/test/resources/art/plain/noor.psd"), "application/octet-stream", "noor");
        JsonNode noor = fetch("/api/v1/characters/" + open("noor"));
        JsonNode masked = noor.at("/character/rig/windows");
        assertThat(masked.toString()).contains("iris-left").contains("iris-right");
        assertThat(page.locator("[data-testid=stage] [data-part=iris-left] image"))
                .hasCount(1);
        Locator left = page.locator("[data-testid=stage] [data-part=iris-left]").first();
        String before = left.getAttribute("transform");
        BoundingBox pad = page.getByTestId("pad-gaze").boundingBox();
        page.mouse().move(pad.x + pad.width / 2, pad.y + pad.height / 2);
        page.mouse().down();
        page.mouse().move(pad.x + 0.9 * pad.width, pad.y + pad.height / 2);
        page.mouse().up();
        page.waitForFunction(
                "was => document.querySelector('[data-testid=stage] [data-part=iris-left]').getAttribute('transform') !== was",
                before);
    }

    @Test
    void aColourIsNamedAndChangedEverywhere() throws Exception {
        hand.bench("Intake").click();
        Locator skin = page.getByLabel(Pattern.compile(".* #f6c9a4$"));
        skin.click();
        page.getByLabel("Name of the colour").fill("Maren's skin");
        button("Name").click();
        page.getByLabel("Maren's skin #f6c9a4").click();
        page.getByLabel("Colour as #rrggbb").fill("#a0c9f6");
        button("Change").click();
        assertThat(page.getByLabel("Maren's skin #a0c9f6")).isVisible();
        page.waitForFunction(
                "() => document.querySelector('[data-testid=stage] [data-part=face-skin] path[fill=\"#a0c9f6\"]') !== null");
        button("Undo").click();
        page.waitForFunction(
                "() => document.querySelector('[data-testid=stage] [data-part=face-skin] path[fill=\"#f6c9a4\"]') !== null");
    }

    @Test
    void coloursThatShouldBeOneAreMergedByHand() throws Exception {
        drop("muddled.svg", "image/svg+xml", "Maren muddled");
        JsonNode near =
                fetch("/api/v1/characters/" + open("Maren muddled") + "/intake").at("/nearColours/0");
        String keep = near.at("/keep/colour").asText();
        String merge = near.at("/merge/colour").asText();
        page.getByLabel(Pattern.compile(".* " + merge + "$")).click();
        page.getByLabel("Merge into").selectOption(keep);
        assertThat(page.getByLabel(Pattern.compile(".* " + merge + "$"))).hasCount(0);
        assertThat(page.locator(
                        "[data-testid=stage] [fill='" + merge + "'], [data-testid=stage] [stroke='" + merge + "']"))
                .hasCount(0);
        button("Undo").click();
        assertThat(page.getByLabel(Pattern.compile(".* " + merge + "$"))).hasCount(1);
    }

    @Test
    void aNewVersionOfTheArtIsLookedAtTakenAndTakenBack() throws Exception {
        JsonNode before = maren().get("character");
        String art = Files.readString(Path.of("../demo/src/main/resources/demo/maren.svg"))
                .replace("<g id=\"brow left\"", "<g id=\"brow left\" transform=\"translate(0 -12)\"")
                .replaceFirst("<g id=\"cheek left\">[\\s\\S]*?</g>", "")
                .replace(
                        "<g id=\"nose\"",
                        "<g id=\"plaster\"><path d=\"M440 440h50v18h-50z\" fill=\"#e9d9b0\"/></g><g id=\"nose\"");
        page.getByTestId("version-file")
                .setInputFiles(new com.microsoft.playwright.options.FilePayload(
                        "maren-2.svg", "image/svg+xml", art.getBytes(java.nio.charset.StandardCharsets.UTF_8)));
        Locator panel = page.getByLabel("New version of the art");
        assertThat(panel).containsText("1 changed, 1 new, 1 missing");
        assertThat(panel.getByLabel("take left brow")).isChecked();
        assertThat(panel.getByLabel("take plaster")).isChecked();
        // what is missing may be a slip of the designer's: it stays unless somebody says so
        assertThat(panel.getByLabel("take away left cheek")).not().isChecked();
        panel.getByText("Take 2 changes").click();
        assertThat(panel).hasCount(0);
        assertThat(page.locator("[data-testid=stage] [data-part=plaster] path")).hasCount(1);
        assertThat(page.locator("[data-testid=stage] [data-part=cheek-left] path")
                        .first())
                .isAttached();
        // the new brow is still the brow of the rig, and the head with the plaster on it still turns
        hand.dragRuler("turn", 0.5, 0.95);
        page.waitForFunction(
                "() => { const t = document.querySelector('[data-testid=stage] [data-part=plaster]').getAttribute('transform') || ''; return t.length > 0; }");
        button("Undo").click();
        assertThat(page.locator("[data-testid=stage] [data-part=plaster]")).hasCount(0);
        assertThat(maren().get("character")).isEqualTo(before);

        // a file that is none leaves everything as it was, and says why
        page.getByTestId("version-file")
                .setInputFiles(new com.microsoft.playwright.options.FilePayload(
                        "notes.svg",
                        "image/svg+xml",
                        "not a drawing".getBytes(java.nio.charset.StandardCharsets.UTF_8)));
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("notes.svg was not read");
    }

    /** The mouths of a finished character on one that has its own: seen on both before, taken in one step, undone. */
    @Test
    void oneCharacterTakesFromAnotherWhatItIsSeenToFit() throws Exception {
        String pilchard = open("Pilchard");
        page.navigate(page.url().replaceAll("#.*$", "") + "#c=" + pilchard + "&b=intake");
        page.reload();
        assertThat(page.getByLabel("Name of the character: Pilchard. Rename")).isVisible();
        JsonNode before = fetch("/api/v1/characters/" + pilchard);
        button("Take from …").click();
        Locator from = page.getByRole(
                AriaRole.REGION,
                new Page.GetByRoleOptions().setName("From another character").setExact(true));
        from.getByLabel("The character that has it").selectOption("Maren Quill");
        Locator mouths = from.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("Mouths instead of its own"))
                .first();
        mouths.getByText("See").click();
        Locator pictures = mouths.getByRole(AriaRole.IMG);
        assertThat(pictures.first()).isVisible();
        assertThat(mouths).containsText("% of their size");
        page.waitForFunction(
                "() => [...document.querySelectorAll('section[aria-label=\"From another character\"] img')].every(i => i.complete && i.naturalWidth > 0)");
        assertThat(faults()).isEmpty();
        // by keyboard: the row opens as it is reached, Space takes it
        mouths.getByRole(AriaRole.CHECKBOX).focus();
        page.keyboard().press("Space");
        button("Take one thing").click();
        assertThat(page.getByText("Took one thing from Maren Quill.")).isVisible();
        assertThat(from).isHidden();
        JsonNode after = fetch("/api/v1/characters/" + pilchard);
        assertThat(drawn(after)).isGreaterThan(drawn(before));
        assertThat(after.at("/undo/message").asText()).isEqualTo("Took Mouths instead of its own from Maren Quill");
        // what it had is still there beside them
        before.at("/character/rig/parts").forEach(p -> p.get("drawings")
                .forEach(d -> assertThat(after.at("/character/rig/parts").toString())
                        .contains(d.get("art").toString())));
        button("Undo").click();
        hand.settle();
        assertThat(fetch("/api/v1/characters/" + pilchard).get("character")).isEqualTo(before.get("character"));
        // Escape leaves it
        button("Take from …").click();
        from.getByLabel("The character that has it").press("Escape");
        assertThat(from).isHidden();
    }

    @Test
    void aCharacterIsPutAwayAndBroughtBack() throws Exception {
        String wick = open("Barnaby Wick");
        page.navigate(page.url().replaceAll("#.*$", "") + "#c=" + wick + "&b=intake");
        page.reload();
        JsonNode before = fetch("/api/v1/characters/" + wick);
        button("Archive Barnaby Wick").click();
        assertThat(page.getByLabel("Name of the character: Barnaby Wick. Rename"))
                .isHidden();
        assertThat(button("Bring Barnaby Wick back")).isVisible();
        page.reload();
        page.getByText(Pattern.compile("^Archived \\(1\\)")).click();
        button("Bring Barnaby Wick back").click();
        assertThat(page.getByLabel("Name of the character: Barnaby Wick. Rename"))
                .isVisible();
        assertThat(fetch("/api/v1/characters/" + wick)).isEqualTo(before);
    }

    private static int drawn(JsonNode character) {
        int n = 0;
        for (JsonNode p : character.at("/character/rig/parts")) {
            n += p.get("drawings").size();
        }
        return n;
    }

    @Test
    void theBlankToDrawOverReadsBackAsAWholeRig() throws Exception {
        hand.bench("Intake").click();
        com.microsoft.playwright.Download blank =
                page.waitForDownload(() -> page.getByText("blank template").click());
        assertThat(blank.suggestedFilename()).isEqualTo("blank-face.svg");
        hand.drop("blank-face.svg", "image/svg+xml", Files.readAllBytes(blank.path()));
        assertThat(page.getByLabel("Name of the character: Blank face. Rename")).isVisible();
        JsonNode report = fetch("/api/v1/characters/" + open("Blank face") + "/intake");
        report.get("slots").forEach(g -> g.get("slots")
                .forEach(s ->
                        assertThat(s.get("missing").asText()).as(s.toString()).isEmpty()));
        fetch("/api/v1/characters/" + open("Blank face"))
                .get("mouths")
                .forEach(m ->
                        assertThat(m.get("own").asBoolean()).as(m.toString()).isTrue());
    }
}
