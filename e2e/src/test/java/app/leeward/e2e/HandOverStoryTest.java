package app.leeward.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.file.Files;
import java.util.Arrays;
import java.util.regex.Pattern;
import java.util.zip.ZipFile;
import org.junit.jupiter.api.Test;

/** A character leaves the house in one click a format, and comes into another as it was. */
class HandOverStoryTest extends Story {
    private static final ObjectMapper JSON = new ObjectMapper();

    private Locator card(String family) {
        return page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName(family).setExact(true));
    }

    @Test
    void everythingGoesOutAndABundleComesBackIn() throws Exception {
        hand.bench("Hand over").click();
        card("Animation").getByText("Lottie").click();
        assertThat(card("Animation")).containsText("The sound is left out");
        Download lottie = page.waitForDownload(() -> button("Export Lottie").click());
        assertThat(lottie.suggestedFilename()).endsWith(".json");
        JsonNode animation = JSON.readTree(lottie.path().toFile());
        assertThat(animation.get("op").asInt()).isEqualTo(100);
        assertThat(animation.get("layers").size() + animation.get("assets").size())
                .isGreaterThan(20);

        page.getByText("What goes in …").click();
        for (String dear : new String[] {"MP4", "Lottie", "Exposure PDF"}) {
            page.getByRole(
                            AriaRole.CHECKBOX,
                            new Page.GetByRoleOptions().setName(dear).setExact(true))
                    .uncheck();
        }
        assertThat(page.getByText(Pattern.compile("Everything, 5 files"))).isVisible();
        assertThat(seriousFaults()).isEmpty();
        page.reload();
        Download all = page.waitForDownload(
                () -> page.getByText(Pattern.compile("Everything, 5 files")).click());
        try (ZipFile zip = new ZipFile(all.path().toFile())) {
            JsonNode manifest = JSON.readTree(zip.getInputStream(zip.getEntry("manifest.json")));
            assertThat(manifest.get("files")).hasSize(5);
            assertThat(manifest.get("leftOut")).isEmpty();
            assertThat(zip.size()).isEqualTo(6);
        }

        Download bundle = page.waitForDownload(() -> button("Export Bundle").click());
        assertThat(bundle.suggestedFilename()).isEqualTo("maren-quill.leeward.zip");
        byte[] file = Files.readAllBytes(bundle.path());
        String was = (String) page.evaluate("() => new URLSearchParams(location.hash.slice(1)).get('c')");
        page.getByTestId("art-file").setInputFiles(new FilePayload("maren.leeward.zip", "application/zip", file));
        page.waitForFunction("was => new URLSearchParams(location.hash.slice(1)).get('c') !== was", was);
        page.locator("[data-testid=stage] [data-part] path").first().waitFor();
        String now = (String) page.evaluate("() => new URLSearchParams(location.hash.slice(1)).get('c')");
        JsonNode before = JSON.readTree(server.body("/api/v1/characters/" + was));
        JsonNode after = JSON.readTree(server.body("/api/v1/characters/" + now));
        assertThat(after.at("/character/name").asText())
                .startsWith(before.at("/character/name").asText() + " ");
        assertThat(after.at("/character/rig")).isEqualTo(before.at("/character/rig"));
        assertThat(JSON.readTree(server.body("/api/v1/characters/" + now + "/lines"))
                        .get("items"))
                .hasSameSizeAs(JSON.readTree(server.body("/api/v1/characters/" + was + "/lines"))
                        .get("items"));

        // one that is cut off is told, and nothing of it stays
        page.getByTestId("art-file")
                .setInputFiles(new FilePayload("cut.leeward.zip", "application/zip", Arrays.copyOf(file, 5_000)));
        assertThat(page.getByText("cut.leeward.zip", new Page.GetByTextOptions().setExact(false)))
                .isVisible();
    }
}
