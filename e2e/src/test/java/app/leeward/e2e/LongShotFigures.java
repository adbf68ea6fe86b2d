package app.leeward.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.LoadState;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/**
 * What a shot of 10,000 frames costs in which 59 tracks are keyed every ten frames: its sheet scrolled, a key dragged, keys cleared,
 * room made on all tracks, and how late its frames are while it plays. Run by {@code ./leeward bench page}, never as a test.
 */
@EnabledIfSystemProperty(named = "leeward.figures", matches = "true")
class LongShotFigures {
    private static final int RUNS = 10;
    private static final int MOVES = 60;

    /** Makes the shot and gives its id. What the character has no dial for belongs to nothing, and is as much work. */
    private static final String MAKE =
            """
            async character => {
              const token = () => /(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1];
              const post = async (path, body) => (await fetch('/api/v1' + path, { method: 'POST', body: JSON.stringify(body),
                headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token() } })).json();
              const open = await (await fetch('/api/v1/characters/' + character)).json();
              const own = open.character.controls.dials.filter(d => d.purpose !== 'BLINK').slice(0, 59);
              const rows = Array.from({ length: 59 }, (_, t) => own[t] ?? { id: 'track-' + t, from: 0, to: 1 });
              let shot = await post(`/characters/${character}/shots`, { name: 'long', frames: 10000 });
              let seed = 7;
              const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
              for (let t = 0; t < rows.length; t += 10) {
                const keys = Object.fromEntries(rows.slice(t, t + 10).map((d, i) => [d.id, Array.from({ length: 1000 }, (_, k) => ({
                  frame: ((t + i) % 7) + 10 * k, value: d.from + (d.to - d.from) * (0.3 + 0.4 * random()), way: { kind: 'smooth' }, bow: 0 }))]));
                shot = await post(`/lines/${shot.id}/edits`, { base: shot.revision, edit: { kind: 'set-keys', keys } });
              }
              return shot.id;
            }""";

    /** One key set, and that taken back, over the API: the median of twenty, milliseconds. */
    private static final String ASKED =
            """
            async shot => {
              const token = () => /(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1];
              const post = async (path, body) => (await fetch('/api/v1/lines/' + shot + path, { method: 'POST', body: JSON.stringify(body),
                headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token(), Prefer: 'return=minimal' } })).json();
              let { revision } = await (await fetch('/api/v1/lines/' + shot)).json();
              const took = [[], []];
              const timed = async (into, work) => {
                const from = performance.now();
                revision = (await work()).revision;
                into.push(performance.now() - from);
              };
              for (let i = 0; i < 20; i++) {
                const keys = { turn: [{ frame: 5001 + i, value: i, way: { kind: 'even' }, bow: 0 }] };
                await timed(took[0], () => post('/edits', { base: revision, edit: { kind: 'set-keys', keys } }));
                await timed(took[1], () => post('/undo', { base: revision }));
              }
              return took.map(all => all.sort((a, b) => a - b)[10]);
            }""";

    /** From a key pressed until what it does is painted, milliseconds. */
    private static final String WATCH =
            """
            () => { window.answered = new Promise(done => addEventListener('keydown', e => requestAnimationFrame(() => {
              const after = new MessageChannel();
              after.port1.onmessage = () => done(performance.now() - e.timeStamp);
              after.port2.postMessage(0);
            }), { once: true, capture: true })); }""";

    /** The most frames the picture is behind the clock while two seconds are played. */
    private static final String LATE =
            """
            async () => {
              const shown = () => Number(document.querySelector('[data-testid=clock] b').textContent);
              const begins = shown();
              while (shown() === begins) await new Promise(requestAnimationFrame);
              const from = performance.now(), first = shown();
              let most = 0;
              while (performance.now() - from < 2000) {
                await new Promise(requestAnimationFrame);
                most = Math.max(most, first + Math.floor((performance.now() - from) * 24 / 1000) - shown());
              }
              return most;
            }""";

    @Test
    void measure() throws Exception {
        try (LeewardServer server = LeewardServer.start("longfigures");
                Browser hand = new Browser()) {
            Page page = hand.page;
            hand.open(server.url() + "/#b=shot");
            page.getByTestId("stage").waitFor();
            page.waitForFunction("() => /[#&]c=/.test(location.hash)");
            Object character = page.evaluate("() => /[#&]c=([^&]+)/.exec(location.hash)[1]");
            Object shot = page.evaluate(MAKE, character);
            page.navigate(server.url() + "/#c=" + character + "&b=shot&l=" + shot);
            page.reload();
            Locator key = page.locator("[data-testid=sheet] [data-item='key turn 10']");
            key.waitFor();
            page.waitForLoadState(LoadState.NETWORKIDLE);
            say(
                    "its sheet scrolled: %.0f frames painted a second",
                    moved(page, p -> page.mouse().wheel(0, 60)));
            page.mouse().wheel(0, -100_000);
            BoundingBox b = key.boundingBox();
            page.mouse().move(b.x + b.width / 2, b.y + b.height / 2);
            page.mouse().down();
            double dragged =
                    moved(page, i -> page.mouse().move(b.x + b.width / 2 + 20 * Math.sin(i / 6.0), b.y + b.height / 2));
            page.mouse().up();
            say("a key dragged: %.0f frames painted a second", dragged);
            say("what is chosen cleared: %.0f ms until it is painted", answered(page, b, "Delete"));
            say("room made on all tracks: %.0f ms until it is painted", answered(page, b, "Insert"));
            List<?> asked = (List<?>) page.evaluate(ASKED, shot);
            say(
                    "one key set over the API, and taken back: %.0f and %.0f ms",
                    number(asked.get(0)), number(asked.get(1)));
            late(page);
        }
    }

    private interface Move {
        void at(int move);
    }

    private static double moved(Page page, Move move) {
        double from = number(page.evaluate("() => { cancelAnimationFrame(window.counting); window.painted = 0;"
                + " const count = () => { window.painted++; window.counting = requestAnimationFrame(count); };"
                + " window.counting = requestAnimationFrame(count); return performance.now(); }"));
        for (int i = 0; i < MOVES; i++) {
            move.at(i);
            page.evaluate("() => new Promise(requestAnimationFrame)");
        }
        double painted = number(page.evaluate("() => window.painted"));
        return painted * 1000 / (number(page.evaluate("() => performance.now()")) - from);
    }

    /** The median of nine. */
    private static double answered(Page page, BoundingBox at, String key) {
        List<Double> all = new ArrayList<>();
        for (int i = 0; i < 9; i++) {
            page.mouse().click(at.x + at.width / 2 + 30, at.y + at.height / 2 + 40);
            page.waitForLoadState(LoadState.NETWORKIDLE);
            page.evaluate(WATCH);
            page.keyboard().press(key);
            all.add(number(page.evaluate("() => window.answered")));
        }
        Collections.sort(all);
        return all.get(all.size() / 2);
    }

    private static void late(Page page) {
        List<Double> most = new ArrayList<>();
        for (int run = 0; run < RUNS; run++) {
            page.getByLabel("Play").first().click();
            most.add(number(page.evaluate(LATE)));
            page.getByLabel("Stop").first().click();
        }
        Collections.sort(most);
        say(
                "played, the most frames the picture is late in two seconds: %.0f at the median of ten runs, %.0f in the worst",
                most.get(RUNS / 2), most.get(RUNS - 1));
    }

    private static double number(Object n) {
        return ((Number) n).doubleValue();
    }

    private static void say(String words, Object... numbers) {
        System.out.printf(Locale.ROOT, "page: a shot of 10,000 frames, " + words + "%n", numbers);
    }
}
