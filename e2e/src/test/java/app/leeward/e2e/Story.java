package app.leeward.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;

/** The demo as it is on the first day for a class of stories, and a fresh browser for each of them that must not report an error. */
abstract class Story {
    static LeewardServer server;
    Browser hand;
    Page page;

    @BeforeAll
    static void start() throws Exception {
        server = LeewardServer.shared();
    }

    @BeforeEach
    void open() {
        hand = browser();
        page = hand.page;
        arrive();
    }

    /** What a story is told in. */
    Browser browser() {
        return new Browser();
    }

    /** Where a story begins. */
    void arrive() {
        hand.open(server.url());
    }

    @AfterEach
    void close() {
        hand.close();
        assertThat(hand.errors).as("errors in the page's console").isEmpty();
    }

    /** Reads a file as a new character, and waits until that stands on the stage instead of the one before. */
    void upload(String name, String svg) {
        String now = "new URLSearchParams(location.hash.slice(1)).get('c')";
        Object before = page.evaluate("() => " + now);
        page.getByTestId("art-file")
                .setInputFiles(new FilePayload(name, "image/svg+xml", svg.getBytes(StandardCharsets.UTF_8)));
        page.waitForFunction("was => " + now + " !== null && " + now + " !== was", before);
        page.locator("[data-testid=stage] [data-part] path").first().waitFor();
    }

    /** What axe finds on the page as it is now, of any weight. */
    List<?> faults() throws Exception {
        page.evaluate(Files.readString(Path.of("..", "web", "node_modules", "axe-core", "axe.min.js")));
        return (List<?>)
                page.evaluate(
                        "async () => (await axe.run()).violations.map(v => v.impact + ' ' + v.id + ': ' + v.nodes.slice(0, 3).map(n => n.target + ' ' + n.failureSummary).join(' | '))");
    }

    /** What cannot be read on the page as it is now: text that is cut, laid over other text, or out of reach. */
    List<?> unreadable() throws Exception {
        String rule = Files.readString(Path.of("src", "test", "resources", "readable.js"));
        return (List<?>) page.evaluate(rule.strip().replaceAll(";$", ""));
    }

    Locator button(String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }
}
