package app.leeward.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.demo.DemoFiles;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A line is said again into Chromium's microphone, which plays a file, and the better take is put in. */
class TakesStoryTest extends Story {
    private static final DemoFiles.Line LINE = DemoFiles.lines().get(0);
    /** Seconds of quiet before the line in the microphone's file, in which the hand finds the button. */
    private static final int QUIET = 6;

    @Override
    Browser browser() {
        return new Browser(PlayedMicrophone.said(LINE.wav(), QUIET));
    }

    @Override
    void arrive() {
        hand.open(server.url());
        page.getByTestId("clock").waitFor();
    }

    private Locator dialog() {
        return page.getByRole(AriaRole.DIALOG);
    }

    private int frames() {
        return Integer.parseInt(page.getByTestId("strip").getAttribute("data-frames"));
    }

    private void startRecording() {
        button("Another take …").click();
        dialog().getByLabel("counted in by").fill("1");
        dialog().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Record"))
                .click();
        assertThat(dialog().getByLabel("Time")).hasText(Pattern.compile("in 1|\\d s"));
    }

    @Test
    void aTakeOutlastsTheReloadInItsMiddleAndTheBetterOneGoesInWithWhatIsPinned() throws Exception {
        hand.drop("line.wav", "audio/wav", LINE.wav());
        page.getByLabel("Words of the line").fill(LINE.words());
        button("Create the lip sync").click();
        page.waitForFunction(
                "words => document.querySelector('textarea[aria-label=Words]')?.value === words",
                LINE.words(),
                new Page.WaitForFunctionOptions().setTimeout(60_000));
        // somewhere in the middle no mouth is seen, and from there on mouths lead by four
        page.getByLabel(Pattern.compile("^Mouth .*frames")).nth(3).click();
        page.getByLabel("from frame").fill("40");
        page.getByLabel("to frame").fill("43");
        button("Pin no mouth").click();
        Locator none = page.getByLabel(Pattern.compile("^Mouth none, frames .*pinned"));
        assertThat(none).hasAttribute("aria-label", "Mouth none, frames 40 to 43, pinned");
        none.click();
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("timing"))
                .click();
        page.getByLabel("lead by").last().fill("4");
        page.getByLabel("lead by").last().press("Enter");
        Locator timing = page.getByLabel(Pattern.compile("^Mouths lead 4, held 2 from frame"));
        assertThat(timing).hasAttribute("aria-label", "Mouths lead 4, held 2 from frame 40 to 43");
        timing.focus();
        page.keyboard().press("Shift+ArrowRight");
        assertThat(timing).hasAttribute("aria-label", "Mouths lead 4, held 2 from frame 40 to 44");
        int frames = frames();

        // what was said until the page went away is there when it comes back
        startRecording();
        page.waitForFunction("() => parseFloat(document.querySelector('[role=dialog] output').textContent) > 1.5");
        page.reload();
        button("Another take …").click();
        Locator takes = dialog().getByRole(AriaRole.LIST, new Locator.GetByRoleOptions().setName("Takes"));
        assertThat(takes.getByRole(AriaRole.LISTITEM)).hasCount(1);
        assertThat(takes).containsText("nothing seems to be said");
        assertThat(faults()).isEmpty();
        dialog().getByLabel("Delete Take 1").click();
        assertThat(takes).isHidden();
        page.keyboard().press("Escape");

        startRecording();
        page.waitForFunction(
                "() => parseFloat(document.querySelector('[role=dialog] output').textContent) > 12",
                null,
                new Page.WaitForFunctionOptions().setTimeout(60_000));
        dialog().getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Stop").setExact(true))
                .click();
        assertThat(takes).containsText("peaks at");
        button("Use take 1").click();
        // the same words somewhere else in a longer recording: what was pinned on them is there again
        page.waitForFunction(
                "was => Number(document.querySelector('[data-testid=strip]').dataset.frames) > was + 60",
                frames,
                new Page.WaitForFunctionOptions().setTimeout(60_000));
        assertThat(none).not().hasAttribute("aria-label", "Mouth none, frames 40 to 43, pinned");
        assertThat(timing).isVisible();
        String pinned = none.getAttribute("aria-label");
        int from = Integer.parseInt(pinned.replaceAll("\\D+(\\d+) to.*", "$1"));
        assertThat(from).isGreaterThan(60);
        button("Undo").click();
        assertThat(none)
                .hasAttribute(
                        "aria-label",
                        "Mouth none, frames 40 to 43, pinned",
                        new LocatorAssertions.HasAttributeOptions().setTimeout(60_000));
        assertThat(frames()).isEqualTo(frames);
    }
}
