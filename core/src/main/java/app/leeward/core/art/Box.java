package app.leeward.core.art;

/** An upright rectangle; never empty in both directions by mistake: min ≤ max holds. User units. */
public record Box(double minX, double minY, double maxX, double maxY) {
    public Box {
        if (!(minX <= maxX && minY <= maxY)) {
            throw new IllegalArgumentException(
                    "box is turned inside out: " + minX + " " + minY + " " + maxX + " " + maxY);
        }
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

    public Box union(Box o) {
        return new Box(Math.min(minX, o.minX), Math.min(minY, o.minY), Math.max(maxX, o.maxX), Math.max(maxY, o.maxY));
    }
}
