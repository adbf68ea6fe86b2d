package app.leeward.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.demo.DemoFiles;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.SequenceInputStream;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.regex.Pattern;
import java.util.zip.ZipFile;
import javax.sound.sampled.AudioFileFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import org.junit.jupiter.api.Test;

/** The server goes away and comes back while somebody works; recordings are read in a queue that can be left. */
class AwayStoryTest extends Story {
    /** How often a line is said over, so that it is long enough to be killed in. */
    private static final int TIMES = 6;

    @Test
    void thePageKeepsItsPlaceAndWhatWasNotSentWhileTheServerIsAway() throws Exception {
        Locator name = page.getByLabel("Words");
        // a bench that was seen once needs no server to be gone to again
        hand.bench("Parts").click();
        page.getByTestId("rigging").waitFor();
        hand.bench("Lines").click();
        name.fill("Good morning! The words nobody has sent yet.");
        server.kill();
        Locator bar = page.getByTestId("connection");
        assertThat(bar).isVisible();
        assertThat(bar).containsText("does not answer");
        assertThat(page.locator("[data-testid=stage] [data-part=nose]").first()).isVisible();
        assertThat(name).hasValue("Good morning! The words nobody has sent yet.");
        // a change made meanwhile waits
        hand.bench("Parts").click();
        page.getByTestId("rigging").waitFor();
        double before = hand.shift("nose");
        page.getByTestId("stage").click(new Locator.ClickOptions().setPosition(4, 4));
        page.evaluate("() => { location.hash = location.hash.replace(/&part=[^&]*/, '') + '&part=nose'; }");
        page.keyboard().press("Shift+ArrowRight");
        assertThat(bar).containsText("Your last change waits");
        server.launch();
        assertThat(bar).isHidden();
        page.waitForFunction(
                "x => new DOMMatrix(getComputedStyle(document.querySelector('[data-testid=stage] [data-part=nose]')).transform).e > x + 5",
                before);
        // words that nobody has read are there again
        hand.bench("Lines").click();
        assertThat(name).hasValue("Good morning! The words nobody has sent yet.");
        // it was seen at once; now it is sent
        hand.settle();
        page.reload();
        page.getByTestId("stage").waitFor();
        page.waitForFunction(
                "x => new DOMMatrix(getComputedStyle(document.querySelector('[data-testid=stage] [data-part=nose]')).transform).e > x + 5",
                before);
        hand.errors.clear();
    }

    @Test
    void aRecordingThatIsReadTellsHowFarItIsAndCanBeStopped() {
        DemoFiles.Line line = DemoFiles.lines().get(0);
        int lines = server.body("/api/v1/characters/" + maren() + "/lines").split("\"id\"").length;
        hand.drop("again.wav", "audio/wav", line.wav());
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        dialog.getByLabel("Words of the line").fill(line.words());
        dialog.getByText("Create the lip sync").click();
        assertThat(dialog.getByRole(AriaRole.PROGRESSBAR)).isVisible();
        page.keyboard().press("Escape");
        // the dialog is still there, with the words in it
        assertThat(dialog.getByText("Create the lip sync")).isEnabled();
        assertThat(dialog.getByLabel("Words of the line")).hasValue(line.words());
        assertThat(server.body("/api/v1/characters/" + maren() + "/readings")).isEqualTo("[]");
        assertThat(server.body("/api/v1/characters/" + maren() + "/lines").split("\"id\"").length)
                .isEqualTo(lines);
        dialog.getByText("Create the lip sync").click();
        assertThat(dialog).isHidden();
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("Good morning")))
                        .first())
                .isVisible();
    }

    @Test
    void aRecordingBeingReadSurvivesTheServerAndIsMadeOnce() throws Exception {
        DemoFiles.Line line = DemoFiles.lines().get(0);
        String lines = "/api/v1/characters/" + maren() + "/lines";
        int before = server.body(lines).split("\"id\"").length;
        hand.drop("again.wav", "audio/wav", saidOver(line.wav(), TIMES));
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        dialog.getByLabel("Words of the line").fill((line.words() + " ").repeat(TIMES));
        dialog.getByText("Create the lip sync").click();
        page.waitForFunction(
                "() => Number(document.querySelector('[role=progressbar]')?.getAttribute('aria-valuenow')) > 0");
        server.kill();
        server.launch();
        // its worker has to be missed before another takes over
        dialog.waitFor(new Locator.WaitForOptions()
                .setState(WaitForSelectorState.HIDDEN)
                .setTimeout(90_000));
        assertThat(server.body(lines).split("\"id\"").length).isEqualTo(before + 1);
        hand.errors.clear();
    }

    @Test
    void aFileBeingMadeSurvivesTheServerAndOneThatIsCancelledLeavesNoTrace() throws Exception {
        hand.bench("Hand over").click();
        Locator pictures = page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName("Pictures").setExact(true));
        pictures.getByText("PNG frames").click();
        pictures.getByLabel("Film width").fill("1400");
        Locator files = page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName("Files").setExact(true));
        Locator cancel = files.getByLabel("Cancel PNG frames");
        pictures.getByLabel("Export PNG frames").click();
        cancel.click();
        assertThat(files).containsText("cancelled");
        files.getByLabel(Pattern.compile("Remove .* from the list")).click();
        assertThat(files).isHidden();

        Download made = page.waitForDownload(new Page.WaitForDownloadOptions().setTimeout(240_000), () -> {
            pictures.getByLabel("Export PNG frames").click();
            page.waitForFunction(
                    "() => Number(document.querySelector('[role=progressbar]')?.getAttribute('aria-valuenow')) > 0");
            assertThat(page.getByRole(AriaRole.NAVIGATION)).containsText("PNG frames");
            restart();
        });
        try (ZipFile zip = new ZipFile(made.path().toFile())) {
            assertThat(zip.size()).isEqualTo(100);
        }
        assertThat(files.getByRole(AriaRole.LINK)).hasCount(1);
        hand.errors.clear();
    }

    /** The recording several times over: long enough that it is not read before anybody has looked. */
    private static byte[] saidOver(byte[] wav, int times) throws Exception {
        List<AudioInputStream> parts = new ArrayList<>();
        long frames = 0;
        for (int i = 0; i < times; i++) {
            AudioInputStream part = AudioSystem.getAudioInputStream(new ByteArrayInputStream(wav));
            frames += part.getFrameLength();
            parts.add(part);
        }
        ByteArrayOutputStream all = new ByteArrayOutputStream();
        AudioSystem.write(
                new AudioInputStream(
                        new SequenceInputStream(Collections.enumeration(parts)),
                        parts.get(0).getFormat(),
                        frames),
                AudioFileFormat.Type.WAVE,
                all);
        return all.toByteArray();
    }

    private static void restart() {
        try {
            server.kill();
            server.launch();
        } catch (Exception e) {
            throw new AssertionError(e);
        }
    }

    private String maren() {
        return server.body("/api/v1/characters").replaceAll("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
    }
}
