package app.leeward.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** What a rigger does in the first minutes, in the real page over the real server and database. */
class StoryTest extends Story {

    @Override
    void arrive() {
        hand.open(server.url());
        page.getByTestId("clock").waitFor();
    }

    private void waitForShift(String part, double least, double most) {
        page.waitForFunction(
                "([part, least, most]) => { const t = document.querySelector(`[data-testid=stage] [data-part=${part}]`).getAttribute('transform') || '';"
                        + " const n = (t.match(/[-\\d.e]+/g) || []).map(Number); const e = n[4] + (n[0] - 1) * 500; return e >= least && e <= most; }",
                List.of(part, least, most));
    }

    @Test
    void turnBlinkAndLookAllAtOnce() {
        assertThat(hand.shift("nose")).isEqualTo(0);
        hand.dragRuler("turn", 0.5, 1);
        waitForShift("nose", 110, 125);
        assertThat(page.locator("[data-part=nose] g:visible path").count()).isGreaterThan(0);
        double lidOpen = Double.parseDouble(
                hand.transform("upper-lid-left").split(" ")[5].replace(")", ""));
        hand.dragRuler("blink", 0, 1);
        page.waitForFunction(
                "() => Number(document.querySelector('[data-testid=stage] [data-part=upper-lid-left]').getAttribute('transform').split(' ')[5].replace(')', '')) > 40");
        assertThat(lidOpen).isLessThan(10);
        BoundingBox pad = page.getByTestId("pad-gaze").boundingBox();
        double before = hand.shift("pupil-left");
        page.mouse().click(pad.x + pad.width * 0.9, pad.y + 4);
        page.waitForFunction(
                "x => Number(document.querySelector('[data-testid=stage] [data-part=pupil-left]').getAttribute('transform').split(' ')[4]) > x + 8",
                before);
        assertThat(hand.shift("nose")).as("still turned").isCloseTo(119.6, within(1.0));
        page.keyboard().press("0");
        waitForShift("nose", -0.01, 0.01);
    }

    @Test
    void rulersTakeKeysWheelAndTypedArithmetic() {
        page.getByTestId("ruler-turn").focus();
        page.keyboard().press("PageUp");
        // the next of eleven stops
        assertThat(page.getByTestId("ruler-turn")).hasAttribute("aria-valuenow", "9");
        page.getByTestId("ruler-turn").hover();
        page.mouse().wheel(0, 120);
        assertThat(page.getByTestId("ruler-turn")).hasAttribute("aria-valuenow", Pattern.compile("-?\\d+"));
        Locator value = page.getByLabel("Turn, value");
        value.click();
        value.fill("10+2*4");
        value.press("Enter");
        assertThat(page.getByTestId("ruler-turn")).hasAttribute("aria-valuenow", "18");
        value.click();
        value.fill("sideways");
        value.press("Enter");
        assertThat(page.getByTestId("ruler-turn")).hasAttribute("aria-valuenow", "18");
        // Escape halfway through a drag puts the dial back
        BoundingBox b = page.getByTestId("ruler-turn").boundingBox();
        page.mouse().move(b.x + b.width * 0.65, b.y + 18);
        page.mouse().down();
        page.mouse().move(b.x + 4, b.y + 18);
        page.keyboard().press("Escape");
        page.mouse().up();
        assertThat(page.getByTestId("ruler-turn")).hasAttribute("aria-valuenow", "18");
    }

    @Test
    void marenSaysHerLineInStepWhileSheIsTurned() {
        // every mouth that is shown counts, also those between two looks of a busy machine
        page.evaluate(
                "() => { window.mouths = new Set(); const part = document.querySelector('[data-testid=stage] [data-part=mouth]');"
                        + "const look = () => window.mouths.add([...part.children].find(g => g.style.display !== 'none')?.outerHTML.length);"
                        + "new MutationObserver(look).observe(part, { subtree: true, childList: true, attributes: true }); look(); }");
        int mouths = 0;
        page.keyboard().press(" ");
        page.waitForFunction("() => !document.querySelector('audio').paused");
        List<Double> apart = new ArrayList<>();
        boolean turned = false;
        double heard = 0;
        // a busy machine paints few of her frames: then to the end of the line
        while (heard < 60 || heard < 90 && mouths < 6) {
            Object[] now = ((List<?>)
                            page.evaluate(
                                    "() => { const f = Number(document.querySelector('[data-testid=clock] b').textContent);"
                                            + "return [f, document.querySelector('audio').currentTime * 24 + 1, window.mouths.size]; }"))
                    .toArray();
            mouths = ((Number) now[2]).intValue();
            apart.add(Math.abs(((Number) now[0]).doubleValue() - Math.floor(((Number) now[1]).doubleValue())));
            heard = ((Number) now[1]).doubleValue();
            if (heard > 20 && !turned) {
                turned = true;
                hand.dragRuler("turn", 0.5, 0.9);
            }
            hand.frame();
        }
        assertThat(mouths).as("different mouths seen").isGreaterThanOrEqualTo(6);
        // the middle one: a single late paint on a busy machine says nothing about the play head following the sound
        apart.sort(null);
        assertThat(apart.get(apart.size() / 2))
                .as("frames between sound and picture")
                .isLessThanOrEqualTo(2);
        waitForShift("nose", 85, 120);
        page.waitForFunction(
                "() => document.querySelector('audio').ended || document.querySelector('audio').paused",
                null,
                new Page.WaitForFunctionOptions().setTimeout(15_000));
    }

    @Test
    void onesAndTwosPinsAndUndoOnTheLine() {
        Locator mouths = page.getByTestId("lane")
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Mouth ")));
        int onOnes = mouths.count();
        button("on twos").click();
        assertThat(button("on twos")).hasAttribute("aria-pressed", "true");
        page.waitForFunction(
                "n => document.querySelectorAll('[data-testid=lane] button[aria-label^=\"Mouth \"]').length !== n",
                onOnes);
        Locator run = mouths.nth(8);
        run.click();
        button("Pin surprise").click();
        assertThat(page.getByLabel(Pattern.compile("Mouth surprise, .*pinned"))).isVisible();
        button("Undo").click();
        assertThat(page.getByLabel(Pattern.compile("Mouth surprise, .*pinned"))).hasCount(0);
        button("Undo").click();
        assertThat(button("on ones")).hasAttribute("aria-pressed", "true");
    }

    @Test
    void whyNamesTheDialAndAPinWins() {
        page.getByLabel("Turn, value").fill("40");
        page.getByLabel("Turn, value").press("Enter");
        waitForShift("nose", 100, 115);
        button("Why?").click();
        page.locator("[data-testid=stage] [data-part=nose] g:visible").first().click();
        Locator why = page.getByLabel("Why", new Page.GetByLabelOptions().setExact(true));
        assertThat(why).containsText("Turn at 40° asks for profile to screen right");
        hand.bench("Parts").click();
        assertThat(page.getByText("Turn decides at the moment.")).isVisible();
        button("Pin front").click();
        assertThat(why).containsText("pinned by hand to front");
        assertThat(why).containsText("Turn at 40° asks for profile");
        button("Release the pin").click();
        assertThat(why).not().containsText("pinned by hand");
    }

    @Test
    void renamesAndNudgesSurviveUndoReloadAndAKilledServer() throws Exception {
        page.getByLabel(Pattern.compile("^Name of the character: ")).click();
        page.getByLabel("Name of the character", new Page.GetByLabelOptions().setExact(true))
                .fill("Maren of Sorrel");
        page.keyboard().press("Enter");
        assertThat(page.getByLabel("Name of the character: Maren of Sorrel. Rename"))
                .isVisible();
        hand.bench("Parts").click();
        page.getByLabel("Layer order")
                .getByText("cap", new Locator.GetByTextOptions().setExact(true))
                .click();
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Parts"))
                .click();
        page.evaluate("() => document.activeElement.blur()");
        page.keyboard().press("Shift+ArrowUp");
        page.waitForFunction(
                "() => document.querySelector('[data-testid=stage] [data-part=cap]').getAttribute('transform').endsWith(' -10)')");
        button("Make nothing the default").click();
        page.waitForFunction(
                "() => !document.querySelector('[data-testid=stage] [data-part=cap] g:not([style*=none])')");
        page.keyboard().press("Control+z");
        page.waitForFunction(
                "() => !!document.querySelector('[data-testid=stage] [data-part=cap] g:not([style*=none])')");
        hand.settle();
        page.reload();
        waitForCap();
        server.kill();
        server.launch();
        page.reload();
        waitForCap();
        assertThat(page.getByLabel("Name of the character: Maren of Sorrel. Rename"))
                .isVisible();
        assertThat(button("Redo")).isEnabled();
        button("Undo").click();
        page.waitForFunction(
                "() => document.querySelector('[data-testid=stage] [data-part=cap]').getAttribute('transform').endsWith(' 0)')");
        button("Undo").click();
        assertThat(page.getByLabel("Name of the character: Maren Quill. Rename"))
                .isVisible();
    }

    private void waitForCap() {
        page.waitForFunction(
                "() => { const c = document.querySelector('[data-testid=stage] [data-part=cap]'); return c && (c.getAttribute('transform') || '').endsWith(' -10)'); }");
    }

    @Test
    void aFileAndARecordingOfOnesOwn() throws Exception {
        hand.drop("otto.svg", "image/svg+xml", Files.readAllBytes(Path.of("src/test/resources/art/otto.svg")));
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Intake")))
                .isVisible();
        assertThat(page.getByText("otto").first()).isVisible();
        assertThat(page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("earring thing").setExact(true)))
                .isVisible();
        assertThat(page.getByText("Drop a recording of a spoken line here")).isVisible();
        hand.dragRuler("turn", 0.5, 0.95);
        page.waitForFunction(
                "() => { const t = document.querySelector('[data-testid=stage] [data-part=nose]').getAttribute('transform') || ''; return Number(t.split(' ')[4]) > 20; }");
        hand.dragRuler("blink", 0, 1);
        page.waitForFunction(
                "() => Number(document.querySelector('[data-testid=stage] [data-part=upper-lid-left]').getAttribute('transform').split(' ')[5].replace(')', '')) > 20");

        Path wav = Files.createTempFile("own", ".wav");
        String words = "My boat number 7 leaves Zilchwick at 9:15, before the fog.";
        run(
                "flite",
                "-voice",
                "rms",
                "-t",
                "My boat number seven leaves Zilchwick at nine fifteen, before the fog.",
                "-o",
                wav.toString());
        Path stereo = Files.createTempFile("own", ".wav");
        run("sox", wav.toString(), "-r", "44100", "-c", "2", "-b", "24", stereo.toString());
        hand.drop("own.wav", "audio/wav", Files.readAllBytes(stereo));
        page.getByLabel("Words of the line").fill(words);
        button("Create the lip sync").click();
        assertThat(page.getByText("is not in the dictionary", new Page.GetByTextOptions().setExact(false)))
                .isVisible(new com.microsoft.playwright.assertions.LocatorAssertions.IsVisibleOptions()
                        .setTimeout(90_000));
        page.getByLabel("zilchwick sounds like").fill("zilch wick");
        button("Remember").click();
        assertThat(page.getByText("is not in the dictionary", new Page.GetByTextOptions().setExact(false)))
                .hasCount(
                        0,
                        new com.microsoft.playwright.assertions.LocatorAssertions.HasCountOptions().setTimeout(30_000));
        assertThat(page.getByTestId("lane").getByText("9:15")).isVisible();
        assertThat(page.getByTestId("lane")
                        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Mouth")))
                        .first())
                .hasAttribute("aria-label", Pattern.compile("Mouth closed.*"));

        hand.bench("Hand over").click();
        button("Exposure CSV").click();
        Download csv = page.waitForDownload(() -> button("Export Exposure CSV").click());
        String sheet = Files.readString(csv.path(), StandardCharsets.UTF_8);
        assertThat(sheet)
                .startsWith("frame,seconds,word,phone,class,heard,mouth,pinned")
                .contains("closed")
                .contains("fv");
        Download png = page.waitForDownload(() -> button("Export PNG").click());
        assertThat(ImageIO.read(png.path().toFile()).getWidth()).isEqualTo(1280);
        page.getByLabel("Pictures: format")
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("SVG"))
                .click();
        Download svg = page.waitForDownload(() -> button("Export SVG").click());
        assertThat(Files.readString(svg.path())).contains("clipPath");
    }

    private static void run(String... command) throws Exception {
        Process p = new ProcessBuilder(command).redirectErrorStream(true).start();
        String out = new String(p.getInputStream().readAllBytes());
        assertThat(p.waitFor()).as(out).isZero();
    }

    @Test
    void everyBenchIsFreeOfSeriousFaultsForScreenReaders() throws Exception {
        for (String bench : List.of("Intake", "Parts", "Eyes", "Brows", "Lines", "Hand over")) {
            hand.bench(bench).click();
            hand.settle();
            assertThat(faults()).as(bench).isEmpty();
        }
    }
}
