package app.leeward.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.demo.DemoFiles;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A head drawn in three views becomes five on its turn, from a file whose views do not stand on one another. */
class ViewsStoryTest extends Story {
    private String art(String transform) {
        String drawn = new String(DemoFiles.wick(), StandardCharsets.UTF_8);
        String moved = drawn.replace(
                "<g id=\"three-quarter view\">", "<g id=\"three-quarter view\" transform=\"" + transform + "\">");
        assertThat(moved).isNotEqualTo(drawn);
        return moved;
    }

    private void drop(String svg) {
        page.getByTestId("art-file")
                .setInputFiles(new FilePayload("wick.svg", "image/svg+xml", svg.getBytes(StandardCharsets.UTF_8)));
        page.getByText("Barnaby Wick").first().waitFor();
        hand.bench("Turn").click();
        page.getByTestId("view-bands").waitFor();
    }

    /** Roots of the views whose pieces are to be seen. */
    private List<?> seen() {
        return (List<?>)
                page.evaluate("() => [...new Set([...document.querySelectorAll('[data-testid=stage] [data-part]')]"
                        + ".filter(g => g.dataset.part.endsWith('face-skin') && [...g.querySelectorAll('path')].some(p => p.getClientRects().length > 0))"
                        + ".map(g => g.dataset.part))]");
    }

    private double middle(String part) {
        return ((Number) page.evaluate(
                        "p => { const b = document.querySelector(`[data-testid=stage] [data-part=${p}]`).getBoundingClientRect();"
                                + " return b.x + b.width / 2; }",
                        part))
                .doubleValue();
    }

    @Test
    void viewsThatDoNotMeetAreRegisteredAndExchangedOneAtATime() throws Exception {
        drop(art("translate(18 11) scale(.96)"));
        Locator bands = page.getByTestId("view-bands").getByRole(AriaRole.BUTTON);
        assertThat(bands).hasCount(5);
        assertThat(page.getByText("4 of 4 edges jump.")).isVisible();
        assertThat(page.getByLabel("Views").getByText("Mend")).hasCount(4);
        page.getByText("Register all to front view").click();
        assertThat(page.getByText("Nothing jumps")).isVisible();
        assertThat(faults()).isEmpty();

        String[] shows = {
            "side-view-face-skin",
            "three-quarter-view-face-skin",
            "face-skin",
            "three-quarter-view-face-skin",
            "side-view-face-skin"
        };
        for (int i = 0; i < 5; i++) {
            bands.nth(i).click();
            assertThat(bands.nth(i)).hasAttribute("aria-pressed", "true");
            hand.settle();
            assertThat(seen()).as("band %d", i).isEqualTo(List.of(shows[i]));
        }
        // the mirrored three-quarter view lies as far left of the axis as the drawn one right of it
        bands.nth(3).click();
        hand.settle();
        double right = middle("three-quarter-view-face-skin");
        bands.nth(1).click();
        hand.settle();
        double left = middle("three-quarter-view-face-skin");
        bands.nth(2).click();
        hand.settle();
        assertThat((left + right) / 2).isCloseTo(middle("face-skin"), within(1.0));

        // by the keyboard, refused beyond the neighbour, kept over a reload, and undone
        Locator edge = page.getByLabel("Where front view gives way to three-quarter view");
        edge.focus();
        page.keyboard().press("ArrowRight");
        assertThat(edge).hasAttribute("aria-valuetext", "23.5°");
        page.reload();
        page.getByTestId("view-bands").waitFor();
        assertThat(edge).hasAttribute("aria-valuetext", "23.5°");
        button("Undo").click();
        assertThat(edge).hasAttribute("aria-valuetext", "22.5°");
        button("Undo").click();
        assertThat(page.getByText("4 of 4 edges jump.")).isVisible();
    }

    @Test
    void aWordTypedIsSaidByTheMouthOfTheViewThatShows() {
        drop(art("translate(0 0)"));
        assertThat(page.getByText("Nothing jumps")).isVisible();
        page.getByTestId("view-bands").getByRole(AriaRole.BUTTON).nth(4).click();
        hand.settle();
        hand.bench("Mouths").click();
        page.getByLabel("Words to say").fill("ah");
        button("Say it").click();
        page.waitForFunction(
                "() => [...document.querySelectorAll('[data-testid=stage] [data-part=side-view-mouth] path')]"
                        + ".filter(p => p.getClientRects().length > 0).length > 2");
    }
}
