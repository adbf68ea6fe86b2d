package app.leeward.formats.sheet;

import app.leeward.core.shot.Playhead;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.export.Scope;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;

/** A line as an exposure sheet: a row a frame. */
public final class ExposureSheet implements Exporter {
    @Override
    public String id() {
        return "exposure-csv";
    }

    @Override
    public String label() {
        return "Exposure sheet as CSV";
    }

    @Override
    public String mediaType() {
        return "text/csv;charset=UTF-8";
    }

    @Override
    public String extension() {
        return "csv";
    }

    @Override
    public Scope scope() {
        return Scope.SHOT;
    }

    @Override
    public void write(ExportSource source, Choices choices, OutputStream out) throws IOException {
        out.write(
                ExposureCsv.write(source.shot().orElseThrow(), source.playhead().flatMap(Playhead::mouths))
                        .getBytes(StandardCharsets.UTF_8));
    }
}
