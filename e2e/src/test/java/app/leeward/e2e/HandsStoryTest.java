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
    }
}
