package app.leeward.server.performer;

/**
 * How much is taken from one performer: four times what is asked for goes through, more is left out, and one that floods or talks
 * nonsense without end is turned away. Times are handed in.
 */
final class Patience {
    /** Messages a second that go through; a tracker of a fast camera says 120. */
    static final int TAKEN = 120;

    /** A second at which a connection is not a performer's any more. */
    static final int FLOOD = 2000;

    /** Wrong messages in a row. */
    static final int NONSENSE = 300;

    /** What is told of messages that are left out. */
    static final String LEFT_OUT = "More than " + TAKEN + " messages a second: what is over is left out.";

    /** What becomes of a message. */
    enum Verdict {
        TAKE,
        LEAVE_OUT,
        TURN_AWAY
    }

    private static final long SECOND = 1_000_000_000L;

    private long second = Long.MIN_VALUE;
    private int within;
    private int wrong;
    private long told = Long.MIN_VALUE;

    Verdict message(long now) {
        if (second == Long.MIN_VALUE || now - second >= SECOND) {
            second = now;
            within = 0;
        }
        within++;
        return within > FLOOD ? Verdict.TURN_AWAY : within > TAKEN ? Verdict.LEAVE_OUT : Verdict.TAKE;
    }

    void right() {
        wrong = 0;
    }

    /** @return whether there have been too many */
    boolean wrong() {
        return ++wrong >= NONSENSE;
    }

    /** Whether a problem is told now: once a second at most. */
    boolean tells(long now) {
        if (told != Long.MIN_VALUE && now - told < SECOND) {
            return false;
        }
        told = now;
        return true;
    }
}
