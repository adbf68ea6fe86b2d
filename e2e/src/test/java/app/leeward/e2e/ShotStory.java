package app.leeward.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;

/** A story on the exposure sheet: what lies on it, which frame is on the stage, and what is put in from the head of a lane. */
abstract class ShotStory extends Story {
    Locator items(String begins) {
        return page.locator("[data-testid=sheet] [data-item^='" + begins + "']");
    }

    void at(int frame) {
        page.evaluate("() => document.activeElement.blur()");
        page.keyboard().press("Home");
        for (int f = 1; f < frame; f++) {
            page.keyboard().press(".");
        }
        assertThat(page.getByTestId("clock")).hasText("frame " + frame + " of");
    }

    void put(String head, String what) {
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(head).setExact(true))
                .click();
        page.getByRole(AriaRole.DIALOG)
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(what))
                .first()
                .click();
        hand.settle();
    }
}
