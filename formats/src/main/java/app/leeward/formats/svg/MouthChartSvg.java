package app.leeward.formats.svg;

import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Scope;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;

/** The neutral row of mouths as a page. */
public final class MouthChartSvg implements Exporter {
    private static final Format FORMAT = new Format(
            "mouth-chart-svg",
            "Mouth chart SVG",
            "image/svg+xml",
            "svg",
            Scope.CHARACTER,
            Family.PAGES,
            "the neutral row, every class and who serves it");

    @Override
    public Format format() {
        return FORMAT;
    }

    @Override
    public void write(ExportSource source, Choices choices, OutputStream out) throws IOException {
        out.write(MouthChartPage.write(source.character(), "", source.images()).getBytes(StandardCharsets.UTF_8));
    }
}
