package app.leeward.formats.svg;

import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Scope;
import app.leeward.formats.export.TextExporter;

/** A pose as SVG, masks kept. */
public final class SvgPicture extends TextExporter {
    private static final Format FORMAT = new Format(
            "picture-svg", "SVG", "image/svg+xml", "svg", Scope.POSE, Family.PICTURES, "masks kept, no scripts");

    public SvgPicture() {
        super(FORMAT);
    }

    @Override
    protected String text(ExportSource source, Choices choices) {
        return SvgWriter.write(source.character(), source.frame(), source.images());
    }
}
