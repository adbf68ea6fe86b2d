package app.leeward.core.dial;

import app.leeward.core.art.Bend;
import app.leeward.core.art.Numbers;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;

/**
 * What a stop does to one part: a number for some of its channels; the others it leaves as they are. Numbers are combined with
 * what else poses the part as each {@link Channel} says.
 */
public final class Offset {
    public static final Offset NONE = new Offset(Map.of());

    /** None of them neutral. */
    private final Map<Channel, Double> numbers;

    private Offset(Map<Channel, Double> numbers) {
        this.numbers = numbers;
    }

    /**
     * @param numbers what it says about each channel; those left out, and those that change nothing, are not said
     * @throws IllegalArgumentException for a number that is not finite
     */
    public static Offset of(Map<Channel, Double> numbers) {
        Map<Channel, Double> said = new HashMap<>();
        numbers.forEach((channel, number) -> {
            Numbers.finite("offset", number);
            if (number != channel.neutral()) {
                said.put(channel, number);
            }
        });
        return said.isEmpty() ? NONE : new Offset(Map.copyOf(said));
    }

    /** An offset that bends nothing: the channels of a placement. */
    public static Offset placed(
            double x, double y, double rotation, double scaleX, double scaleY, double skewX, double opacity) {
        return of(Map.of(
                Channel.X, x,
                Channel.Y, y,
                Channel.ROTATION, rotation,
                Channel.SCALE_X, scaleX,
                Channel.SCALE_Y, scaleY,
                Channel.SKEW_X, skewX,
                Channel.OPACITY, opacity));
    }

    public static Offset bent(double left, double middle, double right) {
        return NONE.with(new Bend(left, middle, right));
    }

    public static Offset shift(double x, double y) {
        return of(Map.of(Channel.X, x, Channel.Y, y));
    }

    /** The channels it says something about. */
    public Set<Channel> channels() {
        return numbers.keySet();
    }

    /** What it says about a channel; the channel's neutral number where it says nothing. */
    public double of(Channel channel) {
        Double said = numbers.get(channel);
        return said == null ? channel.neutral() : said;
    }

    /** User units to the right. */
    public double x() {
        return of(Channel.X);
    }

    /** User units downwards. */
    public double y() {
        return of(Channel.Y);
    }

    /** Degrees, clockwise. */
    public double rotation() {
        return of(Channel.ROTATION);
    }

    /** A factor. */
    public double scaleX() {
        return of(Channel.SCALE_X);
    }

    /** A factor. */
    public double scaleY() {
        return of(Channel.SCALE_Y);
    }

    /** Degrees. */
    public double skewX() {
        return of(Channel.SKEW_X);
    }

    /** A factor, 0 to 1. */
    public double opacity() {
        return of(Channel.OPACITY);
    }

    /** How the part's outlines are bent. */
    public Bend bend() {
        return new Bend(of(Channel.BEND_LEFT), of(Channel.BEND_MIDDLE), of(Channel.BEND_RIGHT));
    }

    public Offset with(Channel channel, double number) {
        Map<Channel, Double> more = new HashMap<>(numbers);
        more.put(channel, number);
        return of(more);
    }

    public Offset with(Bend bend) {
        return with(Channel.BEND_LEFT, bend.left())
                .with(Channel.BEND_MIDDLE, bend.middle())
                .with(Channel.BEND_RIGHT, bend.right());
    }

    /** Only what it says about some channels. */
    public Offset only(Predicate<Channel> kept) {
        Map<Channel, Double> left = new HashMap<>(numbers);
        left.keySet().removeIf(kept.negate());
        return of(left);
    }

    /** The same in a picture {@code factor} times as large: lengths grow with it. */
    public Offset scaled(double factor) {
        Map<Channel, Double> larger = new HashMap<>(numbers);
        larger.replaceAll((c, number) -> c.unit() == Channel.Unit.LENGTH ? number * factor : number);
        return of(larger);
    }

    /** Whether it does more than shift, so that the pivot matters. */
    public boolean turns() {
        return rotation() != 0 || scaleX() != 1 || scaleY() != 1 || skewX() != 0;
    }

    /** The same on the other side of a vertical axis. */
    public Offset mirrored() {
        Map<Channel, Double> other = new HashMap<>();
        numbers.forEach((channel, number) -> other.put(channel.mirrored(), channel.mirrorSign() * number));
        return of(other);
    }

    /** Both together, as each channel combines. */
    public Offset and(Offset o) {
        Map<Channel, Double> all = new HashMap<>(numbers);
        o.numbers.forEach((channel, number) -> all.merge(channel, number, channel::combine));
        return of(all);
    }

    /** This offset at 0, {@code other} at 1, evenly between. */
    public Offset towards(Offset other, double t) {
        Set<Channel> said = new HashSet<>(numbers.keySet());
        said.addAll(other.numbers.keySet());
        Map<Channel, Double> between = new HashMap<>();
        said.forEach(c -> between.put(c, of(c) + (other.of(c) - of(c)) * t));
        return of(between);
    }

    @Override
    public boolean equals(Object o) {
        return o instanceof Offset other && numbers.equals(other.numbers);
    }

    @Override
    public int hashCode() {
        return numbers.hashCode();
    }

    @Override
    public String toString() {
        Map<String, Double> told = new java.util.TreeMap<>();
        numbers.forEach((channel, number) -> told.put(channel.id(), number));
        return "Offset" + told;
    }
}
