package app.leeward.render;

import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.export.Scope;
import app.leeward.formats.svg.MouthChartPage;
import java.io.IOException;
import java.io.OutputStream;

/** The neutral row of mouths as a page to print. */
public final class MouthChartPdf implements Exporter {
    @Override
    public String id() {
        return "mouth-chart-pdf";
    }

    @Override
    public String label() {
        return "Mouth chart as PDF";
    }

    @Override
    public String mediaType() {
        return "application/pdf";
    }

    @Override
    public String extension() {
        return "pdf";
    }

    @Override
    public Scope scope() {
        return Scope.CHARACTER;
    }

    @Override
    public void write(ExportSource source, Choices choices, OutputStream out) throws IOException {
        String page = MouthChartPage.write(source.character(), "", source.images());
        out.write(PrintedPage.pdf(page, "Mouth chart of " + source.character().name()));
    }
}
