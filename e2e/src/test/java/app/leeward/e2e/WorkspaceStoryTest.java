package app.leeward.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.ForcedColors;
import com.microsoft.playwright.options.MouseButton;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Room for the work: panels that are dragged and folded, a stage that is moved, everything found by its name. */
class WorkspaceStoryTest extends Story {
    @Override
    void arrive() {
        hand.open(server.url() + "/#b=turn");
    }

    private Locator divider(String label) {
        return page.getByRole(
                AriaRole.SEPARATOR, new Page.GetByRoleOptions().setName(label).setExact(true));
    }

    private double width(String panel) {
        BoundingBox b = page.locator("[data-panel=" + panel + "]").boundingBox();
        return b == null ? 0 : b.width;
    }

    private void drag(Locator grip, double dx, double dy) {
        BoundingBox b = grip.boundingBox();
        page.mouse().move(b.x + b.width / 2, b.y + b.height / 2);
        page.mouse().down();
        page.mouse().move(b.x + b.width / 2 + dx / 2, b.y + b.height / 2 + dy / 2);
        page.mouse().move(b.x + b.width / 2 + dx, b.y + b.height / 2 + dy);
        page.mouse().up();
    }

    /** The part of the canvas that is shown: left, top, width, height. */
    private List<Double> seen() {
        @SuppressWarnings("unchecked") // four numbers, as the line asks for
        List<Number> n = (List<Number>) page.evaluate(
                "() => document.querySelector('[data-testid=stage]').getAttribute('viewBox').split(' ').map(Number)");
        return n.stream().map(Number::doubleValue).toList();
    }

    @Test
    void panelsAreDraggedFoldedAndRemembered() throws Exception {
        double bench = width("bench");
        drag(divider("Width of the bench"), 120, 0);
        assertThat(width("bench")).isCloseTo(bench - 120, within(2.0));
        divider("Width of the bench").press("ArrowLeft");
        assertThat(width("bench")).isCloseTo(bench - 112, within(2.0));
        double shelf = page.locator("[data-panel=shelf]").boundingBox().height;
        drag(divider("Height of the dials"), 0, -70);
        assertThat(page.locator("[data-panel=shelf]").boundingBox().height).isCloseTo(shelf + 70, within(2.0));
        divider("Width of the list of benches").dblclick();
        assertThat(width("rail")).isLessThan(20);
        page.reload();
        page.getByTestId("stage").waitFor();
        assertThat(width("bench")).isCloseTo(bench - 112, within(2.0));
        assertThat(width("rail")).isLessThan(20);
        // on a window of another width nothing of that holds
        page.setViewportSize(1500, 800);
        page.waitForFunction("() => document.querySelector('[data-panel=rail]').getBoundingClientRect().width > 100");
        page.setViewportSize(1280, 800);
        page.waitForFunction("() => document.querySelector('[data-panel=rail]').getBoundingClientRect().width < 20");
        // a drag that is thought better of
        BoundingBox b = divider("Width of the bench").boundingBox();
        page.mouse().move(b.x + 5, b.y + 200);
        page.mouse().down();
        page.mouse().move(b.x - 200, b.y + 200);
        page.keyboard().press("Escape");
        page.mouse().up();
        assertThat(width("bench")).isCloseTo(bench - 112, within(2.0));
        divider("Width of the list of benches").press("Enter");
        assertThat(width("rail")).isGreaterThan(100);
        divider("Width of the bench").press("Delete");
        assertThat(width("bench")).isCloseTo(bench, within(2.0));
        assertThat(faults()).isEmpty();
    }

    @Test
    void theStageStandsAloneByOneKey() throws Exception {
        page.keyboard().press("Alt+Enter");
        assertThat(page.getByLabel("Bench", new Page.GetByLabelOptions().setExact(true)))
                .hasCount(0);
        assertThat(page.getByTestId("stage").boundingBox().width).isGreaterThan(1270);
        assertThat(faults()).isEmpty();
        page.keyboard().press("Escape");
        page.getByRole(AriaRole.NAVIGATION).waitFor();
        button("The stage alone").click();
        assertThat(page.getByRole(AriaRole.NAVIGATION)).hasCount(0);
        button("Everything round the stage again").click();
        page.getByRole(AriaRole.NAVIGATION).waitFor();
    }

    @Test
    void theStageIsMovedAndZoomedFromWhatIsSeen() {
        hand.bench("Hands").click();
        List<Double> figure = seen();
        BoundingBox stage = page.getByTestId("stage").boundingBox();
        page.mouse().move(stage.x + stage.width / 2, stage.y + stage.height / 2);
        page.mouse().wheel(0, 20);
        List<Double> wider = seen();
        // the wheel goes on from the figure that is seen, and does not jump to the head
        assertThat(wider.get(2) / figure.get(2)).isCloseTo(Math.exp(20 * 0.004), within(0.01));
        page.keyboard().press("f");
        assertThat(seen().get(2)).isLessThan(figure.get(2));
        List<Double> head = seen();
        page.keyboard().press("+");
        assertThat(seen().get(2)).isCloseTo(head.get(2) / 1.25, within(0.5));
        page.keyboard().press("=");
        assertThat(seen().get(2)).isCloseTo(stage.width, within(2.0));
        page.keyboard().press("Shift+F");
        assertThat(seen()).isEqualTo(figure);

        hand.bench("Lines").click();
        List<Double> before = seen();
        page.mouse().move(stage.x + 200, stage.y + 200);
        page.keyboard().down(" ");
        page.mouse().down();
        page.mouse().move(stage.x + 240, stage.y + 230);
        page.mouse().move(stage.x + 260, stage.y + 240);
        page.mouse().up();
        page.keyboard().up(" ");
        List<Double> moved = seen();
        double unit = Math.max(before.get(2) / stage.width, before.get(3) / stage.height);
        assertThat(moved.get(2)).isEqualTo(before.get(2));
        assertThat(before.get(0) - moved.get(0)).isGreaterThan(40 * Math.min(unit, 0.2));
        assertThat(page.evaluate("() => document.querySelector('audio')?.paused !== false"))
                .as("Space moved the picture and played nothing")
                .isEqualTo(true);
        assertThat(page.evaluate("() => new URLSearchParams(location.hash.slice(1)).get('part')"))
                .as("and what it ended on was not chosen")
                .isNull();
    }

    @Test
    void everythingIsFoundByItsName() throws Exception {
        page.keyboard().press("Control+k");
        Locator box = page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Find anything"));
        box.fill("mout");
        assertThat(faults()).isEmpty();
        assertThat(page.getByRole(AriaRole.OPTION).first()).hasText("Mouths");
        page.keyboard().press("Enter");
        assertThat(page).hasTitle(Pattern.compile(", Mouths – Leeward$"));
        page.keyboard().press("Control+k");
        box.fill("nose");
        page.getByRole(AriaRole.OPTION)
                .filter(new Locator.FilterOptions().setHasText("nose"))
                .first()
                .click();
        assertThat(page).hasTitle(Pattern.compile(", Parts – Leeward$"));
        page.waitForFunction("() => new URLSearchParams(location.hash.slice(1)).get('part') === 'nose'");
        page.keyboard().press("ArrowRight");
        page.getByTitle(Pattern.compile("^Undo: ")).waitFor();
        page.keyboard().press("Control+k");
        box.fill("undo");
        assertThat(page.getByRole(AriaRole.OPTION).first()).containsText("Undo");
        page.keyboard().press("Enter");
        page.getByTitle("Nothing to undo").waitFor();
        page.keyboard().press("Control+k");
        box.fill("qqq");
        assertThat(page.getByText("Nothing is called that.")).isVisible();
        page.keyboard().press("Escape");
        assertThat(box).hasCount(0);
    }

    @Test
    void manyDialsAreGroupedFoundAndPinned() throws Exception {
        hand.bench("Brows").click();
        button("Make the dials of the brows").click();
        Locator rulers = page.getByTestId("rulers");
        page.getByLabel("Find a dial").waitFor();
        assertThat(rulers.getByText("Pinned")).isVisible();
        page.getByLabel("Find a dial").fill("tilt");
        assertThat(rulers.getByRole(AriaRole.SLIDER)).hasCount(1);
        page.getByLabel("Find a dial").press("Escape");
        Locator pin = rulers.getByLabel("Brows tilt: always first");
        pin.scrollIntoViewIfNeeded();
        pin.focus();
        pin.press("Enter");
        assertThat(pin).hasAttribute("aria-pressed", "true");
        page.reload();
        assertThat(rulers.getByLabel("Brows tilt: always first")).hasAttribute("aria-pressed", "true");
        page.getByLabel("Which dials").getByText("Brows").click();
        assertThat(rulers.getByText("Head")).hasCount(0);
        assertThat(faults()).isEmpty();
    }

    @Test
    void theWholeFigureStandsInACornerAndMovesTheStage() throws Exception {
        Locator corner = page.getByTestId("corner");
        page.keyboard().press("g");
        assertThat(corner.locator("[data-part=nose] path").first()).isVisible();
        assertThat(faults()).isEmpty();
        List<Double> before = seen();
        BoundingBox b = corner.boundingBox();
        page.mouse().click(b.x + b.width / 2, b.y + b.height * 0.85);
        assertThat(seen().get(1)).as("lower down").isGreaterThan(before.get(1) + 50);
        assertThat(seen().get(2)).as("as wide as before").isCloseTo(before.get(2), within(0.01));
        // it is posed along, and is there again after a reload
        String nose = corner.locator("[data-part=nose]").getAttribute("transform");
        page.getByLabel("Turn, value").first().fill("20");
        page.keyboard().press("Enter");
        page.waitForFunction(
                "was => document.querySelector('[data-testid=corner] [data-part=nose]').getAttribute('transform') !== was",
                nose);
        page.reload();
        assertThat(corner.locator("[data-part=nose] path").first()).isVisible();
        button("Close the whole figure").click();
        assertThat(corner).hasCount(0);
    }

    @Test
    void whatAnotherWindowChangesIsSeenWithoutAsking() {
        hand.bench("Shot").click();
        page.getByTestId("sheet").waitFor();
        Page other = page.context().newPage();
        other.navigate(page.url());
        other.getByTestId("sheet").waitFor();
        other.getByLabel("A note to this frame: Notes").click();
        other.getByLabel("Note", new Page.GetByLabelOptions().setExact(true)).fill("breathe in here");
        other.getByText("Write it").click();
        Locator note = page.locator("[data-testid=sheet] [data-item^='note ']");
        assertThat(note).hasCount(1);
        // undone there, it is gone here, and this window goes on from there
        other.getByLabel("Undo", new Page.GetByLabelOptions().setExact(true)).click();
        assertThat(note).hasCount(0);
        other.close();
        button("Redo").click();
        assertThat(note).hasCount(1);
        button("Undo").click();
        assertThat(note).hasCount(0);
    }

    @Test
    void whatCanBeDoneWithAPartIsUnderTheRightButton() throws Exception {
        Locator nose = page.locator("[data-testid=stage] [data-part=nose] path").first();
        nose.click(new Locator.ClickOptions().setButton(MouseButton.RIGHT));
        Locator menu = page.getByRole(AriaRole.MENU);
        assertThat(menu.getByText("Hide it while working")).isVisible();
        assertThat(faults()).isEmpty();
        menu.getByText("Hide it while working").click();
        assertThat(nose).isHidden();
        page.mouse().click(160, 300, new Mouse.ClickOptions().setButton(MouseButton.RIGHT));
        menu.getByText("Show what is hidden").click();
        assertThat(nose).isVisible();

        // the same for a tile of the layer order
        hand.bench("Parts").click();
        page.locator("[data-layer=nose] button").click(new Locator.ClickOptions().setButton(MouseButton.RIGHT));
        assertThat(menu.getByText("Copy its placement")).isVisible();
        assertThat(faults()).isEmpty();
        page.keyboard().press("Escape");

        // renamed where it stands, and thought better of
        page.locator("[data-layer=nose] button").click();
        page.getByLabel("The chosen part").waitFor();
        page.locator("[data-layer=nose] button").dblclick();
        page.getByLabel("Name of nose").fill("snout");
        page.keyboard().press("Enter");
        assertThat(page.locator("[data-layer=nose] button")).hasText("snout");
        button("Undo").click();
        assertThat(page.locator("[data-layer=nose] button")).hasText("nose");
        page.locator("[data-layer=nose] button").press("F2");
        page.getByLabel("Name of nose").fill("nonsense");
        page.keyboard().press("Escape");
        assertThat(page.locator("[data-layer=nose] button")).hasText("nose");

        // a placement from one part to another, by the keys that are written there
        hand.bench("Parts").click();
        page.getByLabel("Layer order").getByTitle("nose").click();
        page.getByLabel("Y", new Page.GetByLabelOptions().setExact(true)).fill("12");
        page.keyboard().press("Enter");
        hand.settle();
        page.mouse().click(160, 300);
        page.getByLabel("Layer order").getByTitle("nose").click();
        Locator y = page.getByLabel("Y", new Page.GetByLabelOptions().setExact(true));
        assertThat(y).hasValue("12");
        page.keyboard().press("Control+c");
        page.getByLabel("Layer order").getByTitle("fringe").click();
        assertThat(y).hasValue("0");
        page.keyboard().press("Control+v");
        assertThat(y).hasValue("12");
    }

    @Test
    void keysAreGivenAnewAndSingleLettersSwitchedOff() throws Exception {
        page.keyboard().press("?");
        Locator why = page.getByLabel("Key: Why? – then click a part");
        assertThat(why).hasValue("w");
        assertThat(faults()).isEmpty();
        why.focus();
        page.keyboard().press("q");
        assertThat(why).hasValue("q");
        page.keyboard().press("Escape");
        page.keyboard().press("w");
        assertThat(button("Why?")).hasAttribute("aria-pressed", "false");
        page.keyboard().press("q");
        assertThat(button("Why?")).hasAttribute("aria-pressed", "true");
        page.keyboard().press("q");
        page.keyboard().press("?");
        page.getByText("Single letters, digits and signs are keys.").click();
        page.keyboard().press("Escape");
        page.reload();
        page.getByTestId("stage").waitFor();
        page.keyboard().press("q");
        page.keyboard().press("?");
        assertThat(button("Why?")).hasAttribute("aria-pressed", "false");
        assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
        // by its name everything is there all the same
        page.keyboard().press("Control+k");
        page.getByRole(AriaRole.COMBOBOX).fill("all keys");
        page.keyboard().press("Enter");
        button("The usual keys").click();
        assertThat(why).hasValue("w");
    }

    @Test
    void whereTheSystemChoosesTheColoursWhatIsChosenIsStillTold() {
        page.emulateMedia(new Page.EmulateMediaOptions().setForcedColors(ForcedColors.ACTIVE));
        String told =
                """
                name => { const s = getComputedStyle([...document.querySelectorAll('nav button')].find(b => b.innerText.startsWith(name)));
                  return s.backgroundColor + ' ' + s.outlineStyle; }""";
        assertThat(page.evaluate(told, "Turn"))
                .isNotEqualTo(page.evaluate(told, "Parts"))
                .asString()
                .endsWith("solid");
        assertThat(
                        page.evaluate(
                                """
                        () => [...document.querySelectorAll('button svg.lucide')].filter(i => {
                          const c = getComputedStyle(i).color;
                          let e = i.closest('button');
                          while (e && getComputedStyle(e).backgroundColor === 'rgba(0, 0, 0, 0)') e = e.parentElement;
                          return e && getComputedStyle(e).backgroundColor === c;
                        }).map(i => i.outerHTML)"""))
                .as("icons in the colour of what they lie on")
                .isEqualTo(List.of());
    }
}
