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
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
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
        assertThat(faults()).isEmpty();
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
        assertThat(bundle.suggestedFilename()).matches("maren-quill-v\\d{4}\\.leeward\\.zip");
        byte[] file = Files.readAllBytes(bundle.path());
        String was = (String) page.evaluate("() => new URLSearchParams(location.hash.slice(1)).get('c')");
        page.getByTestId("art-file").setInputFiles(new FilePayload("maren.leeward.zip", "application/zip", file));
        // the name is taken: nothing is taken in until it has another
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        assertThat(dialog).containsText("is here already");
        assertThat(dialog.getByLabel("Name of the character")).hasValue("Maren Quill 2");
        page.keyboard().press("Enter");
        page.waitForFunction("was => new URLSearchParams(location.hash.slice(1)).get('c') !== was", was);
        hand.bench("Parts").click();
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

        // the one that is here becomes what is in the file, and undo brings it back
        hand.bench("Intake").click();
        page.getByTestId("art-file").setInputFiles(new FilePayload("maren.leeward.zip", "application/zip", file));
        dialog.getByText("Put it in its place").click();
        page.waitForFunction("was => new URLSearchParams(location.hash.slice(1)).get('c') === was", was);
        assertThat(page.getByText("saved")).isVisible();
        assertThat(dialog).isHidden();

        // one that is cut off is told, and nothing of it stays; the others that are dropped with it come in
        page.getByTestId("art-file").setInputFiles(new FilePayload[] {
            new FilePayload("cut.leeward.zip", "application/zip", Arrays.copyOf(file, 5_000)),
            new FilePayload("third.leeward.zip", "application/zip", file)
        });
        assertThat(dialog).containsText("third.leeward.zip");
        dialog.getByLabel("Name of the character").fill("A third one");
        dialog.getByText("Import it").click();
        assertThat(page.getByLabel("Name of the character: A third one. Rename"))
                .isVisible();
        assertThat(page.getByText("cut.leeward.zip", new Page.GetByTextOptions().setExact(false)))
                .isVisible();
    }

    private Locator check() {
        return page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName("Check").setExact(true));
    }

    private Locator entry(String title) {
        return check().getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText(title))
                .first();
    }

    /** A lid of another size, a colour that is nearly another one, two parts of one name: seen, accepted, mended, undone. */
    @Test
    void whatIsWrongIsAcceptedWithAReasonOrMendedAtOnce() throws Exception {
        String art = Files.readString(Path.of("../demo/src/main/resources/demo/maren.svg"))
                .replace("Maren Quill", "To be checked")
                .replace(
                        "<g id=\"upper lid left\"",
                        "<g id=\"upper lid left\" transform=\"translate(485 240) scale(0.4) translate(-485 -240)\"")
                .replaceFirst("#f6c9a4", "#f6c9a5");
        page.getByTestId("art-file")
                .setInputFiles(new FilePayload("checked.svg", "image/svg+xml", art.getBytes(StandardCharsets.UTF_8)));
        assertThat(page.getByLabel("Name of the character: To be checked. Rename"))
                .isVisible();
        hand.bench("Hand over").click();
        assertThat(check()).containsText("to fix");
        int before = toFix();
        assertThat(entry("The eyes are not alike")).containsText("each other's reflection");
        assertThat(faults()).isEmpty();

        // by keyboard: down to it, accepted without a reason it is not
        Locator alike = entry("The eyes are not alike").locator("[data-entry]");
        alike.focus();
        alike.press("ArrowUp");
        page.keyboard().press("ArrowDown");
        page.keyboard().press("a");
        Locator reason = page.getByLabel("Why it is meant to be so");
        assertThat(reason).isFocused();
        page.keyboard().press("Escape");
        assertThat(reason).hasCount(0);
        alike.focus();
        page.keyboard().press("A");
        assertThat(button("Accept")).isDisabled();
        reason.fill("she squints");
        reason.press("Enter");
        assertThat(check()).containsText((before - 1) + " to fix");
        page.reload();
        assertThat(check()).containsText("1 accepted");
        page.getByText("1 accepted").click();
        assertThat(page.getByLabel("Accepted")).containsText("she squints");
        button("Take up again").click();
        assertThat(check()).containsText(before + " to fix");

        // what is safe is mended in one step, and one undo takes it back
        page.getByText(Pattern.compile("Mend the (safe one|[0-9]+ safe ones)")).click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        assertThat(dialog).containsText("Merge them");
        dialog.getByText(Pattern.compile("^Mend (it|all [0-9]+)$")).click();
        assertThat(dialog).hasCount(0);
        page.waitForFunction(
                "n => { const m = document.body.innerText.match(/([0-9]+) to fix/); return !m || Number(m[1]) < n; }",
                before);
        assertThat(entry("The eyes are not alike")).isVisible();
        button("Undo").click();
        assertThat(check()).containsText(before + " to fix");

        // its one mend by hand, from the open row
        entry("The eyes are not alike").locator("[data-entry]").click();
        assertThat(entry("The eyes are not alike")).containsText("mended");
        entry("The eyes are not alike").getByText("Left from right").click();
        assertThat(check().getByText("each other's reflection")).hasCount(0);
        // and to the bench where it is worked at
        entry("Colours nearly alike").getByText("Go there").click();
        assertThat(page.locator("nav [aria-current=page]")).containsText("Intake");
    }

    private int toFix() {
        var found = Pattern.compile("([0-9]+) to fix").matcher(check().innerText());
        assertThat(found.find()).isTrue();
        return Integer.parseInt(found.group(1));
    }
}
