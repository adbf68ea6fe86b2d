package app.leeward.formats.svg;

import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Scope;
import app.leeward.formats.export.TextExporter;

/** The neutral row of mouths as a page. */
public final class MouthChartSvg extends TextExporter {
    private static final Format FORMAT = new Format(
            "mouth-chart-svg",
            "Mouth chart SVG",
            "image/svg+xml",
            "svg",
            Scope.CHARACTER,
            Family.PAGES,
            "the neutral row, every class and who serves it");

    public MouthChartSvg() {
        super(FORMAT);
    }

    @Override
    protected String text(ExportSource source, Choices choices) {
        return MouthChartPage.write(source.character(), "", source.images());
    }
}
