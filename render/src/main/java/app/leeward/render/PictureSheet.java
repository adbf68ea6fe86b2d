package app.leeward.render;

import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.shot.Shot;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.DrawnAs;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Losses;
import app.leeward.formats.export.Option;
import app.leeward.formats.export.PlainZip;
import app.leeward.formats.export.Scope;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import javax.imageio.ImageIO;

/**
 * Every picture of a shot on as few sheets as hold them, cut to what is drawn, with a list of where each lies and how long it is held:
 * what games and pages play.
 */
public final class PictureSheet implements Exporter {
    private static final Format FORMAT = new Format(
            "picture-sheet",
            "Picture sheet",
            "application/zip",
            "sheet.zip",
            Scope.SHOT,
            Family.PICTURES,
            "every picture on one sheet, with a list of where each lies");
    private static final Option WIDTH = new Option("sheet-width", "Each picture", "pixels", 16, 1920, 320);
    private static final ObjectMapper JSON = new ObjectMapper();
    /** What every graphics card takes. */
    private static final int SIDE = 4096;
    /** Clear pixels between pictures, so that none shines into its neighbour when they are scaled. */
    private static final int BETWEEN = 2;

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
        return List.of(WIDTH);
    }

    @Override
    public List<String> losses(ExportSource source) {
        return Losses.sound(source);
    }

    @Override
    public void write(ExportSource source, Choices choices, OutputStream out) throws IOException {
        Shot shot = source.shot().orElseThrow();
        int width = (int) Math.round(choices.number(WIDTH.id()));
        FramePainter size = FramePainter.of(source.character(), width, source.images());
        if (size.height() > SIDE) {
            throw new Refusal(
                    RefusalCode.EXPORT_OPTION,
                    "Pictures " + width + " wide would be " + size.height() + " high, and a sheet has " + SIDE
                            + " pixels each way. Make them narrower.");
        }
        PlainZip zip = new PlainZip(out);
        Packing packing = new Packing(zip, size.width(), size.height());
        source.work()
                .each(new FrameRun(source, new DrawnAs(width, DrawnAs.Kind.CLEAR)), (f, pixels) -> packing.add(pixels));
        packing.end();
        ObjectNode list = JSON.createObjectNode()
                .put("name", shot.name())
                .put("frameRate", shot.rules().frameRate())
                .put("frames", shot.frames())
                .put("width", size.width())
                .put("height", size.height());
        list.set("sheets", packing.sheets);
        list.set("pictures", packing.pictures);
        zip.put("sheet.json", (list.toPrettyString() + "\n").getBytes(StandardCharsets.UTF_8));
        zip.finish();
    }

    /** Puts pictures side by side in rows, and begins a sheet where one is full. */
    private static final class Packing {
        private final PlainZip zip;
        private final int wide;
        private final int high;
        private final ArrayNode sheets = JSON.createArrayNode();
        private final ArrayNode pictures = JSON.createArrayNode();
        private BufferedImage sheet = begun();
        private int x;
        private int y;
        private int row;
        private int right;
        private int bottom;
        private byte[] last;

        Packing(PlainZip zip, int wide, int high) {
            this.zip = zip;
            this.wide = wide;
            this.high = high;
        }

        private static BufferedImage begun() {
            return new BufferedImage(SIDE, SIDE, BufferedImage.TYPE_INT_ARGB);
        }

        /** @param pixels of a frame; the very ones of the frame before where it is held */
        void add(byte[] pixels) throws IOException {
            if (pixels == last) {
                ObjectNode held = (ObjectNode) pictures.get(pictures.size() - 1);
                held.put("held", held.get("held").asInt() + 1);
                return;
            }
            last = pixels;
            int left = wide;
            int top = high;
            int to = 0;
            int low = 0;
            for (int i = 0; i < wide * high; i++) {
                if (pixels[4 * i + 3] != 0) {
                    left = Math.min(left, i % wide);
                    to = Math.max(to, i % wide + 1);
                    top = Math.min(top, i / wide);
                    low = i / wide + 1;
                }
            }
            boolean empty = to == 0;
            int w = empty ? 0 : to - left;
            int h = empty ? 0 : low - top;
            if (x + w > SIDE) {
                x = 0;
                y += row + BETWEEN;
                row = 0;
            }
            if (y + h > SIDE) {
                put();
            }
            for (int i = 0; i < w * h; i++) {
                int at = 4 * ((top + i / w) * wide + left + i % w);
                sheet.setRGB(
                        x + i % w,
                        y + i / w,
                        (pixels[at + 3] & 255) << 24
                                | (pixels[at] & 255) << 16
                                | (pixels[at + 1] & 255) << 8
                                | pixels[at + 2] & 255);
            }
            pictures.addObject()
                    .put("sheet", sheets.size())
                    .put("x", x)
                    .put("y", y)
                    .put("width", w)
                    .put("height", h)
                    .put("left", empty ? 0 : left)
                    .put("top", empty ? 0 : top)
                    .put("held", 1);
            right = Math.max(right, x + w);
            bottom = Math.max(bottom, y + h);
            row = Math.max(row, h);
            x += w + BETWEEN;
        }

        /** A full sheet goes out, cut to what lies on it. */
        private void put() throws IOException {
            String file = String.format(Locale.ROOT, "sheet-%02d.png", sheets.size() + 1);
            ByteArrayOutputStream png = new ByteArrayOutputStream();
            ImageIO.write(sheet.getSubimage(0, 0, Math.max(1, right), Math.max(1, bottom)), "png", png);
            zip.put(file, png.toByteArray());
            sheets.addObject()
                    .put("file", file)
                    .put("width", Math.max(1, right))
                    .put("height", Math.max(1, bottom));
            sheet = begun();
            x = 0;
            y = 0;
            row = 0;
            right = 0;
            bottom = 0;
        }

        void end() throws IOException {
            put();
        }
    }
}
