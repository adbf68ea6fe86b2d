package app.leeward.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.demo.DemoFiles;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Art that is not the demo's, from the file to a talking, acting head: a fox who says two lines. */
class FoxShotStoryTest extends ShotStory {
    private void record(int line) {
        DemoFiles.Line said = DemoFiles.lines().get(line);
        hand.drop("line.wav", "audio/wav", said.wav());
        page.getByLabel("Words of the line").fill(said.words());
        button("Create the lip sync").click();
        page.waitForFunction(
                "words => document.querySelector('textarea[aria-label=Words]')?.value === words",
                said.words(),
                new Page.WaitForFunctionOptions().setTimeout(60_000));
    }

    private void keyed(String dial, int frame, String value) {
        at(frame);
        Locator field = page.getByLabel(dial + ", value").first();
        field.fill(value);
        field.press("Enter");
        page.evaluate("() => document.activeElement.blur()");
        page.keyboard().press("k");
        hand.settle();
    }

    /** Puts the shot that was begun with one of the demo's lines on the stage. */
    private void shot(int line) {
        Pattern begins =
                Pattern.compile("^" + DemoFiles.lines().get(line).words().substring(0, 8));
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Another shot"))
                .click();
        page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(begins))
                .click();
        page.getByLabel(Pattern.compile("^Name of the shot: "
                        + DemoFiles.lines().get(line).words().substring(0, 8)))
                .waitFor();
        hand.settle();
    }

    @Test
    void aFoxTurnsBlinksAndSmilesWhileItSpeaksAndAFirstPassActsItsSecondLine() throws Exception {
        upload("fox.svg", Files.readString(Path.of("../bench/src/test/resources/art/fox-courier.svg")));
        hand.bench("Brows").click();
        button("Make the six looks").click();
        hand.settle();
        hand.bench("Lines").click();
        record(0);
        record(1);
        hand.bench("Shot").click();
        page.getByTestId("sheet").waitFor();
        shot(0);

        // it looks aside, turns with an ease and settles, and blinks on the turn
        keyed("Turn", 10, "0");
        keyed("Turn", 22, "-32");
        keyed("Turn", 27, "-27");
        assertThat(items("key turn")).hasCount(3);
        double settled = hand.shift("nose");
        assertThat(settled).as("to the left of the screen").isLessThan(-20);
        at(22);
        assertThat(hand.shift("nose")).as("past where it settles").isLessThan(settled);
        at(14);
        put("Blinks: Blinks", "One from this frame");
        at(40);
        put("A look from this frame on: Looks", "Happiness");
        assertThat(items("look")).containsText("100 %");
        page.locator("[data-item^='look']").first().click();
        // it comes over six frames
        assertThat(page.getByLabel("in", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("6");

        // its keys are copied to the second line, and a first pass acts the rest of that
        page.getByTestId("sheet").focus();
        page.keyboard().press("Control+a");
        page.keyboard().press("Control+c");
        shot(1);
        assertThat(items("key turn")).hasCount(0);
        at(1);
        page.keyboard().press("Control+v");
        hand.settle();
        assertThat(items("key turn")).hasCount(3);
        button("First pass").click();
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("not acted: no nod");
        page.getByText("Make what is missing first: the nod").click();
        hand.settle();
        assertThat(page.getByText("not acted")).hasCount(0);
        button("Lay it").click();
        assertThat(button("Lay it again")).isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(20_000));
        hand.settle();
        assertThat(page.getByTitle(Pattern.compile("\\d+ laid")).first()).isVisible();
        page.keyboard().press("Escape");
        assertThat(faults()).isEmpty();

        // the exposure sheet shows all of it, a reload and a killed server lose nothing
        String sheet = sheet();
        assertThat(sheet.lines().findFirst().orElseThrow())
                .contains("Turn (°)")
                .contains("blinks")
                .contains("looks")
                .contains("mouth");
        server.kill();
        server.launch();
        page.reload();
        page.getByTestId("sheet").waitFor();
        assertThat(items("key turn").first()).isVisible();
        assertThat(sheet()).isEqualTo(sheet);
        hand.errors.clear();
    }

    private String sheet() {
        String line = page.url().replaceAll(".*[#&]l=([^&]+).*", "$1");
        return server.body("/api/v1/lines/" + line + "/exposure.csv");
    }
}
