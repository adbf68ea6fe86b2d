package app.leeward.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A rigger lets drawings come over from those before them. */
class ComesOverStoryTest extends ShotStory {
    /** A relaxed hand was drawn with other points than an open one: on request both get the same, and it opens. */
    @Test
    void aHandAndAMouthComeOverOnceTheirPointsAreMatched() throws Exception {
        hand.bench("Shot").click();
        page.getByTestId("sheet").waitFor();
        at(10);
        put("Show from this frame on: left hand", "open");
        items("drawing hand-left").click();
        Locator over = page.getByLabel("over in");
        over.fill("6");
        over.press("Enter");
        hand.settle();
        Locator says = page.getByRole(AriaRole.STATUS).filter(new Locator.FilterOptions().setHasText("come over from"));
        assertThat(says).hasText("2 of 3 pieces come over from relaxed.");
        at(12);
        String exchanged = outline("hand-left");
        button("Match points").click();
        hand.settle();
        assertThat(says).hasText("3 of 3 pieces come over from relaxed.");
        assertThat(button("Match points")).hasCount(0);
        assertThat(outline("hand-left")).as("it is on its way").isNotEqualTo(exchanged);
        button("Undo").first().click();
        hand.settle();
        assertThat(button("Match points")).hasCount(1);
        page.keyboard().press("Control+Shift+z");
        hand.settle();
        assertThat(says).hasText("3 of 3 pieces come over from relaxed.");

        // a mouth that a hand pins goes over from the one that is said
        page.locator("[data-testid=sheet] [data-mouth]").nth(4).click();
        Locator picker = page.getByRole(AriaRole.DIALOG);
        picker.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Pin surprise"))
                .click();
        hand.settle();
        page.locator("[data-testid=sheet] [data-mouth$=surprise]").first().click();
        Locator mouth = picker.getByLabel("over in");
        mouth.fill("2");
        mouth.press("Enter");
        hand.settle();
        assertThat(picker.getByRole(AriaRole.STATUS))
                .containsText(Pattern.compile("[1-9] of [0-9]+ pieces come over from"));
        page.reload();
        page.getByTestId("sheet").waitFor();
        page.locator("[data-testid=sheet] [data-mouth$=surprise]").first().click();
        assertThat(picker.getByLabel("over in")).hasValue("2");
    }

    private String outline(String part) {
        return (String) page.evaluate(
                "part => [...document.querySelectorAll(`[data-testid=stage] [data-part=${part}] > g`)]"
                        + ".filter(g => g.style.display !== 'none').flatMap(g => [...g.querySelectorAll('path')])"
                        + ".map(p => p.getAttribute('d')).join(' ')",
                part);
    }
}
