package app.leeward.formats.sheet;

import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Scope;
import app.leeward.formats.export.TextExporter;

/** A line as an exposure sheet: a row a frame. */
public final class ExposureSheet extends TextExporter {
    private static final Format FORMAT = new Format(
            "exposure-csv",
            "Exposure CSV",
            "text/csv;charset=UTF-8",
            "csv",
            Scope.SHOT,
            Family.TIMING,
            "every track, a row a frame");

    public ExposureSheet() {
        super(FORMAT);
    }

    @Override
    protected String text(ExportSource source, Choices choices) {
        return ExposureCsv.write(source.playhead().orElseThrow());
    }
}
