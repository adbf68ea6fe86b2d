package app.leeward.core.check;

import app.leeward.core.dial.Dial;
import app.leeward.core.rig.Character;
import app.leeward.core.text.Decimals;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** The poses a rig is put through before it is handed over: every dial alone along its range, and every two at their ends. */
final class Sweep {
    /** Of one dial, its ends among them. */
    static final int PLACES = 25;

    private Sweep() {}

    /**
     * One pose of it.
     *
     * @param dials the one or two that are turned, in the order the character has them
     * @param at where each stands
     * @param place of the dial that is turned alone, 0 to {@link #PLACES} - 1; -1 for two
     */
    record Station(List<Dial> dials, Map<String, Double> at, int place) {
        Station {
            dials = List.copyOf(dials);
            at = Map.copyOf(at);
        }

        /** What a finding in it is about: the ids of the dials, joined by a plus. */
        String subject() {
            return dials.stream().map(Dial::id).collect(Collectors.joining("+"));
        }

        /** "Turn 45°" or "Turn 45° with Nod -20°". */
        String words() {
            return dials.stream()
                    .map(d -> d.name() + " " + Decimals.plain(at.get(d.id()), 2) + d.unit())
                    .collect(Collectors.joining(" with "));
        }
    }

    static List<Station> of(Character c) {
        List<Dial> dials = c.controls().dials();
        List<Station> out = new ArrayList<>();
        for (Dial d : dials) {
            for (int i = 0; i < PLACES; i++) {
                out.add(new Station(List.of(d), Map.of(d.id(), d.from() + (d.to() - d.from()) * i / (PLACES - 1)), i));
            }
        }
        for (int a = 0; a < dials.size(); a++) {
            for (int b = a + 1; b < dials.size(); b++) {
                out.addAll(corners(dials.get(a), dials.get(b)));
            }
        }
        return out;
    }

    /** Both at an end, where that is not where they rest. */
    private static List<Station> corners(Dial a, Dial b) {
        List<Station> out = new ArrayList<>();
        for (double atA : new double[] {a.from(), a.to()}) {
            for (double atB : new double[] {b.from(), b.to()}) {
                if (atA != a.rest() && atB != b.rest()) {
                    Map<String, Double> at = new HashMap<>();
                    at.put(a.id(), atA);
                    at.put(b.id(), atB);
                    out.add(new Station(List.of(a, b), at, -1));
                }
            }
        }
        return out;
    }
}
