package app.leeward.core.turn;

import app.leeward.core.dial.Dial;
import app.leeward.core.rig.HeadShape;

/**
 * What a place of the turn dial is in degrees of the head: the number it reads, as long as that is an angle and the head can be
 * turned so far; else a share of the usual turn.
 *
 * @param rest place at which the head is as it was drawn
 * @param drawn degrees it is turned there
 * @param scale degrees a unit of the dial
 */
public record TurnAngle(double rest, double drawn, double scale) {
    public static TurnAngle of(Dial turn, HeadShape shape) {
        double low = shape.drawn() + turn.from() - turn.rest();
        double high = shape.drawn() + turn.to() - turn.rest();
        boolean reads = turn.unit().equals("°") && low >= -TurnRange.WIDEST && high <= TurnRange.WIDEST;
        return new TurnAngle(turn.rest(), shape.drawn(), reads ? 1 : TurnMaker.FULL / Math.max(1e-9, reach(turn)));
    }

    private static double reach(Dial turn) {
        double shorter = Math.min(turn.to() - turn.rest(), turn.rest() - turn.from());
        return shorter > 0 ? shorter : Math.max(turn.to() - turn.rest(), turn.rest() - turn.from());
    }

    /** Degrees the head is turned at a place of the dial; above 0 to the right of the screen. */
    public double at(double place) {
        return drawn + (place - rest) * scale;
    }
}
