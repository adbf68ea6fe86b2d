package app.leeward.e2e;

import app.leeward.bench.faces.MovingTurn;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Files;
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
                Browser day = new Browser()) {
            shot(day, server, "lines", "b=lines&d.turn=34&d.gaze-across=0.35&f=64", "blinks");
            shot(day, server, "parts", "b=parts&d.turn=24&part=brow-left", "");
            shot(day, server, "parts-artwork", "b=parts&part=fringe", "artwork");
            shot(day, server, "eyes", "b=eyes&d.gaze-across=0.55&d.gaze-down=0.1", "dials");
            brows(day, server);
            version(day, server);
            muddled(day, server);
            others(day, server);
            shot(day, server, "parts-why", "b=parts&d.turn=-42&d.blink=0.35&part=nose", "w");
            shot(day, server, "hand-over", "b=hand-over&d.turn=-20&f=45&p.cap=nothing", "");
            hands(day, server);
            kits(day, server);
            turn(day, server);
            mouths(day, server);
        }
    }

    private static void shot(Browser hand, LeewardServer server, String name, String desk, String key) {
        String id = server.body("/api/v1/characters").replaceAll("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
        String line =
                server.body("/api/v1/characters/" + id + "/lines").replaceAll("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
        hand.page.navigate("about:blank");
        hand.open(server.url() + "/#c=" + id + "&l=" + line + "&" + desk);
        hand.settle();
        if (key.equals("dials")) {
            for (String dial : new String[] {"Squint", "Upper lids"}) {
                hand.page
                        .getByText(dial, new Page.GetByTextOptions().setExact(true))
                        .click();
                hand.page
                        .getByTestId(dial.equals("Squint") ? "ruler-squint" : "ruler-lids-upper")
                        .first()
                        .waitFor();
            }
            hand.page.getByTestId("ruler-squint").first().focus();
            for (int i = 0; i < 3; i++) {
                hand.page.keyboard().press("Shift+ArrowRight");
            }
            hand.settle();
        } else if (key.equals("blinks")) {
            hand.page.getByText("blinks, cues").click();
            hand.page.getByText("in conversation").click();
            hand.page
                    .getByLabel(java.util.regex.Pattern.compile("^Blink from"))
                    .first()
                    .waitFor();
            hand.page.keyboard().press("Escape");
            hand.settle();
        } else if (key.equals("artwork")) {
            hand.page.getByLabel("Edit the artwork of fringe").click();
            hand.page.getByTestId("point-2").click();
            hand.settle();
        } else if (!key.isEmpty()) {
            hand.page.keyboard().press(key);
            hand.settle();
        }
        hand.page.screenshot(new Page.ScreenshotOptions().setPath(TO.resolve(name + ".png")));
    }

    /** A hand's drawings on the arm, swung, one of them close up with the bell it holds. */
    private static void hands(Browser hand, LeewardServer server) {
        String id = server.body("/api/v1/characters").replaceAll("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
        hand.page.navigate("about:blank");
        hand.open(server.url() + "/#c=" + id + "&b=hands&p.cap=nothing");
        hand.page.getByTestId("hand-sheet").waitFor();
        hand.page
                .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Hold handbell"))
                .click();
        hand.page
                .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Closer: hold"))
                .click();
        hand.page.getByLabel("Swing").fill("18");
        hand.page
                .getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Hands"))
                .scrollIntoViewIfNeeded();
        hand.settle();
        hand.page.screenshot(new Page.ScreenshotOptions().setPath(TO.resolve("hands.png")));
    }

    /** The demo's clothes, with one of them on. */
    private static void kits(Browser hand, LeewardServer server) {
        String id = server.body("/api/v1/characters").replaceAll("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
        hand.page.navigate("about:blank");
        hand.open(server.url() + "/#c=" + id + "&b=kits&d.gaze-across=0.4&k.hand-left=thumb-up");
        hand.page
                .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Put on On watch"))
                .click();
        hand.settle();
        hand.page.screenshot(new Page.ScreenshotOptions().setPath(TO.resolve("kits.png")));
    }

    /** The head turn from end to end with its pieces taken hold of, then a stop of it being recorded. */
    private static void turn(Browser hand, LeewardServer server) {
        String id = server.body("/api/v1/characters").replaceAll("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
        hand.page.navigate("about:blank");
        hand.open(server.url() + "/#c=" + id + "&b=turn&d.turn=-40");
        hand.page.getByTestId("film-strip").waitFor();
        hand.page.getByText("Nod", new Page.GetByTextOptions().setExact(true)).click();
        hand.page.getByTestId("pad-head").waitFor();
        hand.page.getByText("On the face").click();
        hand.page.getByTestId("solids").waitFor();
        hand.settle();
        hand.page.screenshot(new Page.ScreenshotOptions().setPath(TO.resolve("turn.png")));
        hand.page.navigate("about:blank");
        hand.open(server.url() + "/#c=" + id + "&b=turn&dial=turn&d.turn=45&part=fringe");
        hand.page.getByText("Record at").click();
        hand.page.getByTestId("handles").waitFor();
        hand.page.getByTestId("stop-45").locator("select").selectOption("curve");
        hand.page.getByTestId("curve").waitFor();
        hand.settle();
        hand.page.screenshot(new Page.ScreenshotOptions().setPath(TO.resolve("turn-record.png")));
    }

    /** Seventeen mouths in three moods made from one, then one of them shaped by hand. */
    private static void mouths(Browser hand, LeewardServer server) {
        String id = server.body("/api/v1/characters").replaceAll("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
        hand.page.navigate("about:blank");
        hand.open(server.url() + "/#c=" + id + "&b=mouths");
        hand.page.getByText("Make all from one").click();
        hand.page.getByLabel("How they are made").waitFor();
        for (String mood : new String[] {"Happy", "Sad"}) {
            hand.page
                    .getByText(mood, new Page.GetByTextOptions().setExact(true))
                    .click();
            hand.page
                    .getByTestId("mouth-" + mood.toLowerCase(java.util.Locale.ROOT) + "-SURPRISE")
                    .waitFor();
        }
        hand.page
                .getByText("Say it", new Page.GetByTextOptions().setExact(true))
                .click();
        hand.page.getByLabel("Mouths said").waitFor();
        hand.settle();
        hand.page.screenshot(new Page.ScreenshotOptions().setPath(TO.resolve("mouths.png")));
        hand.page.getByTestId("mouth-happy-AH").click();
        hand.page.getByText("Shape it").click();
        hand.page.getByTestId("point-2").click();
        hand.settle();
        hand.page.screenshot(new Page.ScreenshotOptions().setPath(TO.resolve("mouths-shape.png")));
    }

    /** Brows pulled by a hand, then every look as a face. */
    private static void brows(Browser hand, LeewardServer server) {
        String id = server.body("/api/v1/characters").replaceAll("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
        hand.page.navigate("about:blank");
        hand.open(server.url() + "/#c=" + id + "&b=brows&d.brow-inner=0.7&d.brow-tilt=0.4&d.brow-outer=-0.3");
        hand.page.getByText("Make the dials of the brows").click();
        hand.page.getByText("Make the six looks").click();
        hand.page.getByTestId("look-look-disgust").waitFor();
        hand.settle();
        hand.page.screenshot(new Page.ScreenshotOptions().setPath(TO.resolve("brows.png")));
        hand.page.navigate("about:blank");
        hand.open(server.url() + "/#c=" + id + "&b=brows&d.turn=18&x.look-happiness=0.8&x.look-surprise=0.35");
        hand.page.getByTestId("look-look-disgust").waitFor();
        hand.settle();
        hand.page.getByLabel("Looks").evaluate("e => e.scrollIntoView()");
        hand.settle();
        hand.page.screenshot(new Page.ScreenshotOptions().setPath(TO.resolve("looks.png")));
    }

    private static String maren() throws Exception {
        return java.nio.file.Files.readString(java.nio.file.Path.of("../demo/src/main/resources/demo/maren.svg"));
    }

    /** A designer's second version held against the first. */
    private static void version(Browser hand, LeewardServer server) throws Exception {
        hand.page.navigate("about:blank");
        hand.open(server.url() + "/#b=intake");
        String art = maren().replace("<g id=\"brow left\"", "<g id=\"brow left\" transform=\"translate(0 -12)\"")
                .replace("<g id=\"brow right\"", "<g id=\"brow right\" transform=\"translate(0 -12)\"")
                .replaceFirst("<g id=\"freckles left\">[\\s\\S]*?</g>", "")
                .replaceFirst("(<g id=\"wool cap\"[\\s\\S]*?)#24566b", "$1#2f6f5e")
                .replace(
                        "<g id=\"nose\"",
                        "<g id=\"plaster\"><path d=\"M352 446l54-14 6 20-54 14z\" fill=\"#e9d9b0\" stroke=\"#26313d\" stroke-width=\"4\" stroke-linejoin=\"round\"/></g><g id=\"nose\"");
        hand.page
                .getByTestId("version-file")
                .setInputFiles(new com.microsoft.playwright.options.FilePayload(
                        "maren-2.svg", "image/svg+xml", art.getBytes(java.nio.charset.StandardCharsets.UTF_8)));
        hand.page.getByLabel("New version of the art").waitFor();
        hand.settle();
        hand.page.screenshot(new Page.ScreenshotOptions().setPath(TO.resolve("intake-version.png")));
    }

    /** Two faces the demo has not: a fox who blinks, with the mouths made from its one stroke, and a skater seen from five sides. */
    private static void others(Browser hand, LeewardServer server) throws Exception {
        String fox = dropped(hand, server, "fox-courier.svg");
        hand.page.getByText("Fit, stand and centre").click();
        hand.settle();
        hand.page.navigate("about:blank");
        hand.open(server.url() + "/#c=" + fox + "&b=eyes&d.blink=0.6");
        hand.settle();
        hand.page.screenshot(new Page.ScreenshotOptions().setPath(TO.resolve("eyes-fox.png")));
        String skater = dropped(hand, server, "skater-views.svg");
        hand.page.navigate("about:blank");
        hand.open(server.url() + "/#c=" + skater + "&b=turn");
        hand.page.getByTestId("view-bands").getByRole(AriaRole.BUTTON).nth(2).click();
        hand.settle();
        hand.page.screenshot(new Page.ScreenshotOptions().setPath(TO.resolve("views-skater.png")));
        // the fox's head turning there and back, which a still cannot show
        MovingTurn.write(
                Files.readAllBytes(Path.of("../bench/src/test/resources/art/fox-courier.svg")),
                TO.resolve("turn-fox.gif"));
    }

    private static String dropped(Browser hand, LeewardServer server, String file) throws Exception {
        hand.page.navigate("about:blank");
        hand.open(server.url());
        hand.drop(
                file,
                "image/svg+xml",
                java.nio.file.Files.readAllBytes(java.nio.file.Path.of("../bench/src/test/resources/art", file)));
        hand.page.waitForFunction("() => location.hash.includes('c=')");
        hand.settle();
        return hand.page.url().replaceAll(".*[#&]c=([^&]+).*", "$1");
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
        hand.settle();
        hand.page.screenshot(new Page.ScreenshotOptions().setPath(TO.resolve("intake-muddled.png")));
    }
}
