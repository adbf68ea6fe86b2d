package app.leeward.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Brows pulled and taken apart, looks mixed and kept, lids that wink and rest, cues played, blinks laid over a line. */
class LooksStoryTest extends Story {

    private void art(String name) throws Exception {
        hand.open(server.url());
        String art = Files.readString(Path.of("../demo/src/main/resources/demo/maren.svg"))
                .replace("Maren Quill", name);
        hand.drop(name + ".svg", "image/svg+xml", art.getBytes(java.nio.charset.StandardCharsets.UTF_8));
        assertThat(page.getByLabel("Name of the character: " + name + ". Rename"))
                .isVisible();
    }

    private static String stage(String part) {
        return "[data-testid=stage] [data-part='" + part + "']";
    }

    private String outline(String part) {
        return page.locator(stage(part) + " [data-shape]:visible").first().getAttribute("d");
    }

    private double top(String part) {
        // what is painted anew has no box for a moment
        Object y = page.waitForFunction(
                        """
                        p => {
                            const box = document.querySelector(p)?.getBoundingClientRect();
                            return box && box.height > 0 ? { y: box.y } : null;
                        }
                        """,
                        stage(part))
                .getProperty("y")
                .jsonValue();
        return ((Number) y).doubleValue();
    }

    private void pull(Locator what, double dy) {
        what.scrollIntoViewIfNeeded();
        BoundingBox b = still(what);
        double x = b.x + b.width / 2;
        double y = b.y + b.height / 2;
        page.mouse().move(x, y);
        page.mouse().down();
        for (int i = 1; i <= 8; i++) {
            page.mouse().move(x, y + dy * i / 8);
            hand.frame();
        }
        page.mouse().up();
    }

    /** Where a handle is once it has come to rest: what it is drawn from follows a pose a moment later. */
    private BoundingBox still(Locator what) {
        BoundingBox last = what.boundingBox();
        for (int i = 0, same = 0; i < 40 && same < 3; i++) {
            hand.settle();
            BoundingBox now = what.boundingBox();
            same = Math.abs(now.x - last.x) + Math.abs(now.y - last.y) < 0.1 ? same + 1 : 0;
            last = now;
        }
        return last;
    }

    private double value(String ruler) {
        return Double.parseDouble(page.getByTestId("ruler-" + ruler).first().getAttribute("aria-valuenow"));
    }

    @Test
    void browsArePulledAtTheirPointsTogetherAndApart() throws Exception {
        art("Bea");
        hand.bench("Brows").click();
        button("Make the dials of the brows").click();
        page.getByTestId("grip-brow-left-inner").waitFor();
        String left = outline("brow-left");
        String right = outline("brow-right");
        pull(page.getByTestId("grip-brow-left-inner"), -22);
        page.waitForFunction(
                "d => document.querySelector(\"" + stage("brow-left") + " [data-shape]\").getAttribute('d') !== d",
                left);
        assertThat(value("brow-inner")).isBetween(0.2, 1.0);
        assertThat(outline("brow-right")).as("linked").isNotEqualTo(right);
        // the outer end stays: the path still begins or passes where it did
        double inner = value("brow-inner");

        hand.settle();
        page.reload();
        page.getByTestId("grip-brow-left-inner").waitFor();
        assertThat(value("brow-inner")).as("in the address").isCloseTo(inner, within(0.01));
        button("Everything back to rest").click();
        page.waitForFunction(
                "d => document.querySelector(\"" + stage("brow-left") + " [data-shape]\").getAttribute('d') === d",
                left);

        button("Unlink left and right").click();
        page.getByTestId("ruler-brow-outer-left").first().waitFor();
        page.getByTestId("grip-brow-left-outer").focus();
        page.keyboard().press("Shift+ArrowUp");
        page.waitForFunction(
                "d => document.querySelector(\"" + stage("brow-left") + " [data-shape]\").getAttribute('d') !== d",
                left);
        assertThat(outline("brow-right")).as("apart").isEqualTo(right);
        button("Link left and right").click();
        page.getByTestId("ruler-brow-outer").first().waitFor();
        button("Undo").click();
        page.getByTestId("ruler-brow-outer-left").first().waitFor();
    }

    @Test
    void looksAreMadeMixedKeptAndSurviveAReload() throws Exception {
        art("Lou");
        hand.bench("Brows").click();
        button("Make the six looks").click();
        Locator surprise = page.getByTestId("look-look-surprise");
        double brows = top("brow-left");
        surprise.getByLabel("Surprise: mix it into the pose").click();
        page.waitForFunction("() => document.querySelectorAll(\"" + stage("mouth") + " [data-shape]\").length > 0");
        page.waitForFunction(
                "y => document.querySelector(\"" + stage("brow-left") + "\").getBoundingClientRect().y < y - 5", brows);

        page.getByTestId("look-look-anger").getByLabel("Strength of Anger").fill("50");
        button("Keep this pose as a look").click();
        page.getByLabel("Name of the new look").waitFor();
        assertThat(faults()).isEmpty();
        page.getByLabel("Name of the new look").fill("Outraged");
        page.getByLabel("Collection").fill("Ferry");
        button("Keep").click();
        assertThat(page.getByText("Ferry", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        page.reload();
        page.getByTestId("look-outraged").waitFor();
        assertThat(page.getByTestId("look-look-anger").getByLabel("Strength of Anger"))
                .hasValue("50");
        // the mix is in the new look: alone it gives the same face
        String mixed = outline("brow-left");
        page.getByTestId("look-look-anger").getByLabel("Strength of Anger").fill("0");
        page.getByLabel("Surprise: remove it from the pose").click();
        page.getByLabel("Outraged: mix it into the pose").click();
        page.waitForFunction(
                "d => document.querySelector(\"" + stage("brow-left") + " [data-shape]\").getAttribute('d') === d",
                mixed);

        button("Undo").click();
        assertThat(page.getByTestId("look-outraged")).hasCount(0);
        // a look of a face with fewer pieces says what it does without
        hand.drop("otto.svg", "image/svg+xml", Files.readAllBytes(Path.of("src/test/resources/art", "otto.svg")));
        assertThat(page.getByLabel(Pattern.compile("Name of the character: (?!Lou).*Rename")))
                .isVisible();
        hand.bench("Brows").click();
        button("Make the six looks").click();
        page.getByTestId("look-look-disgust").waitFor();
        assertThat(page.getByTestId("look-look-happiness").getByLabel(Pattern.compile("AU 6 .*no cheek that can rise")))
                .isVisible();
    }

    @Test
    void oneEyeWinksLidsRestLowerAndTheirLineIsBent() throws Exception {
        art("Liv");
        hand.bench("Eyes").click();
        button("Wink").click();
        page.getByLabel("Blink, left shut").click();
        page.waitForFunction("() => { const y = p => Number((document.querySelector(`[data-testid=stage]"
                + " [data-part='${p}']`).getAttribute('transform') ?? 'matrix(1 0 0 1 0 0)').split(' ')[5].replace(')', ''));"
                + " return y('upper-lid-left') > 20 && y('upper-lid-right') === 0; }");
        assertThat(page.getByText("no issues", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        button("Both eyes together").click();
        button("Everything back to rest").click();

        Locator rest = page.getByLabel("Lids rest").getByLabel("upper");
        rest.fill("30");
        rest.press("Enter");
        page.waitForFunction("() => Number(document.querySelector(\"" + stage("upper-lid-left")
                + "\").getAttribute('transform').split(' ')[5].replace(')', '')) > 5");
        assertThat(page.getByText("no issues", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        rest.fill("95");
        rest.press("Enter");
        assertThat(page.getByText("Lids rest between −50 and 90 % of their way."))
                .isVisible();
        button("Undo").click();
        assertThat(rest).hasValue("0 %");

        // one pupil apart, by hand and by key, and back
        Locator pupil = page.getByTestId(Pattern.compile("^pupil-.*left"));
        double at = hand.shift("pupil-left");
        double other = hand.shift("pupil-right");
        pupil.focus();
        page.keyboard().press("Shift+ArrowLeft");
        page.waitForFunction(
                "x => Number(document.querySelector(\"" + stage("pupil-left")
                        + "\").getAttribute('transform').split(' ')[4]) < x - 5",
                at);
        assertThat(hand.shift("pupil-right")).isEqualTo(other);
        button("Undo").click();
        page.waitForFunction(
                "x => Math.abs(Number((document.querySelector(\"" + stage("pupil-left")
                        + "\").getAttribute('transform') ?? 'matrix(1 0 0 1 0 0)').split(' ')[4]) - x) < 0.01",
                at);

        page.getByLabel("Blink shut").click();
        String eye = page.locator("[data-testid^=lid-line-]").first().getAttribute("data-testid");
        String before = outline("upper-lid-left");
        pull(page.getByTestId(eye.replaceAll("\\d$", "1")), 12);
        page.waitForFunction(
                "d => document.querySelector(\"" + stage("upper-lid-left") + " [data-shape]\").getAttribute('d') !== d",
                before);
        assertThat(page.getByText("no issues", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        // the edit itself, rounded to tenths, has taken the place of what was seen while dragging
        assertThat(button("Undo")).isEnabled();
        hand.settle();
        // a drag let go of with Escape changes nothing
        String bent = outline("upper-lid-left");
        BoundingBox b = page.getByTestId(eye).boundingBox();
        page.mouse().move(b.x + b.width / 2, b.y + b.height / 2);
        page.mouse().down();
        page.mouse().move(b.x + b.width / 2, b.y + 30);
        page.keyboard().press("Escape");
        page.mouse().up();
        page.waitForFunction(
                "d => document.querySelector(\"" + stage("upper-lid-left") + " [data-shape]\").getAttribute('d') === d",
                bent);
    }

    @Test
    void cuesPlayAndTheWorstPosesAreAClickAway() throws Exception {
        art("Cid");
        hand.bench("Eyes").click();
        button("Make the usual four").click();
        button("Play Look round").click();
        page.waitForFunction("() => Number((document.querySelector(\"" + stage("pupil-left")
                + "\").getAttribute('transform') ?? 'matrix(1 0 0 1 0 0)').split(' ')[4]) < -3");
        page.waitForFunction("() => Number((document.querySelector(\"" + stage("pupil-left")
                + "\").getAttribute('transform') ?? 'matrix(1 0 0 1 0 0)').split(' ')[4]) === 0");
        page.getByLabel("Keys of Look round").first().click();
        Locator key = page.getByLabel(Pattern.compile("^Key at frame 4,")).first();
        key.focus();
        key.press("ArrowRight");
        assertThat(page.getByLabel(Pattern.compile("^Key at frame 5,"))).isVisible();

        button("Go through them").click();
        page.getByLabel("Worst cases").locator("button[title*=Gaze]").first().waitFor();
        assertThat(faults()).isEmpty();
        Locator worst =
                page.getByLabel("Worst cases").locator("button[title*=Gaze]").first();
        worst.click();
        assertThat(page.getByText(Pattern.compile("pupil \\d+ % in its window")).first())
                .not()
                .hasText("pupil 100 % in its window");
    }

    @Test
    void blinksAreLaidOverALineMovedAndTakenAway() {
        String demo = server.body("/api/v1/characters").replaceAll("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
        String line =
                server.body("/api/v1/characters/" + demo + "/lines").replaceAll("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
        hand.open(server.url() + "/#c=" + demo + "&b=lines&l=" + line);
        button("blinks, cues").click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("in conversation")))
                .click();
        Locator blinks = page.getByLabel(Pattern.compile("^Blink from frame"));
        assertThat(blinks.first()).isVisible();
        page.keyboard().press("Escape");
        // its middle is shut, on the stage
        blinks.first().click();
        page.waitForFunction("() => Number((document.querySelector(\"" + stage("upper-lid-left")
                + "\").getAttribute('transform') ?? 'matrix(1 0 0 1 0 0)').split(' ')[5].replace(')', '')) > 20");
        page.getByLabel("hold").fill("4");
        page.getByLabel("hold").press("Enter");
        page.keyboard().press("Escape");
        hand.settle();
        int n = blinks.count();
        int frame = Integer.parseInt(blinks.first().getAttribute("aria-label").replaceAll("\\D+", ""));
        blinks.first().focus();
        page.keyboard().press("ArrowRight");
        assertThat(page.getByLabel("Blink from frame " + (frame + 1))).isVisible();
        page.reload();
        assertThat(page.getByLabel("Blink from frame " + (frame + 1))).isVisible();
        page.getByLabel("Blink from frame " + (frame + 1)).focus();
        page.keyboard().press("Delete");
        assertThat(blinks).hasCount(n - 1);
        button("Undo").click();
        assertThat(blinks).hasCount(n);
    }
}
