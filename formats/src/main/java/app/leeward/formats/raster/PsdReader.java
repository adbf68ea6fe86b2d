package app.leeward.formats.raster;

import app.leeward.core.art.Clip;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Shape;
import app.leeward.core.intake.Layer;
import app.leeward.core.rig.Canvas;
import app.leeward.core.rig.Note;
import app.leeward.formats.art.ArtProblem;
import app.leeward.formats.art.CutPictures;
import app.leeward.formats.art.LayeredArt;
import com.twelvemonkeys.imageio.plugins.psd.PSDImageReaderSpi;
import java.awt.Rectangle;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;

/**
 * Reads layered PSD and PSB files, which most painting programs write: groups, names, opacity, what is hidden, masks, layers clipped to
 * the one below, blending. The pixels are the library's work, the masks {@link PsdMasks}'. What has no pixels of its own (an adjustment,
 * an effect) is told and left out.
 */
public final class PsdReader {
    private static final String TREE = "com_twelvemonkeys_imageio_psd_image_1.0";
    private static final int HIDDEN = 2;
    private static final double OPAQUE = 255;
    /** Bytes a layer takes while it is unpacked, masked and cropped, a pixel. */
    private static final long PIXEL = 12;

    private final ImageReader reader;
    private final List<Record> records;
    private final List<Optional<PsdMasks.Mask>> masks;
    private final Pixels pixels = new Pixels();
    private final CutPictures cut = new CutPictures();
    private final List<Note> notes = new ArrayList<>();
    private Optional<Blending> ground = Optional.empty();

    /** One layer as the file lists it, the backmost first; a group ends the layers that are in it. */
    private record Record(
            String name, Rectangle at, double opacity, boolean hidden, boolean clipped, String mode, Kind kind) {
        static Record of(Element e) {
            int left = number(e, "left");
            int top = number(e, "top");
            Kind kind = "true".equals(e.getAttribute("sectionDivider"))
                    ? Kind.FIRST_OF_GROUP
                    : "true".equals(e.getAttribute("group")) ? Kind.GROUP : Kind.PIXELS;
            return new Record(
                    e.getAttribute("name"),
                    new Rectangle(left, top, number(e, "right") - left, number(e, "bottom") - top),
                    number(e, "opacity") / OPAQUE,
                    (number(e, "flags") & HIDDEN) != 0,
                    "non-base".equals(e.getAttribute("clipping")),
                    e.getAttribute("blendMode"),
                    kind);
        }

        private static int number(Element e, String name) {
            return Integer.parseInt(e.getAttribute(name));
        }

        boolean plain() {
            return mode.equals("norm") || mode.equals("pass");
        }
    }

    private enum Kind {
        FIRST_OF_GROUP,
        PIXELS,
        GROUP
    }

    /** What layers are clipped to: its picture where it lies, and its outline. */
    private record Base(BufferedImage image, Rectangle at, Optional<Shape> shape, boolean hidden) {}

    /** A group being read: where its children are put, what masks and hides them. */
    private static final class Open {
        final List<Layer.Node> nodes = new ArrayList<>();
        final List<PsdMasks.Mask> masks;
        final double opacity;
        final boolean concealed;
        Base base;

        Open(List<PsdMasks.Mask> masks, double opacity, boolean concealed) {
            this.masks = masks;
            this.opacity = opacity;
            this.concealed = concealed;
        }
    }

    private PsdReader(ImageReader reader, List<Record> records, List<Optional<PsdMasks.Mask>> masks) {
        this.reader = reader;
        this.records = records;
        this.masks = masks;
    }

    /** @throws ArtProblem when it cannot be read or must not be */
    public static LayeredArt read(byte[] file) {
        return opened(file, (reader, records) -> {
            if (records.stream().noneMatch(r -> r.kind == Kind.PIXELS && !r.at.isEmpty())) {
                throw new ArtProblem(
                        "psd-flat",
                        "the whole file",
                        "This PSD file holds no layers of 8 bits a channel that could be read: save it with its layers, in 8 bits a"
                                + " channel, and drop it again.");
            }
            List<Optional<PsdMasks.Mask>> masks = PsdMasks.of(file);
            return new PsdReader(reader, records, masks).art();
        });
    }

    /**
     * Bytes of memory that reading takes at a time, as the file itself says.
     *
     * @throws ArtProblem when it cannot be read
     */
    public static long heaviest(byte[] file) {
        return opened(
                file,
                (reader, records) -> PIXEL
                        * records.stream()
                                .mapToLong(r -> (long) r.at.width * r.at.height)
                                .filter(a -> a > 0)
                                .max()
                                .orElse(0));
    }

    private interface Reading<T> {
        T of(ImageReader reader, List<Record> records) throws IOException;
    }

    private static <T> T opened(byte[] file, Reading<T> reading) {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            ImageReader reader = new PSDImageReaderSpi().createReaderInstance(null);
            try {
                reader.setInput(in);
                NodeList layers =
                        ((Element) reader.getImageMetadata(0).getAsTree(TREE)).getElementsByTagName("LayerInfo");
                List<Record> records = new ArrayList<>();
                for (int i = 0; i < layers.getLength(); i++) {
                    records.add(Record.of((Element) layers.item(i)));
                }
                return reading.of(reader, records);
            } finally {
                reader.dispose();
            }
        } catch (ArtProblem p) {
            throw p;
        } catch (IOException | RuntimeException | AssertionError e) {
            // a broken file makes the library fail in many ways
            throw new ArtProblem(
                    "psd-broken", "the whole file", "The PSD file is broken or cut off and cannot be read.");
        }
    }

    private LayeredArt art() throws IOException {
        Canvas canvas = new Canvas(reader.getWidth(0), reader.getHeight(0));
        ground = records.stream().anyMatch(r -> BlendMode.called(r.mode).isPresent())
                ? Blending.over(canvas.width(), canvas.height())
                : Optional.empty();
        Deque<Open> open = new ArrayDeque<>();
        open.push(new Open(List.of(), 1, false));
        for (int i = 0; i < records.size(); i++) {
            Record r = records.get(i);
            switch (r.kind) {
                case FIRST_OF_GROUP -> open.push(inside(i, open.peek()));
                case GROUP -> closed(r, open);
                case PIXELS -> layer(i, r, open.peek());
            }
        }
        while (open.size() > 1) {
            Open rest = open.pop();
            open.peek().nodes.addAll(rest.nodes);
        }
        Layer root = new Layer("", false, open.peek().nodes);
        return new LayeredArt(Optional.empty(), canvas, root, notes, pixels.images(), true, cut);
    }

    /** What a group whose layers begin here says of them; it is listed after them. */
    private Open inside(int at, Open within) {
        int depth = 0;
        for (int i = at; i < records.size(); i++) {
            depth += records.get(i).kind == Kind.FIRST_OF_GROUP ? 1 : records.get(i).kind == Kind.GROUP ? -1 : 0;
            if (depth == 0) {
                List<PsdMasks.Mask> all = new ArrayList<>(within.masks);
                mask(i).ifPresent(all::add);
                Record group = records.get(i);
                return new Open(all, within.opacity * group.opacity, within.concealed || group.hidden);
            }
        }
        return new Open(within.masks, within.opacity, within.concealed);
    }

    private void closed(Record group, Deque<Open> open) {
        if (open.size() == 1) {
            return;
        }
        Open done = open.pop();
        Open within = open.peek();
        within.nodes.add(new Layer.Group(new Layer(group.name, group.hidden, done.nodes)));
        within.base = null;
        if (!group.plain()) {
            notes.add(Blending.lost(group.name, group.mode.strip()));
        }
        if (group.clipped) {
            noteClip(group);
        }
    }

    private Optional<PsdMasks.Mask> mask(int i) {
        return i < masks.size() ? masks.get(i) : Optional.empty();
    }

    private void layer(int i, Record r, Open within) throws IOException {
        if (r.at.width <= 0 || r.at.height <= 0) {
            notes.add(new Note(
                    "layer-without-pixels",
                    r.name,
                    "'" + r.name
                            + "' holds no pixels of its own (an adjustment, an effect, or nothing) and is left out."));
            return;
        }
        int[] size = {r.at.width, r.at.height};
        pixels.expect(size, r.name);
        BufferedImage image = unpacked(i);
        List<PsdMasks.Mask> all = new ArrayList<>(within.masks);
        mask(i).ifPresent(all::add);
        for (PsdMasks.Mask m : all) {
            image = m.cut(image, r.at.x, r.at.y);
        }
        Base base = r.clipped ? within.base : null;
        boolean hidden = r.hidden || base != null && base.hidden;
        boolean unseen = hidden || within.concealed;
        image = blended(r, image, unseen);
        double opacity = within.opacity * r.opacity;
        Optional<Shape> shape = pixels.shape(image, "", Matrix.translate(r.at.x, r.at.y), opacity);
        if (base != null && shape.isPresent()) {
            shape = clipped(shape.get(), r, image, base, opacity);
        } else if (r.clipped) {
            noteClip(r);
        }
        if (ground.isPresent() && !unseen && shape.isPresent()) {
            ground.get().lay(base == null ? image : through(image, r.at, base), r.at.x, r.at.y, opacity);
        }
        if (!r.clipped) {
            within.base = new Base(image, r.at, shape, hidden);
        }
        within.nodes.add(new Layer.Group(new Layer(
                r.name,
                hidden,
                shape.map(s -> List.<Layer.Node>of(new Layer.Leaf(s))).orElse(List.of()))));
    }

    private BufferedImage unpacked(int i) throws IOException {
        // the first picture of the file is all its layers in one
        BufferedImage read = reader.read(i + 1);
        BufferedImage argb = new BufferedImage(read.getWidth(), read.getHeight(), BufferedImage.TYPE_INT_ARGB);
        argb.createGraphics().drawImage(read, 0, 0, null);
        return argb;
    }

    private BufferedImage blended(Record r, BufferedImage image, boolean unseen) {
        Optional<BlendMode> mode = BlendMode.called(r.mode);
        if (mode.isPresent() && ground.isPresent() && !unseen && Blending.fits(image)) {
            notes.add(Blending.note(r.name, r.mode.strip()));
            return ground.get().mixed(image, r.at.x, r.at.y, mode.get());
        }
        if (!r.plain()) {
            notes.add(Blending.lost(r.name, r.mode.strip()));
        }
        return image;
    }

    /** Whole, with the outline of what it is clipped to as its clip, and beside it as it is seen; or nothing where all is hidden. */
    private Optional<Shape> clipped(Shape whole, Record r, BufferedImage image, Base base, double opacity) {
        BufferedImage through = through(image, r.at, base);
        if (same(image, through)) {
            return Optional.of(whole);
        }
        Optional<Shape> seen = pixels.shape(through, "", Matrix.translate(r.at.x, r.at.y), opacity);
        if (seen.isEmpty() || base.shape.isEmpty()) {
            return Optional.empty();
        }
        Shape cutBy = whole.withClips(List.of(new Clip(base.shape.get().path(), FillRule.EVENODD)));
        cut.put(cutBy, seen.get());
        return Optional.of(cutBy);
    }

    private static BufferedImage through(BufferedImage image, Rectangle at, Base base) {
        BufferedImage out = new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_INT_ARGB);
        for (int y = 0; y < out.getHeight(); y++) {
            for (int x = 0; x < out.getWidth(); x++) {
                int bx = x + at.x - base.at.x;
                int by = y + at.y - base.at.y;
                boolean on = bx >= 0 && by >= 0 && bx < base.image.getWidth() && by < base.image.getHeight();
                int alpha = on ? base.image.getRGB(bx, by) >>> 24 : 0;
                int argb = image.getRGB(x, y);
                out.setRGB(x, y, Math.round((argb >>> 24) * alpha / 255f) << 24 | argb & 0xffffff);
            }
        }
        return out;
    }

    private static boolean same(BufferedImage a, BufferedImage b) {
        for (int y = 0; y < a.getHeight(); y++) {
            for (int x = 0; x < a.getWidth(); x++) {
                if (a.getRGB(x, y) >>> 24 != b.getRGB(x, y) >>> 24) {
                    return false;
                }
            }
        }
        return true;
    }

    private void noteClip(Record r) {
        notes.add(new Note(
                "clip-not-kept", r.name, "'" + r.name + "' is clipped to a group, or to nothing; it is kept whole."));
    }
}
