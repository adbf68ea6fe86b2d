package app.leeward.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/**
 * The loop is closed: a film of Maren, acted by dials that are known, is Chromium's camera; what the page reads off her face and writes
 * as a take has to follow those dials.
 */
class CameraStoryTest extends Story {
    private static final int RATE = 24;
    private static final int FRAMES = 84 * RATE;
    private static final double LEAST = 0.75;

    @Override
    Browser browser() {
        try {
            return new Browser(List.of(
                    "--use-fake-ui-for-media-stream",
                    "--use-fake-device-for-media-stream",
                    "--use-file-for-fake-video-capture=" + ActedFilm.write(),
                    "--use-gl=angle",
                    "--use-angle=swiftshader",
                    "--enable-unsafe-swiftshader",
                    "--ignore-gpu-blocklist",
                    "--disable-gpu-compositing"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void whatTheCameraSeesFollowsTheDialsTheFilmWasActedBy() throws Exception {
        String shot = (String) page.evaluate(
                """
                async frames => {
                  const c = new URLSearchParams(location.hash.slice(1)).get('c');
                  const token = document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1];
                  const r = await fetch(`/api/v1/characters/${c}/shots`, { method: 'POST',
                    headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token },
                    body: JSON.stringify({ name: 'In front of the camera', frames }) });
                  return (await r.json()).id;
                }""",
                FRAMES);
        page.evaluate(
                "id => { const q = new URLSearchParams(location.hash.slice(1)); q.set('l', id); q.set('b', 'shot'); location.hash = q; }",
                shot);
        page.reload();
        page.getByLabel(Pattern.compile("^Takes: ")).click();
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(Pattern.compile("^Camera")))
                .click();
        page.getByText("Link it by what the dials are for").click();
        // the jaw is read off a dial of its own
        assertThat(page.getByLabel("Gaze down drives", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("dial gaze-down");
        page.getByLabel("Gaze down drives", new Page.GetByLabelOptions().setExact(true))
                .selectOption(new SelectOption().setLabel("nothing"));
        assertThat(page.getByLabel("Gaze down drives", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("");
        page.getByLabel("Jaw drives", new Page.GetByLabelOptions().setExact(true))
                .selectOption(new SelectOption().setLabel("Gaze down"));
        assertThat(page.getByLabel("Jaw drives", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("dial gaze-down");
        button("hold").click();
        button("none").click();
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Count-in"))
                .getByText("0")
                .click();
        assertThat(page.getByRole(AriaRole.STATUS)
                        .filter(new com.microsoft.playwright.Locator.FilterOptions().setHasText("a second")))
                .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(60_000));
        button("Rehearse").click();
        button("Play live").click();
        assertThat(page.getByLabel("Takes: 1"))
                .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(1000.0 * FRAMES / RATE + 90_000));
        JsonNode dials = new ObjectMapper()
                .readTree(
                        (String)
                                page.evaluate(
                                        """
                        () => new Promise((done, failed) => {
                          const ask = indexedDB.open('leeward-live');
                          ask.onerror = () => failed(ask.error);
                          ask.onsuccess = () => {
                            const all = ask.result.transaction('takes').objectStore('takes').getAll();
                            all.onsuccess = () => done(JSON.stringify(all.result[0].take.dials));
                          };
                        })"""));
        for (String dial : List.of("turn", "gaze-down", "blink")) {
            assertThat(dials.path(dial).size())
                    .as("samples of " + dial + " in " + dials)
                    .isGreaterThan(5);
        }
        // when in the film the take began is not known; all three have to agree on it
        double best = -3;
        double[] found = {};
        for (double shift = 0; shift < ActedFilm.SECONDS; shift += 0.1) {
            double[] r = {
                correlation(dials.get("turn"), ActedFilm::turn, shift),
                correlation(dials.get("gaze-down"), ActedFilm::jaw, shift),
                correlation(dials.get("blink"), ActedFilm::blink, shift)
            };
            if (r[0] + r[1] + r[2] > best) {
                best = r[0] + r[1] + r[2];
                found = new double[] {r[0], r[1], r[2], shift};
            }
        }
        System.out.printf(
                "camera: turn %.3f, jaw %.3f, blink %.3f, %d pictures of the face, take from %.1f s of the film%n",
                found[0], found[1], found[2], dials.get("turn").size(), found[3]);
        // 0.9 and more where nothing else runs, see docs/benchmarks.md; a busy machine without a graphics card sees few
        // pictures
        assertThat(found[0]).as("turn").isGreaterThanOrEqualTo(LEAST);
        assertThat(found[1]).as("jaw").isGreaterThanOrEqualTo(LEAST);
        assertThat(found[2]).as("blink").isGreaterThanOrEqualTo(LEAST);
    }

    /** Of what was written, held between its samples, with what the film does so much later; Pearson's, ten times a second. */
    private static double correlation(JsonNode samples, DoubleUnaryOperator film, double shift) {
        double n = 0;
        double x = 0;
        double y = 0;
        double xx = 0;
        double yy = 0;
        double xy = 0;
        int at = 0;
        for (double t = samples.get(0).get("frame").asDouble() / RATE; t < FRAMES / (double) RATE; t += 0.1) {
            while (at + 1 < samples.size() && samples.get(at + 1).get("frame").asDouble() / RATE <= t) {
                at++;
            }
            double a = samples.get(at).get("value").asDouble();
            double b = film.applyAsDouble((t + shift) % ActedFilm.SECONDS);
            n++;
            x += a;
            y += b;
            xx += a * a;
            yy += b * b;
            xy += a * b;
        }
        return (n * xy - x * y) / Math.sqrt((n * xx - x * x) * (n * yy - y * y));
    }
}
