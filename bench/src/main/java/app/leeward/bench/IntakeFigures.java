package app.leeward.bench;

import app.leeward.core.intake.AxisFinder;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.rig.Character;
import app.leeward.demo.DemoFiles;
import app.leeward.formats.art.ArtProblem;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.file.ArtReader;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Locale;
import java.util.Random;

/**
 * Reading large art, finding its axis, ten thousand broken files, and edits to a running server. Argument: the server's
 * address on the loopback. Meant to be run with 512 MB of heap.
 */
public final class IntakeFigures {
    private static final String[] ROLES = {"brow left", "brow right", "ear left", "ear right", "nose", "cap", "fringe"};

    /** Points of each of 2000 outlines that make the file about 20 MB. */
    private static final int LARGE = 178;

    private IntakeFigures() {}

    public static void main(String[] args) throws Exception {
        URI base = URI.create(args[0]);
        if (!"127.0.0.1".equals(base.getHost())) {
            throw new IllegalArgumentException("only this machine is ever asked: http://127.0.0.1:…");
        }
        large();
        upload(base);
        broken(10_000);
        edits(base, DemoFiles.maren(), "Maren, 42 parts");
        edits(base, parts(1000, 1), "1000 parts");
    }

    /** A drawing of so many parts, each a wobbly mirrored pair of outlines of {@code points} points. */
    private static byte[] parts(int count, int points) {
        Random random = new Random(3);
        StringBuilder svg = new StringBuilder(
                "<svg viewBox='0 0 4000 4000'><g id='face skin'><circle cx='2000' cy='2000' r='900'/></g>");
        for (int i = 0; i < count; i++) {
            double x = 150 + random.nextInt(1500);
            double y = 300 + random.nextInt(3400);
            StringBuilder left = new StringBuilder("M" + (2000 - x) + " " + y);
            StringBuilder right = new StringBuilder("M" + (2000 + x) + " " + y);
            for (int k = 0; k < points; k++) {
                double dx = 10 + 30 * random.nextDouble();
                double dy = 30 * random.nextDouble() - 15;
                curve(left, 2000 - x, y, -dx, dy);
                curve(right, 2000 + x, y, dx, dy);
            }
            svg.append("<g id='")
                    .append(i < ROLES.length ? ROLES[i] : "piece " + i)
                    .append("'>");
            String fill = String.format("#%06x", random.nextInt(1 << 24));
            svg.append("<path fill='").append(fill).append("' d='").append(left).append("Z'/>");
            svg.append("<path fill='")
                    .append(fill)
                    .append("' d='")
                    .append(right)
                    .append("Z'/></g>");
        }
        return svg.append("</svg>").toString().getBytes(StandardCharsets.UTF_8);
    }

    private static void curve(StringBuilder d, double x, double y, double dx, double dy) {
        d.append(String.format(
                Locale.ROOT,
                "C%.4f %.4f %.4f %.4f %.4f %.4f",
                x + dx,
                y - dy,
                x + 2 * dx,
                y + 2 * dy,
                x + dx,
                y + 3 * dy));
    }

    private static void large() {
        byte[] file = parts(1000, LARGE);
        for (int round = 0; round < 3; round++) {
            long from = System.nanoTime();
            LayeredArt art = ArtReader.read(file);
            Character c = ((IntakeResult.Hung) art.assembled("large", 24)).character();
            long read = System.nanoTime();
            double axis = AxisFinder.find(c).orElseThrow().x();
            double[] took = new double[5];
            for (int i = 0; i < took.length; i++) {
                long asked = System.nanoTime();
                AxisFinder.find(c);
                took[i] = (System.nanoTime() - asked) / 1e6;
            }
            Arrays.sort(took);
            System.out.printf(
                    Locale.ROOT,
                    "SVG of %.1f MB with 2001 shapes: read and hung in %.2f s; its axis found at %.2f in %.0f ms (%.0f to %.0f); heap limit %d MB%n",
                    file.length / 1048576.0,
                    (read - from) / 1e9,
                    axis,
                    took[took.length / 2],
                    took[0],
                    took[took.length - 1],
                    Runtime.getRuntime().maxMemory() / 1048576);
        }
    }

    /** What somebody waits for who drops such a file: until the character is there, and its shapes with it. */
    private static void upload(URI base) throws Exception {
        Api http = new Api(base.toString());
        byte[] file = parts(1000, LARGE);
        for (int round = 0; round < 3; round++) {
            long from = System.nanoTime();
            String id = http.character("a.svg", file);
            long made = System.nanoTime();
            http.get("/api/v1/characters/" + id + "/artwork").good();
            System.out.printf(
                    Locale.ROOT,
                    "SVG of %.1f MB dropped on a running server: a character in %.2f s, its shapes in %.2f s more%n",
                    file.length / 1048576.0,
                    (made - from) / 1e9,
                    (System.nanoTime() - made) / 1e9);
        }
    }

    private static byte[] mutated(byte[] file, Random random) {
        byte[] out = file.clone();
        for (int i = random.nextInt(8); i >= 0; i--) {
            int at = random.nextInt(out.length);
            int n = Math.min(out.length - at, 1 + random.nextInt(40));
            if (random.nextBoolean()) {
                random.ints(n).forEach(v -> out[at + Math.floorMod(v, n)] = (byte) (v >> 8));
            } else {
                System.arraycopy(out, random.nextInt(out.length - n), out, at, n);
            }
        }
        return out;
    }

    private static void broken(int files) {
        byte[] art = DemoFiles.maren();
        int read = 0;
        int refused = 0;
        long slowest = 0;
        for (int seed = 0; seed < files; seed++) {
            long from = System.nanoTime();
            try {
                LayeredArt a = ArtReader.read(mutated(art, new Random(seed)));
                a.assembled("broken", 24);
                read++;
            } catch (ArtProblem e) {
                refused++;
            } catch (RuntimeException e) {
                throw new IllegalStateException("a fault at seed " + seed, e);
            }
            slowest = Math.max(slowest, System.nanoTime() - from);
        }
        System.out.printf(
                Locale.ROOT,
                "%d broken files: %d read, %d refused with a reason, no fault, slowest %.0f ms%n",
                files,
                read,
                refused,
                slowest / 1e6);
    }

    private static void edits(URI base, byte[] svg, String what) throws Exception {
        Api http = new Api(base.toString());
        String id = http.character("a.svg", svg);
        int count = 240;
        long[] times = new long[count];
        for (int i = 0; i < count; i++) {
            long from = System.nanoTime();
            http.post(
                            "/api/v1/characters/" + id + "/edits",
                            "{\"base\":" + (i + 1)
                                    + ",\"edit\":{\"kind\":\"nudge\",\"part\":\"nose\",\"dx\":1,\"dy\":0}}")
                    .good();
            times[i] = System.nanoTime() - from;
        }
        long[] warm = Arrays.copyOfRange(times, 40, count);
        Arrays.sort(warm);
        System.out.printf(
                Locale.ROOT,
                "edit answered, %s: median %.1f ms, 95th percentile %.1f ms%n",
                what,
                warm[warm.length / 2] / 1e6,
                warm[(int) (warm.length * 0.95)] / 1e6);
    }
}
