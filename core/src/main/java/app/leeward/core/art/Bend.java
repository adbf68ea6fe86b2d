package app.leeward.core.art;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How far the outlines of a drawing are bent down at its left end, its middle and its right end, in the drawing's own
 * coordinates. However they go between those three ({@link Bending}), three equal numbers are a plain shift, and bends add up.
 *
 * @param left user units downwards
 * @param middle user units downwards
 * @param right user units downwards
 */
public record Bend(double left, double middle, double right) {
    public static final Bend NONE = new Bend(0, 0, 0);

    public Bend {
        Numbers.finite("bend", left + middle + right);
        left += 0.0;
        middle += 0.0;
        right += 0.0;
    }

    public boolean straight() {
        return left == 0 && middle == 0 && right == 0;
    }

    /** The same on the other side of a vertical axis. */
    public Bend mirrored() {
        return new Bend(right, middle, left);
    }

    public Bend times(double factor) {
        return new Bend(left * factor, middle * factor, right * factor);
    }

    /** How far down a place {@code share} of the way from the left end to the right one is bent, eased; the ends hold. */
    public double eased(double share) {
        double t = within(share);
        return t < 0.5 ? eased(left, middle, 2 * t) : eased(middle, right, 2 * t - 1);
    }

    private static double eased(double a, double b, double t) {
        return a + (b - a) * (1 - Math.cos(Math.PI * t)) / 2;
    }

    /** The same along the parabola through the three places (Lagrange's form); the ends hold. */
    public double curved(double share) {
        double t = within(share);
        return left * (1 - t) * (1 - 2 * t) + middle * 4 * t * (1 - t) + right * t * (2 * t - 1);
    }

    /** How much further down the parabola is for each share of the width; at the ends the slope it arrives with. */
    private double slope(double share) {
        double t = within(share);
        return left * (4 * t - 3) + middle * (4 - 8 * t) + right * (4 * t - 1);
    }

    private static double within(double share) {
        return Math.max(0, Math.min(1, share));
    }

    /** One outline bent within {@code box}, whose left and right edges are the ends. */
    public Path of(Path path, Box box, Bending way) {
        double width = Math.max(1e-9, box.width());
        return way == Bending.CURVED
                ? new BentCurves(x -> curved((x - box.minX()) / width), x -> slope((x - box.minX()) / width) / width)
                        .of(path)
                : path.map(p -> new Point(p.x(), p.y() + eased((p.x() - box.minX()) / width)));
    }

    /** The outlines of all shapes of a drawing, bent together; pictures made of pixels stay as they are. */
    public List<Path> of(Artwork art, Bending way) {
        Optional<Box> box = art.bounds();
        List<Path> bent = new ArrayList<>();
        for (Shape s : art.shapes()) {
            boolean still = straight() || box.isEmpty() || s.fill() instanceof Paint.Picture;
            bent.add(still ? s.path() : of(s.path(), box.get(), way));
        }
        return bent;
    }
}
