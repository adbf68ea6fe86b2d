package app.leeward.core.solid;

/**
 * One level of a solid, seen from above.
 *
 * @param left half its width to the left of the axis, units
 * @param right the same to the right
 * @param depth half its depth, units
 * @param middle how far before the axis its middle lies, units
 * @param profile its front
 * @param seam what its near edge is: 0 the limb, behind which the solid goes on; 1 a seam that comes in and shows what lies behind
 * @param sweep how far back what sticks out beyond it is swept: the cotangent of the angle; 0 straight out
 */
record Slice(double left, double right, double depth, double middle, Profile profile, double seam, double sweep) {
    /** How steep the way to the far edge begins, as a share of its slope at rest. */
    private static final double STEEP = 0.3;
    /** What sticks out never turns past the edge; below this share it fades. By eye, no source. */
    private static final double THIN = 0.2;

    Slice withSeam(double other) {
        return new Slice(left, right, depth, middle, profile, other, sweep);
    }

    private double half(double x) {
        return x < 0 ? left : right;
    }

    /** How far to the side the outline lies, on the side of {@code x}, from the turned middle. */
    double limb(double x, View view) {
        return profile.limb(half(x), depth, view.cos(), view.sin());
    }

    /** Where a point of the front comes to lie; at no yaw, where it is. */
    Spot surface(double x, View view) {
        double a = half(x);
        double out = Math.abs(x);
        double t = a > 0 ? Math.min(1, out / a) : 1;
        double front = depth * profile.height(t);
        double c = view.cos();
        double s = view.sin();
        boolean far = x * view.way() >= 0;
        double across = far ? far(t, a, view) : -near(t, a, view);
        double z = (middle + front) * c - (far ? 1 : -1) * t * a * s;
        return new Spot(view.way() * (middle * s + across + (far ? 1 : -1) * beyond(out - a, view, far)), z);
    }

    /** Where a point of the outline comes to lie: on the limb, as far along it as it was. */
    Spot outline(double x, View view) {
        double a = half(x);
        double out = Math.abs(x);
        double t = a > 0 ? Math.min(1, out / a) : 1;
        boolean far = x * view.way() >= 0;
        int side = far ? 1 : -1;
        double limb = t * limb(x, view);
        if (!far) {
            limb += seam * (t * a * view.cos() - limb);
        }
        return new Spot(
                view.way() * (middle * view.sin() + side * (limb + beyond(out - a, view, far))), middle * view.cos());
    }

    /** The way from the middle to the far edge: exact as long as it goes outwards fast enough, then led to the limb. */
    private double far(double t, double a, View view) {
        double c = view.cos();
        double s = view.sin();
        double join = joint(a, c, s);
        if (t <= join) {
            return a * t * c + depth * profile.height(t) * s;
        }
        double start = a * join * c + depth * profile.height(join) * s;
        double end = profile.limb(a, depth, c, s);
        double settled = Math.min(1, s / 0.5);
        return led(t, join, start, a * c + depth * profile.slope(join) * s, end, a * (1 - 0.65 * settled));
    }

    private double joint(double a, double c, double s) {
        double steepest = (1 - STEEP) * a * c / (depth * s);
        return steepest > 0 ? Math.min(profile.exactTo(), profile.falls(steepest)) : profile.exactTo();
    }

    /** The way from the middle to the near edge, to the left of a face that turns right. */
    private double near(double t, double a, View view) {
        double c = view.cos();
        double s = view.sin();
        double join = profile.exactTo();
        if (t <= join) {
            return a * t * c - depth * profile.height(t) * s;
        }
        double start = a * join * c - depth * profile.height(join) * s;
        double end = seam * a * c + (1 - seam) * profile.limb(a, depth, c, s);
        double mean = (end - start) / (1 - join);
        double settled = Math.min(1, s / 0.5);
        return led(t, join, start, a * c - depth * profile.slope(join) * s, end, mean * (1 - 0.1 * settled));
    }

    /** A cubic from one place to the other; slopes held within three times the mean, which keeps it from turning back (Fritsch and Carlson 1980). */
    private static double led(double t, double from, double start, double rises, double end, double arrives) {
        double way = 1 - from;
        double mean = (end - start) / way;
        double m0 = Math.max(0, Math.min(3 * mean, rises));
        double m1 = Math.max(0, Math.min(3 * mean, arrives));
        double u = (t - from) / way;
        double u2 = u * u;
        double u3 = u2 * u;
        return (2 * u3 - 3 * u2 + 1) * start
                + (u3 - 2 * u2 + u) * way * m0
                + (3 * u2 - 2 * u3) * end
                + (u3 - u2) * way * m1;
    }

    /** How far what sticks out beyond the edge still does: it swings back on the near side and behind the edge on the far one. */
    private double beyond(double more, View view, boolean far) {
        if (more <= 0) {
            return 0;
        }
        double k = view.cos() + (far ? -1 : 1) * sweep * view.sin();
        return more * (k >= THIN ? k : THIN * Math.exp(k / THIN - 1));
    }
}
