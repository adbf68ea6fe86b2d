package app.leeward.formats.sheet;

import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Scope;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;

/** A line as an exposure sheet: a row a frame. */
public final class ExposureSheet implements Exporter {
    private static final Format FORMAT = new Format(
            "exposure-csv",
            "Exposure CSV",
            "text/csv;charset=UTF-8",
            "csv",
            Scope.SHOT,
            Family.TIMING,
            "every track, a row a frame");

    @Override
    public Format format() {
        return FORMAT;
    }

    @Override
    public void write(ExportSource source, Choices choices, OutputStream out) throws IOException {
        out.write(ExposureCsv.write(source.playhead().orElseThrow()).getBytes(StandardCharsets.UTF_8));
    }
}
