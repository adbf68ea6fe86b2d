package app.leeward.core.art;

import java.util.List;
import java.util.Optional;

/** An upright rectangle; never empty in both directions by mistake: min ≤ max holds. User units. */
public record Box(double minX, double minY, double maxX, double maxY) {
    public Box {
        if (!(minX <= maxX && minY <= maxY)) {
            throw new IllegalArgumentException(
                    "box is turned inside out: " + minX + " " + minY + " " + maxX + " " + maxY);
        }
    }

    /**
     * The least one that holds some points.
     *
     * @param points one at least
     */
    public static Box around(List<Point> points) {
        double minX = Double.POSITIVE_INFINITY;
        double minY = Double.POSITIVE_INFINITY;
        double maxX = Double.NEGATIVE_INFINITY;
        double maxY = Double.NEGATIVE_INFINITY;
        for (Point p : points) {
            minX = Math.min(minX, p.x());
            minY = Math.min(minY, p.y());
            maxX = Math.max(maxX, p.x());
            maxY = Math.max(maxY, p.y());
        }
        return new Box(minX, minY, maxX, maxY);
    }

    public double width() {
        return maxX - minX;
    }

    public double height() {
        return maxY - minY;
    }

    public Point centre() {
        return new Point((minX + maxX) / 2, (minY + maxY) / 2);
    }

    public boolean contains(Point p) {
        return p.x() >= minX && p.x() <= maxX && p.y() >= minY && p.y() <= maxY;
    }

    /** What both cover; empty when they lie apart. */
    public Optional<Box> intersection(Box o) {
        double left = Math.max(minX, o.minX);
        double right = Math.min(maxX, o.maxX);
        double top = Math.max(minY, o.minY);
        double bottom = Math.min(maxY, o.maxY);
        return left <= right && top <= bottom ? Optional.of(new Box(left, top, right, bottom)) : Optional.empty();
    }

    public Box union(Box o) {
        return new Box(Math.min(minX, o.minX), Math.min(minY, o.minY), Math.max(maxX, o.maxX), Math.max(maxY, o.maxY));
    }
}
