package app.leeward.demo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;

/** The demo's files. */
public final class DemoFiles {
    private DemoFiles() {}

    /** A recorded line of the demo. */
    public record Line(String name, String words, byte[] wav) {}

    /** Maren Quill, of the ferry office, as a layered SVG. */
    public static byte[] maren() {
        return bytes("maren.svg");
    }

    /** Pilchard, a stout gull with a beak in place of lips, with one mouth. */
    public static byte[] pilchard() {
        return bytes("pilchard.svg");
    }

    /** Barnaby Wick, who keeps the harbour light: drawn from the front, from three quarters and from the side. */
    public static byte[] wick() {
        return bytes("wick.svg");
    }

    /** Maren's lines, in the order she says them. */
    public static List<Line> lines() {
        return List.of(line("Boat to Sorrel", 1), line("Mind the ropes", 2));
    }

    private static Line line(String name, int number) {
        String words = new String(bytes("line-" + number + ".txt"), StandardCharsets.UTF_8).strip();
        return new Line(name, words, bytes("line-" + number + ".wav"));
    }

    private static byte[] bytes(String name) {
        try (InputStream in = DemoFiles.class.getResourceAsStream("/demo/" + name)) {
            if (in == null) {
                throw new IllegalStateException("the demo file " + name + " is missing from the build");
            }
            return in.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
