package app.leeward.speech;

/** Whoever waits for a recording to be read: hears how far it is, and can end it by throwing. */
@FunctionalInterface
public interface Listening {
    /** Nobody waits. */
    Listening ALONE = share -> {};

    /** @param share of the work that is done, 0 to 1; never falls while one recording is read */
    void reached(double share);

    /** One stretch of this as if it were the whole. */
    default Listening between(double from, double to) {
        return share -> reached(from + (to - from) * share);
    }
}
