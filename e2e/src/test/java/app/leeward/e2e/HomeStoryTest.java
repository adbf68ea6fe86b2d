package app.leeward.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.MouseButton;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** All characters by their faces: found, opened, copied, renamed, archived and brought back; and the tour that begins there. */
class HomeStoryTest extends Story {
    @Override
    void arrive() {
        page.navigate(server.url());
        page.getByTestId("home").waitFor();
    }

    private Locator tile(String name) {
        return page.getByTestId("character")
                .filter(new Locator.FilterOptions()
                        .setHas(page.getByRole(
                                AriaRole.HEADING,
                                new Page.GetByRoleOptions().setName(name).setExact(true))));
    }

    private void waitForFaces() {
        page.waitForFunction(
                "() => { const all = [...document.querySelectorAll('[data-testid=character] img')]; return all.length > 0 && all.every(i => i.complete && i.naturalWidth > 0); }");
    }

    @Test
    void everybodyIsThereByTheirFaceAndIsFoundByTyping() throws Exception {
        waitForFaces();
        assertThat(faults()).isEmpty();
        assertThat(page).hasTitle("Characters – Leeward");
        int all = page.getByTestId("character").count();
        // whoever just types looks for somebody
        page.keyboard().type("pilch");
        assertThat(page.getByLabel("Find a character")).hasValue("pilch");
        assertThat(page.getByTestId("character")).hasCount(1);
        page.keyboard().press("Escape");
        assertThat(page.getByTestId("character")).hasCount(all);
        page.keyboard().type("nobody at all");
        assertThat(page.getByText("Nobody’s name holds “nobody at all”.")).isVisible();
        page.getByLabel("Find a character").fill("pilch");
        page.keyboard().press("Enter");
        assertThat(page).hasTitle(Pattern.compile("^Pilchard.*, Lines – Leeward$"));
        page.locator("[data-testid=stage] [data-part] path").first().waitFor();
        // the browser's own way back, and on again
        page.goBack();
        page.getByTestId("home").waitFor();
        page.goForward();
        page.getByTestId("stage").waitFor();
        hand.bench("Eyes").click();
        assertThat(page).hasTitle(Pattern.compile(", Eyes – Leeward$"));
        page.goBack();
        assertThat(page).hasTitle(Pattern.compile(", Lines – Leeward$"));
        button("All characters").click();
        page.getByTestId("home").waitFor();
    }

    @Test
    void aCopyIsRenamedArchivedAndBroughtBack() throws Exception {
        page.getByLabel("Find a character").fill("Barnaby");
        assertThat(page.getByTestId("character")).hasCount(1);
        tile("Barnaby Wick").hover();
        button("Duplicate Barnaby Wick").click();
        assertThat(page.getByTestId("character")).hasCount(2);
        tile("Barnaby Wick 2").locator("button").first().focus();
        page.keyboard().press("F2");
        page.getByLabel("New name of Barnaby Wick 2").fill("Barnaby the second");
        page.keyboard().press("Enter");
        assertThat(tile("Barnaby the second")).isVisible();
        button("Undo").click();
        assertThat(tile("Barnaby Wick 2")).isVisible();

        tile("Barnaby Wick 2").click(new Locator.ClickOptions().setButton(MouseButton.RIGHT));
        assertThat(page.getByRole(AriaRole.MENUITEM)).hasCount(4);
        assertThat(faults()).isEmpty();
        page.getByRole(AriaRole.MENUITEM)
                .filter(new Locator.FilterOptions().setHasText("Rename"))
                .click();
        assertThat(page.getByLabel("New name of Barnaby Wick 2")).isFocused();
        page.keyboard().press("Escape");

        tile("Barnaby Wick 2").locator("button").first().focus();
        page.keyboard().press("Delete");
        assertThat(tile("Barnaby Wick 2")).hasCount(0);
        button("Undo").click();
        assertThat(tile("Barnaby Wick 2")).isVisible();

        tile("Barnaby Wick 2").hover();
        button("Archive Barnaby Wick 2").click();
        assertThat(tile("Barnaby Wick 2")).hasCount(0);
        page.reload();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Archived")))
                .click();
        assertThat(faults()).isEmpty();
        tile("Barnaby Wick 2").hover();
        button("Bring Barnaby Wick 2 back").click();
        assertThat(tile("Barnaby Wick 2")).hasCount(0);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Archived")))
                .click();
        assertThat(tile("Barnaby Wick 2")).isVisible();
    }

    @Test
    void anAddressOfNobodyIsToldAndAnotherIsNotOpenedInstead() {
        page.navigate("about:blank");
        page.navigate(server.url() + "/#c=00000000-0000-0000-0000-000000000000&b=eyes");
        page.getByTestId("home").waitFor();
        assertThat(page.getByText("The character of that address is not here.")).isVisible();
        page.getByRole(AriaRole.ALERT).getByText("Close").click();
        assertThat(page.getByRole(AriaRole.ALERT)).hasCount(0);
    }

    @Test
    void theTourTicksItselfOffByDoing() throws Exception {
        button("Begin the tour").click();
        Locator bar = page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName("Tour").setExact(true));
        assertThat(bar).containsText("Turn her head");
        page.getByTestId("ruler-turn").first().waitFor();
        hand.dragRuler("turn", 0.5, 0.9);
        assertThat(bar).containsText("Make her blink");
        assertThat(faults()).isEmpty();
        hand.dragRuler("blink", 0, 1);
        assertThat(bar).containsText("Fix a mouth");
        bar.getByText("To Lines").click();
        page.getByTestId("clock").waitFor();
        // done out of order it counts as well
        page.keyboard().press(" ");
        page.waitForFunction("() => JSON.parse(localStorage.getItem('tour')).done.includes('say')");
        page.keyboard().press(" ");
        page.reload();
        assertThat(bar).containsText("Fix a mouth");
        page.getByLabel(Pattern.compile("^Mouth .*, frames ")).nth(3).click();
        page.getByRole(AriaRole.DIALOG)
                .getByRole(AriaRole.BUTTON)
                .filter(new Locator.FilterOptions().setHas(page.locator("svg")))
                .nth(2)
                .click();
        assertThat(bar).containsText("Hand her over");
        button("End the tour").click();
        assertThat(bar).hasCount(0);
        button("All characters").click();
        assertThat(page.getByText("Go on with step 5")).isVisible();
        button("Close the tour").click();
        assertThat(button("A tour, by doing …")).isVisible();
    }
}
