package app.leeward.core.turn;

import app.leeward.core.dial.Channel;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Fingerprints;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.OffsetCurve;
import app.leeward.core.dial.Recorder;
import app.leeward.core.dial.Stop;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.TurnPlan;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * A pose at an end of the turn or the nod bends the whole way there: stops on the way that nobody shaped take their share of it, so
 * that a piece does not slide into its place over the last few degrees.
 */
public final class ExtremePose {
    private ExtremePose() {}

    /**
     * The character after a part was posed at a value of a dial. The same where that is no end of a made dial.
     *
     * @param before with the dial as it was
     */
    public static Character spread(Character before, Character after, String dial, double at, String part) {
        Dial was = before.dial(dial).orElse(null);
        Dial is = after.dial(dial).orElse(null);
        TurnPlan plan = after.controls().turn().orElse(null);
        boolean made = dial.equals(TurnMaker.DIAL) || dial.equals(NodMaker.DIAL);
        if (was == null || is == null || plan == null || !made || at != is.from() && at != is.to()) {
            return after;
        }
        Offset more = difference(
                OffsetCurve.of(was, part).at(at), OffsetCurve.of(is, part).at(at));
        Map<String, Integer> prints = new HashMap<>(plan.made());
        Dial bent = spread(is, at, part, more, prints);
        return bent == is
                ? after
                : after.withDials(
                                after.controls().dials().stream()
                                        .map(d -> d == is ? bent : d)
                                        .toList(),
                                after.controls().pads())
                        .withControls(c -> c.withTurn(Optional.of(new TurnPlan(plan.shape(), prints, plan.nods()))));
    }

    /**
     * The dial with stops between rest and {@code at} that are still as they were made taking their share.
     *
     * @param prints of what was made; is told what they are now
     */
    static Dial spread(Dial dial, double at, String part, Offset more, Map<String, Integer> prints) {
        if (more.equals(Offset.NONE)) {
            return dial;
        }
        Dial out = dial;
        for (Stop s : dial.stops()) {
            double share = (s.at() - dial.rest()) / (at - dial.rest());
            String name = Fingerprints.pose(dial, s.at(), part);
            Offset now = s.offsets().get(part);
            Integer print = now == null ? null : Fingerprints.of(now);
            if (share > 0 && share < 1 && Objects.equals(prints.get(name), print)) {
                Offset then = (now == null ? Offset.NONE : now).and(Offset.NONE.towards(more, share));
                out = Recorder.with(out, s.with(part, then));
                prints.put(name, Fingerprints.of(then));
            }
        }
        return out;
    }

    /** What, on top of the one, makes the other. */
    static Offset difference(Offset was, Offset is) {
        Map<Channel, Double> more = new HashMap<>();
        for (Channel c : Channel.STANDARD) {
            boolean added = c.combining() == Channel.Combining.ADDED;
            double by = added ? is.of(c) - was.of(c) : was.of(c) == 0 ? 1 : is.of(c) / was.of(c);
            more.put(c, by);
        }
        return Offset.of(more);
    }
}
