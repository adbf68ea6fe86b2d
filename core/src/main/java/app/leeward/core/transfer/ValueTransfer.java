package app.leeward.core.transfer;

import app.leeward.core.dial.Dial;

/** Where one character's dial stands when another's stands at a value. */
final class ValueTransfer {
    private ValueTransfer() {}

    /** Degrees stay degrees; others go as far on their side of rest as they went there. */
    static double at(Dial from, Dial to, double value) {
        return to.hold(to.rest() + by(from, to, value - from.rest()));
    }

    /** The same for how far a dial is taken from where it is. */
    static double by(Dial from, Dial to, double by) {
        if (DialTransfer.sameUnit(from, to)) {
            return by;
        }
        double there = by >= 0 ? to.to() - to.rest() : to.rest() - to.from();
        double here = by >= 0 ? from.to() - from.rest() : from.rest() - from.from();
        // a side that one of them has not
        return here <= 0 || there <= 0 ? 0 : by * there / here;
    }
}
