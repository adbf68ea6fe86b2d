package app.leeward.core.rig;

import app.leeward.core.cue.Cue;
import app.leeward.core.cue.Key;
import app.leeward.core.dial.Bands;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.PointDeltas;
import app.leeward.core.dial.Stop;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Takes a dial that poses both sides apart into one for each side (a blink into two winks), and puts the two together again.
 * Looks and cues that name it follow.
 */
public final class DialSides {
    private static final String LEFT = "-left";
    private static final String RIGHT = "-right";

    private DialSides() {}

    /** Whether every part the dial poses has a side, and both sides are among them. */
    public static boolean canSplit(Character c, Dial d) {
        List<Side> sides = parts(d).map(p -> sideOf(c, p)).toList();
        return sides.contains(Side.LEFT) && sides.contains(Side.RIGHT) && !sides.contains(Side.NONE);
    }

    /**
     * The side of the character a part is on. A view from the side shows one eye and need not say which: of a head that looks to
     * the screen's right the right side is seen.
     */
    private static Side sideOf(Character c, String part) {
        Side said = c.part(part).map(Part::side).orElse(Side.NONE);
        if (said != Side.NONE || c.controls().views().isEmpty()) {
            return said;
        }
        ViewSet set = c.controls().views().get();
        double rest = c.dial(set.dial()).map(Dial::rest).orElse(0.0);
        return Optional.ofNullable(set.membership(c.rig().parts()).get(part))
                .flatMap(set::shown)
                .filter(b -> !b.flipped() && (b.middle() - rest) != 0)
                .map(b -> b.middle() > rest ? Side.RIGHT : Side.LEFT)
                .orElse(Side.NONE);
    }

    private static Stream<String> parts(Dial d) {
        return Stream.concat(
                d.stops().stream().flatMap(s -> s.offsets().keySet().stream()),
                Stream.concat(d.bands().stream(), d.layers().stream()).map(Bands::part));
    }

    /** The id of the other half of a dial taken apart; empty for a dial that is whole or alone. */
    public static Optional<String> otherHalf(Character c, String dial) {
        String other = dial.endsWith(LEFT) ? stem(dial) + RIGHT : dial.endsWith(RIGHT) ? stem(dial) + LEFT : "";
        return c.dial(other).map(Dial::id).filter(o -> c.dial(dial).isPresent());
    }

    private static String stem(String id) {
        return id.substring(0, id.lastIndexOf('-'));
    }

    /** @throws IllegalArgumentException for a dial that does not pose both sides and nothing else */
    public static Character split(Character c, String dial) {
        Dial d = c.dial(dial)
                .filter(whole -> canSplit(c, whole))
                .orElseThrow(() -> new IllegalArgumentException("dial '" + dial + "' does not pose two sides"));
        List<Dial> dials = new ArrayList<>(c.controls().dials());
        int at = dials.indexOf(d);
        dials.set(at, half(c, d, Side.LEFT, d.id() + LEFT, d.name() + ", left"));
        dials.add(at + 1, half(c, d, Side.RIGHT, d.id() + RIGHT, d.name() + ", right"));
        return renamed(
                c.withDials(dials, c.controls().pads()), List.of(d.id()), List.of(d.id() + LEFT, d.id() + RIGHT));
    }

    private static Dial half(Character c, Dial d, Side side, String id, String name) {
        List<Stop> stops = d.stops().stream()
                .map(s -> s.withOffsets(onSide(c, s.offsets(), side)).withReshapes(onSide(c, s.reshapes(), side)))
                .toList();
        List<Bands> bands =
                d.bands().stream().filter(b -> on(c, b.part(), side)).toList();
        return new Dial(id, name, d.purpose(), d.from(), d.to(), d.rest(), d.unit(), stops, bands, d.hinges())
                .withTravel(d.travel())
                .withFollows(d.follows())
                .hangingOn(d.hangsOn())
                .withLayers(
                        d.layers().stream().filter(b -> on(c, b.part(), side)).toList());
    }

    private static <T> Map<String, T> onSide(Character c, Map<String, T> byPart, Side side) {
        return byPart.entrySet().stream()
                .filter(e -> on(c, e.getKey(), side))
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
    }

    private static boolean on(Character c, String part, Side side) {
        return sideOf(c, part) == side;
    }

    /** @throws Refusal when the dial is not one half of two alike in range and rest */
    public static Character join(Character c, String dial) {
        String stem = otherHalf(c, dial).map(DialSides::stem).orElse("");
        Dial left = c.dial(stem + LEFT).orElse(null);
        Dial right = c.dial(stem + RIGHT).orElse(null);
        if (left == null
                || right == null
                || left.from() != right.from()
                || left.to() != right.to()
                || left.rest() != right.rest()) {
            throw new Refusal(RefusalCode.NO_HALF, "There is no other half of the dial '" + dial + "' to put it to.");
        }
        Map<Double, Stop> stops = new TreeMap<>();
        Stream.of(left, right).flatMap(d -> d.stops().stream()).forEach(s -> stops.merge(s.at(), s, DialSides::both));
        List<Bands> bands = new ArrayList<>(left.bands());
        bands.addAll(right.bands());
        Map<String, Integer> hinges = new HashMap<>(left.hinges());
        hinges.putAll(right.hinges());
        List<Stop> both = List.copyOf(stops.values());
        String name = left.name().replaceAll(", left$", "");
        Dial whole = new Dial(
                        stem,
                        name,
                        left.purpose(),
                        left.from(),
                        left.to(),
                        left.rest(),
                        left.unit(),
                        both,
                        bands,
                        hinges)
                .hangingOn(left.hangsOn())
                .withLayers(Stream.concat(left.layers().stream(), right.layers().stream())
                        .toList());
        List<Dial> dials = new ArrayList<>(c.controls().dials());
        dials.set(dials.indexOf(left), whole);
        dials.remove(right);
        return renamed(c.withDials(dials, c.controls().pads()), List.of(left.id(), right.id()), List.of(stem));
    }

    private static Stop both(Stop a, Stop b) {
        Map<String, Offset> offsets = new HashMap<>(a.offsets());
        offsets.putAll(b.offsets());
        Map<String, List<PointDeltas>> reshapes = new HashMap<>(a.reshapes());
        reshapes.putAll(b.reshapes());
        return a.withOffsets(offsets).withReshapes(reshapes);
    }

    /** Looks and cues that name the old dials name the new ones instead; of two values the first stays. */
    private static Character renamed(Character c, List<String> old, List<String> now) {
        List<Look> looks = c.library().looks().stream()
                .map(l -> new Look(l.id(), l.name(), l.collection(), renamed(l.dials(), old, now), l.drawings()))
                .toList();
        List<Cue> cues = c.library().cues().stream()
                .map(q -> {
                    Map<String, List<Key>> tracks = renamed(q.tracks(), old, now);
                    return new Cue(q.id(), q.name(), tracks);
                })
                .toList();
        return c.withLibrary(library -> library.withLooks(looks)).withLibrary(library -> library.withCues(cues));
    }

    private static <T> Map<String, T> renamed(Map<String, T> by, List<String> old, List<String> now) {
        Map<String, T> out = new HashMap<>(by);
        Optional<T> value = old.stream().filter(by::containsKey).map(by::get).findFirst();
        old.forEach(out::remove);
        value.ifPresent(v -> now.forEach(n -> out.put(n, v)));
        return out;
    }
}
