package app.leeward.core.eval;

import app.leeward.core.dial.Channel;
import app.leeward.core.dial.Corrective;
import app.leeward.core.dial.Offset;
import java.util.ArrayList;
import java.util.List;

/** Corrections at pairs of dial values, each as strong as both dials are near them. */
final class CorrectiveStage {
    private final CompiledRig rig;
    private final List<At> corners = new ArrayList<>();

    private record At(int a, int b, Corrective corner, List<On> parts) {}

    private record On(int part, int[] slots, List<Channel> channels, Offset full) {}

    CorrectiveStage(CompiledRig rig, DialSolver solver) {
        this.rig = rig;
        for (Corrective k : rig.character.controls().correctives()) {
            int a = solver.indexOf(k.a());
            int b = solver.indexOf(k.b());
            List<On> parts = k.offsets().entrySet().stream()
                    .filter(e -> rig.has(e.getKey()))
                    .map(e -> on(rig, rig.place(e.getKey()), e.getValue()))
                    .toList();
            if (a >= 0 && b >= 0 && !parts.isEmpty()) {
                corners.add(new At(a, b, k, parts));
            }
        }
    }

    private static On on(CompiledRig rig, int part, Offset full) {
        List<Channel> channels = List.copyOf(full.channels());
        return new On(part, rig.slots(rig.presentGroup(part), channels), channels, full);
    }

    /** @param trace null when nobody asks why */
    void addTo(double[] numbers, double[] settings, Trace trace) {
        for (At k : corners) {
            double w = k.corner.weight(rig.dials.get(k.a), settings[k.a], rig.dials.get(k.b), settings[k.b]);
            if (w > 0) {
                for (On on : k.parts) {
                    add(k.corner, w, on, numbers, trace);
                }
            }
        }
    }

    private static void add(Corrective corner, double weight, On on, double[] numbers, Trace trace) {
        for (int n = 0; n < on.slots.length; n++) {
            Channel c = on.channels.get(n);
            double amount = c.neutral() + (on.full.of(c) - c.neutral()) * weight;
            numbers[on.slots[n]] = c.combine(numbers[on.slots[n]], amount);
            if (trace != null && trace.part == on.part) {
                trace.add(corner, weight, c, amount);
            }
        }
    }
}
