package app.leeward.e2e;

import app.leeward.core.eval.Evaluator;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Pose;
import app.leeward.demo.DemoFiles;
import app.leeward.formats.svg.SvgReader;
import app.leeward.render.FramePainter;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;

/** Maren in front of a camera, of whom it is known what she does: a film as Chromium plays it into a page (YUV4MPEG2). */
final class ActedFilm {
    /** Seconds in which she keeps still at first. */
    static final double STILL = 14;

    static final double SECONDS = 84;
    private static final int RATE = 4;
    private static final int WIDTH = 640;
    private static final int HEIGHT = 480;

    private static final double[][] SHUT = {{20, 25}, {33, 39}, {47, 52}, {61, 67}, {76, 80}};

    private ActedFilm() {}

    /** Degrees; two slow waves that do not meet in the length of the film. */
    static double turn(double at) {
        double t = at - STILL;
        return t < 0 ? 0 : 17 * Math.sin(2 * Math.PI * t / 29.0) + 8 * Math.sin(2 * Math.PI * t / 12.7);
    }

    /** 0 shut, 0.5 half open, 1 wide open. */
    static double jaw(double at) {
        double t = at - STILL;
        double s = t < 0 ? 0 : Math.sin(2 * Math.PI * t / 19.0);
        return s > 0.6 ? 1 : s > 0.1 ? 0.5 : 0;
    }

    static double blink(double at) {
        for (double[] s : SHUT) {
            if (at >= s[0] && at < s[1]) {
                return 1;
            }
        }
        return 0;
    }

    static Path write() throws IOException {
        Character maren = ((IntakeResult.Hung) SvgReader.read(DemoFiles.maren()).assembled("Maren", 24)).character();
        Evaluator evaluator = new Evaluator(maren);
        FramePainter painter = FramePainter.of(maren, HEIGHT, hash -> {
            throw new IllegalStateException("no pictures");
        });
        String mouth = maren.voice().mouths().part().orElseThrow();
        Path file = Files.createTempFile("leeward", ".y4m");
        file.toFile().deleteOnExit();
        try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file), 1 << 20)) {
            out.write(("YUV4MPEG2 W" + WIDTH + " H" + HEIGHT + " F" + RATE + ":1 Ip A1:1 C420jpeg\n")
                    .getBytes(StandardCharsets.US_ASCII));
            for (int f = 0; f < SECONDS * RATE; f++) {
                double at = f / (double) RATE;
                String drawing = jaw(at) == 1 ? "ah" : jaw(at) > 0 ? "eh-starting-mouth" : "rest";
                Pose pose = new Pose(
                        Map.of("turn", turn(at), "blink", blink(at)), Map.of(), Map.of(mouth, drawing), Map.of());
                out.write("FRAME\n".getBytes(StandardCharsets.US_ASCII));
                out.write(yuv(painter.pixels(evaluator.frame(pose), true), painter.width(), painter.height()));
            }
        }
        return file;
    }

    /** Full-range BT.601, as the JPEG File Interchange Format states it; one colour for four dots. */
    private static byte[] yuv(byte[] rgba, int width, int height) {
        byte[] out = new byte[WIDTH * HEIGHT * 3 / 2];
        int left = (WIDTH - width) / 2;
        for (int y = 0; y < HEIGHT; y++) {
            for (int x = 0; x < WIDTH; x++) {
                int at = (y * width + x - left) * 4;
                boolean inside = x >= left && x < left + width && y < height;
                double r = inside ? rgba[at] & 255 : 255;
                double g = inside ? rgba[at + 1] & 255 : 255;
                double b = inside ? rgba[at + 2] & 255 : 255;
                out[y * WIDTH + x] = (byte) Math.round(0.299 * r + 0.587 * g + 0.114 * b);
                if ((x & 1) == 0 && (y & 1) == 0) {
                    int chroma = WIDTH * HEIGHT + y / 2 * (WIDTH / 2) + x / 2;
                    out[chroma] = (byte) Math.round(128 - 0.168736 * r - 0.331264 * g + 0.5 * b);
                    out[chroma + WIDTH * HEIGHT / 4] = (byte) Math.round(128 + 0.5 * r - 0.418688 * g - 0.081312 * b);
                }
            }
        }
        return out;
    }
}
