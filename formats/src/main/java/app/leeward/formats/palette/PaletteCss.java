package app.leeward.formats.palette;

import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Scope;
import app.leeward.formats.export.TextExporter;

/** The palette as CSS custom properties. */
public final class PaletteCss extends TextExporter {
    private static final Format FORMAT = new Format(
            "palette-css",
            "Palette CSS",
            "text/css;charset=UTF-8",
            "css",
            Scope.CHARACTER,
            Family.ARTWORK,
            "every colour of the palette by its name");

    public PaletteCss() {
        super(FORMAT);
    }

    @Override
    protected String text(ExportSource source, Choices choices) {
        StringBuilder css = new StringBuilder(":root {\n");
        SwatchNames.of(source.character().sheet().palette()).forEach((name, s) -> css.append("  --")
                .append(name)
                .append(": ")
                .append(s.colour())
                .append(";\n"));
        return css.append("}\n").toString();
    }
}
