package app.leeward.render;

import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.PlainZip;
import app.leeward.formats.export.Scope;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;

/** The rig sheet as SVG, a file a page, to be set into other papers. */
public final class RigSheetSvg implements Exporter {
    private static final Format FORMAT = new Format(
            "rig-sheet-svg",
            "Rig sheet SVG",
            "application/zip",
            "rig-sheet.zip",
            Scope.CHARACTER,
            Family.PAGES,
            "the same, a file a page in one ZIP");

    @Override
    public Format format() {
        return FORMAT;
    }

    @Override
    public void write(ExportSource source, Choices choices, OutputStream out) throws IOException {
        List<String> pages = RigSheet.pages(source);
        PlainZip zip = new PlainZip(out);
        for (int i = 0; i < pages.size(); i++) {
            zip.put(
                    String.format(Locale.ROOT, "rig-sheet-%02d.svg", i + 1),
                    pages.get(i).getBytes(StandardCharsets.UTF_8));
        }
        zip.finish();
    }
}
