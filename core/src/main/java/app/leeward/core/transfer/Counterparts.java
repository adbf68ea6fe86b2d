package app.leeward.core.transfer;

import app.leeward.core.art.Drawing;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Purpose;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Which part, drawing and dial of one character stands for which of another: parts of the same role and side, first those of one
 * name, then in their order; parts without a role by name alone. Only the body and the main view of a head take part.
 */
final class Counterparts {
    private final Map<String, String> parts = new HashMap<>();
    private final Map<String, String> dials = new HashMap<>();
    private final Map<String, Map<String, String>> drawings = new HashMap<>();

    static Counterparts between(Character from, Character to) {
        Counterparts all = new Counterparts();
        Set<String> taken = new HashSet<>();
        List<Part> there = to.mainParts();
        for (boolean named : new boolean[] {true, false}) {
            for (Part p : from.mainParts()) {
                if (!all.parts.containsKey(p.id())) {
                    there.stream()
                            .filter(q -> !taken.contains(q.id()) && same(p, q, named))
                            .findFirst()
                            .ifPresent(q -> {
                                taken.add(q.id());
                                all.put(p, q);
                            });
                }
            }
        }
        from.controls().dials().forEach(d -> dial(to, d).ifPresent(o -> all.dials.put(d.id(), o.id())));
        return all;
    }

    private static boolean same(Part p, Part q, boolean named) {
        boolean alike = p.role() == q.role() && p.side() == q.side();
        return alike && (named || p.role() == PartRole.OTHER ? p.name().equalsIgnoreCase(q.name()) : true);
    }

    private static Optional<Dial> dial(Character to, Dial d) {
        List<Dial> of = to.controls().dials().stream()
                .filter(o -> o.purpose() == d.purpose())
                .toList();
        Optional<Dial> named = of.stream()
                .filter(o -> o.id().equals(d.id()))
                .findFirst()
                .or(() -> of.stream()
                        .filter(o -> o.name().equalsIgnoreCase(d.name()))
                        .findFirst());
        boolean one = d.purpose() != Purpose.OWN && d.purpose() != Purpose.ACTION_UNIT && of.size() == 1;
        return named.isPresent() || !one ? named : Optional.of(of.get(0));
    }

    /** Says that a part, which may just have been taken, stands for another. */
    void put(Part from, Part to) {
        parts.put(from.id(), to.id());
        Map<String, String> of = new HashMap<>();
        for (Drawing d : from.drawings()) {
            to.drawing(d.id())
                    .or(() -> to.drawings().stream()
                            .filter(o -> o.name().equalsIgnoreCase(d.name()))
                            .findFirst())
                    .ifPresent(o -> of.put(d.id(), o.id()));
        }
        // what is shown when nobody asks is the same thing on both, whatever it is called
        if (to.drawing(to.shown()).isPresent()) {
            of.putIfAbsent(from.shown(), to.shown());
        }
        drawings.put(from.id(), of);
    }

    void putDrawing(String part, String from, String to) {
        drawings.computeIfAbsent(part, p -> new HashMap<>()).put(from, to);
    }

    void putDial(String from, String to) {
        dials.put(from, to);
    }

    Optional<String> part(String id) {
        return Optional.ofNullable(parts.get(id));
    }

    Optional<String> dial(String id) {
        return Optional.ofNullable(dials.get(id));
    }

    Optional<String> drawing(String part, String id) {
        return id.equals(Part.NOTHING)
                ? Optional.of(id)
                : Optional.ofNullable(drawings.getOrDefault(part, Map.of()).get(id));
    }

    /** Names of some parts, three at most, and how many more. */
    static String names(Character c, List<String> ids) {
        return listed(ids.stream().map(i -> c.part(i).map(Part::name).orElse(i)).toList());
    }

    /** Each once, three at most, and how many more. */
    static String listed(List<String> names) {
        List<String> once = names.stream().distinct().toList();
        return once.size() <= 3
                ? String.join(", ", once)
                : String.join(", ", once.subList(0, 3)) + " and " + (once.size() - 3) + " more";
    }
}
