package app.leeward.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.demo.DemoFiles;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Hands of different sizes and turns brought onto the wrist. */
class HandsStoryTest extends Story {
    /** Maren with six of her left hand's drawings turned, scaled and moved, each another way. */
    private static String scattered() {
        String svg = new String(DemoFiles.maren(), StandardCharsets.UTF_8);
        String[][] off = {
            {"fist", "translate(-30 12) rotate(14 560 940)"},
            {"open", "translate(700 300) scale(.4)"},
            {"thumb up", "rotate(-22 560 940) translate(18 -9)"},
            {"hold", "translate(-640 -1060) scale(2.2)"},
            {"two", "translate(-45 -30) rotate(9 560 940)"},
            {"flat", "translate(120 160) scale(.8) rotate(-12 560 940)"}
        };
        // the left hand's group comes first in the file
        for (String[] o : off) {
            svg = svg.replaceFirst(
                    "<g id=\"" + o[0] + "\" display=\"none\">",
                    "<g id=\"" + o[0] + "\" display=\"none\" transform=\"" + o[1] + "\">");
        }
        return svg;
    }

    private void drop(String svg) {
        page.getByTestId("art-file")
                .setInputFiles(new FilePayload("scattered.svg", "image/svg+xml", svg.getBytes(StandardCharsets.UTF_8)));
        // the copy stands on the stage once the address names another character than the demo's
        page.waitForFunction("() => !location.hash.includes('ab590baf')");
        page.waitForTimeout(600);
    }

    @Test
    void sixScatteredDrawingsAreOnTheWristInTwoClicks() throws Exception {
        drop(scattered());
        hand.bench("Hands").click();
        Locator sheet = page.getByTestId("hand-sheet").locator("figure");
        assertThat(sheet).hasCount(8);
        assertThat(page.getByText("6 off the wrist")).isVisible();
        assertThat(page.getByTestId("hand-open")).containsText("as wide");
        button("Bring all onto the wrist").click();
        assertThat(page.getByText("all on the wrist", new Page.GetByTextOptions().setExact(false))
                        .first())
                .isVisible();
        assertThat(page.getByText("Every drawing meets the arm at one wrist.")).isVisible();
        assertThat(seriousFaults()).isEmpty();

        // kept over a reload, and taken back in one step
        page.reload();
        assertThat(page.getByText("Every drawing meets the arm at one wrist.")).isVisible();
        button("Undo on the character").click();
        assertThat(page.getByText("6 off the wrist")).isVisible();

        // one by one: mended, then its wrist put by the keyboard and by hand
        Locator fist = page.getByTestId("hand-fist");
        fist.getByText("Mend", new Locator.GetByTextOptions().setExact(true)).click();
        assertThat(page.getByText("5 off the wrist")).isVisible();
        fist.getByText("Wrist", new Locator.GetByTextOptions().setExact(true)).click();
        Locator left = fist.getByLabel("Left point of the wrist");
        left.focus();
        for (int i = 0; i < 3; i++) {
            page.keyboard().press("Shift+ArrowDown");
            page.waitForTimeout(400);
        }
        assertThat(page.getByText("6 off the wrist")).isVisible();
        BoundingBox b = left.boundingBox();
        page.mouse().move(b.x + b.width / 2, b.y + b.height / 2);
        page.mouse().down();
        page.mouse().move(b.x + b.width / 2 - 14, b.y + b.height / 2 - 20);
        page.mouse().up();
        assertThat(fist).containsText(Pattern.compile("turned|beside|wide"));
        while (button("Undo on the character").isEnabled()) {
            button("Undo on the character").click();
            page.waitForTimeout(300);
        }
        assertThat(page.getByText("6 off the wrist")).isVisible();
    }

    @Test
    void theArmSwingsUnderEveryDrawingAndAPickShowsOnTheStage() {
        hand.bench("Hands").click();
        assertThat(page.getByText("8 drawings · all on the wrist")).isVisible();
        page.getByLabel("Swing").focus();
        for (int i = 0; i < 20; i++) {
            page.keyboard().press("ArrowRight");
        }
        page.waitForFunction(
                "() => [...document.querySelectorAll('[data-testid=hand-sheet] g')].some(g => (g.getAttribute('transform') ?? '').startsWith('rotate(20 '))");
        page.getByLabel("Laid over").selectOption("fist");
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("right hand"))
                .click();
        page.getByTestId("hand-thumb-up").getByRole(AriaRole.BUTTON).first().click();
        page.waitForFunction("() => [...document.querySelectorAll('[data-testid=stage] [data-part=hand-right] g')]"
                + ".filter(g => g.style.display !== 'none').some(g => g.querySelectorAll('path').length === 8)");

        // the thumb goes up before the cap, a fist stays where hands lie; both over a reload
        page.getByLabel("Where thumb up lies").focus();
        page.getByLabel("Where thumb up lies").selectOption("cap");
        waitForOrder("cap", "hand-right");
        page.reload();
        waitForOrder("cap", "hand-right");
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("right hand"))
                .click();
        page.getByTestId("hand-fist").getByRole(AriaRole.BUTTON).first().click();
        waitForOrder("hand-right", "forearm-right");
        page.getByTestId("hand-thumb-up").getByRole(AriaRole.BUTTON).first().click();
        waitForOrder("cap", "hand-right");
        button("Undo on the character").click();
        waitForOrder("hand-right", "forearm-right");
    }

    /** Which drawing of the left hand the desk has picked; the picks are in the address. */
    private void waitForPick(String drawing) {
        page.waitForFunction(
                "d => new URLSearchParams(location.hash.slice(1)).get('k.hand-left') === (d || null)", drawing);
    }

    @Test
    void drawingsPlayOneAfterTheOtherAndGoOutBackwards() throws Exception {
        hand.bench("Hands").click();
        button("Play Thumb up").click();
        waitForPick("thumb-up");
        button("Let go of Thumb up").click();
        waitForPick("");
        assertThat(button("Play Thumb up")).isVisible();

        // a run of one's own; a drawing that stays for no frame is told apart, and nothing typed is lost
        button("New run").click();
        button("Add open to the run").click();
        button("Add flat to the run").click();
        page.getByPlaceholder("name of the run").fill("Wave");
        page.getByLabel("Frames of drawing 2").fill("0");
        button("Keep the run").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Drawing 2 of the run stays for 0 frames");
        assertThat(page.getByPlaceholder("name of the run")).hasValue("Wave");
        page.getByLabel("Frames of drawing 2").fill("3");
        page.getByLabel("How it plays").selectOption("LOOP");
        button("Keep the run").click();
        assertThat(page.getByText("open 4 · flat 3 – round and round")).isVisible();
        Locator key = page.getByLabel("Key for the run Wave");
        key.focus();
        page.keyboard().press("v");
        assertThat(key).hasValue("key v");
        assertThat(seriousFaults()).isEmpty();

        page.reload();
        assertThat(button("Play Wave")).isVisible();
        page.keyboard().press("v");
        assertThat(button("Let go of Wave")).isVisible();
        // a hand on the set ends it at once
        page.getByTestId("hand-fist").getByRole(AriaRole.BUTTON).first().click();
        assertThat(button("Play Wave")).isVisible();
        waitForPick("fist");
        page.waitForTimeout(600);
        waitForPick("fist");
        button("Take the run Wave away").click();
        assertThat(button("Play Wave")).hasCount(0);
    }

    private void waitForOrder(String below, String above) {
        page.waitForFunction(
                "([a, b]) => { const all = [...document.querySelectorAll('[data-testid=stage] [data-part]')].map(g => g.dataset.part);"
                        + " return all.indexOf(a) >= 0 && all.indexOf(a) < all.indexOf(b) }",
                java.util.List.of(below, above));
    }
}
