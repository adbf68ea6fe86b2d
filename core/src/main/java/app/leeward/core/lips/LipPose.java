package app.leeward.core.lips;

import app.leeward.core.mouth.Viseme;
import java.util.EnumMap;
import java.util.Map;

/**
 * What a class asks of lips and teeth beyond its articulation, in shares of the starting mouth's width. Our own drawing
 * rules, made by eye; no source.
 *
 * @param teeth how much of the upper teeth the upper lip leaves to be seen; below 0 it hangs over their edge
 * @param lip how far the lower lip is drawn down from the lower teeth; below 0 it hides them
 * @param front what comes before the rest of the mouth
 */
record LipPose(double teeth, double lip, Front front) {
    enum Front {
        LIPS,
        UPPER_TEETH,
        TONGUE
    }

    private static final Map<Viseme, LipPose> OF = new EnumMap<>(Viseme.class);

    static {
        put(Viseme.REST, 0, 0);
        put(Viseme.PBM, 0, 0);
        OF.put(Viseme.FV, new LipPose(0.13, 0, Front.UPPER_TEETH));
        OF.put(Viseme.TH, new LipPose(0.1, 0.03, Front.TONGUE));
        put(Viseme.TD, 0.11, 0.03);
        put(Viseme.KG, 0.08, 0.02);
        put(Viseme.CHSH, 0.13, 0.1);
        put(Viseme.SZ, 0.13, 0.09);
        put(Viseme.NL, 0.1, 0.03);
        put(Viseme.R, 0.05, 0.02);
        put(Viseme.AH, 0.08, 0);
        put(Viseme.EH, 0.11, 0.01);
        put(Viseme.EE, 0.14, 0.05);
        put(Viseme.OH, -0.02, -0.02);
        put(Viseme.OO, -0.03, 0.05);
        put(Viseme.SMILE, 0, 0);
        put(Viseme.SURPRISE, 0, 0);
    }

    private static void put(Viseme v, double teeth, double lip) {
        OF.put(v, new LipPose(teeth, lip, Front.LIPS));
    }

    static LipPose of(Viseme v) {
        return OF.get(v);
    }
}
