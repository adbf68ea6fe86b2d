package app.leeward.core.turn;

import app.leeward.core.art.Box;
import app.leeward.core.art.Point;
import app.leeward.core.rig.TurnPlan.BallSetting;
import java.util.Optional;

/**
 * The head as an ellipsoid seen from the front. A feature at (x, y) has {@code u = (x-cx)/rx}, {@code v = (y-cy)/ry} and
 * stands {@code w = d·(1+lift)·√(1-u²-v²)} towards us. The yaw θ comes first: {@code u' = u·cos θ + w·sin θ},
 * {@code w' = w·cos θ - u·sin θ}; then the pitch φ alike in (v, w').
 *
 * @param rx half the width, user units
 * @param ry half the height, user units
 * @param depth d: how deep it is, as a share of its width
 */
public record Ball(Point centre, double rx, double ry, double depth) {
    public Ball {
        if (!(rx > 0 && ry > 0 && depth > 0)) {
            throw new IllegalArgumentException(
                    "the ball needs a width, a height and a depth, not " + rx + ", " + ry + " and " + depth);
        }
    }

    /** As deep as it is wide. */
    public Ball(Point centre, double rx, double ry) {
        this(centre, rx, ry, 1);
    }

    /** The ball that fills a face's bounds. */
    public static Ball fitted(Box face) {
        return new Ball(face.centre(), face.width() / 2, face.height() / 2);
    }

    static Ball of(BallSetting s) {
        return new Ball(s.centre(), s.rx(), s.ry(), s.depth());
    }

    /**
     * Where a feature comes to lie.
     *
     * @param at its new centre
     * @param narrowing its new width as a share of the old, ∂u'/∂u
     * @param flattening its new height as a share of the old, ∂v'/∂v
     * @param tilt how far its level line turns, degrees, clockwise
     * @param depth w': above 0 towards us, below 0 hidden behind
     */
    public record Turned(Point at, double narrowing, double flattening, double tilt, double depth) {
        public boolean hidden() {
            return depth <= 0;
        }
    }

    /** Turned about the upright axis alone. */
    public Turned turn(Point feature, double yaw, double lift, boolean rear) {
        return turn(feature, yaw, 0, lift, rear);
    }

    /**
     * @param yaw degrees; positive turns the face to the right of the screen
     * @param pitch degrees; positive turns it down
     * @param lift how far the feature stands proud of the ball, as a share of its radius; 0 lies on it
     * @param rear whether it lies on the far half of the ball (back hair)
     */
    public Turned turn(Point feature, double yaw, double pitch, double lift, boolean rear) {
        double u = (feature.x() - centre.x()) / rx;
        double v = (feature.y() - centre.y()) / ry;
        double front = Math.sqrt(Math.max(0, 1 - u * u - v * v));
        // a lifted point is pushed out towards us only, which keeps every feature where it was drawn at yaw 0
        double out = depth * (1 + lift) * (rear ? -1 : 1);
        double w = out * front;
        double cosYaw = Math.cos(Math.toRadians(yaw));
        double sinYaw = Math.sin(Math.toRadians(yaw));
        double cosPitch = Math.cos(Math.toRadians(pitch));
        double sinPitch = Math.sin(Math.toRadians(pitch));
        // how w changes across and down
        double wu = front < 1e-6 ? 0 : -out * u / front;
        double wv = front < 1e-6 ? 0 : -out * v / front;
        double across = u * cosYaw + w * sinYaw;
        double towards = w * cosYaw - u * sinYaw;
        double narrowing = cosYaw + wu * sinYaw;
        double down = v * cosPitch + towards * sinPitch;
        double flattening = cosPitch + wv * cosYaw * sinPitch;
        double falls = (wu * cosYaw - sinYaw) * sinPitch;
        return new Turned(
                new Point(centre.x() + rx * across, centre.y() + ry * down),
                narrowing,
                flattening,
                Math.toDegrees(Math.atan2(ry * falls, rx * Math.abs(narrowing))),
                towards * cosPitch - v * sinPitch);
    }

    /**
     * The yaw at which a feature on the far side narrows to {@code share}: the inverse of the narrowing formula, with
     * {@code s = d·u/√(1-u²-v²)}: {@code cos θ - s·sin θ = √(1+s²)·cos(θ + atan s)}.
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
        double s = depth * u / Math.sqrt(w2);
        return Optional.of(Math.toDegrees(Math.acos(share / Math.sqrt(1 + s * s)) - Math.atan(s)));
    }
}
