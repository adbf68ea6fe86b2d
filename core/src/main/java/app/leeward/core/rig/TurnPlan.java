package app.leeward.core.rig;

import app.leeward.core.dial.Fingerprints;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;

/**
 * The shape a head turn was made from, and fingerprints of what was made, so that making it again can tell what was shaped by
 * hand since.
 *
 * @param shape how deep the head is
 * @param made what the turn and the nod did as they were made, each thing by a name of its own
 * @param nods whether there was a nod
 */
public record TurnPlan(HeadShape shape, Map<String, Integer> made, boolean nods) {
    public TurnPlan {
        made = Collections.unmodifiableMap(new TreeMap<>(made));
    }

    /**
     * The plan of a character whose dials were changed by something that shapes no dial, such as scaling it: what was as it was
     * made then, is so now.
     */
    public TurnPlan carried(Controls before, Controls now) {
        Map<String, Integer> was = prints(before);
        Map<String, Integer> is = prints(now);
        Map<String, Integer> kept = new HashMap<>(made);
        kept.replaceAll((name, print) -> print.equals(was.get(name)) ? is.getOrDefault(name, print) : print);
        return new TurnPlan(shape, kept, nods);
    }

    /** The plan of a character whose turn was changed by something that makes, not by hand: what it changed counts as made. */
    public TurnPlan remade(Controls before, Controls now) {
        Map<String, Integer> was = prints(before);
        Map<String, Integer> is = prints(now);
        Map<String, Integer> kept = new HashMap<>(made);
        was.forEach((name, print) -> {
            if (!is.containsKey(name)) {
                kept.remove(name);
            }
        });
        is.forEach((name, print) -> {
            if (!print.equals(was.get(name))) {
                kept.put(name, print);
            }
        });
        return new TurnPlan(shape, kept, nods);
    }

    /**
     * How many things are not as they were made.
     *
     * @param dials ids of those that were made
     * @param parts ids of those that are there: what was made for one that is gone is nobody's doing
     */
    public int shapedByHand(Controls now, Set<String> dials, Set<String> parts) {
        Map<String, Integer> is = new HashMap<>();
        now.dials().stream().filter(d -> dials.contains(d.id())).forEach(d -> is.putAll(Fingerprints.of(d)));
        // where parts lie was not always made; what was not made is a hand's and always kept
        is.keySet().removeIf(name -> Fingerprints.ofLayers(name) && !made.containsKey(name));
        prints(now).forEach((name, print) -> {
            if (made.containsKey(name)) {
                is.put(name, print);
            }
        });
        Set<String> names = new HashSet<>(is.keySet());
        made.keySet().stream()
                .filter(name -> parts.contains(Fingerprints.part(name)))
                .forEach(names::add);
        return (int) names.stream()
                .filter(name -> !Objects.equals(made.get(name), is.get(name)))
                .count();
    }

    private static Map<String, Integer> prints(Controls c) {
        Map<String, Integer> all = new HashMap<>();
        c.dials().forEach(d -> all.putAll(Fingerprints.of(d)));
        c.correctives().forEach(k -> k.offsets()
                .forEach((part, offset) -> all.put(Fingerprints.corner(k, part), Fingerprints.of(offset))));
        return all;
    }

    /** The same shape; what was made from it is known to the keeper only. */
    public TurnPlan shapeOnly() {
        return new TurnPlan(shape, Map.of(), nods);
    }
}
