package app.leeward.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.WebSocket;
import java.util.concurrent.CompletionStage;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Maren is acted by performers: scripts, and a tracker that comes in by the door. */
class PerformerStoryTest extends Story {
    private Locator status() {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("The performer"))
                .getByRole(AriaRole.STATUS);
    }

    private Locator source(String name) {
        return page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(Pattern.compile("^" + name)));
    }

    private Locator armed(String track) {
        return page.getByRole(AriaRole.SWITCH, new Page.GetByRoleOptions().setName(track + " is armed"));
    }

    private double value(String dial) {
        Object held =
                page.evaluate("d => Number(new URLSearchParams(location.hash.slice(1)).get('d.' + d) ?? NaN)", dial);
        return ((Number) held).doubleValue();
    }

    private void panel() {
        hand.bench("Shot").click();
        page.getByTestId("sheet").waitFor();
        page.getByLabel(Pattern.compile("^Takes: ")).click();
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Count-in"))
                .getByText("0")
                .click();
    }

    /** Stories follow each other on one character: what an earlier one linked is there. */
    private void link() {
        page.getByLabel("Head yaw drives").waitFor();
        Locator suggest = page.getByText("Link it by what the dials are for");
        if (suggest.isVisible()) {
            suggest.click();
        }
        assertThat(page.getByLabel("Head yaw drives")).hasValue("dial turn");
    }

    private String shot() {
        return (String) page.evaluate("() => new URLSearchParams(location.hash.slice(1)).get('l')");
    }

    @Test
    void aScriptedPerformanceIsWrittenOnTheTracksThatAreArmed() throws Exception {
        panel();
        source("Simulated").click();
        assertThat(status()).containsText("a second");
        assertThat(status()).containsText("Delight");
        link();
        assertThat(faults()).isEmpty();
        // one signal by less, undone as every edit is
        page.getByLabel("Head yaw by").fill("50");
        page.keyboard().press("Enter");
        assertThat(page.getByLabel("Head yaw by")).hasValue("50 %");
        button("Undo").click();
        assertThat(page.getByLabel("Head yaw by")).hasValue("100 %");
        // its limits by their ends: dragged, stepped, and undone (signals never cease here, so nothing settles)
        Locator higher = page.getByLabel("Head yaw to Turn: no higher");
        String whole = higher.getAttribute("aria-valuenow");
        BoundingBox end = higher.boundingBox();
        page.mouse().move(end.x + end.width / 2, end.y + end.height / 2);
        page.mouse().down();
        page.mouse().move(end.x + end.width / 2 - 4, end.y + end.height / 2);
        page.mouse().move(end.x + end.width / 2 - 12, end.y + end.height / 2);
        assertThat(higher).not().hasAttribute("aria-valuenow", whole);
        String dragged = higher.getAttribute("aria-valuenow");
        page.mouse().up();
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo")))
                .isEnabled();
        assertThat(higher).hasAttribute("aria-valuenow", dragged);
        higher.press("ArrowLeft");
        assertThat(higher).not().hasAttribute("aria-valuenow", dragged);
        button("Undo").click();
        assertThat(higher).hasAttribute("aria-valuenow", dragged);
        button("Undo").click();
        assertThat(higher).hasAttribute("aria-valuenow", whole);
        button("Looking about").click();
        assertThat(status()).containsText("Looking about");

        armed("Gaze down").click();
        button("Play live").click();
        assertThat(page.getByTestId("live-frame")).containsText("Writing");
        assertThat(page.getByTestId("live-frame")).isHidden();
        assertThat(page.getByLabel("Takes: 1")).isVisible();
        button("Back to the sheet").click();
        page.waitForFunction(
                "() => document.querySelectorAll(\"[data-testid=sheet] [data-item^='key turn']\").length > 2");
        assertThat(page.locator("[data-testid=sheet] [data-item^='key gaze-across']"))
                .not()
                .hasCount(0);
        assertThat(page.locator("[data-testid=sheet] [data-item^='key gaze-down']"))
                .hasCount(0);

        // the links and the take outlast the page
        page.reload();
        page.getByTestId("sheet").waitFor();
        page.getByLabel("Takes: 1").click();
        source("Simulated").click();
        assertThat(page.getByLabel("Head yaw drives")).hasValue("dial turn");
        source("Hands").click();
        aTakeIsWatchedAndItsBestStretchPutIn();
    }

    private void aTakeIsWatchedAndItsBestStretchPutIn() throws Exception {
        hand.settle();
        button("Undo").click();
        hand.settle();
        Locator watch = page.getByLabel("Watch take 1");
        watch.click();
        assertThat(watch).hasAttribute("aria-pressed", "true");
        assertThat(button("Stop")).isVisible();
        watch.click();
        assertThat(watch).hasAttribute("aria-pressed", "false");
        // nothing was written: what was undone can still be done again
        assertThat(button("Redo")).isEnabled();
        page.getByLabel("What is compared").selectOption("dial turn");
        assertThat(faults()).isEmpty();
        BoundingBox curves = page.getByLabel("Turn in one take").boundingBox();
        page.mouse().move(curves.x + curves.width * 0.25, curves.y + 20);
        page.mouse().down();
        page.mouse().move(curves.x + curves.width * 0.5, curves.y + 30);
        page.mouse().up();
        Locator part = page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Put in \\d+–\\d+$")));
        String[] stretch = part.innerText().replace("Put in ", "").split("–");
        part.click();
        hand.settle();
        button("Back to the sheet").click();
        page.waitForFunction(
                "() => document.querySelectorAll(\"[data-testid=sheet] [data-item^='key turn']\").length > 1");
        Object beyond = page.evaluate(
                "end => [...document.querySelectorAll(\"[data-testid=sheet] [data-item^='key turn']\")]"
                        + ".filter(k => Number(k.dataset.item.split(' ').at(-1)) > end).length",
                Integer.parseInt(stretch[1]));
        assertThat(((Number) beyond).intValue()).isZero();
    }

    /** A tracker of somebody else's: the JDK's own WebSocket. */
    private WebSocket tracker() {
        return HttpClient.newHttpClient()
                .newWebSocketBuilder()
                .buildAsync(
                        URI.create(server.url().replace("http", "ws") + "/api/v1/performers/" + shot()),
                        new WebSocket.Listener() {
                            @Override
                            public CompletionStage<?> onText(WebSocket s, CharSequence text, boolean last) {
                                s.request(1);
                                return null;
                            }
                        })
                .join();
    }

    private static void say(WebSocket tracker, String text) {
        tracker.sendText(text, true).join();
    }

    @Test
    void aTrackerDrivesTheFaceIsHeldWhenLostAndSaidToBeGone() {
        panel();
        source("Tracker").click();
        link();
        assertThat(status()).containsText("nobody yet");
        WebSocket tracker = tracker();
        say(tracker, "{\"kind\":\"hello\",\"name\":\"Somebody's tracker\",\"latency\":40}");
        button("hold").click();
        assertThat(status()).containsText("Somebody's tracker");
        // nothing told is no pose to rest in
        button("Take neutral pose N").click();
        assertThat(status()).containsText("no signal has come yet");
        say(tracker, "{\"kind\":\"signals\",\"signals\":{\"head.yaw\":4}}");
        assertThat(page.getByRole(AriaRole.CELL, new Page.GetByRoleOptions().setName("+4°")))
                .isVisible();
        // at rest it is at 4 degrees: from there on it is told
        page.keyboard().press("n");
        for (int i = 0; i < 60; i++) {
            say(tracker, "{\"kind\":\"signals\",\"signals\":{\"head.yaw\":24}}");
            hand.frame();
        }
        page.waitForFunction(
                "() => Math.abs(Number(new URLSearchParams(location.hash.slice(1)).get('d.turn')) - 20) < 0.5");
        // it says nothing any more
        assertThat(status()).containsText("lost");
        assertThat(status()).containsText("holding");
        assertThat(value("turn")).isBetween(19.0, 21.0);
        // a second one is turned away, and the page says so
        WebSocket second = tracker();
        say(tracker, "{\"kind\":\"signals\",\"signals\":{\"head.yaw\":24}}");
        assertThat(status()).containsText("turned away");
        say(tracker, "{\"kind\":\"signals\",\"signals\":{\"au12\":\"much\"}}");
        assertThat(status()).containsText("signals.au12");
        tracker.sendClose(1000, "").join();
        assertThat(status()).containsText("has gone");
        second.abort();
        source("Hands").click();
        page.waitForFunction("() => !location.hash.includes('d.turn')");
    }
}
