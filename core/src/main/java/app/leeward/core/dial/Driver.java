package app.leeward.core.dial;

import app.leeward.core.art.Numbers;

/**
 * What another dial adds to the one that carries this: evenly from the leader's rest to each of its ends, added to where the
 * follower stands by itself.
 *
 * @param leader id of the other dial; one that is not there any more adds nothing
 * @param below added when the leader is at the lower end of its range, in the follower's unit
 * @param above added when it is at the upper end
 * @param later how many frames behind the leader, 0 to {@link #LATEST}
 */
public record Driver(String leader, double below, double above, int later) {
    /** Half a second at 24 frames: what drags further behind is acting, not following. */
    public static final int LATEST = 12;

    public Driver {
        Numbers.finite("what a dial adds to another", below + above);
        if (later < 0 || later > LATEST) {
            throw new IllegalArgumentException(
                    "A dial follows another 0 to " + LATEST + " frames later, not " + later + ".");
        }
    }

    /** What the leader adds when it stands at {@code value}. */
    public double adds(Dial leading, double value) {
        double away = leading.hold(value) - leading.rest();
        if (away >= 0) {
            double way = leading.to() - leading.rest();
            return way == 0 ? 0 : above * away / way;
        }
        return below * away / (leading.from() - leading.rest());
    }
}
