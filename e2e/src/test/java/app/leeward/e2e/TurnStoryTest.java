package app.leeward.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The head turn from its solids, and dials recorded stop by stop, with the hand and with the keyboard. */
class TurnStoryTest extends Story {

    @Override
    void arrive() {
        hand.open(server.url() + "/#b=turn");
        page.getByTestId("film-strip").waitFor();
    }

    private Locator tab(String name) {
        return page.getByRole(
                AriaRole.TAB, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private void type(String label, String value) {
        Locator field = page.getByLabel(label, new Page.GetByLabelOptions().setExact(true))
                .last();
        field.fill(value);
        field.press("Enter");
    }

    private void pull(Locator handle, double dx, double dy) {
        handle.scrollIntoViewIfNeeded();
        BoundingBox b = handle.boundingBox();
        double x = b.x + b.width / 2;
        double y = b.y + b.height / 2;
        page.mouse().move(x, y);
        page.mouse().down();
        for (int i = 1; i <= 6; i++) {
            page.mouse().move(x + dx * i / 6, y + dy * i / 6);
            hand.frame();
        }
    }

    private void choose(String part) {
        page.locator("[data-testid=rigging] [data-node=" + part + "]").click(new Locator.ClickOptions().setForce(true));
        page.getByTestId("handles").waitFor();
    }

    private String outline(String part) {
        return page.locator("[data-testid=stage] [data-part=" + part + "] g:visible path")
                .first()
                .getAttribute("d");
    }

    @Test
    void theStripGoesFromEndToEndAndTheHeadIsShapedInTheRound() {
        Locator strip = page.getByTestId("film-strip").getByRole(AriaRole.BUTTON);
        assertThat(strip).hasCount(7);
        strip.last().click();
        assertThat(page.getByLabel("Turn, value").first()).hasValue("45°");
        page.waitForFunction("() => document.querySelector('[data-testid=stage] [data-part=eye-white-left]')"
                + ".getAttribute('transform').match(/[-\\d.e]+/g)[0] < 0.7");
        assertThat(strip.first().locator("svg")).hasCount(1);
        button("Onion skin").click();
        assertThat(strip.first().locator("svg")).hasCount(2);
        assertThat(strip.nth(3).locator("svg")).hasCount(1);
        button("Onion skin").click();
        button("25").click();
        assertThat(strip).hasCount(25);
        assertThat(page.getByText("Symmetrical, to")).isVisible();

        // how deep the face is, pulled on the head seen from its side: Escape lets go, letting go keeps
        String nose = hand.transform("nose");
        page.getByTestId("side-front").scrollIntoViewIfNeeded();
        pull(page.getByTestId("side-front"), -30, 0);
        page.keyboard().press("Escape");
        page.mouse().up();
        page.waitForFunction(
                "t => document.querySelector('[data-testid=stage] [data-part=nose]').getAttribute('transform') === t",
                nose);
        pull(page.getByTestId("side-front"), -30, 0);
        page.mouse().up();
        page.waitForFunction(
                "t => document.querySelector('[data-testid=stage] [data-part=nose]').getAttribute('transform') !== t",
                nose);
        button("Undo").click();
        assertThat(button("Undo")).isDisabled();

        // a piece of the turned head, pulled forward on the stage
        button("On the face").click();
        pull(page.getByTestId("solid-nose"), 30, 0);
        page.mouse().up();
        assertThat(page.getByText("1 set by hand")).isVisible();
        button("Undo").click();
        assertThat(page.getByText("as they look")).isVisible();
        page.getByLabel("Nose turns as").selectOption("FLAT");
        assertThat(page.getByText("1 left flat")).isVisible();
        button("Undo").click();
        assertThat(button("Undo")).isDisabled();

        type("face", "900");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("0.2 to 1.6, not 9");
        type("face", "90");
        assertThat(button("Undo")).isEnabled();
        button("There and back").click();
        page.waitForFunction("() => document.querySelector('[data-testid=stage] [data-part=nose]')"
                + ".getAttribute('transform').match(/[-\\d.e]+/g)[4] < 0");
        type("in frames", "200");
        button("There and back").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("12 to 48 frames, not 200");
        button("Undo").click();
        assertThat(button("Undo")).isDisabled();
    }

    /** What a piece is welded to and where an ear grows, by hand and by keyboard, beside the way the solids have it. */
    @Test
    void weldsAndRootsAreSeenAndChangedBesideTheExactWay() {
        Locator strip = page.getByTestId("film-strip").getByRole(AriaRole.BUTTON);
        button("Exact way").click();
        assertThat(strip.first().locator("svg")).hasCount(2);
        assertThat(strip.nth(3)).containsText("0.0 % off");
        button("Exact way").click();
        assertThat(strip.first().locator("svg")).hasCount(1);

        button("On the face").click();
        page.getByText(Pattern.compile("[0-9]+ pieces")).click();
        Locator pieces = page.getByLabel("Pieces of the head");
        pieces.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("left ear").setExact(true))
                .click();
        String ear = hand.transform("ear-left");
        page.getByTestId("root").focus();
        page.keyboard().press("Shift+ArrowDown");
        assertThat(pieces).containsText("Grows where you put its root");
        pull(page.getByTestId("root"), 12, -20);
        page.keyboard().press("Escape");
        page.mouse().up();
        pull(page.getByTestId("root"), -10, 16);
        page.mouse().up();
        assertThat(page.getByText("2 set by hand")).isVisible();
        button("Undo").click();
        button("Undo").click();
        assertThat(pieces).containsText("Grows where it meets the skin");
        page.waitForFunction(
                "t => document.querySelector('[data-testid=stage] [data-part=ear-left]').getAttribute('transform') === t",
                ear);

        pieces.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("fringe").setExact(true))
                .click();
        assertThat(page.getByTestId("weld").first()).isVisible();
        page.getByLabel("fringe is welded to").selectOption("nothing");
        assertThat(page.getByTestId("weld")).hasCount(0);
        assertThat(pieces).containsText("Welded nowhere");
        page.reload();
        page.getByTestId("film-strip").waitFor();
        page.getByText(Pattern.compile("[0-9]+ pieces")).click();
        assertThat(page.getByText("1 set by hand")).isVisible();
        button("Undo").click();
        assertThat(button("Undo")).isDisabled();
    }

    /** The dial reaches as far as the head bears, and back. */
    @Test
    void theHeadIsTurnedAsFarAsItBears() {
        Locator wider = page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Turn it [0-9]+°$")));
        String far = wider.textContent().replaceAll("[^0-9]", "");
        wider.click();
        assertThat(page.getByText("turns from -" + far + "° to " + far + "°")).isVisible();
        assertThat(wider).hasCount(0);
        button("Undo").click();
        assertThat(wider).isVisible();
        assertThat(button("Undo")).isDisabled();
    }

    /** A head that comes in drawn turned turns to either side of that, unless somebody says it looks to the front. */
    @Test
    void aHeadDrawnTurnedTurnsFromThere() throws Exception {
        String shown = "() => new URLSearchParams(location.hash.slice(1)).get('c')";
        Object before = page.evaluate(shown);
        page.getByTestId("art-file").setInputFiles(Path.of("src", "test", "resources", "art", "drawn-turned.svg"));
        page.waitForFunction("c => (" + shown + ")() !== c", before);
        hand.open(server.url() + "/#b=turn&c=" + page.evaluate(shown));
        page.reload();
        page.getByTestId("film-strip").waitFor();
        assertThat(page.getByText("drawn at 27°")).isVisible();
        assertThat(page.getByLabel("Turn, value").first()).hasValue("27°");
        page.getByText("no, from the front").click();
        assertThat(page.getByText("was drawn turned by 27°")).isVisible();
        assertThat(page.getByLabel("Turn, value").first()).hasValue("0°");
        button("Turn it from there").click();
        assertThat(page.getByText("drawn at 27°")).isVisible();
        type("drawn at", "70");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("-50.0 to 50.0");
    }

    @Test
    void aNodMakesAPadAndWhatIsOfferedIsMade() throws Exception {
        button("Nod").click();
        BoundingBox pad = page.getByTestId("pad-head").boundingBox();
        page.mouse().click(pad.x + pad.width * 0.9, pad.y + pad.height * 0.9);
        assertThat(page.getByLabel("Nod, value").first()).hasValue(Pattern.compile("1[0-9].*°"));
        button("Squash and stretch").click();
        button("Jaw drop").click();
        button("Hair drag").click();
        tab("Jaw drop").click();
        type("Jaw drop, value", "1");
        page.waitForFunction("() => document.querySelector('[data-testid=stage] [data-part=face-skin] path')");
        assertThat(page.getByTestId("stop-1").getByText("has its outline elsewhere"))
                .isVisible();
        tab("Hair drag").click();
        assertThat(page.getByText("follows Turn")).hasCount(2);
        assertThat(faults()).isEmpty();
        while (button("Undo").isEnabled()) {
            button("Undo").click();
            hand.settle();
        }
    }

    @Test
    void aDialOfOnesOwnIsRecordedMirroredAndTakenBack() {
        button("New dial").click();
        page.getByPlaceholder("Sneer, Ear droop, Hat brim …").fill("Sneer");
        type("from", "5");
        button("Make it").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("A dial needs some way to go");
        type("from", "-10");
        type("to", "10");
        button("Make it").click();
        assertThat(tab("Sneer")).hasAttribute("aria-selected", "true");
        type("Sneer, value", "5+5");
        button("Record at 10.0").or(button("Record at 10")).click();
        assertThat(page.getByText("Recording into Sneer at 10")).isVisible();
        choose("nose");
        double before = hand.shift("nose");
        for (int i = 0; i < 3; i++) {
            page.keyboard().press("Shift+ArrowRight");
            hand.settle();
        }
        assertThat(page.getByTestId("stop-10").getByText("goes 30 to the right"))
                .isVisible();
        page.waitForFunction(
                "n => Number(document.querySelector('[data-testid=stage] [data-part=nose]').getAttribute('transform')"
                        + ".match(/[-\\d.e]+/g)[4]) > n + 29",
                before);
        pull(page.getByTestId("handle-turn"), 26, 12);
        page.mouse().up();
        assertThat(page.getByTestId("stop-10").getByText(Pattern.compile("turns [\\d.]+°")))
                .isVisible();
        page.getByLabel(Pattern.compile("Show .* at 10")).nth(1).click();
        assertThat(page.getByLabel("Drawings it shows")).isVisible();
        // its place in the stack too: before the cap there, where it lies elsewhere
        page.getByLabel("Where nose lies at 10").selectOption("cap");
        assertThat(page.getByTestId("stop-10").getByText(Pattern.compile("lies over")))
                .isVisible();
        page.waitForFunction(STACKED, List.of("cap", "nose"));
        assertThat(page.getByLabel("Where parts lie")).containsText("over cap");
        page.getByLabel("Mirror 10", new Page.GetByLabelOptions().setExact(true))
                .click();
        assertThat(page.getByTestId("stop--10")).isVisible();
        page.getByTestId("recording")
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Stop"))
                .click();
        type("Sneer, value", "0");
        page.waitForFunction(STACKED, List.of("nose", "cap"));
        type("Sneer, value", "-10");
        assertThat(page.getByTestId("stop--10").getByText("goes 30 to the left"))
                .isVisible();
        page.waitForFunction(STACKED, List.of("cap", "nose"));
        page.getByTestId("stop--10")
                .getByLabel(Pattern.compile("without: goes"))
                .click();
        assertThat(page.getByTestId("stop--10").getByText("goes 30 to the left"))
                .hasCount(0);
        page.getByTestId("stop--10").locator("select").selectOption("curve");
        Locator curve = page.getByTestId("stop--10").getByTestId("curve");
        pull(curve.getByLabel("Leaving"), 12, -10);
        page.mouse().up();
        assertThat(curve.getByLabel("Leaving")).not().hasAttribute("aria-valuetext", "0.42 across, 0 up");
        page.reload();
        assertThat(page.getByTestId("stop-10")).isVisible();
        assertThat(tab("Sneer")).hasAttribute("aria-selected", "true");
        type("move to", "77");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("there is no 77 on it");
        page.getByLabel("Delete the dial Sneer").click();
        assertThat(tab("Sneer")).hasCount(0);
        button("Undo").click();
        assertThat(tab("Sneer")).isVisible();
        button("Redo").click();
        assertThat(tab("Sneer")).hasCount(0);
    }

    /** Whether the second of two parts lies over the first on the stage. */
    private static final String STACKED =
            "([under, over]) => { const all = [...document.querySelectorAll('[data-testid=stage] [data-part]')].map(g => g.dataset.part);"
                    + " return all.indexOf(under) >= 0 && all.indexOf(under) < all.indexOf(over) }";

    @Test
    void pointsArePulledAtAStopAndTheArtworkStays() {
        String drawn = outline("face-skin");
        tab("Turn").click();
        type("Turn, value", "45");
        button("Record at 45°").click();
        choose("face-skin");
        button("Pull its points").click();
        String turned = outline("face-skin");
        assertThat(turned).isNotEqualTo(drawn);
        Locator point = page.locator("[data-testid^=point-]").nth(3);
        pull(point, 24, 10);
        page.mouse().up();
        page.waitForFunction(
                "d => document.querySelector('[data-testid=stage] [data-part=face-skin] path')"
                        + ".getAttribute('d') !== d",
                turned);
        assertThat(page.getByText("Pulled a point").or(button("Undo"))).isEnabled();
        page.keyboard().press("Escape");
        page.getByTestId("recording")
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Stop"))
                .click();
        type("Turn, value", "0");
        page.waitForFunction(
                "d => document.querySelector('[data-testid=stage] [data-part=face-skin] path')"
                        + ".getAttribute('d') === d",
                drawn);
        tab("The whole head").click();
        assertThat(page.getByText("1 thing shaped by hand stays").or(page.getByText("1 thing shaped by hand stay")))
                .isVisible();
        button("Undo").click();
        assertThat(button("Undo")).isDisabled();
    }

    @Test
    void dialsFollowOneAnotherButNotRoundAndEdgesOfBandsAreDragged() {
        tab("Blink").click();
        page.getByLabel("follow", new Page.GetByLabelOptions().setExact(true)).selectOption("turn");
        assertThat(page.getByText("follows Turn")).isVisible();
        tab("Turn").click();
        page.getByLabel("follow", new Page.GetByLabelOptions().setExact(true)).selectOption("blink");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Turn follows Blink follows Turn");
        Locator edge = page.getByLabel("Edge of nose").last();
        int before = (int) Double.parseDouble(edge.getAttribute("aria-valuenow"));
        pull(edge, 60, 0);
        page.mouse().up();
        page.waitForFunction(
                "n => [...document.querySelectorAll('[aria-label=\"Edge of nose\"]')]"
                        + ".some(e => Number(e.getAttribute('aria-valuenow')) > n + 10)",
                before);
        button("Undo").click();
        hand.settle();
        button("Undo").click();
        assertThat(button("Undo")).isDisabled();
    }

    @Test
    void theNosesProfileGrowsPastTheEdgeOfTheFace() {
        tab("The whole head").click();
        button("Let its profile grow past the edge").click();
        assertThat(button("Let its profile grow past the edge")).hasCount(0);
        type("Turn, value", "45");
        // the line is masked by the face, the filling is not, and the front drawing stays
        page.waitForFunction(
                "() => { const g = id => document.querySelector(`[data-testid=stage] [data-part='${id}']`);"
                        + "const shown = id => [...g(id).children].some(d => d.style.display !== 'none');"
                        + "return shown('nose-line-past-the-edge') && shown('nose-filling') && shown('nose')"
                        + "  && /face/.test(g('nose-line-past-the-edge').parentElement.getAttribute('mask') ?? '')"
                        + "  && !g('nose-filling').parentElement.hasAttribute('mask') }");
        page.reload();
        assertThat(button("Let its profile grow past the edge")).hasCount(0);
        button("Undo").click();
        assertThat(button("Let its profile grow past the edge")).isVisible();
        assertThat(button("Undo")).isDisabled();
    }
}
