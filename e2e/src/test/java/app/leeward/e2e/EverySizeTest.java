package app.leeward.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.util.List;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Test;

/**
 * Every bench on windows from half a small screen, which is a laptop's at twice its size, to the widest: nothing is cut, nothing lies
 * over something else, nothing is out of reach; and in either scheme axe finds nothing of any weight.
 */
class EverySizeTest extends Story {
    private static final List<String> BENCHES = List.of(
            "Intake", "Parts", "Eyes", "Mouths", "Brows", "Hands", "Kits", "Turn", "Lines", "Shot", "Hand over");
    private static final int[][] SIZES = {{640, 400}, {1024, 600}, {1280, 800}, {2560, 1440}};

    private void go(String bench) {
        page.evaluate(
                "b => { location.hash = location.hash.replace(/b=[^&]*/, 'b=' + b); }",
                bench.toLowerCase().replace(' ', '-'));
        page.waitForFunction("b => document.title.includes(b)", bench);
        page.locator("[data-panel=bench] h1, [data-panel=sheet] [data-testid=sheet], [data-panel=bench] h2")
                .first()
                .waitFor();
        hand.settle();
    }

    @Test
    void everythingCanBeReadOnWindowsOfEverySize() throws Exception {
        SoftAssertions all = new SoftAssertions();
        for (int[] size : SIZES) {
            page.setViewportSize(size[0], size[1]);
            for (String bench : BENCHES) {
                go(bench);
                all.assertThat(unreadable())
                        .as("%s on %d by %d", bench, size[0], size[1])
                        .isEmpty();
            }
            page.evaluate("() => { location.hash = '#home'; }");
            page.getByTestId("home").waitFor();
            hand.settle();
            all.assertThat(unreadable())
                    .as("home on %d by %d", size[0], size[1])
                    .isEmpty();
            page.goBack();
            page.getByTestId("workspace").waitFor();
        }
        all.assertAll();
    }

    @Test
    void everybodyCanUseEveryBenchInBothSchemes() throws Exception {
        SoftAssertions all = new SoftAssertions();
        for (ColorScheme scheme : List.of(ColorScheme.LIGHT, ColorScheme.DARK)) {
            page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(scheme));
            for (String bench : BENCHES) {
                go(bench);
                all.assertThat(faults()).as("%s, %s", bench, scheme).isEmpty();
            }
        }
        all.assertAll();
    }

    @Test
    void theRuleFindsWhatCannotBeRead() throws Exception {
        page.setContent(
                "<style>body{font:16px sans-serif;margin:0;height:100vh;overflow:hidden}</style>"
                        + "<p style='width:60px;overflow:hidden;white-space:nowrap'>cut off at the right</p>"
                        + "<p style='position:absolute;top:200px;left:20px'>first of two</p>"
                        + "<p style='position:absolute;top:204px;left:30px'>second of two</p>"
                        + "<p style='position:absolute;top:99999px'>below everything</p>"
                        + "<div style='height:60px;overflow:auto;position:absolute;top:300px'><p style='margin-top:400px'>scrolled to</p></div>"
                        + "<p style='position:absolute;top:400px;width:60px;overflow:hidden;text-overflow:ellipsis;white-space:nowrap'>shortened with dots</p>");
        List<String> told = unreadable().stream().map(Object::toString).toList();
        assertThat(told).anyMatch(t -> t.startsWith("“cut off at the right” is cut"));
        assertThat(told).anyMatch(t -> t.contains("“first of two” lies over “second of two”"));
        assertThat(told).anyMatch(t -> t.contains("“below everything”"));
        assertThat(told).noneMatch(t -> t.contains("scrolled to") || t.contains("shortened"));
    }
}
