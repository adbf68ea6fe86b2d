package app.leeward.render;

import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Scope;
import java.io.IOException;
import java.io.OutputStream;

/** What a character is and can do, to pin to the wall. */
public final class RigSheetPdf implements Exporter {
    private static final Format FORMAT = new Format(
            "rig-sheet-pdf",
            "Rig sheet PDF",
            "application/pdf",
            "pdf",
            Scope.CHARACTER,
            Family.PAGES,
            "figure, palette, dials from end to end, looks, mouths, hands, kits and keys, to pin to the wall");

    @Override
    public Format format() {
        return FORMAT;
    }

    @Override
    public void write(ExportSource source, Choices choices, OutputStream out) throws IOException {
        out.write(PrintedPage.pdf(
                RigSheet.pages(source), "Rig sheet of " + source.character().name()));
    }
}
