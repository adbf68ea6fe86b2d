package app.leeward.core.dial;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** Short numbers that tell whether what a dial does is still the same. */
public final class Fingerprints {
    private static final int FNV_START = 0x811c9dc5;
    private static final int FNV_TIMES = 0x01000193;

    private Fingerprints() {}

    /** A fingerprint of everything a dial does, each under a name of its own. */
    public static Map<String, Integer> of(Dial d) {
        Map<String, Integer> out = new TreeMap<>();
        d.effects().forEach(e -> out.putAll(e.fingerprints(d)));
        return out;
    }

    public static String pose(Dial d, double at, String part) {
        return d.id() + " " + at + " " + part;
    }

    public static String outline(Dial d, double at, String part) {
        return pose(d, at, part) + " outline";
    }

    public static String drawings(Dial d, String part) {
        return d.id() + " drawings " + part;
    }

    /** The name of what a correction does to a part. */
    public static String corner(Corrective k, String part) {
        return "corner " + k.a() + " " + k.atA() + " " + k.b() + " " + k.atB() + " " + part;
    }

    /** Whether a name is of where a part lies. */
    public static boolean ofLayers(String name) {
        int first = name.indexOf(' ');
        return name.startsWith("layers", first + 1) && (name.length() == first + 7 || name.charAt(first + 7) == ' ');
    }

    /** The part a name is about. */
    public static String part(String name) {
        String about = name.endsWith(" outline") ? name.substring(0, name.lastIndexOf(' ')) : name;
        return about.substring(about.lastIndexOf(' ') + 1);
    }

    public static String layers(Dial d, String part) {
        return d.id() + " layers " + part;
    }

    /** Fowler, Noll and Vo's hash (FNV-1a) over the bits of the numbers. */
    private static int fnv(int hash, double number) {
        long bits = Double.doubleToLongBits(number + 0.0);
        int h = hash;
        for (int i = 0; i < 8; i++) {
            h = (h ^ (int) (bits >>> 8 * i & 0xff)) * FNV_TIMES;
        }
        return h;
    }

    /** The standard channels always take part, so that fingerprints made before there were others stay what they are. */
    public static int of(Offset o) {
        int h = FNV_START;
        for (Channel c : Channel.STANDARD) {
            h = fnv(h, o.of(c));
        }
        List<Channel> others = o.channels().stream()
                .filter(c -> !Channel.STANDARD.contains(c))
                .sorted(Comparator.comparing(Channel::id))
                .toList();
        for (Channel c : others) {
            h = fnv(fnv(h, c.id().hashCode()), o.of(c));
        }
        return h;
    }

    public static int of(List<PointDeltas> all) {
        int h = FNV_START;
        for (PointDeltas r : all) {
            h = fnv(h, r.shape());
            for (var p : r.shifts()) {
                h = fnv(fnv(h, p.x()), p.y());
            }
        }
        return h;
    }

    public static int of(Bands bands) {
        int h = FNV_START;
        for (Band b : bands.bands()) {
            h = fnv(fnv(fnv(h, b.from()), b.to()), b.drawing().hashCode());
        }
        return h;
    }
}
