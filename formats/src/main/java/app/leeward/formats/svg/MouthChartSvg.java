package app.leeward.formats.svg;

import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Scope;
import app.leeward.formats.export.TextExporter;
import java.util.List;

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
    public List<String> losses(ExportSource source) {
        int moods = source.character().voice().mouths().moods().size();
        return moods == 0 ? List.of() : List.of("The rows of " + moods + " moods: it is the neutral one.");
    }

    @Override
    protected String text(ExportSource source, Choices choices) {
        return MouthChartPage.write(source.character(), "", source.images());
    }
}
