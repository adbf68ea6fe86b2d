package app.leeward.core.signal;

import app.leeward.core.art.Numbers;

/**
 * That a signal moves something of a rig. Several that move the same add up.
 *
 * @param by how much: at 1 an angle moves a dial of degrees degree by degree, and the whole range of anything else moves the whole
 *     range of the dial; below 0 the other way. −4 to 4
 * @param least the lowest value it takes what it drives to, in the dial's unit, or a look's strength
 * @param most the highest
 */
public record SignalLink(Signal signal, Driven drives, double by, double least, double most) {
    /** Four times as far as the performer goes is more than any face is led by. */
    public static final double STRONGEST = 4;

    public SignalLink {
        if (signal == null || drives == null) {
            throw new IllegalArgumentException("A link says which signal drives what.");
        }
        Numbers.finite("limits", least + most);
        if (!(Math.abs(by) <= STRONGEST) || by == 0) {
            throw new IllegalArgumentException(
                    "A signal drives by −400 % to 400 %, and not by nothing; not by " + by * 100 + " %.");
        }
        if (!(least < most)) {
            throw new IllegalArgumentException(
                    "The lowest value, " + least + ", is not below the highest, " + most + ".");
        }
    }

    /** Whether it is the same link, by how much and within which limits aside. */
    public boolean joins(SignalLink other) {
        return signal == other.signal && drives.equals(other.drives);
    }
}
