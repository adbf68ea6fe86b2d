package app.leeward.core.shot;

import app.leeward.core.art.Numbers;
import app.leeward.core.cue.Laid;
import java.util.Optional;

/**
 * A look that comes over the face in a shot, stays and goes.
 *
 * @param from the first frame that shows something of it
 * @param to the first frame that shows nothing of it any more
 * @param look the look's id; one that is not there any more is skipped
 * @param in frames it takes to come
 * @param out frames it takes to go
 * @param strength how much of it shows while it stays: 1 for all of it
 * @param laid why it was laid; empty for one made by hand
 */
public record LookSpan(int from, int to, String look, int in, int out, double strength, Optional<Laid> laid) {
    /** Strongest a look can be mixed in, as on the desk. */
    public static final double STRONGEST = 2;

    public LookSpan {
        Stretch.require("look", from, to);
        Numbers.finite("strength", strength);
        if (look == null || look.isBlank()) {
            throw new IllegalArgumentException("A look from frame " + from + " needs to say which one.");
        }
        if (in < 0 || out < 0 || strength < -STRONGEST || strength > STRONGEST) {
            throw new IllegalArgumentException(
                    "A look comes and goes in 0 frames or more, at a strength of -2 to 2; not in " + in + " and " + out
                            + " at " + strength + ".");
        }
    }

    /** One made by hand. */
    public LookSpan(int from, int to, String look, int in, int out, double strength) {
        this(from, to, look, in, out, strength, Optional.empty());
    }

    /** How much of it shows at a frame. It comes and goes smoothly, by 3t² − 2t³; where coming and going meet, the lesser counts. */
    public double at(int frame) {
        if (frame < from || frame >= to) {
            return 0;
        }
        double coming = in == 0 ? 1 : Math.min(1, (frame - from + 1.0) / (in + 1));
        double going = out == 0 ? 1 : Math.min(1, (double) (to - frame) / (out + 1));
        double t = Math.min(coming, going);
        return strength * t * t * (3 - 2 * t);
    }

    /** The same look over another stretch, coming and going at the same share of it when it is longer or shorter. */
    LookSpan over(int newFrom, int newTo) {
        double times = (double) (newTo - newFrom) / (to - from);
        return new LookSpan(
                newFrom, newTo, look, (int) Math.round(in * times), (int) Math.round(out * times), strength, laid);
    }
}
