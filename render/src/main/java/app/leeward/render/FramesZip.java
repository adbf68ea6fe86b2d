package app.leeward.render;

import app.leeward.formats.export.Choices;
import app.leeward.formats.export.DrawnAs;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Option;
import app.leeward.formats.export.Scope;
import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import java.util.Locale;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/** Every frame of a shot as a PNG on clear ground, numbered from 1 so that their names sort, in one ZIP. */
public final class FramesZip implements Exporter {
    private static final Format FORMAT = new Format(
            "frames-png",
            "PNG frames",
            "application/zip",
            "zip",
            Scope.SHOT,
            Family.PICTURES,
            "every frame on clear ground, numbered, in one ZIP");

    @Override
    public Format format() {
        return FORMAT;
    }

    @Override
    public boolean drawsFrames() {
        return true;
    }

    @Override
    public List<Option> options() {
        return List.of(FilmEncoder.WIDTH);
    }

    @Override
    public void write(ExportSource source, Choices choices, OutputStream out) throws IOException {
        int width = (int) Math.round(choices.number(FilmEncoder.WIDTH.id()));
        ZipOutputStream zip = new ZipOutputStream(out);
        // they are compressed as they are
        zip.setLevel(Deflater.NO_COMPRESSION);
        source.work().each(new FrameRun(source, new DrawnAs(width, DrawnAs.Kind.PNG)), (f, png) -> {
            zip.putNextEntry(new ZipEntry(String.format(Locale.ROOT, "frame-%05d.png", f + 1)));
            zip.write(png);
            zip.closeEntry();
        });
        zip.finish();
    }
}
