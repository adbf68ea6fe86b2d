package app.leeward.e2e;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/** Takes docs/screenshots again from the demo; run by {@code ./leeward shots}, never as a test. */
@EnabledIfSystemProperty(named = "leeward.shots", matches = "true")
class Shots {
    private static final Path TO = Path.of("..", "docs", "screenshots");

    @Test
    void take() throws Exception {
        try (LeewardServer server = LeewardServer.start("shots");
                Browser day = new Browser();
                Browser night = new Browser(ColorScheme.DARK)) {
            shot(day, server, "lines", "b=lines&d.turn=34&d.gaze-across=0.35&f=64", "");
            shot(day, server, "intake", "b=intake&d.gaze-across=-0.5&d.gaze-down=-0.4", "");
            shot(day, server, "parts", "b=parts&d.turn=24&part=brow-left", "");
            shot(day, server, "parts-artwork", "b=parts&part=fringe", "artwork");
            muddled(day, server);
            shot(day, server, "parts-why", "b=parts&d.turn=-42&d.blink=0.35&part=nose", "w");
            shot(day, server, "hand-over", "b=hand-over&d.turn=-20&f=45&p.cap=nothing", "");
            shot(night, server, "lines-dark", "b=lines&d.turn=-50&d.gaze-across=-0.8&f=30", "");
        }
    }

    private static void shot(Browser hand, LeewardServer server, String name, String desk, String key) {
        String id = server.body("/api/v1/characters").replaceAll("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
        String line =
                server.body("/api/v1/characters/" + id + "/lines").replaceAll("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
        hand.page.navigate("about:blank");
        hand.open(server.url() + "/#c=" + id + "&l=" + line + "&" + desk);
        hand.page.waitForTimeout(1500);
        if (key.equals("artwork")) {
            hand.page.getByLabel("Edit the artwork of fringe").click();
            hand.page.getByTestId("point-2").click();
            hand.page.waitForTimeout(600);
        } else if (!key.isEmpty()) {
            hand.page.keyboard().press(key);
            hand.page.waitForTimeout(600);
        }
        hand.page.screenshot(new Page.ScreenshotOptions().setPath(TO.resolve(name + ".png")));
    }

    /** Art as it arrives, before anything is settled. */
    private static void muddled(Browser hand, LeewardServer server) throws Exception {
        hand.page.navigate("about:blank");
        hand.open(server.url());
        hand.drop(
                "muddled.svg",
                "image/svg+xml",
                java.nio.file.Files.readAllBytes(java.nio.file.Path.of("src/test/resources/art/muddled.svg")));
        hand.page.getByText("Fit, stand and centre").waitFor();
        hand.page.waitForTimeout(1200);
        hand.page.screenshot(new Page.ScreenshotOptions().setPath(TO.resolve("intake-muddled.png")));
    }
}
