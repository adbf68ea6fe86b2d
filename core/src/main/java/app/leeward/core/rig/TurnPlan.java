package app.leeward.core.rig;

import app.leeward.core.art.Numbers;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Fingerprints;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * The ball a head turn was made from, and fingerprints of what was made, so that making it again can tell what was shaped by
 * hand since.
 *
 * @param ball what the rigger set
 * @param made what the turn and the nod did as they were made, each thing by a name of its own
 * @param nods whether there was a nod
 */
public record TurnPlan(BallSetting ball, Map<String, Integer> made, boolean nods) {
    public TurnPlan {
        made = Collections.unmodifiableMap(new TreeMap<>(made));
    }

    /**
     * The plan of a character whose dials were changed by something that shapes no dial, such as scaling it: what was as it was
     * made then, is so now.
     */
    public TurnPlan carried(List<Dial> before, List<Dial> now) {
        Map<String, Integer> was = new HashMap<>();
        before.forEach(d -> was.putAll(Fingerprints.of(d)));
        Map<String, Integer> is = new HashMap<>();
        now.forEach(d -> is.putAll(Fingerprints.of(d)));
        Map<String, Integer> kept = new HashMap<>(made);
        kept.replaceAll((name, print) -> print.equals(was.get(name)) ? is.getOrDefault(name, print) : print);
        return new TurnPlan(ball, kept, nods);
    }

    /** With the ball taken elsewhere as the art is. */
    public TurnPlan withBall(BallSetting newBall) {
        return new TurnPlan(newBall, made, nods);
    }

    /** The same ball; what was made from it is known to the keeper only. */
    public TurnPlan ballOnly() {
        return new TurnPlan(ball, Map.of(), nods);
    }

    /**
     * The head as an ellipsoid.
     *
     * @param centre canvas units
     * @param rx half its width, canvas units
     * @param ry half its height, canvas units
     * @param depth how deep it is, as a share of its width: 1 for a round head, less for a flat one
     * @param noseLift how far the nose stands proud of it, as a share of its radius
     * @param earLift how far the ears do
     * @param farEye how wide the far eye still is at the dial's end, as a share; 0.5 to 0.95
     */
    public record BallSetting(
            Point centre, double rx, double ry, double depth, double noseLift, double earLift, double farEye) {
        /** Where it is after scaling and shifting, sizes always positive. */
        public BallSetting moved(double scaleX, double scaleY, double x, double y) {
            return new BallSetting(
                    new Point(scaleX * centre.x() + x, scaleY * centre.y() + y),
                    Math.abs(scaleX) * rx,
                    Math.abs(scaleY) * ry,
                    depth,
                    noseLift,
                    earLift,
                    farEye);
        }

        public BallSetting {
            Numbers.finite("ball", rx + ry + depth + noseLift + earLift + farEye);
            if (!(rx > 0 && ry > 0)) {
                throw new IllegalArgumentException("The ball needs a width and a height.");
            }
            if (!(depth >= 0.3 && depth <= 1.6)) {
                throw new IllegalArgumentException("A head is 30 to 160 % as deep as it is wide.");
            }
            if (!(noseLift >= 0 && noseLift <= 1 && earLift >= -0.5 && earLift <= 1)) {
                throw new IllegalArgumentException(
                        "A nose stands proud by 0 to 100 %, ears by -50 to 100 % of the ball.");
            }
            if (!(farEye >= 0.5 && farEye <= 0.95)) {
                throw new IllegalArgumentException("The far eye keeps 50 to 95 % of its width.");
            }
        }
    }
}
