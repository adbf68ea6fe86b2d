package app.leeward.formats.svg;

import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.export.Scope;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;

/** The neutral row of mouths as a page. */
public final class MouthChartSvg implements Exporter {
    @Override
    public String id() {
        return "mouth-chart-svg";
    }

    @Override
    public String label() {
        return "Mouth chart as SVG";
    }

    @Override
    public String mediaType() {
        return "image/svg+xml";
    }

    @Override
    public String extension() {
        return "svg";
    }

    @Override
    public Scope scope() {
        return Scope.CHARACTER;
    }

    @Override
    public void write(ExportSource source, Choices choices, OutputStream out) throws IOException {
        out.write(MouthChartPage.write(source.character(), "", source.images()).getBytes(StandardCharsets.UTF_8));
    }
}
