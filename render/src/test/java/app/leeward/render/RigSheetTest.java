package app.leeward.render;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.dial.Dial;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MakeBrows;
import app.leeward.core.edit.MakeLooks;
import app.leeward.core.edit.Outcome;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Look;
import app.leeward.core.rig.Pose;
import app.leeward.demo.DemoFiles;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.svg.SvgReader;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipInputStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.Test;

class RigSheetTest {
    private static Character maren() {
        LayeredArt read = SvgReader.read(DemoFiles.maren());
        Character c = ((IntakeResult.Hung) read.assembled("Maren & <her> sheet", 24)).character();
        for (Edit e : List.of(new MakeBrows(), new MakeLooks())) {
            c = ((Outcome.Done) Edits.apply(c, e)).character();
        }
        return c;
    }

    private static ExportSource source(Character c) {
        return new ExportSource(
                c,
                new Evaluator(c).frame(Pose.REST),
                Optional.empty(),
                Optional.empty(),
                hash -> {
                    throw new IllegalStateException("no pictures");
                },
                Optional::empty);
    }

    @Test
    void everyDialLookAndDrawingOfAHandIsOnItAndADialShowsItsEnds() throws Exception {
        Character c = maren();
        List<String> pages = RigSheet.pages(source(c));
        String all = String.join("", pages);
        for (Dial d : c.controls().dials()) {
            assertThat(all).contains(">" + d.name() + "<");
        }
        for (Look l : c.library().looks()) {
            assertThat(all).contains(">" + l.name() + "<");
        }
        assertThat(all).contains(">thumb-up<", ">Maren &amp; &lt;her> sheet<", ">Palette<", ">Mouths<");
        String strip =
                all.substring(all.indexOf(">" + c.controls().dials().get(0).name() + "<"));
        Matcher picture = Pattern.compile("base64,([^\"]+)").matcher(strip);
        List<String> seven = new ArrayList<>();
        while (seven.size() < 7 && picture.find()) {
            seven.add(picture.group(1));
        }
        assertThat(seven).doesNotHaveDuplicates();

        ByteArrayOutputStream svg = new ByteArrayOutputStream();
        new RigSheetSvg().write(source(c), Choices.of(List.of(), Map.of()), svg);
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(svg.toByteArray()))) {
            assertThat(zip.getNextEntry().getName()).isEqualTo("rig-sheet-01.svg");
            assertThat(new String(zip.readAllBytes(), StandardCharsets.UTF_8)).isEqualTo(pages.get(0));
        }

        try (PDDocument pdf = Loader.loadPDF(PrintedPage.pdf(pages, "Rig sheet"))) {
            assertThat(pdf.getNumberOfPages()).isEqualTo(pages.size()).isGreaterThan(1);
        }
    }
}
