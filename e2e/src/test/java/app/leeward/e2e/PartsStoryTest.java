package app.leeward.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Hanging, pivots, handles, mirror and history on the Parts bench, with the hand and with the keyboard. */
class PartsStoryTest extends Story {

    @Override
    void arrive() {
        hand.open(server.url() + "/#b=parts");
        page.getByTestId("rigging").waitFor();
    }

    private void choose(String part) {
        page.getByLabel("Layer order")
                .getByTitle(part, new Locator.GetByTitleOptions().setExact(true))
                .click();
        page.getByTestId("handle-pivot").waitFor();
        hand.settle();
    }

    private void pull(String handle, double dx, double dy) {
        // what was let go of before may still be on its way back, and the handle with it
        hand.settle();
        BoundingBox b = page.getByTestId(handle).boundingBox();
        // in a part's box the middle is often another part's knot
        boolean body = handle.equals("handle-move");
        double x = b.x + b.width * (body ? 0.32 : 0.5);
        double y = b.y + b.height * (body ? 0.62 : 0.5);
        page.mouse().move(x, y);
        page.mouse().down();
        for (int i = 1; i <= 6; i++) {
            page.mouse().move(x + dx * i / 6, y + dy * i / 6);
            hand.frame();
        }
    }

    private String value(String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true))
                .inputValue();
    }

    private double number(String label) {
        return Double.parseDouble(value(label).replaceAll("[^-\\d.]", ""));
    }

    private void waitForValue(String label, Pattern is) {
        assertThat(page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)))
                .hasValue(is);
    }

    private String undoUntilClean() {
        while (button("Undo").isEnabled()) {
            try {
                button("Undo").click(new Locator.ClickOptions().setTimeout(2000));
            } catch (com.microsoft.playwright.TimeoutError e) {
                // the answer to the undo before came in between: there is nothing left
                continue;
            }
            hand.settle();
        }
        return "";
    }

    @Test
    void handlesPlaceAPartAndEscapeLetsGo() {
        choose("cap");
        pull("handle-turn", 20, 10);
        page.keyboard().press("Escape");
        page.mouse().up();
        waitForValue("Rotation", Pattern.compile("0°"));
        pull("handle-turn", 20, 10);
        page.mouse().up();
        waitForValue("Rotation", Pattern.compile("[1-9].*°"));
        pull("handle-move", 12, -8);
        page.mouse().up();
        waitForValue("X", Pattern.compile("[1-9].*"));
        assertThat(number("Y")).isNegative();
        pull("handle-se", 14, 14);
        page.mouse().up();
        waitForValue("Scale Y", Pattern.compile("1[0-9]{2}.* %"));
        Locator slant = page.getByLabel("Skew", new Page.GetByLabelOptions().setExact(true));
        slant.fill("5*2");
        slant.press("Enter");
        waitForValue("Skew", Pattern.compile("10°"));
        slant.fill("leaning");
        slant.press("Enter");
        assertThat(slant).hasAttribute("aria-invalid", "true");
        slant.press("Escape");
        waitForValue("Skew", Pattern.compile("10°"));
        undoUntilClean();
        waitForValue("Rotation", Pattern.compile("0°"));
    }

    @Test
    void aMovedPivotMovesNoPictureAndReHangingNeither() {
        page.getByLabel("Turn, value").fill("40");
        page.getByLabel("Turn, value").press("Enter");
        choose("left ear");
        hand.settle();
        String before = hand.transform("ear-left");
        double pivot = number("Pivot X");
        pull("handle-pivot", -40, 20);
        page.mouse().up();
        page.waitForFunction(
                "x => Math.abs(Number(document.querySelector('[aria-label=\"Pivot X\"]').value) - x) > 5", pivot);
        assertThat(hand.transform("ear-left"))
                .as("turned, with its pivot elsewhere")
                .isEqualTo(before);
        page.getByLabel("Turn, value").fill("0");
        page.getByLabel("Turn, value").press("Enter");
        hand.settle();
        String rest = hand.transform("ear-left");
        BoundingBox hook = page.getByTestId("handle-hook").boundingBox();
        BoundingBox cap = page.locator("[data-node=cap]").boundingBox();
        page.mouse().move(hook.x + hook.width / 2, hook.y + hook.height / 2);
        page.mouse().down();
        page.mouse().move(cap.x + 20, cap.y + 20);
        page.mouse().move(cap.x + cap.width / 2, cap.y + cap.height / 2);
        page.mouse().up();
        assertThat(page.getByLabel("Parent", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("cap");
        assertThat(hand.transform("ear-left")).isEqualTo(rest);
        // in a circle it is refused, in words, and nothing changes
        choose("cap");
        page.getByLabel("Parent", new Page.GetByLabelOptions().setExact(true)).selectOption("head");
        undoUntilClean();
        assertThat(page.getByLabel("Parent", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("head");
    }

    @Test
    void theOtherSideIsMadeByMirrorAndFollowsUntilTheLinkIsBroken() {
        choose("left brow");
        button("Make the right one from it").click();
        assertThat(page.getByText("linked to right brow")).isVisible();
        Locator turned = page.getByLabel("Rotation", new Page.GetByLabelOptions().setExact(true));
        turned.fill("12");
        turned.press("Enter");
        choose("right brow");
        waitForValue("Rotation", Pattern.compile("-12°"));
        button("Break the link").click();
        assertThat(page.getByText("not linked to its other side")).isVisible();
        turned.fill("3");
        turned.press("Enter");
        choose("left brow");
        waitForValue("Rotation", Pattern.compile("12°"));
        undoUntilClean();
    }

    @Test
    void partsAreGroupedStackedHiddenAndLocked() {
        choose("nose");
        page.getByLabel("Layer order")
                .getByTitle("mouth", new Locator.GetByTitleOptions().setExact(true))
                .click(new Locator.ClickOptions()
                        .setModifiers(java.util.List.of(com.microsoft.playwright.options.KeyboardModifier.SHIFT)));
        assertThat(page.getByLabel("The chosen parts")).containsText("2 parts");
        page.getByLabel("Name of the group").fill("muzzle");
        button("Group them").click();
        assertThat(page.getByLabel("Layer order").getByTitle("muzzle")).isVisible();
        choose("nose");
        assertThat(page.getByLabel("Parent", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("muzzle");
        button("Hide it while working").click();
        page.waitForFunction(
                "() => document.querySelector('[data-testid=stage] [data-part=nose]').parentElement.style.display === 'none'");
        hand.settle();
        page.reload();
        page.getByTestId("rigging").waitFor();
        page.waitForFunction(
                "() => document.querySelector('[data-testid=stage] [data-part=nose]').parentElement.style.display === 'none'");
        button("Show it again").click();
        button("Lock it against clicks").click();
        assertThat(page.getByTestId("handle-turn")).hasCount(0);
        button("Unlock it").click();
        Locator nose =
                page.getByLabel("Layer order").getByTitle("nose", new Locator.GetByTitleOptions().setExact(true));
        nose.focus();
        page.keyboard().press("Alt+ArrowLeft");
        assertThat(page.getByLabel("History")).containsText("nose in front of");
        undoUntilClean();
    }

    @Test
    void aRowOfArrowsIsSeenAtOnceAndIsOneEdit() {
        choose("nose");
        page.evaluate("() => document.activeElement.blur()");
        double before = hand.shift("nose");
        for (int i = 0; i < 5; i++) {
            page.keyboard().press("Shift+ArrowRight");
        }
        page.waitForFunction(
                "x => Number(document.querySelector('[data-testid=stage] [data-part=nose]').getAttribute('transform')"
                        + ".match(/[-\\d.e]+/g)[4]) > x + 49",
                before);
        waitForValue("X", Pattern.compile("^50$"));
        hand.settle();
        button("Undo").click();
        waitForValue("X", Pattern.compile("^0$"));
        Locator across = page.getByLabel("X", new Page.GetByLabelOptions().setExact(true));
        for (int i = 0; i < 3; i++) {
            across.press("ArrowUp");
        }
        assertThat(across).hasValue("3");
        hand.settle();
        button("Undo").click();
        waitForValue("X", Pattern.compile("^0$"));
    }

    @Test
    void aFrameFromTheGroundChoosesWhatLiesInIt() {
        BoundingBox stage = page.getByTestId("stage").boundingBox();
        BoundingBox left =
                page.locator("[data-testid=stage] [data-part=brow-left]").boundingBox();
        BoundingBox right =
                page.locator("[data-testid=stage] [data-part=brow-right]").boundingBox();
        double top = Math.min(left.y, right.y) - 3;
        double foot = Math.max(left.y + left.height, right.y + right.height) + 3;
        page.mouse().move(stage.x + 14, top);
        page.mouse().down();
        page.mouse().move(stage.x + 200, top + 10);
        page.mouse().move(stage.x + stage.width - 14, foot);
        assertThat(page.getByTestId("marquee")).isVisible();
        page.mouse().up();
        assertThat(page.getByTestId("marquee")).hasCount(0);
        assertThat(page.getByLabel("The chosen parts")).containsText(Pattern.compile("[23] parts"));
        // thought better of: what was chosen stays so
        page.mouse().move(stage.x + 14, top);
        page.mouse().down();
        page.mouse().move(stage.x + 200, foot);
        page.keyboard().press("Escape");
        page.mouse().up();
        assertThat(page.getByLabel("The chosen parts")).containsText(Pattern.compile("[23] parts"));
        // round nothing: nothing is chosen
        page.mouse().move(stage.x + 14, top);
        page.mouse().down();
        page.mouse().move(stage.x + 60, top + 40);
        page.mouse().up();
        assertThat(page.getByLabel("The chosen parts")).hasCount(0);
    }

    @Test
    void theHistoryIsLookedAtNamedAndReturnedTo() {
        choose("nose");
        Locator across = page.getByLabel("X", new Page.GetByLabelOptions().setExact(true));
        across.fill("9");
        across.press("Enter");
        waitForValue("X", Pattern.compile("9"));
        across.fill("21");
        across.press("Enter");
        waitForValue("X", Pattern.compile("21"));
        Locator history = page.getByLabel("History");
        history.getByRole(
                        AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("nose stands at 9, 0")))
                .first()
                .click();
        assertThat(history.getByLabel(Pattern.compile("Revision \\d+"))).isVisible();
        page.getByLabel("Name of the milestone").fill("nose agreed");
        history.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Name").setExact(true))
                .click();
        assertThat(history).containsText("nose agreed");
        history.getByText("Return to this").click();
        waitForValue("X", Pattern.compile("9"));
        assertThat(history).containsText("Returned to “nose agreed”");
        button("Undo").click();
        waitForValue("X", Pattern.compile("21"));
        page.getByLabel("only milestones").check();
        assertThat(history.getByRole(AriaRole.LISTITEM)).hasCount(1);
        assertThat(number("X")).isCloseTo(21, within(0.001));
    }

    @Test
    void artworkIsChangedPointByPointAndPlacementStays() {
        choose("fringe");
        page.getByLabel("Edit the artwork of fringe").click();
        assertThat(page.getByText("Drawing – the part stays where it is")).isVisible();
        Locator outline =
                page.locator("[data-testid=stage] [data-part=fringe] path").first();
        String before = outline.getAttribute("d");
        String placed = hand.transform("fringe");
        int points = page.locator("[data-testid^=point-]").count();
        pull("point-2", 14, 20);
        page.waitForFunction(
                "d => document.querySelector('[data-testid=stage] [data-part=fringe] path').getAttribute('d') !== d",
                before);
        page.keyboard().press("Escape");
        page.mouse().up();
        page.waitForFunction(
                "d => document.querySelector('[data-testid=stage] [data-part=fringe] path').getAttribute('d') === d",
                before);
        pull("point-2", 14, 20);
        page.mouse().up();
        assertThat(page.getByLabel("History")).containsText("Moved a point in drawing fringe of fringe");
        page.getByTestId("point-3").click();
        page.keyboard().press("Delete");
        assertThat(page.locator("[data-testid^=point-]")).hasCount(points - 1);
        page.getByTestId("point-3").click();
        page.keyboard().press("c");
        assertThat(page.getByLabel("History")).containsText("Made a point a corner");
        page.keyboard().press("Shift+ArrowDown");
        assertThat(hand.transform("fringe"))
                .as("arrows nudge the point, not the part")
                .isEqualTo(placed);
        page.getByLabel("Name of the copy").fill("fringe in the wind");
        button("Duplicate").click();
        button("Done").click();
        assertThat(page.getByLabel("Pick fringe in the wind")).isVisible();
        undoUntilClean();
        page.waitForFunction(
                "d => document.querySelector('[data-testid=stage] [data-part=fringe] path').getAttribute('d') === d",
                before);
    }

    @Test
    void aWindowIsChosenAndAPartTakenAwayAndBothAreTakenBack() {
        choose("nose");
        Locator window = page.getByLabel("Masked by", new Page.GetByLabelOptions().setExact(true));
        assertThat(window).hasValue("");
        window.selectOption("face-skin");
        page.waitForFunction(
                "() => document.querySelector('[data-testid=stage] [data-part=nose]').parentElement.getAttribute('clip-path')?.includes('face-skin')");
        window.selectOption("");
        page.waitForFunction(
                "() => !document.querySelector('[data-testid=stage] [data-part=nose]').parentElement.hasAttribute('clip-path')");
        button("Delete the part").click();
        assertThat(page.locator("[data-testid=stage] [data-part=nose]")).hasCount(0);
        for (int i = 0; i < 3; i++) {
            button("Undo").click();
            hand.settle();
        }
        assertThat(page.locator("[data-testid=stage] [data-part=nose] path").first())
                .isAttached();
        assertThat(button("Undo")).isDisabled();
    }

    @Test
    void drawingsOfOnePartComeToOneSizeBetweenTwoLines() {
        choose("nose");
        button("Stand all").click();
        assertThat(page.getByRole(AriaRole.ALERT)).hasCount(0);
        page.waitForFunction(
                "() => { const b = document.querySelector('[data-testid=stage] [data-part=nose]').getBBox(); return b.height > 300; }");
        page.getByLabel("Upper model line").selectOption("chin");
        page.getByLabel("Lower model line").selectOption("top of head");
        button("Stand all").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("has to lie above");
        undoUntilClean();
    }

    private void waitForDrawing(String part, boolean shows) {
        page.waitForFunction(
                "([part, shows]) => !!document.querySelector(`[data-testid=stage] [data-part=${part}] g:not([style*=none])`) === shows",
                java.util.List.of(part, shows));
    }

    @Test
    void theCapComesOffWithOneKeyAndHandsAreFoundByTyping() {
        choose("cap");
        page.getByLabel("Key for nothing of cap").click();
        page.keyboard().press("c");
        assertThat(page.getByLabel("Key for nothing of cap")).hasValue("key c");
        page.evaluate("() => document.activeElement.blur()");
        page.keyboard().press("c");
        waitForDrawing("cap", false);
        page.keyboard().press("c");
        waitForDrawing("cap", true);
        // the address follows the desk a moment later
        page.waitForFunction("() => !location.hash.includes('p.cap')");
        page.reload();
        page.getByTestId("rigging").waitFor();
        waitForDrawing("cap", true);
        hand.settle();
        page.keyboard().press("c");
        waitForDrawing("cap", false);
        page.keyboard().press("c");
        waitForDrawing("cap", true);

        choose("left hand");
        Locator set = page.getByRole(AriaRole.SPINBUTTON, new Page.GetByRoleOptions().setName("Drawing of left hand"));
        assertThat(set).hasAttribute("aria-valuetext", "relaxed");
        assertThat(set).hasAttribute("aria-valuemax", "9");
        set.hover();
        page.mouse().wheel(0, 100);
        assertThat(set).hasAttribute("aria-valuetext", "point");
        set.press("ArrowDown");
        assertThat(set).hasAttribute("aria-valuetext", "fist");
        set.press("ArrowUp");
        set.press("ArrowUp");
        set.press("ArrowUp");
        assertThat(set).hasAttribute("aria-valuetext", "nothing");
        waitForDrawing("hand-left", false);
        page.getByLabel("Find a drawing of left hand").fill("thu");
        assertThat(page.getByLabel(Pattern.compile("^Pick "))).hasCount(1);
        page.getByLabel("Pick thumb up").click();
        assertThat(set).hasAttribute("aria-valuetext", "thumb up");
        waitForDrawing("hand-left", true);
        undoUntilClean();
    }
}
