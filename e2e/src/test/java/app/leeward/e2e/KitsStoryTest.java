package app.leeward.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** Choices over several parts at once, with the demo's clothes and with art of two pieces that belong together. */
class KitsStoryTest extends Story {
    /** A cap in two pieces, one before the head and one behind it. */
    private static final String TWO_PIECES =
            """
            <svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 1000 1000">
              <title>Two pieces</title>
              <g id="cap back"><path d="M360 300H640V420H360Z" fill="#20506a"/></g>
              <g id="face"><ellipse cx="500" cy="500" rx="140" ry="180" fill="#eecbaa"/></g>
              <g id="eye left"><circle cx="560" cy="480" r="30" fill="#fff"/></g>
              <g id="eye right"><circle cx="440" cy="480" r="30" fill="#fff"/></g>
              <g id="cap">
                <g id="peaked"><path d="M350 260H650V380H350Z" fill="#2b6f8f"/></g>
                <g id="bobble" display="none"><path d="M380 240H620V380H380Z" fill="#b03a2e"/></g>
              </g>
            </svg>
            """;

    private Locator radio(String name) {
        return page.getByRole(
                AriaRole.RADIO, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private void stageShows(String part, boolean seen) {
        page.waitForFunction(
                "([part, seen]) => { const g = document.querySelector(`[data-testid=stage] [data-part='${part}']`);"
                        + " return (!!g && getComputedStyle(g).display !== 'none' && g.getBoundingClientRect().width > 0)"
                        + " === seen }",
                java.util.List.of(part, seen));
    }

    @Test
    void theDrawingsOfASetAreNamedAndPutInOrder() {
        page.navigate("about:blank");
        hand.open(server.url() + "/#b=parts&part=hand-left");
        page.getByLabel("Name of the drawing: relaxed. Rename").click();
        page.keyboard().press("Control+a");
        page.keyboard().type("fist");
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("has a drawing called fist already");
        page.keyboard().press("Control+a");
        page.keyboard().type("at ease");
        page.keyboard().press("Enter");
        assertThat(button("Pick at ease")).isVisible();
        assertThat(button("Earlier in the set")).isDisabled();
        button("Later in the set").click();
        page.waitForFunction("() => [...document.querySelectorAll('button[aria-label^=\"Pick \"]')].findIndex("
                + "b => b.getAttribute('aria-label') === 'Pick at ease') === 1");
        page.reload();
        assertThat(button("Earlier in the set")).isEnabled();
        button("Undo").click();
        assertThat(button("Earlier in the set")).isDisabled();
        button("Undo").click();
        assertThat(page.getByLabel("Name of the drawing: relaxed. Rename")).isVisible();
    }

    @Test
    void aKitIsPutOnByClickAndKeyAndIsKeptOverAReload() throws Exception {
        hand.bench("Kits").click();
        Locator clothes = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Clothes"));
        assertThat(clothes.locator("figure")).hasCount(3);
        button("Put on Indoors").click();
        stageShows("cap", false);
        assertThat(radio("jumper, torso")).isChecked();
        button("Put on Raincoat").click();
        stageShows("cap", true);
        assertThat(radio("sou'wester, cap")).isChecked();
        assertThat(radio("raincoat, left forearm")).isChecked();

        // a kit of one's own: what is picked is in it
        button("Put on Raincoat").click();
        radio("jumper, torso").click();
        radio("nothing, collar").click();
        page.getByPlaceholder("name of the kit").fill("Half dressed");
        page.getByPlaceholder("Group").fill("Clothes");
        button("Keep as a kit").click();
        assertThat(clothes.locator("figure")).hasCount(4);
        Locator key = page.getByLabel("Key for the kit Half dressed");
        key.focus();
        page.keyboard().press("h");
        assertThat(key).hasValue("key h");
        button("Everything back to rest").click();
        assertThat(radio("raincoat, torso")).isChecked();
        page.keyboard().press("h");
        assertThat(radio("jumper, torso")).isChecked();
        stageShows("collar", false);
        page.keyboard().press("h");
        assertThat(radio("raincoat, torso")).isChecked();
        assertThat(faults()).isEmpty();

        page.reload();
        assertThat(clothes.locator("figure")).hasCount(4);
        button("Wear Half dressed by default").click();
        assertThat(radio("jumper, torso")).isChecked();
        button("Undo").click();
        assertThat(radio("raincoat, torso")).isChecked();
        button("Delete the kit Half dressed").click();
        assertThat(clothes.locator("figure")).hasCount(3);
    }

    @Test
    void aCapOfTwoPiecesComesOffWithOneKey() {
        upload("two.svg", TWO_PIECES);
        hand.bench("Kits").click();
        assertThat(page.getByText("No kit yet.", new Page.GetByTextOptions().setExact(false)))
                .isVisible();
        Locator nothing = page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("nothing, "));
        assertThat(nothing).hasCount(2);
        nothing.nth(0).click();
        nothing.nth(1).click();
        // without a name there is nothing to keep; a name of blanks is no name
        assertThat(button("Keep as a kit")).isDisabled();
        page.getByPlaceholder("name of the kit").fill("   ");
        assertThat(button("Keep as a kit")).isDisabled();
        page.getByPlaceholder("name of the kit").fill("Bareheaded");
        button("Keep as a kit").click();
        page.getByLabel("Key for the kit Bareheaded").focus();
        page.keyboard().press("w");
        assertThat(page.getByText("'w' is not", new Page.GetByTextOptions().setExact(false))
                        .first())
                .isVisible();
        page.getByLabel("Key for the kit Bareheaded").focus();
        page.keyboard().press("b");
        assertThat(page.getByLabel("Key for the kit Bareheaded")).hasValue("key b");
        button("Everything back to rest").click();
        stageShows("cap", true);
        page.keyboard().press("b");
        stageShows("cap", false);
        assertThat(nothing.nth(0)).isChecked();
        assertThat(nothing.nth(1)).isChecked();
    }
}
