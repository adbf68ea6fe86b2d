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

/** A pose as SVG, masks kept. */
public final class SvgPicture implements Exporter {
    private static final Format FORMAT = new Format(
            "picture-svg", "SVG", "image/svg+xml", "svg", Scope.POSE, Family.PICTURES, "masks kept, no scripts");

    @Override
    public Format format() {
        return FORMAT;
    }

    @Override
    public void write(ExportSource source, Choices choices, OutputStream out) throws IOException {
        out.write(SvgWriter.write(source.character(), source.frame(), source.images())
                .getBytes(StandardCharsets.UTF_8));
    }
}
