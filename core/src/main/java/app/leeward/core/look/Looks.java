package app.leeward.core.look;

import app.leeward.core.dial.Dial;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Ids;
import app.leeward.core.rig.Look;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Pose;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/** Looks kept from poses. */
public final class Looks {
    private Looks() {}

    /**
     * The character with a part of a pose kept as a look; one of the same name and collection is replaced in its place.
     *
     * @param keep which dials are to be part of it; those at rest are left out
     * @return empty when nothing of it is away from rest
     */
    public static Optional<Character> keep(
            Character c, String name, String collection, Pose pose, List<String> keep, Map<String, String> drawings) {
        Evaluator evaluator = new Evaluator(c);
        Map<String, Double> values = new TreeMap<>();
        for (Dial d : c.controls().dials()) {
            double at = evaluator.setting(d.id(), pose);
            if (keep.contains(d.id()) && at != d.rest()) {
                values.put(d.id(), at);
            }
        }
        if (values.isEmpty() && drawings.isEmpty()) {
            return Optional.empty();
        }
        List<Look> looks = new ArrayList<>(c.library().looks());
        int there = -1;
        Set<String> taken = new HashSet<>();
        for (int i = 0; i < looks.size(); i++) {
            Look l = looks.get(i);
            taken.add(l.id());
            if (l.name().equals(name) && l.collection().equals(collection)) {
                there = i;
            }
        }
        String id = there >= 0 ? looks.get(there).id() : Ids.unused(name, taken);
        Look look = new Look(id, name, collection, values, drawings);
        if (there >= 0) {
            looks.set(there, look);
        } else {
            looks.add(look);
        }
        return Optional.of(c.withLibrary(library -> library.withLooks(looks)));
    }

    /** Dials and drawings a look names that are not there any more: kept, and skipped. */
    public static List<String> skipped(Character c, Look look) {
        List<String> out = new ArrayList<>();
        look.dials().keySet().stream()
                .filter(d -> c.dial(d).isEmpty())
                .map(d -> "the dial " + d)
                .forEach(out::add);
        look.drawings().forEach((part, drawing) -> {
            Optional<Part> p = c.part(part);
            if (p.isEmpty()) {
                out.add("the part " + part);
            } else if (!p.get().offers(drawing)) {
                out.add("the drawing " + drawing + " of " + p.get().name());
            }
        });
        return out;
    }
}
