package app.leeward.e2e;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import java.util.Locale;
import java.util.function.IntConsumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/**
 * Counts what the browser paints while a hand drags the gaze pad, and a ruler of the mouth wall; run by {@code ./leeward
 * bench}, never as a test.
 */
@EnabledIfSystemProperty(named = "leeward.figures", matches = "true")
class DragFigures {
    private static final int SECONDS = 4;

    @Test
    void count() throws Exception {
        try (LeewardServer server = LeewardServer.start("figures");
                Browser hand = new Browser()) {
            Page page = hand.page;
            hand.open(server.url() + "/#b=eyes");
            BoundingBox pad = page.getByTestId("pad-gaze").last().boundingBox();
            for (int run = 1; run <= 3; run++) {
                drag(
                        page,
                        "gaze pad dragged",
                        "[data-testid=stage] [data-part=pupil-left]",
                        "transform",
                        middle(pad),
                        i -> page.mouse()
                                .move(
                                        middle(pad)[0] + 40 * Math.sin(i / 9.0),
                                        middle(pad)[1] + 30 * Math.cos(i / 7.0)));
            }
            hand.bench("Turn").click();
            page.getByTestId("film-strip").waitFor();
            page.waitForTimeout(1500);
            BoundingBox turn = page.getByTestId("ruler-turn").first().boundingBox();
            for (int run = 1; run <= 3; run++) {
                drag(
                        page,
                        "turn ruler dragged",
                        "[data-testid=stage] [data-part=nose]",
                        "transform",
                        middle(turn),
                        i -> page.mouse()
                                .move(middle(turn)[0] + 0.45 * turn.width * Math.sin(i / 12.0), middle(turn)[1]));
            }
            wall(hand, page);
            for (int run = 1; run <= 3; run++) {
                jaw(page);
            }
        }
    }

    /**
     * Turns the jaw's ruler a little on every frame, from inside the page: movements sent from outside come at the rate the
     * page answers them, which is slower than it paints. Counted is how often the wall's canvas was painted anew.
     */
    private static void jaw(Page page) {
        Object rates = page.evaluate(
                "seconds => new Promise(done => {"
                        + "const ruler = [...document.querySelectorAll('label')].find(l => l.innerText.startsWith('Jaw'))"
                        + "  .querySelector('input');"
                        + "const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;"
                        + "const clear = CanvasRenderingContext2D.prototype.clearRect; let walls = 0, frames = 0;"
                        + "CanvasRenderingContext2D.prototype.clearRect = function (...a) { walls++; return clear.apply(this, a); };"
                        + "const from = performance.now();"
                        + "const turn = () => { const t = performance.now() - from;"
                        + "  if (t > seconds * 1000) { CanvasRenderingContext2D.prototype.clearRect = clear;"
                        + "    done([frames * 1000 / t, walls * 1000 / t]); return; }"
                        + "  frames++; set.call(ruler, String(1 + 0.8 * Math.sin(t / 300)));"
                        + "  ruler.dispatchEvent(new Event('input', { bubbles: true }));"
                        + "  requestAnimationFrame(() => setTimeout(turn)); };"
                        + "turn(); })",
                SECONDS);
        page.waitForTimeout(800);
        List<?> two = (List<?>) rates;
        System.out.printf(
                Locale.ROOT,
                "jaw ruler turned, 51 mouths on the wall: %.0f frames painted a second, the mouths others in %.0f of them%n",
                ((Number) two.get(0)).doubleValue(),
                ((Number) two.get(1)).doubleValue());
    }

    /** Seventeen mouths in three moods. */
    private static void wall(Browser hand, Page page) {
        hand.bench("Mouths").click();
        page.getByText("Make all from one").click();
        page.getByLabel("How they are made").waitFor();
        for (String mood : List.of("Happy", "Sad")) {
            page.getByText(mood, new Page.GetByTextOptions().setExact(true)).click();
            page.getByTestId("mouth-" + mood.toLowerCase(Locale.ROOT) + "-SURPRISE")
                    .waitFor();
        }
        page.waitForTimeout(1000);
    }

    private static double[] middle(BoundingBox b) {
        return new double[] {b.x + b.width / 2, b.y + b.height / 2};
    }

    private static void drag(
            Page page, String what, String watched, String attribute, double[] from, IntConsumer move) {
        page.evaluate(
                "([watched, attribute]) => { window.counted = { frames: 0, moved: 0, from: performance.now() }; let last = '';"
                        + "const step = () => {"
                        + "  const now = document.querySelector(watched)?.getAttribute(attribute) ?? '';"
                        + "  window.counted.frames++; if (now !== last) window.counted.moved++; last = now;"
                        + "  if (!window.counted.done) requestAnimationFrame(step); };"
                        + "requestAnimationFrame(step); }",
                List.of(watched, attribute));
        page.mouse().move(from[0], from[1]);
        page.mouse().down();
        long end = System.nanoTime() + SECONDS * 1_000_000_000L;
        int moves = 0;
        for (int i = 0; System.nanoTime() < end; i++, moves++) {
            move.accept(i);
        }
        Object rates = page.evaluate("() => { const c = window.counted; c.done = true;"
                + "const s = (performance.now() - c.from) / 1000; return [c.frames / s, c.moved / s]; }");
        page.mouse().up();
        page.waitForTimeout(600);
        List<?> two = (List<?>) rates;
        System.out.printf(
                Locale.ROOT,
                "%s: %.0f frames painted a second, the picture another in %.0f of them, the hand %.0f times%n",
                what,
                ((Number) two.get(0)).doubleValue(),
                ((Number) two.get(1)).doubleValue(),
                (double) moves / SECONDS);
    }
}
