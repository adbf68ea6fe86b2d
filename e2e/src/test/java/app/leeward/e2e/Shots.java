package app.leeward.e2e;

import app.leeward.bench.faces.MovingTurn;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import java.util.List;
import java.util.regex.Pattern;
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
            shot(day, server, "eyes", "b=eyes&d.gaze-across=0.55&d.gaze-down=0.1", "dials");
            brows(day, server);
            muddled(day, server);
            others(day, server);
            handOver(day, server);
            taking(day, server);
            home(day, server);
            hands(day, server);
            kits(day, server);
            turn(day, server);
            mouths(day, server);
            acting(day, server);
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
            hand.page.getByLabel(Pattern.compile("^Blink from")).first().waitFor();
            hand.page.keyboard().press("Escape");
            hand.page.getByLabel("Zoom the line in").click();
            hand.page.getByLabel("Zoom the line in").click();
            hand.page.locator("#sound-0-27").click();
            hand.page.keyboard().press("Control+ArrowLeft");
            hand.page.getByText("put by hand").waitFor();
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
                .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Enlarge: hold"))
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

    /** The head turn from end to end with its pieces taken hold of. */
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
    }

    /** The first line acted by hand over a first pass: as a sheet, as curves, and as a small film. */
    private static void acting(Browser hand, LeewardServer server) throws Exception {
        String id = server.body("/api/v1/characters").replaceAll("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
        String line =
                server.body("/api/v1/characters/" + id + "/lines").replaceAll("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
        hand.page.navigate("about:blank");
        hand.open(server.url() + "/#c=" + id + "&b=shot&l=" + line);
        hand.page.getByTestId("sheet").waitFor();
        hand.settle();
        hand.page.evaluate(
                """
                async line => {
                  const token = /XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1];
                  const post = async (path, body) => (await fetch('/api/v1/lines/' + line + path, {
                    method: 'POST',
                    headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token },
                    body: JSON.stringify(body),
                  })).json();
                  const key = (frame, value, kind) => ({ frame, value, way: { kind } });
                  const curve = { kind: 'curve', x1: 0.3, y1: 0, x2: 0.15, y2: 1 };
                  const edits = [
                    { kind: 'set-keys', keys: {
                      turn: [{ frame: 18, value: 0, way: curve }, key(29, -27, 'smooth'), key(35, -23, 'hold'),
                             { frame: 52, value: -23, way: curve }, key(63, 8, 'smooth'), key(69, 5, 'hold')],
                      'gaze-across': [key(16, 0, 'even'), key(18, -0.72, 'hold'), key(44, -0.72, 'even'), key(46, 0, 'hold')] } },
                    { kind: 'set-look', was: -1, span: { look: 'look-happiness', from: 36, to: 80, in: 6, out: 8, strength: 0.6 } },
                    { kind: 'hold-drawing', part: 'hand-right', held: { from: 30, to: 60, drawing: 'point' } },
                    { kind: 'write-note', was: -1, note: { from: 16, to: 26, text: 'eyes lead, then the head: good', author: 'Ilse' } },
                  ];
                  let base = (await (await fetch('/api/v1/lines/' + line)).json()).revision;
                  for (const edit of edits) base = (await post('/edits', { base, edit })).revision;
                  await post('/first-pass', { base, temperament: 'LIVELY', strength: 1, seed: 2,
                    kinds: ['BLINKS', 'NODS', 'BROWS'] });
                }
                """,
                line);
        hand.page.reload();
        hand.page.getByTestId("sheet").waitFor();
        hand.page.locator("[data-item='key turn 18']").waitFor();
        for (int f = 0; f < 27; f++) {
            hand.page.keyboard().press(".");
        }
        hand.settle();
        hand.page.locator("[data-item='key turn 29']").click();
        hand.settle();
        hand.page.screenshot(new Page.ScreenshotOptions().setPath(TO.resolve("shot-sheet.png")));
        hand.page
                .getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Across").setExact(true))
                .click();
        hand.page.locator("[data-item='key turn 18']").click();
        hand.settle();
        hand.page.screenshot(new Page.ScreenshotOptions().setPath(TO.resolve("shot-curves.png")));
        live(hand);
        Files.write(TO.resolve("shot.gif"), Base64.getDecoder().decode((String) hand.page.evaluate(
                """
                                async ([character, line]) => {
                                  const token = /XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1];
                                  const made = await fetch('/api/v1/characters/' + character + '/exports/film-gif', {
                                    method: 'POST',
                                    headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token },
                                    body: JSON.stringify({ line, options: { 'film-width': 320 } }),
                                  });
                                  const bytes = new Uint8Array(await made.arrayBuffer());
                                  return btoa(Array.from(bytes, b => String.fromCharCode(b)).join(''));
                                }
                                """,
                List.of(id, line))));
        check(hand, line);
    }

    /** The same shot with a jump of the head and a b that stays open, as the shot check tells them. */
    private static void check(Browser hand, String line) {
        hand.page.evaluate(
                """
                async line => {
                  const token = /XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1];
                  const now = await (await fetch('/api/v1/lines/' + line)).json();
                  let base = now.revision;
                  for (const edit of [
                    { kind: 'set-keys', keys: { turn: [{ frame: 74, value: -32, way: { kind: 'hold' } }] } },
                    { kind: 'pin-mouth', from: 43, to: 48, drawing: now.drawings[24] },
                  ]) base = (await (await fetch('/api/v1/lines/' + line + '/edits', {
                    method: 'POST',
                    headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token },
                    body: JSON.stringify({ base, edit }),
                  })).json()).revision;
                }
                """,
                line);
        hand.page.reload();
        hand.page.getByTestId("sheet").waitFor();
        hand.page
                .getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Check").setExact(true))
                .click();
        hand.page.getByTestId("shot-finding-pops").locator("button").first().click();
        hand.settle();
        hand.page.screenshot(new Page.ScreenshotOptions().setPath(TO.resolve("shot-check.png")));
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
    }

    /** A scripted performer, in the middle of a take, which is thrown away. */
    private static void live(Browser hand) {
        hand.page.getByLabel(Pattern.compile("^Takes: ")).click();
        hand.page
                .getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(Pattern.compile("^Simulated")))
                .click();
        hand.page
                .getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Count-in"))
                .getByText("0")
                .click();
        hand.page.getByText("Link it by what the dials are for").click();
        hand.page.getByText("Play it live").scrollIntoViewIfNeeded();
        hand.page.waitForFunction(
                "() => [...document.querySelectorAll('[role=status]')].some(e => e.innerText.includes('a second'))");
        hand.page
                .getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Play live").setExact(true))
                .click();
        hand.page.waitForFunction("() => Number(document.querySelector('[data-testid=clock] b').textContent) > 60");
        hand.page.screenshot(new Page.ScreenshotOptions().setPath(TO.resolve("shot-live.png")));
        hand.page.keyboard().press("Escape");
        hand.page.getByText("Back to the sheet").click();
        hand.page.getByTestId("sheet").waitFor();
    }

    /** Every look as a face. */
    private static void brows(Browser hand, LeewardServer server) {
        String id = server.body("/api/v1/characters").replaceAll("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
        hand.page.navigate("about:blank");
        hand.open(server.url() + "/#c=" + id + "&b=brows&d.brow-inner=0.7&d.brow-tilt=0.4&d.brow-outer=-0.3");
        hand.page.getByText("Make the dials of the brows").click();
        hand.page.getByText("Make the six looks").click();
        hand.page.getByTestId("look-look-disgust").waitFor();
        hand.settle();
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

    /** What is still wrong with the demo, and what leaves the house. */
    private static void handOver(Browser hand, LeewardServer server) {
        shot(hand, server, "hand-over", "b=parts", "");
        hand.bench("Hand over").click();
        hand.page.getByText("to fix").first().waitFor();
        hand.settle();
        // a film on its way
        hand.page
                .getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Film"))
                .getByText("WebM")
                .click();
        hand.page.getByLabel("Export WebM").click();
        hand.page.waitForFunction(
                "() => Number(document.querySelector('[role=progressbar]')?.getAttribute('aria-valuenow')) > 30");
        hand.page.screenshot(new Page.ScreenshotOptions().setPath(TO.resolve("hand-over.png")));
        hand.page.getByLabel("Cancel WebM").click();
    }

    /** What one character could take from another. */
    private static void taking(Browser hand, LeewardServer server) {
        String pilchard = server.body("/api/v1/characters?size=200")
                .replaceAll("(?s).*\"id\":\"([^\"]+)\",\"name\":\"Pilchard\".*", "$1");
        hand.page.navigate("about:blank");
        // a bird has no nose to wait for
        hand.page.navigate(server.url() + "/#c=" + pilchard + "&b=intake");
        hand.page.getByText("Take from …").click();
        hand.page.getByLabel("The character that has it").selectOption("Maren Quill");
        Locator mouths = hand.page
                .getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("Mouths instead of its own"))
                .first();
        mouths.getByText("See").click();
        hand.page.waitForFunction("() => { const all = [...document.querySelectorAll('section img')];"
                + " return all.length > 3 && all.every(i => i.complete && i.naturalWidth > 0); }");
        hand.settle();
        hand.page.screenshot(new Page.ScreenshotOptions().setPath(TO.resolve("taking.png")));
    }

    /** Two faces the demo has not: a fox who turns its head, and a skater seen from five sides. */
    private static void others(Browser hand, LeewardServer server) throws Exception {
        String fox = dropped(hand, server, "fox-courier.svg");
        hand.page.getByText("Fit, stand and centre").click();
        hand.settle();
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

    /** All characters by their faces. */
    private static void home(Browser hand, LeewardServer server) {
        hand.page.navigate("about:blank");
        hand.page.navigate(server.url());
        hand.page.waitForFunction(
                "() => { const all = [...document.querySelectorAll('[data-testid=home] img')]; return all.length > 3 && all.every(i => i.complete && i.naturalWidth > 0); }");
        hand.settle();
        hand.page.screenshot(new Page.ScreenshotOptions().setPath(TO.resolve("home.png")));
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
