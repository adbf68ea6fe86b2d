package app.leeward.formats.palette;

import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Scope;
import app.leeward.formats.export.TextExporter;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;

/** The palette as JSON: each colour with its name, and the name as an identifier. */
public final class PaletteJson extends TextExporter {
    private static final Format FORMAT = new Format(
            "palette-json",
            "Palette JSON",
            "application/json",
            "palette.json",
            Scope.CHARACTER,
            Family.ARTWORK,
            "every colour of the palette with its name");

    public PaletteJson() {
        super(FORMAT);
    }

    @Override
    protected String text(ExportSource source, Choices choices) {
        ObjectNode palette = new ObjectMapper()
                .createObjectNode()
                .put("name", source.character().name());
        SwatchNames.of(source.character().sheet().palette()).forEach((id, s) -> palette.withArray("colours")
                .addObject()
                .put("id", id)
                .put("name", s.name())
                .put("colour", s.colour()));
        palette.withArray("colours");
        return palette.toPrettyString() + "\n";
    }
}
