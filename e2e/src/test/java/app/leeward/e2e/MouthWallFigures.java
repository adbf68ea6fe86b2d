package app.leeward.e2e;

import com.microsoft.playwright.Page;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/**
 * Counts what the browser paints while a hand turns a ruler of the mouth wall; run by {@code ./leeward bench page}, never as a
 * test.
 */
@EnabledIfSystemProperty(named = "leeward.figures", matches = "true")
class MouthWallFigures {
    private static final int SECONDS = 4;

    @Test
    void count() throws Exception {
        try (LeewardServer server = LeewardServer.start("figures");
                Browser hand = new Browser()) {
            Page page = hand.page;
            hand.open(server.url());
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
}
