package app.leeward.core;

import app.leeward.core.art.Drawing;
import app.leeward.core.art.Grip;
import app.leeward.core.art.Wrist;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;

/** What is known of single drawings and parts all over a character, drawings as {@code part/drawing}. */
public final class Told {
    private Told() {}

    private static <T> Map<String, T> drawings(Character c, Function<Drawing, Optional<T>> fact) {
        Map<String, T> out = new TreeMap<>();
        for (Part p : c.rig().parts()) {
            p.drawings().forEach(d -> fact.apply(d).ifPresent(f -> out.put(p.id() + "/" + d.id(), f)));
        }
        return out;
    }

    public static Map<String, String> overs(Character c) {
        return drawings(c, Drawing::over);
    }

    public static Map<String, Wrist> wrists(Character c) {
        return drawings(c, Drawing::wrist);
    }

    public static Map<String, Grip> grips(Character c) {
        return drawings(c, Drawing::grip);
    }

    /** Ids of the parts that hang from a grip. */
    public static List<String> held(Character c) {
        return c.rig().parts().stream().filter(Part::inGrip).map(Part::id).toList();
    }

    public static Map<String, List<String>> pastEdges(Character c) {
        Map<String, List<String>> out = new TreeMap<>();
        c.rig().parts().stream().filter(p -> !p.pastEdges().isEmpty()).forEach(p -> out.put(p.id(), p.pastEdges()));
        return out;
    }
}
