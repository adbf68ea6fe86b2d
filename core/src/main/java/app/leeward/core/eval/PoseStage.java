package app.leeward.core.eval;

import app.leeward.core.dial.Dial;
import app.leeward.core.dial.OffsetCurve;
import app.leeward.core.dial.OffsetCurves;
import app.leeward.core.dial.Purpose;
import app.leeward.core.rig.DialSides;
import app.leeward.core.rig.ViewBand;
import java.util.List;

/**
 * What dials away from rest do to the channels of parts. In a view shown as its mirror image the dials of the other side speak:
 * the eye drawn as the left one is the right one there, and looks the other way to look the same way.
 */
final class PoseStage {
    private final CompiledRig rig;
    private final ViewStage views;
    private final DialWays[] dials;
    /** For each dial the one that does the same on the other side; its own place for none. */
    private final int[] otherHalf;

    /**
     * @param slots for each way where the numbers of its channels are
     * @param all the same ways together, for a dial that stands at one value for every part
     */
    private record DialWays(OffsetCurve[] ways, int[] parts, int[][] slots, OffsetCurves all) {}

    PoseStage(CompiledRig rig, DialSolver solver, ViewStage views) {
        this.rig = rig;
        this.views = views;
        dials = rig.dials.stream().map(d -> compiled(rig, d)).toArray(DialWays[]::new);
        otherHalf = new int[dials.length];
        for (int i = 0; i < dials.length; i++) {
            otherHalf[i] = DialSides.otherHalf(rig.character, rig.dials.get(i).id())
                    .map(solver::indexOf)
                    .filter(k -> k >= 0)
                    .orElse(i);
        }
    }

    private static DialWays compiled(CompiledRig rig, Dial dial) {
        List<OffsetCurve> ways =
                OffsetCurve.of(dial).stream().filter(w -> rig.has(w.part())).toList();
        int[] parts = ways.stream().mapToInt(w -> rig.place(w.part())).toArray();
        int[][] slots = ways.stream()
                .map(w -> rig.slots(rig.group(dial, rig.place(w.part())), w.channels()))
                .toArray(int[][]::new);
        return new DialWays(ways.toArray(new OffsetCurve[0]), parts, slots, new OffsetCurves(ways, List.of(slots)));
    }

    /** @param trace null when nobody asks why */
    void addTo(double[] numbers, double[] settings, ViewBand shown, Trace trace) {
        for (int i = 0; i < dials.length; i++) {
            double rest = rig.dials.get(i).rest();
            double mirrored = mirrored(i, settings, shown);
            DialWays d = dials[i];
            if (mirrored == settings[i] && trace == null) {
                if (settings[i] != rest) {
                    d.all.addTo(numbers, settings[i]);
                }
            } else if (settings[i] != rest || mirrored != rest) {
                for (int k = 0; k < d.ways.length; k++) {
                    double at = mirrored != settings[i] && views.flips(d.parts[k], shown) ? mirrored : settings[i];
                    if (at != rest) {
                        d.ways[k].addTo(numbers, d.slots[k], at);
                        if (trace != null && trace.part == d.parts[k]) {
                            trace.add(rig.dials.get(i).id(), at, d.ways[k]);
                        }
                    }
                }
            }
        }
    }

    /** Where a dial stands for the parts of a view that is shown as its mirror image. */
    double mirrored(int dial, double[] settings, ViewBand shown) {
        if (shown == null || !shown.flipped()) {
            return settings[dial];
        }
        double at = settings[otherHalf[dial]];
        Dial d = rig.dials.get(dial);
        return d.purpose() == Purpose.GAZE_ACROSS ? 2 * d.rest() - at : at;
    }
}
