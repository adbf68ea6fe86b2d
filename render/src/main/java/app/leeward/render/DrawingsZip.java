package app.leeward.render;

import app.leeward.core.art.Drawing;
import app.leeward.core.rig.Part;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.FileName;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Option;
import app.leeward.formats.export.Scope;
import java.io.IOException;
import java.io.OutputStream;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/** Every drawing of a character as a PNG the size of the canvas, a folder a part, in one ZIP. */
public final class DrawingsZip implements Exporter {
    private static final Format FORMAT = new Format(
            "drawings-png",
            "PNG drawings",
            "application/zip",
            "drawings.zip",
            Scope.CHARACTER,
            Family.ARTWORK,
            "every drawing in its place on the canvas, a folder a part");

    @Override
    public Format format() {
        return FORMAT;
    }

    @Override
    public List<Option> options() {
        return List.of(DrawingPictures.WIDTH);
    }

    @Override
    public void write(ExportSource source, Choices choices, OutputStream out) throws IOException {
        DrawingPictures pictures =
                new DrawingPictures(source, (int) Math.round(choices.number(DrawingPictures.WIDTH.id())));
        ZipOutputStream zip = new ZipOutputStream(out);
        // they are compressed as they are
        zip.setLevel(Deflater.NO_COMPRESSION);
        Set<String> taken = new HashSet<>();
        for (Part p : source.character().rig().parts()) {
            for (Drawing d : p.drawings()) {
                String path = FileName.stem(p.id()) + "/" + FileName.stem(d.id());
                String free = path;
                for (int n = 2; !taken.add(free); n++) {
                    free = path + "-" + n;
                }
                zip.putNextEntry(new ZipEntry(free + ".png"));
                zip.write(pictures.whole(p, d));
                zip.closeEntry();
            }
        }
        zip.finish();
    }
}
