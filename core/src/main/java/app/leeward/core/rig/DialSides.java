package app.leeward.core.rig;

import app.leeward.core.cue.Cue;
import app.leeward.core.cue.Key;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Ease;
import app.leeward.core.dial.Stop;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
        List<Side> sides = d.effects().stream().map(e -> sideOf(c, e.part())).toList();
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

    /** The id of the other half of a dial taken apart; empty for a dial that is whole or alone. */
    public static Optional<String> otherHalf(Character c, String dial) {
        String other = dial.endsWith(LEFT) ? stem(dial) + RIGHT : dial.endsWith(RIGHT) ? stem(dial) + LEFT : "";
        return c.dial(other).map(Dial::id).filter(o -> c.dial(dial).isPresent());
    }

    /** The name of a half without its side. */
    public static String wholeName(String half) {
        int end = half.endsWith(", left") || half.endsWith(", right") ? half.lastIndexOf(", ") : half.length();
        return half.substring(0, end);
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
        return d.with(h -> h.id(id).name(name))
                .withEffects(d.effects().stream().filter(e -> sideOf(c, e.part()) == side));
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
        Dial whole = left.with(d -> d.id(stem)
                        .name(wholeName(left.name()))
                        .travel(Optional.empty())
                        .follows(List.of()))
                .withEffects(
                        Stream.of(left, right).flatMap(d -> d.effects().stream()),
                        at -> right.stop(at).map(Stop::ease).orElse(Ease.LINEAR));
        List<Dial> dials = new ArrayList<>(c.controls().dials());
        dials.set(dials.indexOf(left), whole);
        dials.remove(right);
        return renamed(c.withDials(dials, c.controls().pads()), List.of(left.id(), right.id()), List.of(stem));
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
