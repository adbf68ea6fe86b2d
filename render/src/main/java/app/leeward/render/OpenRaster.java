package app.leeward.render;

import app.leeward.core.art.Drawing;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Pose;
import app.leeward.core.text.PlainText;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.LayerNames;
import app.leeward.formats.export.Losses;
import app.leeward.formats.export.Option;
import app.leeward.formats.export.Scope;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/**
 * The drawings of a character as layers of pixels, after the baseline of the OpenRaster specification (freedesktop.org): a layer a part, a
 * stack where it has several drawings, those that are not shown hidden.
 */
public final class OpenRaster implements Exporter {
    private static final Format FORMAT = new Format(
            "openraster",
            "OpenRaster",
            "image/openraster",
            "ora",
            Scope.CHARACTER,
            Family.ARTWORK,
            "layers of pixels, all drawings, named as they are read");
    /** Longest side of the preview, as the specification has it. */
    private static final int PREVIEW = 256;

    @Override
    public Format format() {
        return FORMAT;
    }

    @Override
    public List<Option> options() {
        return List.of(DrawingPictures.WIDTH);
    }

    @Override
    public List<String> losses(ExportSource source) {
        List<String> all = new ArrayList<>(Losses.rig(source.character()));
        if (source.character().controls().views().isPresent()) {
            all.add("Its views come as plain parts, not as views.");
        }
        all.add("Outlines become pixels; teeth, tongues and windows are no shapes of their own any more.");
        return all;
    }

    @Override
    public void write(ExportSource source, Choices choices, OutputStream out) throws IOException {
        int width = (int) Math.round(choices.number(DrawingPictures.WIDTH.id()));
        DrawingPictures pictures = new DrawingPictures(source, width);
        Map<String, byte[]> files = new LinkedHashMap<>();
        StringBuilder layers = new StringBuilder();
        List<String> order = source.character().rig().order();
        // the topmost comes first
        for (int i = order.size() - 1; i >= 0; i--) {
            Part part = source.character().part(order.get(i)).orElseThrow();
            boolean several = part.drawings().size() > 1;
            if (several) {
                layers.append("<stack name=\"")
                        .append(escaped(LayerNames.of(part)))
                        .append("\">\n");
            }
            for (Drawing d : part.drawings()) {
                String name = several ? LayerNames.of(d) : LayerNames.of(part);
                layer(layers, files, pictures.cut(part, d), name, several && !d.id().equals(part.shown()));
            }
            if (several) {
                layers.append("</stack>\n");
            }
        }
        String stack = "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<image version=\"0.0.5\" w=\"" + pictures.width()
                + "\" h=\"" + pictures.height() + "\">\n<stack>\n" + layers + "</stack>\n</image>\n";
        ZipOutputStream zip = new ZipOutputStream(out);
        // the first file says what this is, and is not compressed
        byte[] type = "image/openraster".getBytes(StandardCharsets.US_ASCII);
        ZipEntry first = new ZipEntry("mimetype");
        first.setMethod(ZipEntry.STORED);
        first.setSize(type.length);
        CRC32 sum = new CRC32();
        sum.update(type);
        first.setCrc(sum.getValue());
        zip.putNextEntry(first);
        zip.write(type);
        zip.closeEntry();
        put(zip, "stack.xml", stack.getBytes(StandardCharsets.UTF_8));
        for (Map.Entry<String, byte[]> f : files.entrySet()) {
            put(zip, f.getKey(), f.getValue());
        }
        put(zip, "mergedimage.png", rest(source, width));
        double longest = Math.max(pictures.width(), pictures.height());
        put(zip, "Thumbnails/thumbnail.png", rest(source, (int)
                Math.max(1, Math.round(pictures.width() * Math.min(1, PREVIEW / longest)))));
        zip.finish();
    }

    private static byte[] rest(ExportSource source, int width) {
        return FramePainter.of(source.character(), width, source.images())
                .png(new Evaluator(source.character()).frame(Pose.REST));
    }

    private static void layer(
            StringBuilder into,
            Map<String, byte[]> files,
            Optional<DrawingPictures.Cut> cut,
            String name,
            boolean off) {
        if (cut.isEmpty()) {
            return;
        }
        String src = String.format("data/layer%04d.png", files.size() + 1);
        files.put(src, cut.get().png());
        into.append("<layer name=\"")
                .append(escaped(name))
                .append("\" src=\"")
                .append(src)
                .append("\" x=\"");
        into.append(cut.get().x()).append("\" y=\"").append(cut.get().y()).append("\" opacity=\"1.0\"");
        into.append(" visibility=\"").append(off ? "hidden" : "visible").append("\"/>\n");
    }

    private static void put(ZipOutputStream zip, String path, byte[] file) throws IOException {
        zip.putNextEntry(new ZipEntry(path));
        zip.write(file);
        zip.closeEntry();
    }

    private static String escaped(String text) {
        return PlainText.mended(text).replace("&", "&amp;").replace("<", "&lt;").replace("\"", "&quot;");
    }
}
