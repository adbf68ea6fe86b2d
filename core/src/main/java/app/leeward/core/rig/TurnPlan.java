package app.leeward.core.rig;

import app.leeward.core.art.Numbers;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Bands;
import app.leeward.core.dial.Stop;
import java.util.List;

/**
 * The ball a head turn was made from, and what was made, so that making it again can tell what was shaped by hand since.
 *
 * @param ball what the rigger set
 * @param made the stops of the turn as they were made
 * @param madeBands its bands as they were made
 * @param nod the stops of the nod as they were made; empty when there is none
 */
public record TurnPlan(BallSetting ball, List<Stop> made, List<Bands> madeBands, List<Stop> nod) {
    public TurnPlan {
        made = List.copyOf(made);
        madeBands = List.copyOf(madeBands);
        nod = nod == null ? List.of() : List.copyOf(nod);
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
