package app.leeward.formats.svg;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MakeMouths;
import app.leeward.core.edit.Outcome;
import app.leeward.core.edit.ServeSound;
import app.leeward.core.edit.SetMood;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Character;
import app.leeward.demo.DemoFiles;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.xml.XmlNode;
import app.leeward.formats.xml.XmlReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The printed mouth chart, read back as XML. */
class MouthChartPageTest {
    private static Character maren() {
        LayeredArt art = SvgReader.read(DemoFiles.maren());
        IntakeResult result = art.assembled("Maren", 24);
        return ((IntakeResult.Hung) result).character();
    }

    private static List<String> texts(String svg) {
        List<String> out = new ArrayList<>();
        java.util.regex.Matcher m =
                java.util.regex.Pattern.compile("<text[^>]*>([^<]*)</text>").matcher(svg);
        while (m.find()) {
            out.add(m.group(1));
        }
        return out;
    }

    private static Character after(Character c, app.leeward.core.edit.Edit... edits) {
        Character now = c;
        for (var e : edits) {
            now = ((Outcome.Done) Edits.apply(now, e)).character();
        }
        return now;
    }

    @Test
    void everyClassIsThereWithItsSoundsAndWords() {
        Character c = after(maren(), new MakeMouths("", null, null, true, null));
        String svg = MouthChartPage.write(c, "", hash -> new byte[0]);
        XmlNode root = new XmlReader("x", "page").read(svg.getBytes(StandardCharsets.UTF_8), "svg");
        assertThat(root.get("width")).isEqualTo("210mm");
        assertThat(texts(svg)).contains(c.name());
        for (Viseme v : Viseme.values()) {
            assertThat(texts(svg)).contains(v.number() + "  " + v.words());
            assertThat(String.join("\n", texts(svg))).contains(String.join(", ", v.examples()));
        }
        assertThat(svg).doesNotContain("served by");
        assertThat(svg.split("<clipPath id=\"in-")).hasSize(18);
    }

    @Test
    void aBorrowedMouthSaysFromWhere() {
        Character c =
                after(maren(), new SetMood("", "Happy & proud", 0.5, 0), new ServeSound(Viseme.TH, "", "happy-proud"));
        String svg = MouthChartPage.write(c, "happy-proud", hash -> new byte[0]);
        assertThat(String.join("\n", texts(svg))).contains("Happy &amp; proud").contains("served by ");
        assertThat(new XmlReader("x", "page").read(svg.getBytes(StandardCharsets.UTF_8), "svg").children)
                .isNotEmpty();
    }
}
