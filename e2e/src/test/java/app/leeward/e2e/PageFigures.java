package app.leeward.e2e;

import app.leeward.bench.SixtyParts;
import app.leeward.core.rig.Character;
import app.leeward.formats.json.ArtworkStore;
import app.leeward.formats.json.LeewardJson;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.LoadState;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/** What the page costs and how soon it answers, in Debian's Chromium; run by {@code ./leeward bench page}, never as a test. */
@EnabledIfSystemProperty(named = "leeward.figures", matches = "true")
class PageFigures {
    private static final int SECONDS = 4;
    private static final int PRESSES = 40;

    /** Milliseconds from what a hand does until the frame that shows it, for the next change of the nose. */
    private static final String FIRST_CHANGE =
            """
            () => { window.first = new Promise(done => {
              const nose = document.querySelector('[data-testid=stage] [data-part=nose]');
              addEventListener('pointerdown', e => {
                const from = e.timeStamp;
                const seen = new MutationObserver(() => { seen.disconnect(); requestAnimationFrame(() => done(performance.now() - from)); });
                seen.observe(nose, { attributes: true, subtree: true });
              }, { once: true, capture: true });
            }); }""";

    /** Pulls a slider a little before every frame, from inside the page, and counts what is painted. */
    private static final String DRAG =
            """
            ([selector, seconds]) => new Promise(done => {
              const slider = document.querySelector(selector), b = slider.getBoundingClientRect();
              const shown = () => { const face = document.querySelector('[data-testid=stage] [data-part=nose]');
                const pupil = document.querySelector('[data-testid=stage] [data-part=pupil-left]');
                return (face?.getAttribute('transform') ?? '') + (pupil?.getAttribute('transform') ?? ''); };
              const send = (type, x) => slider.dispatchEvent(new PointerEvent(type, { bubbles: true, pointerId: 1,
                clientX: b.x + b.width * x, clientY: b.y + b.height * (0.5 + 0.2 * Math.sin(x * 40)), buttons: 1 }));
              slider.setPointerCapture = () => {};
              send('pointerdown', 0.5);
              const from = performance.now(); let frames = 0, others = 0, last = '', busy = 0;
              const step = () => {
                const t = performance.now() - from;
                if (t > seconds * 1000) { send('pointerup', 0.5); return done([frames * 1000 / t, others * 1000 / t, busy / frames]); }
                frames++;
                const begun = performance.now();
                send('pointermove', 0.5 + 0.45 * Math.sin(t / 300));
                busy += performance.now() - begun;
                const now = shown(); if (now !== last) others++; last = now;
                requestAnimationFrame(step);
              };
              requestAnimationFrame(step);
            })""";

    @Test
    void measure() throws Exception {
        System.out.printf(
                "page: load of the machine %s%n",
                Files.readString(Path.of("/proc/loadavg")).strip());
        try (LeewardServer server = LeewardServer.start("pagefigures")) {
            for (int run = 0; run < 3; run++) {
                try (Browser hand = new Browser()) {
                    firstLoad(server, hand.page);
                }
            }
            try (Browser hand = new Browser()) {
                Page page = hand.page;
                hand.open(server.url() + "/#b=turn");
                page.getByTestId("film-strip").waitFor();
                page.waitForLoadState(LoadState.NETWORKIDLE);
                pose(page);
                presses(page, "turn ruler pressed");
                drag(page, "turn ruler dragged", "[data-testid=ruler-turn]");
                drag(page, "gaze pad dragged", "[data-testid=pad-gaze]");
                strip(page);
                play(page);
                idle(page);
                CDPSession network = page.context().newCDPSession(page);
                JsonObject slow = new JsonObject();
                slow.addProperty("offline", false);
                slow.addProperty("latency", 300);
                slow.addProperty("downloadThroughput", -1);
                slow.addProperty("uploadThroughput", -1);
                network.send("Network.enable");
                network.send("Network.emulateNetworkConditions", slow);
                presses(page, "turn ruler pressed, network 300 ms away");
                drag(page, "turn ruler dragged, network 300 ms away", "[data-testid=ruler-turn]");
            }
        }
    }

    /** What a page costs on which nobody does anything: each answer's head and body, and what it is told. */
    private static void idle(Page page) {
        page.waitForLoadState(LoadState.NETWORKIDLE);
        CDPSession network = page.context().newCDPSession(page);
        long[] seen = new long[3];
        network.on("Network.loadingFinished", e -> {
            seen[0]++;
            seen[1] += e.get("encodedDataLength").getAsLong();
        });
        network.on(
                "Network.webSocketFrameReceived",
                e -> seen[2] += e.getAsJsonObject("response")
                        .get("payloadData")
                        .getAsString()
                        .length());
        network.send("Network.enable");
        // the minute is what is measured
        page.waitForFunction(
                "until => performance.now() > until",
                number(page.evaluate("() => performance.now()")) + 60_000,
                new Page.WaitForFunctionOptions().setTimeout(90_000));
        network.detach();
        say("idle for a minute: %.0f calls with %.0f bytes of answers, told %.0f bytes", seen[0], seen[1], seen[2]);
    }

    private static void firstLoad(LeewardServer server, Page page) {
        page.navigate(server.url() + "/#b=parts");
        page.locator("[data-testid=stage] [data-part=nose] path").first().waitFor();
        double face = number(page.evaluate("() => performance.now()"));
        page.waitForFunction("() => performance.getEntriesByType('resource').some(r => r.name.includes('page-core'))");
        page.waitForLoadState(LoadState.NETWORKIDLE);
        List<?> all = (List<?>)
                page.evaluate(
                        "() => { const all = performance.getEntriesByType('resource');"
                                + "const core = all.find(r => r.name.includes('page-core'));"
                                + "return [all.reduce((n, r) => n + r.transferSize, 0) / 1024, core.transferSize / 1024, core.responseEnd]; }");
        say(
                "first load: a face after %.0f ms, the rules after %.0f ms; %.0f KB in all, of them %.0f KB rules",
                face, number(all.get(2)), number(all.get(0)), number(all.get(1)));
    }

    /** The character of the pose benchmark, 60 parts and 12 dials, posed by the page's own core. */
    private static void pose(Page page) throws Exception {
        Character c = SixtyParts.rig();
        Map<String, String> art = new HashMap<>();
        ObjectMapper json = LeewardJson.mapper(new ArtworkStore() {
            @Override
            public void put(app.leeward.core.art.Artwork drawn, String hash, String text) {
                art.put(hash, text);
            }

            @Override
            public app.leeward.core.art.Artwork get(String hash) {
                return LeewardJson.artwork(art.get(hash));
            }
        });
        ObjectNode question = json.createObjectNode();
        question.set("character", json.valueToTree(c));
        ObjectNode artwork = question.putObject("artwork");
        for (Map.Entry<String, String> a : art.entrySet()) {
            artwork.set(a.getKey(), json.readTree(a.getValue()).get("shapes"));
        }
        List<?> micros = (List<?>) page.evaluate(
                """
                async text => {
                  const { character, artwork } = JSON.parse(text);
                  const url = performance.getEntriesByType('resource').map(r => r.name).find(n => n.includes('page-core'));
                  const open = (await import(url)).open(character, artwork, null);
                  const poses = Array.from({ length: 400 }, (_, i) => ({ dials: Object.fromEntries(character.controls.dials.map(
                    (d, k) => [d.id, d.from + (d.to - d.from) * (0.5 + 0.5 * Math.sin(i + k))])) }));
                  const once = () => { const from = performance.now(); for (const p of poses) open.frame(p);
                    return (performance.now() - from) * 1000 / poses.length; };
                  once(); once(); once();
                  return [1, 2, 3, 4, 5].map(once).sort((a, b) => a - b);
                }""",
                question.toString());
        say(
                "pose of 60 parts and 12 dials, made for the painter: %.0f µs (%.0f to %.0f)",
                micros.get(2), micros.get(0), micros.get(4));
    }

    private static void presses(Page page, String what) {
        BoundingBox b = page.getByTestId("ruler-turn").first().boundingBox();
        List<Double> all = new ArrayList<>();
        for (int i = 0; i < PRESSES; i++) {
            page.evaluate(FIRST_CHANGE);
            page.mouse().move(b.x + b.width * (0.1 + 0.8 * ((i * 7) % 10) / 10.0), b.y + b.height / 2);
            page.mouse().down();
            all.add(number(page.evaluate("() => window.first")));
            page.mouse().up();
        }
        Collections.sort(all);
        say(
                what + ": %.0f ms to the first change at the median, %.0f at the 95th percentile",
                all.get(PRESSES / 2),
                all.get(PRESSES * 95 / 100));
    }

    private static void drag(Page page, String what, String selector) {
        List<?> rates = (List<?>) page.evaluate(DRAG, List.of(selector, SECONDS));
        say(
                what + ": %.0f frames painted a second, the picture another in %.0f of them, %.1f ms of script each",
                rates.get(0),
                rates.get(1),
                rates.get(2));
        page.waitForTimeout(500);
    }

    private static void strip(Page page) {
        Object ms = page.evaluate(
                """
                () => new Promise(done => {
                  const button = [...document.querySelectorAll('button')].find(b => b.innerText === '25');
                  const from = performance.now(); button.click();
                  const look = () => document.querySelectorAll('[data-testid=film-strip] button svg [data-part=nose] path').length >= 25
                    ? requestAnimationFrame(() => done(performance.now() - from)) : requestAnimationFrame(look);
                  look();
                })""");
        say("film strip of 25 pictures asked for: %.0f ms until it is painted", ms);
    }

    /** How much of the main thread's time a frame of a line takes. */
    private static void play(Page page) {
        page.evaluate("() => { location.hash = '#b=lines'; }");
        page.reload();
        page.locator("[data-testid=stage] [data-part=nose] path").first().waitFor();
        page.waitForLoadState(LoadState.NETWORKIDLE);
        CDPSession cdp = page.context().newCDPSession(page);
        cdp.send("Performance.enable");
        page.getByLabel("Play").first().click();
        page.waitForTimeout(300);
        double before = metric(cdp, "TaskDuration");
        double from = metric(cdp, "Timestamp");
        page.waitForTimeout(2000);
        double busy = metric(cdp, "TaskDuration") - before;
        double seconds = metric(cdp, "Timestamp") - from;
        say("a line played: %.1f ms of the main thread for each of its 24 frames a second", busy / seconds / 24 * 1000);
        page.evaluate("() => { location.hash = '#b=turn'; }");
        page.reload();
        page.getByTestId("film-strip").waitFor();
        page.waitForLoadState(LoadState.NETWORKIDLE);
    }

    private static double metric(CDPSession cdp, String name) {
        for (JsonElement m : cdp.send("Performance.getMetrics").getAsJsonArray("metrics")) {
            if (m.getAsJsonObject().get("name").getAsString().equals(name)) {
                return m.getAsJsonObject().get("value").getAsDouble();
            }
        }
        throw new IllegalStateException("no " + name);
    }

    private static double number(Object n) {
        return ((Number) n).doubleValue();
    }

    private static void say(String words, Object... numbers) {
        Object[] all = new Object[numbers.length];
        for (int i = 0; i < all.length; i++) {
            all[i] = number(numbers[i]);
        }
        System.out.printf(Locale.ROOT, "page: " + words + "%n", all);
    }
}
