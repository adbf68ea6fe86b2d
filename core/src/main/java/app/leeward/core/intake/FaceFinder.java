package app.leeward.core.intake;

import app.leeward.core.art.Box;
import app.leeward.core.art.Paint;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/** Finds the skin of a face among layers whose names say nothing, from what lies inside it in pairs. */
final class FaceFinder {
    /** Names that programs give by themselves. */
    private static final Pattern GENERIC = Pattern.compile(
            "([a-z]{1,3}[\\s_-]*\\d+|(symbol|layer|ebene|calque|capa|group|gruppe|groupe|grupo|path|shape|rect|ellipse|circle|polygon|use"
                    + "|svg|unnamed layer|loose shapes|pfad|objekt|object)?[\\s_-]*\\d*)([\\s_-]+\\d+)*( loose shapes)?",
            Pattern.CASE_INSENSITIVE);

    /** How unlike in size and height two of a pair may be, as a share of their width. */
    private static final double ALIKE = 0.06;
    /** How far from the middle of the skin the middle of a pair may be, as a share of the skin's width. */
    private static final double CENTRED = 0.04;

    /** The smallest layer with so large a share of the most pairs is the skin. */
    private static final double ENOUGH = 0.6;

    /** How near its edge a pair may come that speaks for a skin, as a share of half its width. */
    private static final double EDGE = 0.82;

    private record Seen(LayerReading.Found of, Box box) {}

    private record Held(LayerReading.Found of, Box box, long pairs) {}

    private FaceFinder() {}

    /** Whether hardly any of a file's layers has a name somebody gave it. */
    static boolean nameless(List<String> names) {
        long named = names.stream().filter(n -> !generic(n)).count();
        return named * 5 <= names.size();
    }

    /** Whether a name is one that programs give by themselves. */
    static boolean generic(String name) {
        return GENERIC.matcher(name.strip()).matches();
    }

    /** The filled layer with many pairs in it that stand evenly about its middle. */
    static Optional<LayerReading.Found> find(List<LayerReading.Found> found) {
        List<Seen> seen = new ArrayList<>();
        for (LayerReading.Found f : found) {
            if (f.firstVisible != null) {
                Assembler.boundsOf(f)
                        .filter(b -> b.width() > 0 && b.height() > 0)
                        .ifPresent(b -> seen.add(new Seen(f, b)));
            }
        }
        List<Held> skins = seen.stream()
                .filter(s -> filled(s.of))
                .map(s ->
                        new Held(s.of, s.box, pairs(seen.stream().map(Seen::box).toList(), s.box)))
                .filter(h -> h.pairs > 0)
                .toList();
        if (skins.isEmpty()) {
            return alone(seen);
        }
        long most = skins.stream().mapToLong(Held::pairs).max().orElse(0);
        // hair behind the head holds the ears too
        return skins.stream()
                .filter(h -> h.pairs >= ENOUGH * most)
                .min(Comparator.comparingDouble(h -> h.box.width() * h.box.height()))
                .map(Held::of);
    }

    /** A face without pairs, of a single eye say: the smallest layer that has three others in it, on its middle. */
    private static Optional<LayerReading.Found> alone(List<Seen> seen) {
        return seen.stream()
                .filter(s -> filled(s.of))
                .filter(s -> seen.stream()
                                .filter(o -> o != s && within(o.box, s.box) && o.box.width() < 0.6 * s.box.width())
                                .filter(o -> Math.abs(o.box.centre().x()
                                                - s.box.centre().x())
                                        < CENTRED * s.box.width())
                                .count()
                        > 2)
                .min(Comparator.comparingDouble(s -> s.box.width() * s.box.height()))
                .map(Seen::of);
    }

    private static long pairs(List<Box> all, Box skin) {
        List<Box> inside = all.stream()
                .filter(b -> within(b, skin) && b.width() < 0.6 * skin.width() && inner(b, skin))
                .toList();
        long pairs = 0;
        for (int i = 0; i < inside.size(); i++) {
            for (int k = i + 1; k < inside.size(); k++) {
                pairs += pair(inside.get(i), inside.get(k), skin) ? 1 : 0;
            }
        }
        return pairs;
    }

    private static boolean filled(LayerReading.Found f) {
        return f.drawings.stream()
                .filter(d -> d.id().equals(f.firstVisible))
                .flatMap(d -> d.art().shapes().stream())
                .anyMatch(s -> !(s.fill() instanceof Paint.None));
    }

    private static boolean within(Box small, Box large) {
        return small.minX() >= large.minX()
                && small.maxX() <= large.maxX()
                && small.minY() >= large.minY()
                && small.maxY() <= large.maxY();
    }

    /** What hair behind a head holds besides what the skin does, the ears, lies near its edge. */
    private static boolean inner(Box b, Box skin) {
        double reach =
                Math.max(skin.centre().x() - b.minX(), b.maxX() - skin.centre().x());
        return reach < EDGE * skin.width() / 2;
    }

    private static boolean pair(Box a, Box b, Box skin) {
        double size = Math.max(a.width(), b.width());
        boolean apart = a.maxX() <= b.minX() || b.maxX() <= a.minX();
        return apart
                && Math.abs(a.width() - b.width()) < ALIKE * size
                && Math.abs(a.height() - b.height()) < ALIKE * size
                && Math.abs(a.minY() - b.minY()) < ALIKE * size
                && Math.abs((a.centre().x() + b.centre().x()) / 2
                                - skin.centre().x())
                        < CENTRED * skin.width();
    }
}
