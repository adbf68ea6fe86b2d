package app.leeward.core.eval;

import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Driver;
import app.leeward.core.rig.Pose;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Tells poses that come one after the other where the leading dials stood before, for dials that follow them later. */
public final class DelayLine {
    private final Evaluator evaluator;
    private final Set<String> leaders = new LinkedHashSet<>();
    private int latest;

    public DelayLine(Evaluator evaluator) {
        this.evaluator = evaluator;
        for (Dial d : evaluator.character().controls().dials()) {
            for (Driver f : d.follows()) {
                if (f.later() > 0) {
                    leaders.add(f.leader());
                    latest = Math.max(latest, f.later());
                }
            }
        }
    }

    /**
     * How many poses before one can have a say in it: each follower that leads another one in turn reaches further back. 0
     * when nothing follows later.
     */
    public int reach() {
        return latest * leaders.size();
    }

    /** The same poses, each knowing those before it; before the first one everything stood still. */
    public List<Pose> over(List<Pose> poses) {
        if (latest == 0) {
            return poses;
        }
        List<Pose> out = new ArrayList<>();
        List<Map<String, Double>> stood = new ArrayList<>();
        for (Pose p : poses) {
            Map<String, List<Double>> earlier = new HashMap<>();
            for (String leader : leaders) {
                List<Double> values = new ArrayList<>();
                for (int k = 1; k <= latest && !stood.isEmpty(); k++) {
                    values.add(stood.get(Math.max(0, stood.size() - k)).get(leader));
                }
                earlier.put(leader, values);
            }
            Pose knowing = p.withEarlier(earlier);
            Map<String, Double> now = new HashMap<>();
            leaders.forEach(l -> now.put(l, evaluator.setting(l, knowing)));
            stood.add(now);
            out.add(knowing);
        }
        return out;
    }
}
