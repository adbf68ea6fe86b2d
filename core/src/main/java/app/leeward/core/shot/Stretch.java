package app.leeward.core.shot;

/** What every stretch of frames keeps to. */
final class Stretch {
    private Stretch() {}

    static void require(String what, int from, int to) {
        if (from < 0) {
            throw new IllegalArgumentException("A " + what + " cannot begin before the shot, at frame " + from + ".");
        }
        if (to <= from) {
            throw new IllegalArgumentException(
                    "A " + what + " lasts a frame at least: it cannot go from frame " + from + " to frame " + to + ".");
        }
    }
}
