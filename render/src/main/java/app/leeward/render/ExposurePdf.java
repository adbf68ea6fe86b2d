package app.leeward.render;

import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.shot.Shot;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Scope;
import app.leeward.formats.sheet.ExposurePages;
import java.io.IOException;
import java.io.OutputStream;

/** A shot as an exposure sheet to print. */
public final class ExposurePdf implements Exporter {
    private static final Format FORMAT = new Format(
            "exposure-pdf",
            "Exposure PDF",
            "application/pdf",
            "pdf",
            Scope.SHOT,
            Family.TIMING,
            "every track, to print, two seconds a page");

    /** Longest sheet, frames: a hundred pages and more are no sheet to print. */
    private static final int LONGEST = 5_000;

    @Override
    public Format format() {
        return FORMAT;
    }

    @Override
    public void write(ExportSource source, Choices choices, OutputStream out) throws IOException {
        Shot shot = source.shot().orElseThrow();
        if (shot.frames() > LONGEST) {
            throw new Refusal(
                    RefusalCode.BEYOND_SHOT,
                    "A printed exposure sheet has " + LONGEST + " frames at most; this shot has " + shot.frames()
                            + ". The CSV has all of them.");
        }
        out.write(PrintedPage.pdf(
                ExposurePages.write(source.playhead().orElseThrow()), "Exposure sheet of " + shot.name()));
    }
}
