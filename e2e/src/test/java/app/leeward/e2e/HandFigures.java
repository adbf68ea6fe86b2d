package app.leeward.e2e;

import app.leeward.demo.DemoFiles;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/**
 * How long a sheet of 24 hand drawings takes to be shown, and a step of the wheel through them; run by {@code ./leeward bench},
 * never as a test.
 */
@EnabledIfSystemProperty(named = "leeward.figures", matches = "true")
class HandFigures {
    private static final int STEPS = 20;

    /** Maren with every drawing of both hands three times. */
    static String twentyFour() {
        String svg = new String(DemoFiles.maren(), StandardCharsets.UTF_8).replace("Maren Quill", "Twenty-four");
        for (String side : List.of("left", "right")) {
            Matcher hand = Pattern.compile("<g id=\"hand " + side
                            + "\"[^>]*>\\s*((?:<g id=\"[^\"]+\"[^>]*>\\s*(?:<path[^>]*/>\\s*)+</g>\\s*)+)")
                    .matcher(svg);
            if (!hand.find()) {
                throw new IllegalStateException("no hand " + side);
            }
            String drawn = hand.group(1);
            StringBuilder more = new StringBuilder(drawn);
            for (int copy = 2; copy <= 3; copy++) {
                more.append(
                        drawn.replaceAll("<g id=\"([^\"]+)\"[^>]*>", "<g id=\"$1 " + copy + "\" display=\"none\">"));
            }
            svg = svg.substring(0, hand.start(1)) + more + svg.substring(hand.end(1));
        }
        return svg;
    }

    @Test
    void time() throws Exception {
        try (LeewardServer server = LeewardServer.start("handfigures");
                Browser hand = new Browser()) {
            Page page = hand.page;
            hand.open(server.url());
            page.getByTestId("art-file")
                    .setInputFiles(new FilePayload(
                            "hands.svg", "image/svg+xml", twentyFour().getBytes(StandardCharsets.UTF_8)));
            page.waitForFunction("() => new URLSearchParams(location.hash.slice(1)).has('c')");
            // what a start practises is over by then
            page.waitForTimeout(15_000);
            for (int run = 1; run <= 4; run++) {
                sheet(hand, page, run);
            }
            wheel(page);
        }
    }

    /** As somebody does it who goes to the bench with the mouse: the pointer is over it for a moment before it is pressed. */
    private static void sheet(Browser hand, Page page, int run) {
        hand.bench("Parts").click();
        // the address follows a moment later
        page.waitForTimeout(500);
        page.reload();
        page.waitForTimeout(3000);
        page.evaluate(
                "() => { window.sheet = new Promise(done => addEventListener('click', () => { const from = performance.now();"
                        + "const look = () => document.querySelectorAll('[data-testid=hand-sheet] figure').length >= 24"
                        + "  ? requestAnimationFrame(() => requestAnimationFrame(() => done(performance.now() - from)))"
                        + "  : requestAnimationFrame(look); look(); }, { once: true, capture: true })) }");
        BoundingBox b = hand.bench("Hands").boundingBox();
        page.mouse().move(b.x + 300, b.y);
        page.mouse().move(b.x + b.width / 2, b.y + b.height / 2);
        page.waitForTimeout(150);
        page.mouse().down();
        page.mouse().up();
        double ms = ((Number) page.evaluate("() => window.sheet")).doubleValue();
        System.out.printf(
                Locale.ROOT,
                "sheet of 24 hand drawings%s: %.0f ms until it is painted%n",
                run == 1 ? ", the first after a start" : "",
                ms);
    }

    private static void wheel(Page page) {
        String id = String.valueOf(page.evaluate("() => new URLSearchParams(location.hash.slice(1)).get('c')"));
        page.navigate(page.url().replaceAll("#.*", "#c=" + id + "&b=parts&part=hand-left"));
        page.reload();
        page.locator("[role=spinbutton][aria-label*=hand]").hover();
        page.waitForTimeout(1000);
        List<Double> all = new ArrayList<>();
        for (int i = 0; i < STEPS; i++) {
            page.evaluate(
                    "() => { const shown = () => [...document.querySelectorAll('[data-testid=stage] [data-part=hand-left] > g')]"
                            + "  .findIndex(g => g.style.display !== 'none') + '/' + document.querySelectorAll('[data-testid=stage] [data-part=hand-left] > g').length;"
                            + "const was = shown(); window.step = new Promise(done => addEventListener('wheel', () => { const from = performance.now();"
                            + "  const look = () => shown() !== was ? requestAnimationFrame(() => done(performance.now() - from)) : requestAnimationFrame(look);"
                            + "  requestAnimationFrame(look); }, { once: true, capture: true })) }");
            page.mouse().wheel(0, 100);
            all.add(((Number) page.evaluate("() => window.step")).doubleValue());
            page.waitForTimeout(150);
        }
        Collections.sort(all);
        System.out.printf(
                Locale.ROOT,
                "step of the wheel through 24 drawings: %.0f ms at the median, %.0f to %.0f%n",
                all.get(STEPS / 2),
                all.get(0),
                all.get(STEPS - 1));
    }
}
