package app.leeward.core.rig;

import app.leeward.core.art.Numbers;

/**
 * How deep a head is, in shares of half its width; its height and width are read from the art.
 *
 * @param front how far the face stands before the ears, halfway up; 0.2 to 1.6
 * @param back how far the back of the head lies behind them; 0.2 to 1.6
 * @param chin how far the chin stands before them; -0.5 to 1.5
 * @param nape how far the nape lies behind them; -0.5 to 1.5
 * @param roundness of a level cut: 2 an ellipse, 2.5 a face, 7 a box; 1.6 to 12
 * @param muzzle how far a muzzle stands out, in shares of half its own width; 0 to 2
 * @param pivot how far the middle of the head lies before the neck it turns on; -0.5 to 0.5
 * @param drawn degrees the head is turned as it was drawn, above 0 to the right of the screen; 0 from the front, -50 to 50
 */
public record HeadShape(
        double front,
        double back,
        double chin,
        double nape,
        double roundness,
        double muzzle,
        double pivot,
        double drawn) {
    /** A face with its chin and cheeks; depths fitted to three-quarter views drawn by hand. */
    public static final HeadShape HUMAN = new HeadShape(0.75, 1, 0.46, -0.05, 2.5, 0.5, 0.1);
    /** A head with a muzzle or a beak. */
    public static final HeadShape ANIMAL = new HeadShape(0.75, 0.9, 0.46, 0.1, 2.2, 0.5, 0.12);
    /** A ball, or an egg: full below, without a chin that leads or a nape that comes in. */
    public static final HeadShape ROUND = new HeadShape(0.8, 0.85, 0.4, 0.3, 2.1, 0.5, 0.05);
    /** A box with rounded edges. */
    public static final HeadShape BOX = new HeadShape(0.62, 0.62, 0.62, 0.62, 7, 0.4, 0.05);

    public HeadShape {
        within("The face stands", front, 0.2, 1.6);
        within("The back of the head lies", back, 0.2, 1.6);
        within("The chin stands", chin, -0.5, 1.5);
        within("The nape lies", nape, -0.5, 1.5);
        within("The roundness is", roundness, 1.6, 12);
        within("The muzzle stands out", muzzle, 0, 2);
        within("The middle lies", pivot, -0.5, 0.5);
        within("The head was drawn turned by", drawn, -50, 50);
        if (chin + nape < 0.1) {
            throw new IllegalArgumentException("Chin and nape are at least 0.1 of half the head's width apart.");
        }
    }

    /** Of a head drawn from the front. */
    public HeadShape(
            double front, double back, double chin, double nape, double roundness, double muzzle, double pivot) {
        this(front, back, chin, nape, roundness, muzzle, pivot, 0);
    }

    public HeadShape withDrawn(double degrees) {
        return new HeadShape(front, back, chin, nape, roundness, muzzle, pivot, degrees);
    }

    private static void within(String what, double value, double from, double to) {
        Numbers.finite("head", value);
        if (!(value >= from && value <= to)) {
            throw new IllegalArgumentException(what + " " + from + " to " + to + ", not " + value + ".");
        }
    }
}
