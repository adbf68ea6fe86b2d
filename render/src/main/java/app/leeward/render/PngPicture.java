package app.leeward.render;

import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Option;
import app.leeward.formats.export.Scope;
import java.io.IOException;
import java.io.OutputStream;
import java.util.List;

/** A pose as PNG on a clear ground. */
public final class PngPicture implements Exporter {
    private static final Option WIDTH = new Option("width", "PNG width", "pixels", 1, 4000, 1280);

    private static final Format FORMAT =
            new Format("picture-png", "PNG", "image/png", "png", Scope.POSE, Family.PICTURES, "on clear ground");

    @Override
    public Format format() {
        return FORMAT;
    }

    @Override
    public List<Option> options() {
        return List.of(WIDTH);
    }

    @Override
    public void write(ExportSource source, Choices choices, OutputStream out) throws IOException {
        int width = (int) Math.round(choices.number(WIDTH.id()));
        out.write(FramePainter.of(source.character(), width, source.images()).png(source.frame()));
    }
}
