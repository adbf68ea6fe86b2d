package app.leeward.formats.raster;

import app.leeward.formats.art.ArtProblem;
import java.awt.Rectangle;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.DataInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.zip.InflaterInputStream;

/**
 * Masks of the layers of a PSD file, which the library that reads the layers passes over: channel −2 of a layer, in a rectangle of its
 * own. By the published specification of the format, "Layer and mask information section"; PSB has longer lengths.
 */
final class PsdMasks {
    /** Shows the layer where it is 255 and hides it where it is 0; outside its rectangle it is {@code beyond} everywhere. */
    record Mask(Rectangle at, byte[] shown, int beyond) {
        private int shows(int x, int y) {
            return at.contains(x, y) ? shown[(y - at.y) * at.width + x - at.x] & 0xff : beyond;
        }

        /** @param left where the layer lies on the canvas */
        BufferedImage cut(BufferedImage layer, int left, int top) {
            BufferedImage out = new BufferedImage(layer.getWidth(), layer.getHeight(), BufferedImage.TYPE_INT_ARGB);
            for (int y = 0; y < out.getHeight(); y++) {
                for (int x = 0; x < out.getWidth(); x++) {
                    int argb = layer.getRGB(x, y);
                    int alpha = Math.round((argb >>> 24) * shows(left + x, top + y) / 255f);
                    out.setRGB(x, y, alpha << 24 | argb & 0xffffff);
                }
            }
            return out;
        }
    }

    private record Channel(int id, long length) {}

    private record Record(List<Channel> channels, Rectangle mask, int beyond, boolean off) {}

    private static final int MASK = -2;
    private static final int HEADER_BEFORE_VERSION = 4;

    private final DataInputStream in;
    private boolean large;
    private int depth;

    private PsdMasks(byte[] file) {
        in = new DataInputStream(new ByteArrayInputStream(file));
    }

    /** Of each layer in the file's order, the backmost first; empty for one without a mask, or whose mask is switched off. */
    static List<Optional<Mask>> of(byte[] file) {
        try {
            return new PsdMasks(file).read();
        } catch (EOFException e) {
            throw new ArtProblem("psd-broken", "its layers", "The file is cut off within its layers.");
        } catch (IOException e) {
            throw new ArtProblem(
                    "psd-broken", "its layers", "The masks of its layers cannot be read: " + e.getMessage() + ".");
        }
    }

    private List<Optional<Mask>> read() throws IOException {
        in.skipNBytes(HEADER_BEFORE_VERSION);
        large = in.readUnsignedShort() == 2;
        in.skipNBytes(6 + 2 + 4 + 4);
        depth = in.readUnsignedShort();
        in.skipNBytes(2);
        in.skipNBytes(unsigned());
        in.skipNBytes(unsigned());
        // of the section, and of the layers in it
        if (length() == 0 || length() == 0) {
            return List.of();
        }
        int count = Math.abs(in.readShort());
        List<Record> records = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            records.add(record());
        }
        List<Optional<Mask>> out = new ArrayList<>();
        for (Record r : records) {
            Optional<Mask> mask = Optional.empty();
            for (Channel c : r.channels) {
                if (c.id == MASK && !r.mask.isEmpty() && !r.off) {
                    if (c.length > in.available()) {
                        throw new EOFException();
                    }
                    byte[] data = new byte[(int) c.length];
                    in.readFully(data);
                    mask = Optional.of(new Mask(r.mask, pixels(data, r.mask.width, r.mask.height), r.beyond));
                } else {
                    in.skipNBytes(c.length);
                }
            }
            // an empty rectangle means all of it is as beyond
            boolean nothing = r.mask.isEmpty() && r.beyond == 0 && !r.off && masked(r);
            out.add(nothing ? Optional.of(new Mask(new Rectangle(), new byte[0], 0)) : mask);
        }
        return out;
    }

    private static boolean masked(Record r) {
        return r.channels.stream().anyMatch(c -> c.id == MASK);
    }

    private Record record() throws IOException {
        in.skipNBytes(16);
        int n = in.readUnsignedShort();
        List<Channel> channels = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            channels.add(new Channel(in.readShort(), length()));
        }
        in.skipNBytes(4 + 4 + 4);
        long extra = unsigned();
        long mask = unsigned();
        Rectangle at = new Rectangle();
        int beyond = 255;
        boolean off = false;
        if (mask >= 18) {
            int top = in.readInt();
            int left = in.readInt();
            int bottom = in.readInt();
            int right = in.readInt();
            long area = ((long) bottom - top) * ((long) right - left);
            if (bottom < top || right < left || area > Pixels.MOST) {
                throw new IOException(
                        "one is said to be " + ((long) right - left) + " × " + ((long) bottom - top) + " pixels");
            }
            at = new Rectangle(left, top, right - left, bottom - top);
            beyond = in.readUnsignedByte();
            off = (in.readUnsignedByte() & 2) != 0;
            in.skipNBytes(mask - 18);
        } else {
            in.skipNBytes(mask);
        }
        in.skipNBytes(Math.max(0, extra - 4 - mask));
        return new Record(channels, at, beyond, off);
    }

    private byte[] pixels(byte[] channel, int width, int height) throws IOException {
        DataInputStream data = new DataInputStream(new ByteArrayInputStream(channel));
        int kind = data.readUnsignedShort();
        int bytes = Math.max(1, depth / 8);
        int row = width * bytes;
        byte[] raw = new byte[row * height];
        switch (kind) {
            case 0 -> data.readFully(raw);
            case 1 -> packed(data, raw, row, height);
            default -> {
                new DataInputStream(new InflaterInputStream(data)).readFully(raw);
                if (kind == 3) {
                    undone(raw, row, bytes);
                }
            }
        }
        if (bytes == 1) {
            return raw;
        }
        byte[] out = new byte[width * height];
        for (int i = 0; i < out.length; i++) {
            out[i] = raw[i * bytes];
        }
        return out;
    }

    /** PackBits, after the packed length of each row. */
    private void packed(DataInputStream data, byte[] raw, int row, int height) throws IOException {
        data.skipNBytes((long) height * (large ? 4 : 2));
        int at = 0;
        while (at < row * height) {
            int n = data.readByte();
            if (n >= 0) {
                data.readFully(raw, at, Math.min(n + 1, raw.length - at));
                at += n + 1;
            } else if (n != -128) {
                byte same = data.readByte();
                for (int end = Math.min(raw.length, at + 1 - n); at < end; at++) {
                    raw[at] = same;
                }
            }
        }
    }

    /** Each sample was stored as its difference from the one before it in the row. */
    private static void undone(byte[] raw, int row, int bytes) {
        for (int start = 0; start + row <= raw.length; start += row) {
            for (int i = start + bytes; i < start + row; i += bytes) {
                if (bytes == 1) {
                    raw[i] += raw[i - 1];
                } else {
                    int sum = ((raw[i] & 255) << 8 | raw[i + 1] & 255) + ((raw[i - 2] & 255) << 8 | raw[i - 1] & 255);
                    raw[i] = (byte) (sum >> 8);
                    raw[i + 1] = (byte) sum;
                }
            }
        }
    }

    private long unsigned() throws IOException {
        return in.readInt() & 0xffffffffL;
    }

    private long length() throws IOException {
        return large ? in.readLong() : unsigned();
    }
}
