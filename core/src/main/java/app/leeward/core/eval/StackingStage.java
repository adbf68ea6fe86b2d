package app.leeward.core.eval;

import app.leeward.core.art.Drawing;
import app.leeward.core.dial.Bands;
import app.leeward.core.dial.Dial;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/**
 * The parts back to front: as the stacking order has them, but over another where the drawing shown says so, and over another or
 * behind everything where a dial away from rest says so, which wins over the drawing.
 */
final class StackingStage {
    private static final int BACK = -1;

    private final CompiledRig rig;
    private final int[] order;
    private final boolean layered;
    /** Whether some drawing lies elsewhere than its part. */
    private final boolean drawingsLieOver;

    StackingStage(CompiledRig rig) {
        this.rig = rig;
        order = rig.character.rig().order().stream().mapToInt(rig::place).toArray();
        drawingsLieOver = rig.character.rig().parts().stream()
                .flatMap(p -> p.drawings().stream())
                .anyMatch(d -> d.over().isPresent());
        layered = rig.dials.stream().anyMatch(d -> !d.layers().isEmpty());
    }

    /** @param trace null when nobody asks why */
    int[] of(String[] drawings, double[] settings, Trace trace) {
        Map<Integer, Integer> layers = layers(settings, trace);
        if (!drawingsLieOver && layers.isEmpty()) {
            return order;
        }
        List<Integer> all = new ArrayList<>(order.length);
        for (int i : order) {
            all.add(i);
        }
        for (int part = 0; drawingsLieOver && part < drawings.length; part++) {
            String wanted = drawings[part] == null
                    ? null
                    : rig.parts[part]
                            .drawing(drawings[part])
                            .flatMap(Drawing::over)
                            .orElse(null);
            int over = wanted == null ? -1 : rig.place(wanted);
            if (over >= 0 && over != part) {
                all.remove(Integer.valueOf(part));
                all.add(all.indexOf(over) + 1, part);
                if (trace != null && trace.part == part) {
                    trace.layers.add(new Trace.Choice(Contribution.Kind.REST, "", 0, wanted, true));
                }
            }
        }
        Set<Integer> laid = new HashSet<>();
        layers.keySet().forEach(part -> lay(part, layers, laid, all));
        return all.stream().mapToInt(Integer::intValue).toArray();
    }

    /** Lays one part, but what it lies over first. */
    private static void lay(int part, Map<Integer, Integer> layers, Set<Integer> laid, List<Integer> all) {
        if (!layers.containsKey(part) || !laid.add(part)) {
            return;
        }
        int over = layers.get(part);
        lay(over, layers, laid, all);
        all.remove(Integer.valueOf(part));
        all.add(all.indexOf(over) + 1, part);
    }

    /** What each part lies directly over where a dial away from rest says so; by their places. */
    private Map<Integer, Integer> layers(double[] settings, Trace trace) {
        if (!layered) {
            return Map.of();
        }
        Map<Integer, Integer> over = new TreeMap<>();
        Map<Integer, Double> share = new HashMap<>();
        for (int i = 0; i < settings.length; i++) {
            Dial dial = rig.dials.get(i);
            double away = dial.share(settings[i]);
            for (Bands b : dial.layers()) {
                int part = rig.place(b.part());
                String under = b.at(settings[i], dial.to()).orElse(null);
                int place = under == null || Dial.BACK.equals(under) ? BACK : rig.place(under);
                boolean speaks = part >= 0 && away > 0 && under != null && (Dial.BACK.equals(under) || place >= 0);
                // of two dials the one further from rest wins, then the later in the list
                if (speaks && away >= share.getOrDefault(part, 0.0)) {
                    over.put(part, place);
                    share.put(part, away);
                    if (trace != null && trace.part == part) {
                        trace.layers.add(
                                0, new Trace.Choice(Contribution.Kind.DIAL, dial.id(), settings[i], under, true));
                    }
                } else if (speaks && trace != null && trace.part == part) {
                    trace.layers.add(new Trace.Choice(Contribution.Kind.DIAL, dial.id(), settings[i], under, true));
                }
            }
        }
        return over;
    }
}
