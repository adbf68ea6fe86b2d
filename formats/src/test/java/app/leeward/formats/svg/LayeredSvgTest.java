package app.leeward.formats.svg;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.ImageShelf;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.demo.DemoFiles;
import app.leeward.formats.art.LayeredArt;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.function.Function;
import org.assertj.core.groups.Tuple;
import org.junit.jupiter.api.Test;

/** What is written is read again as the character it was. */
class LayeredSvgTest {
    private static Character read(byte[] svg) {
        LayeredArt art = SvgReader.read(svg);
        return ((IntakeResult.Hung) art.assembled("Face", 24)).character();
    }

    private static Character again(Character c) {
        return read(LayeredSvgWriter.write("Face", "", c.sheet().canvas(), LayeredSvg.layers(c), ImageShelf.NONE)
                .getBytes(StandardCharsets.UTF_8));
    }

    /** Back to front; what has no drawing of its own lies nowhere. */
    private static List<String> painted(Character c) {
        return c.rig().order().stream()
                .filter(id -> !c.part(id).orElseThrow().drawings().isEmpty())
                .toList();
    }

    private static List<String> each(Character c, Function<Drawing, String> told) {
        return c.rig().parts().stream()
                .sorted((a, b) -> a.id().compareTo(b.id()))
                .flatMap(p -> p.drawings().stream().map(d -> p.id() + "/" + d.id() + " " + told.apply(d)))
                .toList();
    }

    @Test
    void everyPartAndDrawingIsThereAgainWithItsArt() {
        Character first = read(DemoFiles.maren());
        Character second = again(first);
        assertThat(painted(second)).isEqualTo(painted(first));
        assertThat(second.rig().parts())
                .extracting(Part::id, Part::role, Part::side, Part::parent)
                .containsExactlyInAnyOrderElementsOf(first.rig().parts().stream()
                        .map(p -> Tuple.tuple(p.id(), p.role(), p.side(), p.parent()))
                        .toList());
        assertThat(each(second, d -> outlines(d.art()))).isEqualTo(each(first, d -> outlines(d.art())));
    }

    /** Outlines, paints, roles and what shows through a window. */
    private static String outlines(Artwork art) {
        StringBuilder out = new StringBuilder();
        art.shapes().forEach(s -> out.append(s.role())
                .append(s.masked())
                .append(s.fill())
                .append(s.stroke().width())
                .append(s.path().toSvg()));
        return out.toString();
    }
}
