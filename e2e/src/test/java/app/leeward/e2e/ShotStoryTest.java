package app.leeward.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.MouseButton;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A rigger proves Maren by acting: keys on the sheet, dropped in where they play. */
class ShotStoryTest extends ShotStory {
    private void turnTo(String dial, String value) {
        Locator field = page.getByLabel(dial + ", value").first();
        field.click();
        field.fill(value);
        field.press("Enter");
    }

    private void keyHere() {
        page.evaluate("() => document.activeElement.blur()");
        page.keyboard().press("k");
        hand.settle();
    }

    @Test
    void marenTurnsBlinksSmilesAndPointsWhileSheSpeaks() throws Exception {
        hand.bench("Brows").click();
        button("Make the six looks").click();
        hand.settle();
        hand.bench("Shot").click();
        page.getByTestId("sheet").waitFor();
        assertThat(page.getByTestId("writes")).containsText("a key writes them at frame 1");
        at(1);
        turnTo("Turn", "0");
        assertThat(page.getByTestId("writes")).containsText("writes Turn 0°");
        keyHere();
        at(14);
        turnTo("Turn", "-30");
        // the eyes go with her
        turnTo("Blink", "0.3");
        assertThat(page.getByTestId("writes"))
                .containsText(Pattern.compile("writes Turn -30°.*Blink 0.30.* at frame 14"));
        keyHere();
        assertThat(items("key turn")).hasCount(2);
        assertThat(items("key blink")).hasCount(1);
        double turned = hand.shift("nose");
        assertThat(turned).as("she stands turned by her keys").isLessThan(-60);
        at(8);
        double between = hand.shift("nose");
        assertThat(between).isBetween(turned, -5.0);
        // the ruler stands where the keys put it
        assertThat(page.getByTestId("ruler-turn")).hasAttribute("aria-valuenow", Pattern.compile("-1[0-9].*"));

        // a key is dragged to another frame, and given another way
        Locator key = items("key turn").last();
        BoundingBox b = key.boundingBox();
        page.mouse().move(b.x + b.width / 2, b.y + 5);
        page.mouse().down();
        page.mouse().move(b.x + b.width / 2, b.y + 25);
        page.mouse().move(b.x + b.width / 2, b.y + 45);
        page.mouse().up();
        hand.settle();
        assertThat(page.locator("[data-item='key turn 15']")).hasCount(1);
        page.locator("[data-item='key turn 0']").click();
        page.keyboard().press("4");
        hand.settle();
        Locator bezier = page.getByLabel("cubic-bezier");
        bezier.fill(".2 .9 .3 1");
        bezier.press("Enter");
        hand.settle();
        // its handle is drawn on by a frame of fifteen
        BoundingBox ring = page.locator("[data-handle='1'] circle").last().boundingBox();
        page.mouse().move(ring.x + ring.width / 2, ring.y + ring.height / 2);
        page.mouse().down();
        page.mouse().move(ring.x + ring.width / 2, ring.y + ring.height / 2 + 10);
        page.mouse().move(ring.x + ring.width / 2, ring.y + ring.height / 2 + 20);
        page.mouse().up();
        hand.settle();
        assertThat(bezier).hasValue(Pattern.compile("0\\.2[67]\\d? 0\\.[89]\\d* 0\\.3 1"));
        at(6);
        assertThat(hand.shift("nose")).as("the curve sets out quicker").isLessThan(between);

        put("Blinks: Blinks", "One from this frame");
        assertThat(items("blink")).hasCount(1);
        at(20);
        put("A look from this frame on: Looks", "Happiness");
        assertThat(items("look")).hasCount(1);
        put("Show from this frame on: left hand", "point");
        assertThat(items("drawing hand-left")).hasCount(1);
        page.waitForFunction("() => [...document.querySelectorAll('[data-testid=stage] [data-part=hand-left] > g')]"
                + ".some(g => g.style.display !== 'none')");
        button("A note to this frame: Notes").click();
        page.getByLabel("Note", new Page.GetByLabelOptions().setExact(true)).fill("eyes lead, then head");
        button("Write it").click();
        hand.settle();
        assertThat(items("note")).containsText("eyes lead, then head");
        page.reload();
        page.getByTestId("sheet").waitFor();
        assertThat(items("drawing hand-left")).hasCount(1);
        assertThat(items("note")).hasCount(1);
    }

    @Test
    void framesAreCutCopiedToAnotherShotAndLaidByAFirstPass() throws Exception {
        hand.bench("Shot").click();
        page.getByTestId("sheet").waitFor();
        at(3);
        turnTo("Turn", "8");
        keyHere();
        at(9);
        turnTo("Turn", "0");
        keyHere();
        int keys = items("key turn").count();
        assertThat(keys).isGreaterThanOrEqualTo(2);
        page.getByTestId("sheet").focus();
        page.keyboard().press("Control+a");
        page.keyboard().press("Control+c");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Another shot"))
                .click();
        page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Mind the ropes"))
                .click();
        page.getByLabel("Name of the shot: Mind the ropes. Rename").waitFor();
        hand.settle();
        assertThat(items("key turn")).hasCount(0);
        at(1);
        page.keyboard().press("Control+v");
        hand.settle();
        assertThat(items("key turn")).hasCount(keys);
        // the right button is for what is under it, where nothing is chosen around that
        page.getByTestId("sheet").press("Escape");
        items("key turn").first().click(new Locator.ClickOptions().setButton(MouseButton.RIGHT));
        Locator menu = page.getByRole(AriaRole.MENU);
        assertThat(menu.getByText("Close them up on all tracks")).isVisible();
        assertThat(faults()).isEmpty();
        menu.getByText("Take out").click();
        hand.settle();
        assertThat(items("key turn")).hasCount(keys - 1);
        button("Undo").click();
        hand.settle();
        assertThat(items("key turn")).hasCount(keys);
        button("Undo").click();
        hand.settle();
        assertThat(items("key turn")).hasCount(0);
        button("Redo").click();
        hand.settle();
        assertThat(items("key turn")).hasCount(keys);

        button("First pass").click();
        button("lively").click();
        button("Lay it").click();
        hand.settle();
        assertThat(button("Lay it again")).isVisible();
        assertThat(items("blink").first()).isVisible();
        assertThat(items("key turn").count()).isGreaterThanOrEqualTo(keys);
        assertThat(page.getByTitle(Pattern.compile("\\d+ laid")).first()).isVisible();
        page.keyboard().press("Escape");
        assertThat(faults()).isEmpty();
        button("Across").click();
        assertThat(items("key turn").first()).isVisible();
        assertThat(faults()).isEmpty();
        hand.settle();

        int laid = items("key").count();
        page.reload();
        page.getByTestId("sheet").waitFor();
        assertThat(page.getByLabel("Name of the shot: Mind the ropes. Rename")).isVisible();
        assertThat(items("key").first()).isVisible();
        server.kill();
        server.launch();
        page.reload();
        page.getByTestId("sheet").waitFor();
        assertThat(items("key").first()).isVisible();
        button("Across").click();
        assertThat(items("key")).hasCount(laid);
        hand.errors.clear();
    }

    @Test
    void anEmptyShotIsPlayedByThePagesOwnClockAndEveryMovedDialIsKeyed() {
        hand.bench("Shot").click();
        page.getByTestId("sheet").waitFor();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Another shot"))
                .click();
        page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("An empty shot of two seconds"))
                .click();
        assertThat(page.getByText("0 lines")).isVisible();
        hand.settle();
        button("keys").click();
        at(1);
        turnTo("Turn", "0");
        assertThat(items("key turn")).hasCount(1);
        hand.settle();
        at(20);
        turnTo("Turn", "35");
        assertThat(items("key turn")).hasCount(2);
        hand.settle();
        assertThat(page.getByTestId("writes")).containsText("is keyed");
        // arrows step through the sheet and never move a part
        String before = hand.transform("cap");
        at(20);
        page.getByTestId("sheet").focus();
        page.keyboard().press("ArrowUp");
        assertThat(page.getByTestId("clock")).hasText("frame 19 of");
        page.keyboard().press("Control+ArrowUp");
        assertThat(page.getByTestId("clock")).hasText("frame 1 of");
        page.keyboard().press("Control+ArrowDown");
        assertThat(page.getByTestId("clock")).hasText("frame 20 of");
        assertThat(hand.transform("cap")).isEqualTo(before);
        at(1);
        page.keyboard().press(" ");
        page.waitForFunction("() => Number(document.querySelector('[data-testid=clock] b').textContent) > 12");
        page.waitForFunction("() => document.querySelector('[data-testid=clock] b').textContent === '48'");
        assertThat(hand.shift("nose")).isCloseTo(shiftAt35(), within(2.0));
    }

    @Test
    void theWayOfAPadIsBentTheRateChangedAndAnEarlierStateLookedAtAndBroughtBack() throws Exception {
        hand.bench("Shot").click();
        page.getByTestId("sheet").waitFor();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Another shot"))
                .click();
        page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("An empty shot of two seconds"))
                .click();
        hand.settle();
        BoundingBox pad = page.getByTestId("pad-gaze").boundingBox();
        for (int[] to : new int[][] {{5, 20}, {25, 80}}) {
            at(to[0]);
            page.mouse().click(pad.x + pad.width * to[1] / 100, pad.y + pad.height / 2);
            keyHere();
        }
        assertThat(items("key gaze-down")).hasCount(2);
        at(15);
        assertThat(page.getByTestId("pad-gaze")).hasAttribute("aria-valuetext", Pattern.compile("down -?0\\.0\\d"));
        // the ring in the middle of the way is drawn up, so that the eyes go round in an arc
        Locator ring = page.getByLabel("Bend the way of Gaze from frame 5 to 25");
        BoundingBox r = ring.boundingBox();
        page.mouse().move(r.x + r.width / 2, r.y + r.height / 2);
        page.mouse().down();
        page.mouse().move(r.x + r.width / 2, r.y + r.height / 2 - 8);
        page.mouse().move(r.x + r.width / 2, pad.y + pad.height / 4);
        page.mouse().up();
        hand.settle();
        assertThat(page.getByTestId("pad-gaze"))
                .hasAttribute("aria-valuetext", Pattern.compile("across 0\\.00, down -0\\.[45]\\d"));
        ring.press("ArrowUp");
        hand.settle();
        button("Undo").click();
        hand.settle();

        page.getByTitle("24 frames a second: change that").click();
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("The shot plays at 24");
        button("12").click();
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("frame 25 becomes 13");
        assertThat(faults()).isEmpty();
        page.getByText("keeps its time").click();
        hand.settle();
        assertThat(items("key gaze-down").last()).hasAttribute("data-item", "key gaze-down 12");
        assertThat(page.getByLabel("Frames of the shot")).hasValue("24");

        // what it was before stands beside what it is, and is brought back
        button("Compare").click();
        page.getByText("Keyed gaze").first().click();
        Locator then = page.getByTestId("then");
        assertThat(then).containsText("Keyed gaze");
        assertThat(then.locator("[data-part=nose] path").first()).isVisible();
        assertThat(faults()).isEmpty();
        button("now").click();
        assertThat(then).hasCount(0);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Revision \\d+$")))
                .click();
        page.getByLabel(Pattern.compile("Go back to revision")).first().click();
        hand.settle();
        assertThat(page.getByLabel("Frames of the shot")).hasValue("48");
        button("Undo").click();
        hand.settle();
        assertThat(page.getByLabel("Frames of the shot")).hasValue("24");
    }

    /** Where the sound is when a frame is shown: common practice, no source, is that a frame more or less is not seen. */
    @Test
    void theFaceIsWhereTheSoundIs() {
        hand.bench("Shot").click();
        page.getByTestId("sheet").waitFor();
        at(1);
        @SuppressWarnings("unchecked")
        List<Number> late = (List<Number>)
                page.evaluate(
                        """
                async () => {
                  const sound = document.querySelector('[data-testid=sound]');
                  document.querySelector('button[aria-label=Play]').click();
                  await new Promise(r => sound.addEventListener('playing', r, { once: true }));
                  const out = [];
                  while (!sound.paused && !sound.ended && out.length < 600) {
                    await new Promise(requestAnimationFrame);
                    const shown = Number(document.querySelector('[data-testid=clock] b').textContent) - 1;
                    out.push(sound.currentTime * 24 - shown);
                  }
                  return out.slice(5, -5);
                }
                """);
        List<Double> apart =
                late.stream().map(n -> Math.abs(n.doubleValue() - 0.5)).sorted().toList();
        assertThat(apart).hasSizeGreaterThan(20);
        System.out.printf(
                "page: sound and picture are %.2f frames apart at the median, %.2f at the 95th percentile of %d%n",
                apart.get(apart.size() / 2), apart.get(apart.size() * 95 / 100), apart.size());
        assertThat(apart.get(apart.size() / 2)).isLessThanOrEqualTo(1);
    }

    @Test
    void aJumpIsFoundShownAndEasedWithOneClick() throws Exception {
        hand.bench("Shot").click();
        page.getByTestId("sheet").waitFor();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Another shot"))
                .click();
        page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("An empty shot of two seconds"))
                .click();
        hand.settle();
        button("Check").click();
        assertThat(page.getByText("Nothing was found")).isVisible();
        at(1);
        turnTo("Turn", "0");
        keyHere();
        page.locator("[data-item='key turn 0']").click();
        page.keyboard().press("1");
        hand.settle();
        at(20);
        turnTo("Turn", "35");
        keyHere();
        Locator pop = page.getByTestId("shot-finding-pops");
        assertThat(pop)
                .containsText(Pattern.compile("frame 20.*jumps by \\d+, \\d+ % of the face's width.*parts with it"));
        at(3);
        pop.getByRole(AriaRole.BUTTON).first().click();
        assertThat(page.getByTestId("clock")).hasText("frame 20 of");
        assertThat(faults()).isEmpty();
        pop.getByText("Come there over 4 exposures").click();
        hand.settle();
        assertThat(page.getByText("Nothing was found")).isVisible();
        assertThat(items("key turn")).hasCount(3);
        button("Undo").click();
        hand.settle();
        assertThat(pop).isVisible();
    }

    /** How far the nose stands to the right with the head turned to 35 by hand. */
    private double shiftAt35() {
        hand.bench("Turn").click();
        turnTo("Turn", "35");
        hand.frame();
        return hand.shift("nose");
    }
}
