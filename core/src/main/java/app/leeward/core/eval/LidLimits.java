package app.leeward.core.eval;

import app.leeward.core.dial.Channel;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.OffsetCurve;
import app.leeward.core.dial.Purpose;
import app.leeward.core.rig.PartRole;
import java.util.ArrayList;
import java.util.List;

/**
 * A lid's way ends where the blink has shut the eye: whatever else lowers it takes it no further. Its other channels, and lids no
 * blink moves, are free.
 */
final class LidLimits {
    private final List<LidEnd> ends = new ArrayList<>();

    /**
     * @param slot of the lid's shift downwards
     * @param most the furthest that may come to
     * @param down whether the blink takes it down, so that the limit is below it
     */
    private record LidEnd(int part, String blink, int slot, double most, boolean down) {}

    LidLimits(CompiledRig rig) {
        double[] rest = rig.rest();
        for (Dial d : rig.dials) {
            if (d.purpose() == Purpose.BLINK) {
                for (OffsetCurve way : OffsetCurve.of(d)) {
                    int part = rig.place(way.part());
                    double far = way.at(d.to()).y();
                    if (part >= 0 && far != 0 && lid(rig.parts[part].role())) {
                        int slot = rig.slot(rig.group(d, part), Channel.Y);
                        ends.add(new LidEnd(part, d.id(), slot, rest[slot] + far, far > 0));
                    }
                }
            }
        }
    }

    private static boolean lid(PartRole role) {
        return role == PartRole.UPPER_LID || role == PartRole.LOWER_LID;
    }

    /** @param trace null when nobody asks why */
    void hold(double[] numbers, Trace trace) {
        for (LidEnd end : ends) {
            double wanted = numbers[end.slot];
            double held = end.down ? Math.min(wanted, end.most) : Math.max(wanted, end.most);
            numbers[end.slot] = held;
            if (trace != null && trace.part == end.part) {
                trace.add(Contribution.Kind.LIMIT, end.blink, end.most, Channel.Y, held - wanted);
            }
        }
    }
}
