package app.leeward.render;

import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Scope;
import app.leeward.formats.svg.MouthChartPage;
import java.io.IOException;
import java.io.OutputStream;

/** The neutral row of mouths as a page to print. */
public final class MouthChartPdf implements Exporter {
    private static final Format FORMAT = new Format(
            "mouth-chart-pdf",
            "Mouth chart PDF",
            "application/pdf",
            "pdf",
            Scope.CHARACTER,
            Family.PAGES,
            "the neutral row, to print or to draw over");

    @Override
    public Format format() {
        return FORMAT;
    }

    @Override
    public void write(ExportSource source, Choices choices, OutputStream out) throws IOException {
        String page = MouthChartPage.write(source.character(), "", source.images());
        out.write(PrintedPage.pdf(page, "Mouth chart of " + source.character().name()));
    }
}
