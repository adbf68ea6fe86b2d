package app.leeward.formats.palette;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.art.ImageShelf;
import app.leeward.core.art.Swatch;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Pose;
import app.leeward.formats.ActedMaren;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.TextExporter;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class PaletteTest {
    private static final Character C = ActedMaren.CHARACTER.withSheet(s -> s.withPalette(List.of(
            new Swatch("Skin, warm", "#f6c9a4"), new Swatch("skin warm", "#f6c9a5"), new Swatch("été", "#24566b"))));

    private static String written(TextExporter exporter) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        exporter.write(
                new ExportSource(
                        C,
                        new Evaluator(C).frame(Pose.REST),
                        Optional.empty(),
                        Optional.empty(),
                        ImageShelf.NONE,
                        Optional::empty),
                Choices.of(List.of(), Map.of()),
                out);
        return out.toString(StandardCharsets.UTF_8);
    }

    @Test
    void cssNamesEveryColourAndNoneTwice() throws Exception {
        assertThat(written(new PaletteCss()))
                .isEqualTo(":root {\n  --skin-warm: #f6c9a4;\n  --skin-warm-2: #f6c9a5;\n  --ete: #24566b;\n}\n");
    }

    @Test
    void jsonHasTheSameNamesAndThoseTheyWereGiven() throws Exception {
        JsonNode colours =
                new ObjectMapper().readTree(written(new PaletteJson())).get("colours");
        assertThat(colours).extracting(c -> c.get("id").asText()).containsExactly("skin-warm", "skin-warm-2", "ete");
        assertThat(colours).extracting(c -> c.get("name").asText()).containsExactly("Skin, warm", "skin warm", "été");
        assertThat(colours).extracting(c -> c.get("colour").asText()).containsExactly("#f6c9a4", "#f6c9a5", "#24566b");
    }
}
