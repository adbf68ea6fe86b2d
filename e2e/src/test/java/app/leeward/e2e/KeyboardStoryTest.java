package app.leeward.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.fail;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.FileChooser;
import com.microsoft.playwright.Page;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A head nobody here has seen is rigged, acted and handed over without a pointer. */
class KeyboardStoryTest extends Story {
    /** What has the focus, by the name a screen reader says; empty for the page itself. */
    private static final String FOCUSED =
            """
            () => {
              const e = document.activeElement;
              if (!e || e === document.body) return '';
              const by = e.getAttribute('aria-labelledby');
              return (e.getAttribute('aria-label') || (by && document.getElementById(by)?.innerText) || e.labels?.[0]?.innerText
                || e.innerText || e.title || e.textContent || e.tagName).replace(/\\s+/g, ' ').trim();
            }""";

    /** No bench asks for more presses of Tab than this, from wherever one is to wherever one will. */
    private static final int FAR = 110;

    private final List<FileChooser> choosers = new ArrayList<>();

    @Override
    void arrive() {
        page.onFileChooser(choosers::add);
        page.navigate(server.url() + "/#home");
        button("New character").waitFor();
    }

    private String focused() {
        return (String) page.evaluate(FOCUSED);
    }

    /** Goes on by Tab until what is called so has the focus, and says after how many presses. */
    private int reach(String name) {
        Pattern wanted = Pattern.compile(name);
        List<String> passed = new ArrayList<>();
        for (int i = 1; i <= FAR; i++) {
            page.keyboard().press("Tab");
            String now = focused();
            if (wanted.matcher(now).find()) {
                Object seen = page.evaluate(
                        "() => { const r = document.activeElement.getBoundingClientRect();"
                                + " return r.bottom > 0 && r.top < innerHeight && r.right > 0 && r.left < innerWidth && r.width > 0; }");
                assertThat(seen).as("%s is in sight when it has the focus", now).isEqualTo(true);
                return i;
            }
            passed.add(now);
        }
        return fail("%s is not reached by Tab; passed: %s", name, passed);
    }

    /** Steps with an arrow inside a wall until what is called so has the focus. */
    private void along(String key, String name) {
        for (int i = 0; i < 80 && !focused().equals(name); i++) {
            page.keyboard().press(key);
        }
        assertThat(focused()).isEqualTo(name);
    }

    private void press(String... keys) {
        for (String key : keys) {
            page.keyboard().press(key);
        }
    }

    /** To a bench by its name. */
    private void go(String bench) {
        press("Control+k");
        page.keyboard().type(bench);
        page.getByRole(com.microsoft.playwright.options.AriaRole.OPTION).first().waitFor();
        press("Enter");
        page.getByRole(
                        com.microsoft.playwright.options.AriaRole.HEADING,
                        new Page.GetByRoleOptions()
                                .setName(Pattern.compile("^" + bench))
                                .setLevel(1))
                .waitFor();
        hand.settle();
    }

    private void act(String name) {
        reach(name);
        press("Enter");
        hand.settle();
    }

    @Test
    void aFoxIsRiggedActedAndHandedOver() {
        reach("^New character$");
        press("Enter");
        page.waitForCondition(() -> !choosers.isEmpty());
        choosers.get(0).setFiles(Path.of("../bench/src/test/resources/art/fox-courier.svg"));
        page.locator("[data-testid=stage] [data-part=nose] path").first().waitFor();
        hand.settle();

        // what is wrong with the file
        act("^Fit, stand and centre$");
        act("^Merge them$");
        act("^Delete them$");
        assertThat(page.getByText("No issues.")).isVisible();
        reach("^chin, at ");
        String chin = focused();
        press("ArrowDown", "ArrowDown", "Shift+ArrowDown");
        hand.settle();
        assertThat(focused()).isNotEqualTo(chin);
        press("Control+z");
        hand.settle();
        assertThat(focused()).isEqualTo(chin);

        // parts: a wall is one stop, a pivot is moved where the picture stays, a number is typed
        go("Parts");
        reach("^cap peak$");
        along("ArrowRight", "nose");
        press("Enter");
        String place = hand.transform("nose");
        reach("^Pivot of nose");
        press("ArrowRight", "ArrowRight", "Shift+ArrowDown");
        hand.settle();
        assertThat(page.getByLabel("Pivot X")).hasValue("452");
        assertThat(hand.transform("nose")).isEqualTo(place);
        reach("^Rotation of nose");
        press("ArrowRight");
        hand.settle();
        assertThat(page.getByLabel("Rotation", exactly())).hasValue("1°");
        press("Control+z");
        hand.settle();
        assertThat(hand.transform("nose")).isEqualTo(place);
        reach("^Y$");
        page.keyboard().type("2*3");
        press("Enter");
        hand.settle();
        assertThat(hand.transform("nose")).isNotEqualTo(place);

        // its drawing onto another part, and away again
        reach("^Pick Nose$");
        press("Control+c");
        reach("^nose$");
        along("ArrowRight", "left brow");
        press("Enter", "Control+v");
        hand.settle();
        assertThat(page.getByLabel("Pick Nose")).isVisible();
        press("Control+z");
        hand.settle();
        assertThat(page.getByLabel("Pick Nose")).hasCount(0);

        // eyes that squint, mouths for every sound, brows and looks
        go("Eyes");
        act("^Squint$");
        reach("^Squint$");
        assertThat(page.evaluate("() => document.activeElement.getAttribute('role')"))
                .isEqualTo("slider");
        go("Mouths");
        act("^Make the other 8$");
        assertThat(page.getByText("17 of 17 mouths")).isVisible();
        reach("^rest: ");
        press("ArrowRight", "ArrowRight", "ArrowDown");
        assertThat(page.getByLabel("This mouth", exactly())).isVisible();
        go("Brows");
        act("^Make the six looks$");
        assertThat(page.getByLabel(Pattern.compile("^Strength of ")).first()).isVisible();

        // the head turns
        go("Turn");
        String ahead = hand.transform("nose");
        reach("^Turn$");
        press("ArrowRight", "ArrowRight", "ArrowRight");
        hand.settle();
        assertThat(hand.transform("nose")).isNotEqualTo(ahead);

        // and acts
        go("Shot");
        act("^Begin a shot of two seconds$");
        page.getByTestId("sheet").waitFor();
        hand.settle();
        reach("^Exposure sheet$");
        press("k");
        hand.settle();
        for (int i = 0; i < 12; i++) {
            press(".");
        }
        reach("^Turn$");
        press("Home");
        reach("^Exposure sheet$");
        press("k");
        hand.settle();
        assertThat(page.locator("[data-testid=sheet] [data-item^='key turn']")).hasCount(2);
        press("Space");
        page.waitForFunction("() => Number(new URLSearchParams(location.hash.slice(1)).get('f') ?? 0) !== 12"
                + " || document.querySelector('[aria-label=Stop]')");
        press("Space");

        // out of the house
        go("Hand over");
        reach("^Export PNG$");
        Download picture = page.waitForDownload(() -> press("Enter"));
        assertThat(picture.suggestedFilename()).endsWith(".png");
    }

    private static Page.GetByLabelOptions exactly() {
        return new Page.GetByLabelOptions().setExact(true);
    }
}
