package app.leeward.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.demo.DemoFiles;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.LoadState;
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

    @Test
    void scatteredDrawingsAreOnTheWristInTwoClicks() throws Exception {
        upload("scattered.svg", scattered());
        hand.bench("Hands").click();
        Locator sheet = page.getByTestId("hand-sheet").locator("figure");
        assertThat(sheet).hasCount(8);
        assertThat(page.getByText("5 off the wrist")).isVisible();
        assertThat(page.getByTestId("hand-hold")).containsText("as wide");
        // one that lay beside the figure was laid on the arm when the file was read
        assertThat(page.getByTestId("hand-open")).containsText("on the wrist");
        button("Bring all onto the wrist").click();
        assertThat(page.getByText("all on the wrist", new Page.GetByTextOptions().setExact(false))
                        .first())
                .isVisible();
        assertThat(page.getByText("Every drawing meets the arm at one wrist.")).isVisible();
        assertThat(faults()).isEmpty();

        // kept over a reload, and taken back in one step
        page.reload();
        assertThat(page.getByText("Every drawing meets the arm at one wrist.")).isVisible();
        button("Undo").click();
        assertThat(page.getByText("5 off the wrist")).isVisible();

        // one by one: mended, then its wrist put by the keyboard and by hand
        Locator fist = page.getByTestId("hand-fist");
        fist.getByText("Align", new Locator.GetByTextOptions().setExact(true)).click();
        assertThat(page.getByText("4 off the wrist")).isVisible();
        fist.getByText("Set wrist", new Locator.GetByTextOptions().setExact(true))
                .click();
        Locator left = fist.getByLabel("Left point of the wrist");
        left.focus();
        for (int i = 0; i < 3; i++) {
            page.keyboard().press("Shift+ArrowDown");
            hand.settle();
        }
        assertThat(page.getByText("5 off the wrist")).isVisible();
        BoundingBox b = left.boundingBox();
        page.mouse().move(b.x + b.width / 2, b.y + b.height / 2);
        page.mouse().down();
        page.mouse().move(b.x + b.width / 2 - 14, b.y + b.height / 2 - 20);
        page.mouse().up();
        assertThat(fist).containsText(Pattern.compile("turned|beside|wide"));
        undoAll();
        assertThat(page.getByText("5 off the wrist")).isVisible();
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
        button("Undo").click();
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
        assertThat(faults()).isEmpty();

        page.reload();
        assertThat(button("Play Wave")).isVisible();
        page.keyboard().press("v");
        assertThat(button("Let go of Wave")).isVisible();
        // a hand on the set ends it at once
        page.getByTestId("hand-fist").getByRole(AriaRole.BUTTON).first().click();
        assertThat(button("Play Wave")).isVisible();
        waitForPick("fist");
        hand.settle();
        waitForPick("fist");
        button("Delete the run Wave").click();
        assertThat(button("Play Wave")).hasCount(0);
    }

    /** Which attribute cuts what is held on the stage, and whether it is shown at all. */
    private void waitForHeld(boolean there) {
        page.waitForFunction(
                "there => { const g = document.querySelector('[data-testid=stage] [data-part=handbell]');"
                        + "if (!g) return false;"
                        + "const shown = [...g.children].some(d => d.style.display !== 'none');"
                        + "return shown === there && (!there || /hand-left/.test(g.parentElement.getAttribute('mask') ?? '')) }",
                there);
    }

    @Test
    void aBellHangsInTheHandBeforeThePalmAndBehindTheFingers() throws Exception {
        hand.bench("Hands").click();
        button("Hold handbell").click();
        // a hand that cannot hold it shows the first drawing that closes round it
        waitForPick("hold");
        waitForHeld(true);
        waitForOrder("hand-left", "handbell");
        page.getByTestId("hand-open").getByRole(AriaRole.BUTTON).first().click();
        waitForHeld(false);

        // another drawing is given a grip: put in the palm, nudged by the keyboard, turned by a number
        button("Enlarge: open").click();
        Locator near = page.getByTestId("hand-close-up");
        button("Put a grip").click();
        waitForHeld(true);
        Locator grip = near.getByLabel("Grip", new Locator.GetByLabelOptions().setExact(true));
        String before = bell();
        grip.focus();
        page.keyboard().press("Shift+ArrowUp");
        page.waitForFunction(
                "was => document.querySelector('[data-testid=stage] [data-part=handbell]').getAttribute('transform') !== was",
                before);
        near.getByLabel("grip turned").fill("nonsense");
        page.keyboard().press("Enter");
        assertThat(near.getByLabel("grip turned")).hasAttribute("aria-invalid", "true");
        near.getByLabel("grip turned").fill("-30");
        page.keyboard().press("Enter");
        page.waitForFunction(
                "() => Math.abs(Math.atan2(...document.querySelector('[data-testid=stage] [data-part=handbell]')"
                        + ".getAttribute('transform').match(/-?[\\d.]+/g).slice(0, 2).map(Number).reverse()) * 180 / Math.PI + 30) < 0.5");
        Locator palm = near.getByLabel(Pattern.compile("^Shape 1\\b.*before what is held$"));
        assertThat(palm).hasAttribute("aria-pressed", "false");
        hand.settle();
        palm.click();
        assertThat(palm).hasAttribute("aria-pressed", "true");
        assertThat(faults()).isEmpty();
        page.reload();
        waitForHeld(true);

        // Why? tells that a hand lets go
        page.getByTestId("hand-flat").getByRole(AriaRole.BUTTON).first().click();
        waitForHeld(false);
        undoAll();
        button("Let go of in her hand").click();
        assertThat(page.getByLabel("Put into the hand")).isVisible();
        button("Undo").click();
        assertThat(button("Let go of in her hand")).isVisible();
    }

    /** Back to the beginning; the answer to the last step may disable the button while the next is on its way. */
    private void undoAll() {
        Locator undo = page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo").setDisabled(false));
        do {
            undo.evaluateAll("all => all.forEach(b => b.click())");
            page.waitForLoadState(LoadState.NETWORKIDLE);
        } while (undo.count() > 0);
    }

    private String bell() {
        return page.locator("[data-testid=stage] [data-part=handbell]").getAttribute("transform");
    }

    @Test
    void theWristBendsSoThatNothingOpens() throws Exception {
        hand.bench("Hands").click();
        button("Enlarge: relaxed").click();
        Locator near = page.getByTestId("hand-close-up");
        Locator points = near.getByRole(AriaRole.SLIDER);
        assertThat(points.first()).isVisible();
        String drawn = near.locator("path").first().getAttribute("d");
        page.getByLabel("Swing").focus();
        for (int i = 0; i < 30; i++) {
            page.keyboard().press("ArrowRight");
        }
        // some outline of the sheet is another than it was drawn
        page.waitForFunction(
                "() => [...document.querySelectorAll('[data-testid=hand-close-up] g')].some(g => (g.getAttribute('transform') ?? '').startsWith('rotate(30 '))");
        Locator point = near.locator("[role=slider][aria-valuenow='0']").first();
        String name = point.getAttribute("aria-label");
        point.focus();
        page.keyboard().press("ArrowUp");
        assertThat(near.getByLabel(name, new Locator.GetByLabelOptions().setExact(true)))
                .hasAttribute("aria-valuenow", "10");
        page.getByText("on every drawing alike").click();
        near.getByLabel("with the arm").fill("40");
        page.keyboard().press("Enter");
        assertThat(near.getByLabel(name, new Locator.GetByLabelOptions().setExact(true)))
                .hasAttribute("aria-valuenow", "40");
        assertThat(faults()).isEmpty();
        assertThat(drawn).isNotNull();

        // as one piece again: the joint opens, and closes when it is taken back
        Locator gap = page.getByTestId("hand-relaxed").getByText(Pattern.compile("^gap "));
        double bends = gap(gap);
        page.getByLabel("Wrist bends over").focus();
        page.keyboard().press("Home");
        page.keyboard().press("ArrowLeft");
        page.waitForFunction(
                "was => Number(document.querySelector('[data-testid=hand-relaxed]').innerText.match(/gap ([\\d.]+)/)[1]) > was + 3",
                bends);
        // marked where it opens, on whichever side it opens wider
        if (page.getByTestId("gap").count() == 0) {
            page.getByLabel("Swing").fill("-30");
        }
        assertThat(page.getByTestId("gap").first()).isVisible();
        button("Undo").click();
        page.waitForFunction(
                "was => Math.abs(Number(document.querySelector('[data-testid=hand-relaxed]').innerText.match(/gap ([\\d.]+)/)[1]) - was) < 0.2",
                bends);
        undoAll();
    }

    private static double gap(Locator message) {
        return Double.parseDouble(message.innerText().replaceAll("gap ([\\d.]+).*", "$1"));
    }

    @Test
    void aRunPlaysAlongALineAndIsDraggedToAnotherFrame() {
        hand.bench("Lines").click();
        button("Boat to Sorrel").click();
        hand.settle();
        button("runs").click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Thumb up"))
                .last()
                .click();
        Locator run = page.getByLabel(Pattern.compile("^Run Thumb up from frame"));
        assertThat(run).hasAttribute("aria-label", "Run Thumb up from frame 1 to 22");
        // relaxed 2, fist 3, thumb up: a moment later the hand has exchanged its drawing
        page.waitForFunction("() => [...document.querySelectorAll('[data-testid=stage] [data-part=hand-left] > g')]"
                + ".filter(g => g.style.display !== 'none').length === 1");
        hand.settle();
        BoundingBox b = run.boundingBox();
        page.mouse().move(b.x + 10, b.y + 5);
        page.mouse().down();
        page.mouse().move(b.x + 60, b.y + 5);
        page.mouse().move(b.x + 110, b.y + 5);
        page.mouse().up();
        assertThat(page.getByLabel(Pattern.compile("^Run Thumb up from frame 1[0-2] ")))
                .isVisible();
        run = page.getByLabel(Pattern.compile("^Run Thumb up from frame"));
        String moved = run.getAttribute("aria-label");
        run.focus();
        page.keyboard().press("Shift+ArrowRight");
        assertThat(page.getByLabel(moved, new Page.GetByLabelOptions().setExact(true)))
                .hasCount(0);
        page.reload();
        run = page.getByLabel(Pattern.compile("^Run Thumb up from frame"));
        assertThat(run).isVisible();
        run.focus();
        page.keyboard().press("Delete");
        assertThat(run).hasCount(0);
        while (button("Undo").isEnabled()) {
            button("Undo").click();
            hand.settle();
        }
    }

    private void waitForOrder(String below, String above) {
        page.waitForFunction(
                "([a, b]) => { const all = [...document.querySelectorAll('[data-testid=stage] [data-part]')].map(g => g.dataset.part);"
                        + " return all.indexOf(a) >= 0 && all.indexOf(a) < all.indexOf(b) }",
                java.util.List.of(below, above));
    }
}
