package app.leeward.e2e;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Debian's Chromium, headless, and what a hand does with it. */
final class Browser implements AutoCloseable {
    /** Starting one takes seconds, so there is one for all; each hand has a context of its own and sees nothing of the others. */
    private static com.microsoft.playwright.Browser shared;

    /** Counts what the page still waits for: answers, and timers that are to fire soon. */
    private static final String COUNTING =
            """
            window.waiting = 0;
            const asked = window.fetch, later = window.setTimeout, never = window.clearTimeout, soon = new Set();
            window.fetch = (...a) => { window.waiting++; return asked(...a).finally(() => window.waiting--); };
            window.setTimeout = (f, after = 0, ...a) => {
              const t = later((...x) => { if (soon.delete(t)) window.waiting--; return f(...x); }, after, ...a);
              if (after > 0 && after < 2000) { soon.add(t); window.waiting++; }
              return t;
            };
            window.clearTimeout = t => { if (soon.delete(t)) window.waiting--; never(t); };
            """;

    private static final List<String> USUAL = List.of(
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync",
            "--autoplay-policy=no-user-gesture-required");

    private final BrowserContext context;
    private final Optional<com.microsoft.playwright.Browser> own;
    final Page page;
    /** Errors the page wrote to its console. */
    final List<String> errors = new ArrayList<>();

    Browser(ColorScheme scheme) {
        this(scheme, Optional.empty());
    }

    /** One of its own, started with further arguments. */
    Browser(List<String> arguments) {
        this(ColorScheme.LIGHT, Optional.of(launch(arguments)));
    }

    private Browser(ColorScheme scheme, Optional<com.microsoft.playwright.Browser> own) {
        this.own = own;
        context = own.orElseGet(Browser::shared)
                .newContext(new com.microsoft.playwright.Browser.NewContextOptions()
                        .setViewportSize(1280, 800)
                        .setColorScheme(scheme));
        // two classes share two processors
        context.setDefaultTimeout(60_000);
        context.addInitScript("(() => {" + COUNTING + "})()");
        page = context.newPage();
        page.onPageError(errors::add);
        page.onConsoleMessage(m -> {
            // refusals are answers, not faults; the browser reports every 4xx as an error, and every try to reach a
            // server that is away
            if (m.type().equals("error")
                    && !m.text().contains("Failed to load resource")
                    && !m.text().startsWith("WebSocket connection to")) {
                errors.add(m.text());
            }
        });
    }

    Browser() {
        this(ColorScheme.LIGHT);
    }

    private static synchronized com.microsoft.playwright.Browser shared() {
        if (shared == null || !shared.isConnected()) {
            shared = launch(List.of());
        }
        return shared;
    }

    private static com.microsoft.playwright.Browser launch(List<String> more) {
        // a busy machine may take its time; what never comes is still a failure
        PlaywrightAssertions.setDefaultAssertionTimeout(45_000);
        // both end with the Java machine
        Playwright playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        return playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium"))
                        .setArgs(Stream.concat(
                                        // one that draws in the round needs what stands for a graphics card
                                        USUAL.stream()
                                                .filter(a -> !a.equals("--disable-gpu")
                                                        || !more.contains("--use-angle=swiftshader")),
                                        more.stream())
                                .toList()));
    }

    /** Opens a bench; of an address that names none, the one that is open first. */
    void open(String url) {
        page.navigate(url.contains("#") ? url : url + "/#b=lines");
        page.getByTestId("stage").waitFor();
        page.locator("[data-testid=stage] [data-part=nose] path").first().waitFor();
    }

    String transform(String part) {
        return page.locator("[data-testid=stage] [data-part=" + part + "]").getAttribute("transform");
    }

    /** Until the page has had all its answers, no timer is about to fire, and it has painted what came of them. */
    void settle() {
        page.evaluate("() => { window.calm = 0; }");
        page.waitForFunction("() => (window.calm = window.waiting ? 0 : window.calm + 1) > 6");
    }

    /** Until the page has painted once. */
    void frame() {
        page.evaluate("() => new Promise(done => requestAnimationFrame(() => done()))");
    }

    /** How far a part's place on the demo's axis, x = 500, has moved to the right, user units. */
    double shift(String part) {
        String[] m = transform(part).replaceAll("[^-\\d.e ]", "").strip().split(" ");
        return Double.parseDouble(m[4]) + (Double.parseDouble(m[0]) - 1) * 500;
    }

    /** Drags a ruler's handle from one share of its length to another, 0 to 1, and lets go. */
    void dragRuler(String dial, double from, double to) {
        BoundingBox b = page.getByTestId("ruler-" + dial).boundingBox();
        double y = b.y + b.height / 2;
        page.mouse().move(b.x + b.width * from, y);
        page.mouse().down();
        for (int i = 1; i <= 12; i++) {
            page.mouse().move(b.x + b.width * (from + (to - from) * i / 12), y);
            frame();
        }
        page.mouse().up();
    }

    Locator bench(String name) {
        return page.getByRole(com.microsoft.playwright.options.AriaRole.NAVIGATION)
                .getByText(name, new Locator.GetByTextOptions().setExact(true));
    }

    /** Drops files on the page as a hand does from the desktop. */
    void drop(String name, String type, byte[] content) {
        page.evaluate(
                "([name, type, base64]) => { const bytes = Uint8Array.from(atob(base64), c => c.charCodeAt(0));"
                        + "const d = new DataTransfer(); d.items.add(new File([bytes], name, {type}));"
                        + "for (const e of ['dragenter', 'dragover', 'drop'])"
                        + "  document.body.dispatchEvent(new DragEvent(e, {dataTransfer: d, bubbles: true, cancelable: true})); }",
                List.of(name, type, java.util.Base64.getEncoder().encodeToString(content)));
    }

    @Override
    public void close() {
        context.close();
        own.ifPresent(com.microsoft.playwright.Browser::close);
    }
}
