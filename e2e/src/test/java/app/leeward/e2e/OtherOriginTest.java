package app.leeward.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.Response;
import com.sun.net.httpserver.HttpServer;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** A page of another origin, in a real browser: what it asks of a studio on the same machine does nothing and tells it nothing. */
class OtherOriginTest {
    private static LeewardServer server;
    private static HttpServer foreign;
    private static Playwright playwright;
    private static com.microsoft.playwright.Browser browser;

    @BeforeAll
    static void start() throws Exception {
        server = LeewardServer.shared();
        foreign = HttpServer.create(new InetSocketAddress("127.0.0.1", 0), 0);
        foreign.createContext("/", exchange -> {
            byte[] page = "<!doctype html><title>elsewhere</title><p>A page of somebody else's</p>"
                    .getBytes(StandardCharsets.UTF_8);
            exchange.getResponseHeaders().set("Content-Type", "text/html");
            exchange.sendResponseHeaders(200, page.length);
            exchange.getResponseBody().write(page);
            exchange.close();
        });
        foreign.start();
        playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        browser = playwright
                .chromium()
                .launch(
                        new BrowserType.LaunchOptions()
                                .setExecutablePath(Path.of("/usr/bin/chromium"))
                                .setArgs(
                                        List.of(
                                                "--no-sandbox",
                                                "--disable-gpu",
                                                "--disable-background-networking",
                                                // names their owner has pointed at this machine
                                                "--host-resolver-rules=MAP rebound.example 127.0.0.1, MAP elsewhere.example 127.0.0.1")));
    }

    @AfterAll
    static void end() throws Exception {
        browser.close();
        playwright.close();
        foreign.stop(0);
    }

    private static String state() throws Exception {
        try (Connection c = server.connect();
                ResultSet r = c.createStatement()
                        .executeQuery(
                                "select count(*), sum(head), (select count(*) from reading), (select count(*) from sound) from document")) {
            r.next();
            return r.getString(1) + " documents, " + r.getString(2) + " revisions, " + r.getString(3) + " readings, "
                    + r.getString(4) + " sounds";
        }
    }

    private static String maren() {
        return server.body("/api/v1/characters").replaceAll("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
    }

    @Test
    void aPageElsewhereWritesNothingAndReadsNothing() throws Exception {
        String before = state();
        String at = server.url() + "/api/v1/characters";
        // from another port of the same name, whose pages share our cookies, and from another name altogether
        for (String host : List.of("127.0.0.1", "elsewhere.example")) {
            try (Page page = browser.newContext().newPage()) {
                // the person has Leeward open as well, so that every cookie there is goes along
                page.navigate(server.url());
                page.navigate("http://" + host + ":" + foreign.getAddress().getPort() + "/");
                Object outcome = page.evaluate(
                        """
                        async ([at, id]) => {
                          const form = () => { const f = new FormData();
                            f.append('file', new File(["<svg xmlns='http://www.w3.org/2000/svg'><g id='face'><rect width='9' height='9'/></g></svg>"], 'a.svg')); return f; };
                          const edit = JSON.stringify({ base: 1, edit: { kind: 'nudge', part: 'nose', dx: 5, dy: 0 } });
                          const token = /XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? 'guessed';
                          const tries = {
                            form: () => fetch(at, { method: 'POST', mode: 'no-cors', credentials: 'include', body: form() }),
                            version: () => fetch(`${at}/${id}/versions/taken?base=1`, { method: 'POST', mode: 'no-cors', credentials: 'include', body: form() }),
                            text: () => fetch(`${at}/${id}/edits`, { method: 'POST', mode: 'no-cors', credentials: 'include', headers: { 'Content-Type': 'text/plain' }, body: edit }),
                            beacon: async () => { navigator.sendBeacon(`${at}/${id}/undo`, new Blob(['{"base":1}'], { type: 'text/plain' })); },
                            token: () => fetch(`${at}/${id}/edits`, { method: 'POST', credentials: 'include', headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token }, body: edit }),
                            read: async () => (await fetch(at, { credentials: 'include' })).text(),
                          };
                          const out = {};
                          for (const [name, go] of Object.entries(tries))
                            try { const r = await go(); out[name] = typeof r === 'string' ? r : r?.type ?? 'sent'; } catch (e) { out[name] = 'blocked'; }
                          const f = document.createElement('form'); f.method = 'POST'; f.action = at; f.enctype = 'multipart/form-data'; f.target = 'frame';
                          const frame = document.createElement('iframe'); frame.name = 'frame'; document.body.append(frame, f);
                          f.submit();
                          await new Promise(r => frame.addEventListener('load', r, { once: true }));
                          return out;
                        }""",
                        List.of(at, maren()));
                assertThat(outcome.toString())
                        .as("from " + host)
                        .contains("token=blocked")
                        .contains("read=blocked");
                assertThat(state()).as("from " + host).isEqualTo(before);
            }
        }
    }

    @Test
    void aForeignPageCannotShowOursInAFrame() {
        try (Page page = browser.newContext().newPage()) {
            page.navigate("http://elsewhere.example:" + foreign.getAddress().getPort() + "/");
            page.evaluate(
                    "url => new Promise(r => { const f = document.createElement('iframe'); f.src = url; f.onload = r; document.body.append(f); })",
                    server.url());
            assertThat(page.frames().get(1).locator("#root").count()).isZero();
            assertThat(page.frames().get(1).content()).doesNotContain("Leeward");
        }
    }

    @Test
    void aNamePointedHereIsNotAnswered() {
        try (Page page = browser.newContext().newPage()) {
            String rebound = server.url().replace("127.0.0.1", "rebound.example");
            for (String path : List.of("/", "/api/v1/characters", "/actuator/health")) {
                Response answer = page.navigate(rebound + path);
                assertThat(answer.status()).as(path).isEqualTo(421);
                assertThat(answer.text()).contains("not known by that name").contains("\"code\":\"host\"");
            }
        }
    }

    @Test
    void whatIsAnsweredTellsTheBrowserWhatItMayDo() {
        try (Page page = browser.newContext().newPage()) {
            for (String path : List.of("/", "/api/v1/characters", "/api/v1/nowhere", "/assets/none.js")) {
                Map<String, String> headers = page.navigate(server.url() + path).allHeaders();
                assertThat(headers.get("content-security-policy"))
                        .as(path)
                        .contains("frame-ancestors 'none'")
                        .contains("default-src 'none'");
                assertThat(headers.get("content-security-policy").replaceAll(".*(script-src[^;]*);.*", "$1"))
                        .as(path)
                        .doesNotContain("script-src 'self' 'unsafe-inline'")
                        .doesNotContain("unsafe-eval");
                assertThat(headers)
                        .as(path)
                        .containsEntry("x-content-type-options", "nosniff")
                        .containsEntry("referrer-policy", "same-origin")
                        .hasEntrySatisfying(
                                "permissions-policy", p -> assertThat(p).contains("microphone=(self)"));
            }
            // the frame that finds faces may make functions of texts, in our page only and with nothing from elsewhere
            Map<String, String> face =
                    page.navigate(server.url() + "/face.html").allHeaders();
            assertThat(face.get("content-security-policy"))
                    .contains("default-src 'none'", "script-src 'self' 'unsafe-eval'", "frame-ancestors 'self'")
                    .contains("connect-src 'self'", "form-action 'none'");
            assertThat(face).containsEntry("x-frame-options", "SAMEORIGIN");
            // a script that found its way into the page does not run
            page.navigate(server.url());
            page.evaluate(
                    "() => { const s = document.createElement('script'); s.textContent = 'window.ran = true'; document.body.append(s); }");
            assertThat(page.evaluate("() => window.ran === true")).isEqualTo(false);
        }
    }
}
