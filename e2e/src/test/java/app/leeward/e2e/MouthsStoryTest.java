package app.leeward.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** From one mouth to a whole set in three moods; shaped, lent, said and printed. */
class MouthsStoryTest extends Story {
    private int clicks;

    private void click(Locator what) {
        what.click();
        clicks++;
    }

    /** Maren as a designer hands her over: one mouth of the seventeen. */
    private static String oneMouth() throws Exception {
        String art = Files.readString(Path.of("../demo/src/main/resources/demo/maren.svg"))
                .replace("Maren Quill", "Maren with one mouth");
        int mouths = art.indexOf("<g id=\"mouth\">");
        int end = art.indexOf("<g id=\"fringe\">");
        String all = art.substring(mouths, end);
        String start = all.replaceAll("(?s)^.*(<g id=\"eh starting mouth\").*?(>.*?</g>).*$", "$1$2");
        return art.substring(0, mouths) + "<g id=\"mouth\">" + start + "</g>\n" + art.substring(end);
    }

    private void drop(String art, String name) {
        hand.open(server.url());
        hand.drop("one.svg", "image/svg+xml", art.getBytes(StandardCharsets.UTF_8));
        assertThat(page.getByLabel("Name of the character: " + name + ". Rename"))
                .isVisible();
    }

    private Locator cell(String mood, String viseme) {
        return page.getByTestId("mouth-" + mood + "-" + viseme);
    }

    private String drawn(String mood, String viseme) {
        return cell(mood, viseme)
                .getByTestId("mouth")
                .locator("path")
                .evaluateAll("all => all.map(e => e.getAttribute('d')).join()")
                .toString();
    }

    private void untilOther(String mood, String viseme, String before) {
        page.waitForFunction(
                "([id, was]) => [...document.querySelector(`[data-testid=\"${id}\"] [data-testid=mouth]`).querySelectorAll('path')]"
                        + ".map(e => e.getAttribute('d')).join() !== was",
                java.util.List.of("mouth-" + mood + "-" + viseme, before));
    }

    @Test
    void oneMouthBecomesAnOnModelSetInThreeMoods() throws Exception {
        drop(oneMouth(), "Maren with one mouth");
        Instant begun = Instant.now();
        click(hand.bench("Mouths"));
        click(button("Make the whole set"));
        page.getByLabel("How they are made").waitFor();
        click(button("Happy"));
        cell("happy", "AH").waitFor();
        click(button("Sad"));
        cell("sad", "SURPRISE").waitFor();
        assertThat(page.getByText("on model · 17 of 17 mouths")).isVisible();
        assertThat(clicks).isLessThanOrEqualTo(15);
        assertThat(Duration.between(begun, Instant.now())).isLessThan(Duration.ofMinutes(2));
        assertThat(page.getByTestId("mouth-wall").locator("button[data-testid]"))
                .hasCount(51);
        for (String mood : new String[] {"happy", "sad"}) {
            for (String v : new String[] {"REST", "EE", "AH", "FV"}) {
                assertThat(drawn(mood, v)).isNotEqualTo(drawn("neutral", v));
            }
        }
        assertThat(faults()).isEmpty();

        page.reload();
        cell("sad", "SURPRISE").waitFor();
        assertThat(page.getByText("on model · 17 of 17 mouths")).isVisible();
        button("Delete the mood Sad").click();
        assertThat(cell("sad", "SURPRISE")).hasCount(0);
        button("Undo").click();
        cell("sad", "SURPRISE").waitFor();
    }

    @Test
    void rulersAreSeenOnTheWallWhileTheyAreTurnedAndOneMouthShapedByHandStays() throws Exception {
        drop(oneMouth(), "Maren with one mouth");
        hand.bench("Mouths").click();
        button("Make the whole set").click();
        page.getByLabel("How they are made").waitFor();
        String ah = drawn("neutral", "AH");
        Locator jaw = page.getByLabel("Jaw", new Page.GetByLabelOptions().setExact(false))
                .first();
        jaw.focus();
        for (int i = 0; i < 25; i++) {
            page.keyboard().down("ArrowLeft");
        }
        untilOther("neutral", "AH", ah);
        assertThat(page.getByText("75 %")).isVisible();
        page.keyboard().up("ArrowLeft");
        page.waitForFunction("() => !document.querySelector('[aria-label=\"Undo\"]').disabled");

        // shaped by hand, both sides alike, the starting mouth shining through
        cell("neutral", "OH").click();
        button("Shape it").click();
        page.getByTestId("shape-points").waitFor();
        assertThat(page.getByTestId("shows-through").locator("path").first()).isAttached();
        Locator corner = page.getByTestId("point-2");
        BoundingBox b = corner.boundingBox();
        page.mouse().move(b.x + b.width / 2, b.y + b.height / 2);
        page.mouse().down();
        for (int i = 1; i <= 6; i++) {
            page.mouse().move(b.x + b.width / 2 + 6 * i, b.y + b.height / 2);
        }
        page.mouse().up();
        button("Done").click();
        cell("neutral", "OH").getByLabel("shaped by hand").waitFor();
        String oh = drawn("neutral", "OH");
        String eh = drawn("neutral", "AH");
        button("Mumbles").click();
        untilOther("neutral", "AH", eh);
        page.mouse().move(400, 300);
        hand.settle();
        assertThat(drawn("neutral", "OH")).as("kept").isEqualTo(oh);
        button("Rebuild").click();
        untilOther("neutral", "OH", oh);
    }

    @Test
    void aMouthIsDraggedOntoAnotherSoundAndTakenBack() throws Exception {
        drop(oneMouth(), "Maren with one mouth");
        hand.bench("Mouths").click();
        button("Make the whole set").click();
        page.getByLabel("How they are made").waitFor();
        cell("neutral", "AH").dragTo(cell("neutral", "KG"));
        assertThat(cell("neutral", "KG")).hasAttribute("title", Pattern.compile("drawn for k g.*"));
        page.waitForFunction(
                "() => document.querySelector('[data-testid=\"mouth-neutral-KG\"] [data-testid=mouth] path').getAttribute('d')"
                        + " === document.querySelector('[data-testid=\"mouth-neutral-AH\"] [data-testid=mouth] path').getAttribute('d')");
        cell("neutral", "KG").click();
        button("Leave to the nearest").click();
        assertThat(cell("neutral", "KG")).hasAttribute("title", Pattern.compile("nearest to k g.*"));
        // keys and the wheel step through the row
        cell("neutral", "KG").focus();
        page.keyboard().press("ArrowRight");
        assertThat(cell("neutral", "CHSH")).hasAttribute("aria-pressed", "true");
        page.getByTitle("The wheel steps through the row").hover();
        page.mouse().wheel(0, 100);
        assertThat(cell("neutral", "SZ")).hasAttribute("aria-pressed", "true");
        page.getByLabel("How many mouths serve all sounds").selectOption("5");
        assertThat(page.getByText("5 of 17 mouths")).isVisible();
        page.getByLabel("How many mouths serve all sounds").selectOption("all");
        assertThat(page.getByText("17 of 17 mouths")).isVisible();
    }

    @Test
    void typedWordsAreSaidAndLookedAtOneByOne() throws Exception {
        drop(oneMouth(), "Maren with one mouth");
        hand.bench("Mouths").click();
        button("Make the whole set").click();
        page.getByLabel("How they are made").waitFor();
        page.getByLabel("Words to say").fill("Mop, утро.");
        button("Say it").click();
        assertThat(page.getByText("'утро' cannot be read out", new Page.GetByTextOptions().setExact(false)))
                .isVisible();
        Locator m = page.getByLabel("Mouths said").getByLabel(Pattern.compile(".*made-pbm, M.*"));
        m.first().click();
        assertThat(page.getByLabel("This mouth").getByText("p b m").first()).isVisible();
        page.keyboard().press("ArrowRight");
        assertThat(page.getByLabel("Mouths said").locator("[aria-pressed=true]"))
                .hasCount(1);
        page.getByLabel("Words to say").fill("/M QX/");
        page.keyboard().press("Enter");
        assertThat(page.getByText("'QX' is no sound", new Page.GetByTextOptions().setExact(false)))
                .isVisible();
    }

    @Test
    void anInBetweenLeadsInAKeyShowsAMouthAndTheFaceSpeaksAloud() throws Exception {
        drop(oneMouth(), "Maren with one mouth");
        hand.bench("Mouths").click();
        button("Make the whole set").click();
        page.getByLabel("How they are made").waitFor();
        cell("neutral", "AH").click();
        button("In and out").click();
        button("Add an in-between").click();
        button("Delete").waitFor();
        button("Say it").click();
        page.getByLabel("Mouths said").waitFor();
        page.getByLabel("Words to say").fill("a far car");
        button("Say it").click();
        // what serves no sound stands beside the wall, and tells what it is for
        Locator beside = page.getByLabel("Mouths that serve no sound");
        assertThat(beside.getByText("into ah")).isVisible();
        assertThat(page.getByLabel("Mouths said")
                        .getByTitle(java.util.regex.Pattern.compile("into-made-ah"))
                        .first())
                .isVisible();
        page.reload();
        cell("neutral", "AH").click();
        button("In and out").click();
        button("Delete").waitFor();

        page.getByLabel("Key for", new Page.GetByLabelOptions().setExact(false)).click();
        page.keyboard().press("w");
        assertThat(page.getByText("'w' is not", new Page.GetByTextOptions().setExact(false)))
                .isVisible();
        page.getByLabel("Key for", new Page.GetByLabelOptions().setExact(false)).click();
        page.keyboard().press("a");
        assertThat(page.getByLabel("Key for", new Page.GetByLabelOptions().setExact(false)))
                .hasValue("key a");
        cell("neutral", "OO").click();
        String oo = stageMouth();
        page.keyboard().press("a");
        untilStageMouthIsNot(oo);
        String ah = stageMouth();
        page.keyboard().press("a");
        untilStageMouthIsNot(ah);
        // held down it pops up, and goes when it is let go of
        oo = stageMouth();
        Object began = page.evaluate("() => performance.now()");
        page.keyboard().down("a");
        untilStageMouthIsNot(oo);
        page.waitForFunction("t => performance.now() - t > 400", began);
        String held = stageMouth();
        page.keyboard().up("a");
        untilStageMouthIsNot(held);

        button("Aloud").click();
        page.evaluate("() => { window.heard = 0; const play = HTMLMediaElement.prototype.play;"
                + " HTMLMediaElement.prototype.play = function () { window.heard++; return play.call(this); }; }");
        page.getByLabel("Words to say").fill("Mind the ropes.");
        button("Say it").click();
        page.waitForFunction("() => window.heard === 1");
        assertThat(page.getByLabel("Mouths said")
                        .getByRole(com.microsoft.playwright.options.AriaRole.BUTTON)
                        .nth(3))
                .isVisible();

        var pdf = page.request()
                .get(server.url() + page.getByLabel("Chart page as PDF").getAttribute("href"));
        org.assertj.core.api.Assertions.assertThat(new String(pdf.body(), 0, 5)).isEqualTo("%PDF-");
        assertThat(faults()).isEmpty();
    }

    private String stageMouth() {
        return page.locator("[data-testid=stage] [data-part=mouth]").innerHTML();
    }

    private void untilStageMouthIsNot(String before) {
        page.waitForFunction(
                "was => document.querySelector('[data-testid=stage] [data-part=mouth]').innerHTML !== was", before);
    }

    @Test
    void aSingleOutlineIsEnoughAndABrokenOneSaysWhatIsWrong() {
        String face = "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 1000 1000\">"
                + "<title>Plain Jo</title><g id=\"face\"><ellipse cx=\"500\" cy=\"450\" rx=\"200\" ry=\"240\" fill=\"#f2b892\"/></g>"
                + "<g id=\"nose\"><circle cx=\"500\" cy=\"460\" r=\"14\" fill=\"#d68f6a\"/></g>"
                + "<g id=\"mouth\"><path d=\"%s\" fill=\"#7a2233\" stroke=\"#301820\" stroke-width=\"6\"/></g></svg>";
        drop(face.formatted("M430 560 C460 540 540 540 570 560 C540 600 460 600 430 560 Z"), "Plain Jo");
        hand.bench("Mouths").click();
        button("Make the whole set").click();
        assertThat(page.getByText("on model · 17 of 17 mouths")).isVisible();
        // one stroke is a shut mouth
        drop(
                face.formatted("M430 560 C460 585 540 585 570 560")
                        .replace("Jo", "Line")
                        .replace("fill=\"#7a2233\"", "fill=\"none\""),
                "Plain Line");
        hand.bench("Mouths").click();
        button("Make the whole set").click();
        assertThat(page.getByText("17 of 17 mouths")).isVisible();
        drop(
                face.formatted("M450 540 C480 500 520 500 500 540 C480 580 540 580 550 540 C520 500 480 500 500 540"
                                + " C520 580 480 580 450 540 Z")
                        .replace("Jo", "Loop"),
                "Plain Loop");
        hand.bench("Mouths").click();
        assertThat(page.getByText("crosses itself; draw it once round without a loop."))
                .isVisible();
    }

    @Test
    void aBeakGetsItsSetTheUpperOneStaysPut() throws Exception {
        drop(Files.readString(Path.of("../demo/src/main/resources/demo/pilchard.svg")), "Pilchard");
        hand.bench("Mouths").click();
        button("Make the whole set").click();
        assertThat(page.getByText("on model · 17 of 17 mouths")).isVisible();
        cell("neutral", "AH").click();
        page.waitForFunction(
                "() => document.querySelectorAll('[data-testid=stage] [data-part=mouth] path').length > 6");
        assertThat(drawn("neutral", "AH")).isNotEqualTo(drawn("neutral", "REST"));
        button("Say it").click();
        assertThat(page.getByLabel("Mouths said")).isVisible();
    }
}
