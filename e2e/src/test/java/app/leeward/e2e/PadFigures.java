package app.leeward.e2e;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/** Counts what the browser paints while a hand drags the gaze pad; run by {@code ./leeward bench}, never as a test. */
@EnabledIfSystemProperty(named = "leeward.figures", matches = "true")
class PadFigures {
    private static final int SECONDS = 4;

    @Test
    void count() throws Exception {
        try (LeewardServer server = LeewardServer.start("figures");
                Browser hand = new Browser()) {
            Page page = hand.page;
            hand.open(server.url() + "/#b=eyes");
            BoundingBox pad = page.getByTestId("pad-gaze").last().boundingBox();
            double x = pad.x + pad.width / 2;
            double y = pad.y + pad.height / 2;
            for (int run = 1; run <= 3; run++) {
                page.evaluate(
                        "() => { const pupil = document.querySelector('[data-testid=stage] [data-part=pupil-left]');"
                                + "window.counted = { frames: 0, moved: 0, from: performance.now() }; let last = '';"
                                + "const step = () => { const t = pupil.getAttribute('transform') ?? '';"
                                + "  window.counted.frames++; if (t !== last) window.counted.moved++; last = t;"
                                + "  if (!window.counted.done) requestAnimationFrame(step); };"
                                + "requestAnimationFrame(step); }");
                page.mouse().move(x, y);
                page.mouse().down();
                long end = System.nanoTime() + SECONDS * 1_000_000_000L;
                int moves = 0;
                for (int i = 0; System.nanoTime() < end; i++, moves++) {
                    page.mouse().move(x + 40 * Math.sin(i / 9.0), y + 30 * Math.cos(i / 7.0));
                }
                Object rates = page.evaluate("() => { const c = window.counted; c.done = true;"
                        + "const s = (performance.now() - c.from) / 1000; return [c.frames / s, c.moved / s]; }");
                page.mouse().up();
                java.util.List<?> two = (java.util.List<?>) rates;
                System.out.printf(
                        Locale.ROOT,
                        "gaze pad dragged: %.0f frames painted a second, the pupil in another place in %.0f of them, the hand %.0f times%n",
                        ((Number) two.get(0)).doubleValue(),
                        ((Number) two.get(1)).doubleValue(),
                        (double) moves / SECONDS);
            }
        }
    }
}
