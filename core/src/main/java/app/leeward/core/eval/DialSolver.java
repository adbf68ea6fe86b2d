package app.leeward.core.eval;

import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Driver;
import app.leeward.core.dial.Drivers;
import app.leeward.core.dial.PadEdge;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Look;
import app.leeward.core.rig.Pose;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Where every dial of a character stands in a pose: where it was put, with what looks, cues and the dials it follows add,
 * held in its range and inside the edge of its pad. Compiled once a character.
 */
final class DialSolver {
    private final Character character;
    private final List<Dial> dials;
    private final Map<String, Integer> indexOf = new HashMap<>();
    private final int[] leadersFirst;
    private final List<PadEdge> edges;

    DialSolver(Character c) {
        character = c;
        dials = c.controls().dials();
        for (int i = 0; i < dials.size(); i++) {
            indexOf.put(dials.get(i).id(), i);
        }
        leadersFirst = Drivers.leadersFirst(dials);
        edges = c.controls().pads().stream()
                .flatMap(p -> PadEdge.of(p, dials).stream())
                .toList();
    }

    /** The place of a dial in the list; -1 for one that is not there. */
    int indexOf(String dial) {
        return indexOf.getOrDefault(dial, -1);
    }

    /** One value for every dial, in the order of the list. */
    double[] of(Pose pose) {
        double[] settings = new double[dials.size()];
        for (int i : leadersFirst) {
            Dial d = dials.get(i);
            double value = asked(d, pose) + pose.cues().getOrDefault(d.id(), 0.0);
            for (Driver f : d.follows()) {
                value += followed(f, pose, settings);
            }
            settings[i] = d.hold(value);
        }
        edges.forEach(e -> e.hold(settings));
        return settings;
    }

    private double asked(Dial dial, Pose pose) {
        Double asked = pose.dials().get(dial.id());
        double value = asked == null ? dial.rest() : dial.hold(asked);
        if (!pose.looks().isEmpty()) {
            for (Look look : character.library().looks()) {
                Double strength = pose.looks().get(look.id());
                Double wanted = look.dials().get(dial.id());
                if (strength != null && wanted != null) {
                    value += strength * (wanted - dial.rest());
                }
            }
        }
        return value;
    }

    /** What a leader adds: by where it stands, or stood some frames earlier where that is known. */
    private double followed(Driver f, Pose pose, double[] settings) {
        int leader = indexOf(f.leader());
        if (leader < 0) {
            return 0;
        }
        List<Double> earlier = pose.earlier().getOrDefault(f.leader(), List.of());
        double stands = f.later() == 0 || earlier.isEmpty()
                ? settings[leader]
                : earlier.get(Math.min(f.later(), earlier.size()) - 1);
        return f.adds(dials.get(leader), stands);
    }
}
