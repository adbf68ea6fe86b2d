package app.leeward.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Maren is acted while her line runs. */
class LiveStoryTest extends Story {
    private Locator keys(String dial) {
        return page.locator("[data-testid=sheet] [data-item^='key " + dial + "']");
    }

    private Locator frame() {
        return page.getByTestId("live-frame");
    }

    private Locator takes() {
        return page.getByLabel(Pattern.compile("^Takes: "));
    }

    private void countIn(int seconds) {
        takes().click();
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Count-in"))
                .getByText(String.valueOf(seconds))
                .click();
        button("Back to the sheet").click();
    }

    private void play() {
        page.evaluate("() => document.activeElement.blur()");
        page.keyboard().press("Home");
        button("Play live").click();
        assertThat(frame()).containsText("Writing");
    }

    /** The turn is dragged to one side. */
    private void turned() {
        BoundingBox b = page.getByTestId("ruler-turn").first().boundingBox();
        page.mouse().move(b.x + b.width / 2, b.y + b.height / 2);
        page.mouse().down();
        for (int i = 0; i < 20; i++) {
            page.mouse().move(b.x + b.width * (0.5 + 0.02 * i), b.y + b.height / 2);
            hand.frame();
        }
        page.mouse().up();
    }

    private void kept() {
        page.evaluate("() => document.activeElement.blur()");
        page.keyboard().press("Space");
        assertThat(frame()).isHidden();
    }

    private static void written(Page where, String item) {
        where.waitForFunction("item => document.querySelector(`[data-testid=sheet] [data-item^='${item}']`)", item);
    }

    /** Waits until the server holds keys of a dial, or a note. */
    private void stored(String what) {
        page.waitForFunction(
                "async what => { const id = new URLSearchParams(location.hash.slice(1)).get('l');"
                        + " const { tracks } = (await (await fetch('/api/v1/lines/' + id)).json()).shot;"
                        + " return (what === 'note' ? tracks.notes : tracks.dials[what] ?? []).length > 0; }",
                what);
    }

    @Test
    void whatTheHandsDoWhileTheLineRunsIsWrittenAsKeys() throws Exception {
        hand.bench("Shot").click();
        page.getByTestId("sheet").waitFor();
        // counted in, seen, and left again
        countIn(8);
        page.evaluate("() => document.activeElement.blur()");
        button("Play live").click();
        assertThat(frame()).containsText("Get ready");
        page.keyboard().press("Escape");
        assertThat(frame()).isHidden();
        countIn(0);

        // dragged while it runs, and stopped by the space bar
        play();
        turned();
        kept();
        assertThat(takes()).hasAttribute("aria-label", "Takes: 1");
        page.waitForFunction(
                "() => document.querySelectorAll(\"[data-testid=sheet] [data-item^='key turn']\").length > 1");
        assertThat(faults()).isEmpty();

        // another dial by keyboard alone, over the first one; its end keeps it as well
        play();
        Locator blink = page.getByTestId("ruler-blink").first();
        blink.focus();
        page.keyboard().press("Shift+ArrowRight");
        page.keyboard().press("Shift+ArrowRight");
        assertThat(frame()).isHidden();
        page.waitForFunction(
                "() => document.querySelectorAll(\"[data-testid=sheet] [data-item^='key blink']\").length > 0");
        int turns = keys("turn").count();
        assertThat(turns).isGreaterThan(1);

        // what is thrown away leaves nothing behind
        play();
        blink.focus();
        page.keyboard().press("Shift+ArrowLeft");
        page.keyboard().press("Escape");
        assertThat(frame()).isHidden();
        assertThat(takes()).hasAttribute("aria-label", "Takes: 2");

        // undone, and put in again from the take, which outlasts the page
        page.reload();
        page.getByTestId("sheet").waitFor();
        assertThat(takes()).hasAttribute("aria-label", "Takes: 2");
        button("Undo").click();
        button("Undo").click();
        assertThat(keys("turn")).hasCount(0);
        takes().click();
        Locator list = page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Takes"));
        assertThat(list.getByRole(AriaRole.LISTITEM).first()).containsText("Turn");
        list.getByText("Put in").first().click();
        list.getByLabel("Delete take 2").click();
        assertThat(list.getByRole(AriaRole.LISTITEM)).hasCount(1);
        button("Back to the sheet").click();
        page.waitForFunction(
                "() => document.querySelectorAll(\"[data-testid=sheet] [data-item^='key turn']\").length > 1");
    }

    @Test
    void looksAndCuesAreSetGoingByKeys() throws Exception {
        hand.bench("Brows").click();
        Locator dials = button("Make the dials of the brows");
        Locator looks = button("Make the six looks");
        dials.or(looks).first().waitFor();
        if (dials.isVisible()) {
            dials.click();
        }
        looks.click();
        button("Rebuild the six").waitFor();
        hand.bench("Eyes").click();
        button("Make the usual four").click();
        page.getByLabel(Pattern.compile("^Play ")).first().waitFor();
        hand.bench("Shot").click();
        page.getByTestId("sheet").waitFor();
        takes().click();
        Locator keys = page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Keys of looks and cues"));
        assertThat(keys.getByRole(AriaRole.LISTITEM)).hasCount(10);
        assertThat(faults()).isEmpty();
        // held it is there, let go of it is gone
        page.evaluate("() => document.activeElement.blur()");
        Locator first = keys.getByRole(AriaRole.BUTTON).first();
        button("only held").click();
        page.evaluate("() => document.activeElement.blur()");
        page.keyboard().down("1");
        assertThat(first).hasAttribute("aria-pressed", "true");
        page.keyboard().up("1");
        assertThat(first).hasAttribute("aria-pressed", "false");
        button("Back to the sheet").click();
        countIn(0);

        int before = page.locator("[data-testid=sheet] [data-item^='cue ']").count();
        play();
        page.waitForFunction(
                "() => Number(document.querySelector('[data-testid=clock]').textContent.match(/\\d+/)[0]) > 12");
        page.keyboard().press("Shift+Digit1");
        page.keyboard().down("1");
        page.waitForFunction(
                "() => Number(document.querySelector('[data-testid=clock]').textContent.match(/\\d+/)[0]) > 36");
        page.keyboard().up("1");
        page.keyboard().press("Space");
        assertThat(frame()).isHidden();
        assertThat(page.locator("[data-testid=sheet] [data-item^='cue ']")).hasCount(before + 1);
        assertThat(page.locator("[data-testid=sheet] [data-item^='look ']"))
                .not()
                .hasCount(0);
        // the take is put in, and its answer has come
        page.waitForFunction("() => window.waiting === 0");
        button("Undo").click();
        assertThat(page.locator("[data-testid=sheet] [data-item^='cue ']")).hasCount(before);
    }

    @Test
    void anotherWindowAndAKilledServerTakeNothingFromATake() throws Exception {
        hand.bench("Shot").click();
        page.getByTestId("sheet").waitFor();
        countIn(0);
        String before = takes().getAttribute("aria-label");
        Page other = page.context().newPage();
        other.navigate(page.url());
        other.getByTestId("sheet").waitFor();

        // the shot is changed in another window while a take is written in this one
        play();
        turned();
        other.getByLabel("A note to this frame: Notes").click();
        other.getByLabel("Note", new Page.GetByLabelOptions().setExact(true)).fill("from the other window");
        other.getByText("Write it").click();
        written(other, "note ");
        kept();
        stored("turn");
        stored("note");
        written(page, "key turn");
        other.close();

        // the server goes away in the middle of the next
        play();
        Locator blink = page.getByTestId("ruler-blink").first();
        blink.focus();
        page.keyboard().press("Shift+ArrowRight");
        server.kill();
        page.keyboard().press("Shift+ArrowRight");
        kept();
        assertThat(page.getByTestId("connection")).isVisible();
        assertThat(takes())
                .hasAttribute(
                        "aria-label", "Takes: " + (2 + Integer.parseInt(before.substring(before.indexOf(' ') + 1))));
        server.launch();
        assertThat(page.getByTestId("connection")).isHidden();
        stored("blink");
        stored("turn");
        stored("note");
        hand.errors.clear();
        // as the other stories found it
        for (int i = 0; i < 3; i++) {
            button("Undo").click();
            hand.settle();
        }
    }
}
