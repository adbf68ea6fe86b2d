package app.leeward.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.demo.DemoFiles;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A line that was read badly is made a good one. */
class LinesStoryTest extends Story {
    private static final DemoFiles.Line LINE = DemoFiles.lines().get(0);

    @Override
    void arrive() {
        hand.open(server.url());
        page.getByTestId("clock").waitFor();
    }

    /** Reads the first recording with other words, and waits until it stands in the strip. */
    private void record(String words) {
        hand.drop("line.wav", "audio/wav", LINE.wav());
        page.getByLabel("Words of the line").fill(words);
        button("Create the lip sync").click();
        page.waitForFunction(
                "words => document.querySelector('textarea[aria-label=Words]')?.value === words",
                words,
                new Page.WaitForFunctionOptions().setTimeout(60_000));
    }

    private Locator sounds() {
        return page.getByRole(
                AriaRole.LISTBOX, new Page.GetByRoleOptions().setName("Sounds").setExact(true));
    }

    private Locator card() {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("The chosen sound"));
    }

    private Locator byHand() {
        return sounds().getByRole(
                        AriaRole.OPTION, new Locator.GetByRoleOptions().setName(Pattern.compile("set by hand")));
    }

    private String drawings() {
        return (String)
                page.evaluate(
                        "() => [...document.querySelectorAll('[data-testid=strip] button[aria-label^=\"Mouth \"]')].map(b => b.getAttribute('aria-label')).join()");
    }

    @Test
    void aStretchThatIsHeldIsPlayedOverAndOver() throws Exception {
        hand.bench("Lines").click();
        BoundingBox lane = page.getByTestId("lane").boundingBox();
        page.keyboard().down("Shift");
        page.mouse().move(lane.x + lane.width * 0.3, lane.y + 12);
        page.mouse().down();
        page.mouse().move(lane.x + lane.width * 0.35, lane.y + 12);
        page.mouse().move(lane.x + lane.width * 0.4, lane.y + 12);
        page.mouse().up();
        page.keyboard().up("Shift");
        assertThat(page.getByTestId("looped")).isVisible();
        Locator loop = page.getByRole(
                AriaRole.BUTTON,
                new Page.GetByRoleOptions().setName(Pattern.compile("^Loop, frames [0-9]+ to [0-9]+$")));
        assertThat(loop).hasAttribute("aria-pressed", "true");
        int end = Integer.parseInt(loop.getAttribute("aria-label").replaceAll(".* to ", ""));
        button("Play").click();
        // it goes back without stopping, and never beyond the end
        page.waitForFunction(
                "() => { const f = Number(document.querySelector('[data-testid=clock] b').textContent);"
                        + "const back = window.turns ??= { last: f, times: 0, most: 0 };"
                        + "if (f < back.last) back.times++; back.last = f; back.most = Math.max(back.most, f); return back.times >= 2; }");
        assertThat(((Number) page.evaluate("() => window.turns.most")).intValue())
                .isLessThanOrEqualTo(end);
        button("Stop").click();
        // shown as wide as the strip
        page.getByText(Pattern.compile("^[0-9]+–[0-9]+$")).click();
        page.waitForFunction(
                "was => document.querySelector('[data-testid=lane]').getBoundingClientRect().width > 8 * was",
                lane.width);
        assertThat(unreadable()).isEmpty();
        loop.click();
        assertThat(page.getByTestId("looped")).hasCount(0);
        button("whole line").click();
    }

    @Test
    void byKeyboardAloneFromBadToGood() throws Exception {
        record(LINE.words().replace("Sorrel", "Portugal"));
        assertThat(page.getByText("Something else seems to be said in place of"))
                .isVisible();
        // the doubtful word is retyped where it stands
        Locator word =
                page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Word Portugal")));
        word.focus();
        page.keyboard().press("Enter");
        page.keyboard().type("Sorrel");
        page.keyboard().press("Enter");
        assertThat(page.getByText("Something else seems to be said in place of"))
                .isHidden(
                        new com.microsoft.playwright.assertions.LocatorAssertions.IsHiddenOptions().setTimeout(60_000));
        assertThat(page.getByLabel("Words", new Page.GetByLabelOptions().setExact(true)))
                .hasValue(LINE.words());

        // its first sound begins a frame later, and the mouths with it
        sounds().focus();
        page.keyboard().press("Home");
        assertThat(card()).containsText("Good");
        for (int i = 0; i < 20; i++) {
            page.keyboard().press("ArrowRight");
        }
        String before = card().locator("p").first().innerText();
        page.keyboard().press("Control+ArrowRight");
        assertThat(card().getByText("put by hand")).isVisible();
        assertThat(card().locator("p").first()).not().hasText(before);
        // another sound, by its name
        page.keyboard().press("Enter");
        page.keyboard().type("oy");
        page.keyboard().press("Enter");
        assertThat(card().locator("h2")).hasText("OY");
        assertThat(sounds()).isFocused();
        page.keyboard().press("s");
        assertThat(sounds().getByRole(AriaRole.OPTION, new Locator.GetByRoleOptions().setName(Pattern.compile("^OY"))))
                .hasCount(2);
        page.keyboard().press("Delete");
        assertThat(sounds().getByRole(AriaRole.OPTION, new Locator.GetByRoleOptions().setName(Pattern.compile("^OY"))))
                .hasCount(1);
        assertThat(faults()).isEmpty();
        // all of it is undone, and is there again after a reload
        for (int i = 0; i < 4; i++) {
            page.keyboard().press("Control+z");
            hand.settle();
        }
        assertThat(byHand()).hasCount(0);
        page.keyboard().press("Control+Shift+z");
        assertThat(byHand().first()).isVisible();
        page.reload();
        assertThat(byHand().first()).isVisible();
    }

    @Test
    void anEdgeIsDraggedFromNearAndEscapeLeavesItThere() {
        page.getByLabel("Zoom the line in").click();
        page.getByLabel("Zoom the line in").click();
        Locator b = page.locator("#sound-0-4");
        BoundingBox box = b.boundingBox();
        page.mouse().move(box.x + 1, box.y + 8);
        page.mouse().down();
        page.mouse().move(box.x + 41, box.y + 8, new com.microsoft.playwright.Mouse.MoveOptions().setSteps(5));
        assertThat(b.boundingBox().x).as("it goes with the hand").isGreaterThan(box.x + 15);
        page.keyboard().press("Escape");
        page.mouse().up();
        hand.settle();
        assertThat(b.boundingBox().x).isBetween(box.x - 1, box.x + 1);

        String mouths = drawings();
        page.mouse().move(box.x + 1, box.y + 8);
        page.mouse().down();
        page.mouse().move(box.x + 61, box.y + 8, new com.microsoft.playwright.Mouse.MoveOptions().setSteps(5));
        page.mouse().up();
        page.waitForFunction(
                "was => [...document.querySelectorAll('[data-testid=strip] button[aria-label^=\"Mouth \"]')].map(b => b.getAttribute('aria-label')).join() !== was",
                mouths);
        assertThat(b.boundingBox().x).isGreaterThan(box.x + 15);
        button("Undo").click();
        page.waitForFunction(
                "was => [...document.querySelectorAll('[data-testid=strip] button[aria-label^=\"Mouth \"]')].map(b => b.getAttribute('aria-label')).join() === was",
                mouths);
    }

    @Test
    void aWordThatWasLeftOutIsToldAndWrittenIn() {
        record(LINE.words().replace("Sorrel ", ""));
        assertThat(page.getByText("that is not written")).isVisible();
        page.getByPlaceholder("write what is said").fill("Sorrel");
        page.keyboard().press("Enter");
        assertThat(page.getByText("that is not written"))
                .isHidden(
                        new com.microsoft.playwright.assertions.LocatorAssertions.IsHiddenOptions().setTimeout(60_000));
        assertThat(page.getByLabel("Words", new Page.GetByLabelOptions().setExact(true)))
                .hasValue(LINE.words());
    }

    @Test
    void anyRangeOfFramesShowsNoMouthUntilItsPinsAreLifted() {
        page.getByLabel(Pattern.compile("^Mouth .*frames")).nth(3).click();
        page.getByLabel("from frame").fill("20");
        page.getByLabel("to frame").fill("19");
        assertThat(button("Pin no mouth")).isDisabled();
        page.getByLabel("to frame").fill("31");
        button("Pin no mouth").click();
        Locator none = page.getByLabel("Mouth none, frames 20 to 31, pinned");
        assertThat(none).isVisible();
        page.getByLabel(Pattern.compile("^Mouth .*frames")).first().click();
        button("Unpin every frame of the line").click();
        assertThat(none).hasCount(0);
    }

    @Test
    void aWordIsLookedUpTaughtForgottenAndUndone() throws Exception {
        page.getByText("how this crew says its words").click();
        page.getByPlaceholder("any word").fill("Zilchwick");
        assertThat(page.getByText("guessed from its letters"))
                .isVisible(new com.microsoft.playwright.assertions.LocatorAssertions.IsVisibleOptions()
                        .setTimeout(60_000));
        Locator sounds = page.getByLabel("Sounds of zilchwick").first();
        sounds.fill("z ih l qq");
        assertThat(page.getByText("“qq” is no sound of the 39.")).isVisible();
        sounds.fill("z ih l ch ih k");
        sounds.press("Enter");
        assertThat(page.getByText("as this crew says it")).isVisible();
        page.getByPlaceholder("any word").fill("");
        Locator taught = page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Words of this crew"));
        assertThat(taught.getByLabel("Sounds of zilchwick")).hasValue("Z IH L CH IH K");
        assertThat(faults()).isEmpty();
        button("Forget zilchwick").click();
        assertThat(taught).hasCount(0);
        button("Undo").click();
        assertThat(taught).isVisible();
        page.getByTestId("lexicon-file")
                .setInputFiles(new FilePayload("ours.dict", "text/plain", "quay  K IY1\npier  P QQ\n".getBytes()));
        assertThat(page.getByText("Line 2: 'QQ' is no sound.")).isVisible();
        page.getByTestId("lexicon-file")
                .setInputFiles(new FilePayload("ours.dict", "text/plain", "quay  K IY1\n".getBytes()));
        assertThat(taught.getByLabel("Sounds of quay")).isVisible();
    }

    /** Both recordings of the demo one behind the other, a second after each (WAVE: the lengths are at bytes 4 and 40). */
    private static byte[] session() {
        byte[] first = DemoFiles.lines().get(0).wav();
        byte[] second = DemoFiles.lines().get(1).wav();
        ByteBuffer header = ByteBuffer.wrap(first).order(ByteOrder.LITTLE_ENDIAN);
        int pause = header.getInt(24) * 2;
        int length = first.length + second.length - 88 + 2 * pause;
        ByteBuffer out = ByteBuffer.allocate(44 + length).order(ByteOrder.LITTLE_ENDIAN);
        out.put(first).put(new byte[pause]).put(second, 44, second.length - 44);
        return out.putInt(4, length + 36).putInt(40, length).array();
    }

    private Locator list() {
        return page.getByRole(
                AriaRole.GROUP, new Page.GetByRoleOptions().setName("Lines").setExact(true));
    }

    @Test
    void aRecordingIsCutByItsScriptAndItsLinesArePutInOrder() {
        hand.drop("session.wav", "audio/wav", session());
        page.getByLabel("Words of the line")
                .fill("1. MAREN: " + LINE.words()
                        + "\n2. WICK: Whistle three angry monkeys under purple yoghurt.\n3. MAREN: "
                        + DemoFiles.lines().get(1).words());
        assertThat(page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Lines of the script"))
                        .getByRole(AriaRole.LISTITEM))
                .hasCount(3);
        button("Cut into 3 lines").click();
        Locator told = page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Recordings being read"));
        assertThat(told.getByText("2 lines cut out of the recording"))
                .isVisible(new com.microsoft.playwright.assertions.LocatorAssertions.IsVisibleOptions()
                        .setTimeout(60_000));
        assertThat(told.getByText("Not said in it: 2 Whistle three angry monkeys under."))
                .isVisible();
        told.getByText("Dismiss").click();
        assertThat(told).isHidden();

        Locator made =
                list().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^[13] ")));
        assertThat(made).hasCount(2);
        // which of the two was read sooner is left to the queue
        Locator first =
                list().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^1 ")));
        first.click();
        assertThat(page.getByLabel("Words", new Page.GetByLabelOptions().setExact(true)))
                .hasValue(LINE.words());
        String name = first.textContent();
        button("Copy").click();
        Locator copy = list().getByText(name + " 2", new Locator.GetByTextOptions().setExact(true));
        assertThat(copy).hasAttribute("aria-pressed", "true");
        button("Archive").click();
        assertThat(copy).isHidden();
        button("Archived lines").click();
        page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Lines that were archived"))
                .getByText(name + " 2")
                .click();
        assertThat(copy).isVisible();
        page.reload();
        assertThat(list().getByText(name + " 2", new Locator.GetByTextOptions().setExact(true)))
                .isVisible();
    }

    @Test
    void aLineTimedElsewhereInAnotherLanguageIsTaken() {
        String grid =
                "File type = \"ooTextFile short\"\n\"TextGrid\"\n0 2\n<exists> 2\n\"IntervalTier\" \"Wort\" 0 2 2\n"
                        + "0.3 1.2 \"schön\" 1.2 2 \"\"\n\"IntervalTier\" \"Laute\" 0 2 4\n"
                        + "0 0.3 \"\" 0.3 0.5 \"ʃ\" 0.5 0.9 \"øː\" 0.9 1.2 \"n\"\n";
        page.getByTestId("sound-file").setInputFiles(new FilePayload[] {
            new FilePayload("a.wav", "audio/wav", LINE.wav()),
            // as programs on Windows write it
            new FilePayload("a.TextGrid", "text/plain", ("\uFEFF" + grid).getBytes(StandardCharsets.UTF_16LE))
        });
        page.getByLabel("øː sounds like").selectOption("ER");
        button("Take its timing").click();
        assertThat(page.getByLabel("Words", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("schön");
        assertThat(sounds().getByRole(AriaRole.OPTION)).hasCount(3);
        assertThat(byHand()).hasCount(3);
    }

    @Test
    void aTableOfTimesIsTakenLikeOneAndOneOfLinesIsAScript() {
        FilePayload recording = new FilePayload("a.wav", "audio/wav", LINE.wav());
        page.getByTestId("sound-file").setInputFiles(new FilePayload[] {
            recording, table("start;end;sound;word\n0,3;0,5;SH;shore\n0,5;1,2;AO;shore\n1,1;1,5;R;shore\n")
        });
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("line 4");
        button("Cancel").click();
        page.getByTestId("sound-file").setInputFiles(new FilePayload[] {
            recording, table("start;end;sound;word\n0,3;0,5;SH;shore\n0,5;1,2;AO;shore\n1,2;1,5;R;shore\n")
        });
        button("Take its timing").click();
        assertThat(page.getByLabel("Words", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("shore");
        assertThat(sounds().getByRole(AriaRole.OPTION)).hasCount(3);
        page.getByTestId("sound-file").setInputFiles(new FilePayload[] {
            recording, table("start,end,text\n0,1,The boat leaves at seven.\n1,2,Mind it!\n")
        });
        assertThat(page.getByLabel("Cut at the times of the script")).isChecked();
        page.getByLabel("Cut at the times of the script").uncheck();
        assertThat(page.getByLabel("a line for every take")).isChecked();
        button("Cancel").click();
    }

    private static FilePayload table(String text) {
        return new FilePayload("a.csv", "text/csv", text.getBytes(StandardCharsets.UTF_8));
    }
}
