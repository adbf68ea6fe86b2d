package app.leeward.core.rig;

import app.leeward.core.dial.Corner;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Way;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.ToIntFunction;

/** Corrections at pairs of dial values, looked up once a character and added for every pose. */
final class Corners {
    private final List<Dial> dials;
    private final List<At> corners = new ArrayList<>();

    private record At(int a, int b, Corner corner, int[] groups, double[][] numbers) {}

    /** @param group where the numbers of a part begin, counted in groups; -1 for a part that is not there */
    Corners(Character c, Settings settings, ToIntFunction<String> group) {
        dials = c.dials();
        for (Corner k : c.corners()) {
            int a = settings.indexOf(k.a());
            int b = settings.indexOf(k.b());
            List<String> parts = k.offsets().keySet().stream()
                    .filter(p -> group.applyAsInt(p) >= 0)
                    .toList();
            if (a >= 0 && b >= 0 && !parts.isEmpty()) {
                corners.add(new At(
                        a,
                        b,
                        k,
                        parts.stream().mapToInt(group).toArray(),
                        parts.stream().map(p -> Way.numbers(k.offsets().get(p))).toArray(double[][]::new)));
            }
        }
    }

    void addTo(double[] values, double[] settings) {
        for (At k : corners) {
            double w = k.corner.weight(dials.get(k.a), settings[k.a], dials.get(k.b), settings[k.b]);
            for (int g = 0; w > 0 && g < k.groups.length; g++) {
                int v = k.groups[g] * Way.WIDTH;
                for (int n = 0; n < Way.WIDTH; n++) {
                    double full = k.numbers[g][n];
                    if (n == 3 || n == 4 || n == 6) {
                        values[v + n] *= 1 + (full - 1) * w;
                    } else {
                        values[v + n] += full * w;
                    }
                }
            }
        }
    }

    /** The corrections that are felt in a pose and touch a part, with their weights. */
    Map<Corner, Double> felt(String part, double[] settings) {
        Map<Corner, Double> out = new java.util.LinkedHashMap<>();
        for (At k : corners) {
            double w = k.corner.weight(dials.get(k.a), settings[k.a], dials.get(k.b), settings[k.b]);
            if (w > 0 && k.corner.offsets().containsKey(part)) {
                out.put(k.corner, w);
            }
        }
        return out;
    }
}
