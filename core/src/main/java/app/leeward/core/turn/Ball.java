package app.leeward.core.turn;

import app.leeward.core.art.Box;
import app.leeward.core.art.Point;
import java.util.Optional;

/**
 * The head as an ellipsoid seen from the front. A feature at (x, y) has {@code u = (x-cx)/rx}, {@code v = (y-cy)/ry} and
 * depth {@code w = √(1-u²-v²)}; turning about the upright axis by θ gives {@code u' = u·cos θ + w·sin θ}.
 *
 * @param rx half the width, user units
 * @param ry half the height, user units
 */
public record Ball(Point centre, double rx, double ry) {
    public Ball {
        if (!(rx > 0 && ry > 0)) {
            throw new IllegalArgumentException("the ball needs a width and a height, not " + rx + " and " + ry);
        }
    }

    /** The ball that fills a face's bounds. */
    public static Ball fitted(Box face) {
        return new Ball(face.centre(), face.width() / 2, face.height() / 2);
    }

    /**
     * Where a feature comes to lie.
     *
     * @param at its new centre
     * @param narrowing its new width as a share of the old: ∂u'/∂u = cos θ - (u/w)·sin θ
     * @param depth w': 1 nearest to us, 0 at the edge, below 0 hidden behind
     */
    public record Turned(Point at, double narrowing, double depth) {
        public boolean hidden() {
            return depth <= 0;
        }
    }

    /**
     * @param yaw degrees; positive turns the face to the right of the screen
     * @param lift how far the feature stands proud of the ball, as a share of its radius; 0 lies on it
     * @param rear whether it lies on the far half of the ball (back hair)
     */
    public Turned turn(Point feature, double yaw, double lift, boolean rear) {
        double u = (feature.x() - centre.x()) / rx;
        double v = (feature.y() - centre.y()) / ry;
        double front = Math.sqrt(Math.max(0, 1 - u * u - v * v));
        double w = rear ? -front : front;
        double r = Math.toRadians(yaw);
        double proud = 1 + lift;
        // a lifted point is pushed out along its radius before the turn; taking the lift off its rest place again
        // keeps every feature where it was drawn at yaw 0
        double across = u * Math.cos(r) + w * proud * Math.sin(r);
        double depth = w * proud * Math.cos(r) - u * Math.sin(r);
        double slope = front < 1e-6 ? 0 : u / w;
        double narrowing = Math.cos(r) - slope * Math.sin(r);
        return new Turned(new Point(centre.x() + rx * across, feature.y()), narrowing, depth);
    }

    /**
     * The yaw at which a feature on the far side narrows to {@code share}: the inverse of the narrowing formula, with
     * {@code s = u/w}: {@code cos θ - s·sin θ = √(1+s²)·cos(θ + atan s)}.
     *
     * @param feature a feature off the axis and on the visible half
     * @return degrees, > 0; empty when the feature is too near the axis or the edge to tell
     */
    public Optional<Double> yawNarrowing(Point feature, double share) {
        double u = Math.abs(feature.x() - centre.x()) / rx;
        double v = (feature.y() - centre.y()) / ry;
        double w2 = 1 - u * u - v * v;
        if (u < 0.05 || w2 < 0.05) {
            return Optional.empty();
        }
        double s = u / Math.sqrt(w2);
        return Optional.of(Math.toDegrees(Math.acos(share / Math.sqrt(1 + s * s)) - Math.atan(s)));
    }
}
