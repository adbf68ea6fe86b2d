package app.leeward.core.dial;

import java.util.List;

/**
 * One number that can be posed about a part: what it is when nothing poses it, how what several say comes together, what it is on
 * the other side of a vertical axis, and how it is told. This is the one home of those facts; offsets, stops, poses and reasons
 * look a channel up and go through channels in loops.
 *
 * @param id as it is stored; no two channels have the same
 * @param words what it is called on the screen
 * @param aspect what a rigger takes back together with it
 * @param combining how what several dials say comes together
 * @param unit what it is told in
 * @param mirroredId the channel that has its number on the other side of a vertical axis; its own id where that is itself
 * @param mirrorSign 1, or -1 where the number changes its sign there
 */
public record Channel(
        String id, String words, Aspect aspect, Combining combining, Unit unit, String mirroredId, int mirrorSign) {
    public static final Channel X = added("x", "X", Aspect.PLACE, Unit.LENGTH, -1);
    public static final Channel Y = added("y", "Y", Aspect.PLACE, Unit.LENGTH, 1);
    public static final Channel ROTATION = added("rotation", "rotation", Aspect.TURN, Unit.DEGREES, -1);
    public static final Channel SCALE_X = factor("scaleX", "width", Aspect.SIZE);
    public static final Channel SCALE_Y = factor("scaleY", "height", Aspect.SIZE);
    public static final Channel SKEW_X = added("skewX", "skew", Aspect.SLANT, Unit.DEGREES, -1);
    public static final Channel OPACITY = factor("opacity", "opacity", Aspect.OPACITY);
    public static final Channel BEND_LEFT = bend("bendLeft", "bent down at its left end", "bendRight");
    public static final Channel BEND_MIDDLE = bend("bendMiddle", "bent down in its middle", "bendMiddle");
    public static final Channel BEND_RIGHT = bend("bendRight", "bent down at its right end", "bendLeft");

    /** The channels every part has, in the order they are stored, compiled and told in. */
    public static final List<Channel> STANDARD =
            List.of(X, Y, ROTATION, SCALE_X, SCALE_Y, SKEW_X, OPACITY, BEND_LEFT, BEND_MIDDLE, BEND_RIGHT);

    /** How what several say about one channel comes together. */
    public enum Combining {
        ADDED(0),
        MULTIPLIED(1);

        private final double neutral;

        Combining(double neutral) {
            this.neutral = neutral;
        }
    }

    /** What a channel's number is told in. */
    public enum Unit {
        /** User units. */
        LENGTH,
        DEGREES,
        /** A factor, told in percent. */
        SHARE
    }

    private static Channel added(String id, String words, Aspect aspect, Unit unit, int mirrorSign) {
        return new Channel(id, words, aspect, Combining.ADDED, unit, id, mirrorSign);
    }

    private static Channel factor(String id, String words, Aspect aspect) {
        return new Channel(id, words, aspect, Combining.MULTIPLIED, Unit.SHARE, id, 1);
    }

    private static Channel bend(String id, String words, String mirroredId) {
        return new Channel(id, words, Aspect.BEND, Combining.ADDED, Unit.LENGTH, mirroredId, 1);
    }

    /** The number that changes nothing. */
    public double neutral() {
        return combining.neutral;
    }

    /** Both together. */
    public double combine(double a, double b) {
        return combining == Combining.ADDED ? a + b : a * b;
    }

    /** The channel that has its number on the other side of a vertical axis. */
    public Channel mirrored() {
        return mirroredId.equals(id)
                ? this
                : STANDARD.stream()
                        .filter(c -> c.id.equals(mirroredId))
                        .findFirst()
                        .orElseThrow();
    }

    @Override
    public boolean equals(Object o) {
        return o instanceof Channel other && id.equals(other.id);
    }

    @Override
    public int hashCode() {
        return id.hashCode();
    }

    @Override
    public String toString() {
        return id;
    }

    /** Whether it is told only where something is said about it: most parts never bend. */
    public boolean quiet() {
        return aspect == Aspect.BEND;
    }
}
