package app.leeward.formats.lottie;

import app.leeward.core.art.Box;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Point;
import app.leeward.core.motion.Decomposed;
import app.leeward.core.motion.Motion;
import app.leeward.core.motion.MotionLayer;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/** Where layers lie along a motion and when they show, as Lottie's transforms. */
final class Placements {
    private final Motion motion;
    private final Keys keys;
    private final Keys exchanged;
    private final double near;

    /** @param near how far a point may be from where it should be, user units */
    Placements(Motion motion, Keys keys, double near) {
        this.motion = motion;
        this.near = near;
        this.keys = keys;
        this.exchanged = new Keys(motion, Keys.Way.EXCHANGED);
    }

    /** @param bounds of what it shows: it turns about their middle */
    void place(ObjectNode layer, MotionLayer as, Optional<Box> bounds) {
        Point middle = bounds.map(b -> new Point((b.minX() + b.maxX()) / 2, (b.minY() + b.maxY()) / 2))
                .orElse(new Point(0, 0));
        double far = bounds.map(b -> Math.hypot(b.width(), b.height()) / 2).orElse(1.0);
        List<Matrix> at =
                as.states().stream().map(s -> s == null ? null : s.matrix()).toList();
        place(layer, at, middle, far);
    }

    /** Of a picture, from its own pixels. */
    void place(ObjectNode layer, List<Matrix> at, double width, double height) {
        place(layer, at, new Point(width / 2, height / 2), Math.hypot(width, height) / 2);
    }

    /**
     * @param at one for each exposure; null where it is not seen
     * @param far how far from the middle it reaches
     */
    private void place(ObjectNode layer, List<Matrix> at, Point middle, double far) {
        List<Decomposed> steps = new ArrayList<>();
        double rotation = 0;
        for (Matrix m : at) {
            Decomposed d = m == null ? null : Decomposed.of(m.times(Matrix.translate(middle.x(), middle.y())));
            if (d != null) {
                d = d.near(rotation);
                rotation = d.rotation();
            }
            steps.add(d);
        }
        // a small turn moves the furthest point by its size times that reach
        double largest = steps.stream()
                .filter(Objects::nonNull)
                .mapToDouble(d -> Math.max(d.scaleX(), Math.abs(d.scaleY())))
                .max()
                .orElse(1);
        double reach = Math.max(1, far * largest);
        double angle = Math.toDegrees(near / reach);
        ObjectNode ks = layer.putObject("ks");
        // what is as usual is left out, as the specification has it
        unlessUsual(ks, "a", Keys.still(middle.x(), middle.y()), 0, 0);
        ks.set("p", keys.of(each(steps, d -> new double[] {d.x(), d.y()}), near));
        List<double[]> scales = each(steps, d -> new double[] {100 * d.scaleX(), 100 * d.scaleY()});
        unlessUsual(ks, "s", keys.of(scales, 100 * near / Math.max(1, far)), 100, 100);
        unlessUsual(ks, "r", keys.of(one(steps, Decomposed::rotation), angle), 0);
        if (steps.stream().anyMatch(d -> d != null && Math.abs(d.skew()) > angle / 10)) {
            ks.set("sk", keys.of(one(steps, d -> -d.skew()), angle));
            ks.set("sa", Keys.still(0));
        }
    }

    private static void unlessUsual(ObjectNode ks, String name, ObjectNode value, double... usual) {
        if (!value.equals(Keys.still(usual))) {
            ks.set(name, value);
        }
    }

    /** A transform that never changes. */
    static void still(ObjectNode transform, Matrix m) {
        Decomposed d = Decomposed.of(m);
        unlessUsual(transform, "p", Keys.still(d.x(), d.y()), 0, 0);
        unlessUsual(transform, "s", Keys.still(100 * d.scaleX(), 100 * d.scaleY()), 100, 100);
        unlessUsual(transform, "r", Keys.still(d.rotation()), 0);
        if (Math.abs(d.skew()) > 1e-4) {
            transform.set("sk", Keys.still(-d.skew()));
            transform.set("sa", Keys.still(0));
        }
    }

    /** How strongly something shows that does not change in that. */
    static void opacity(ObjectNode transform, double opacity) {
        unlessUsual(transform, "o", Keys.still(100 * opacity), 100);
    }

    /** When it shows, and how strongly. */
    void shown(ObjectNode layer, MotionLayer as) {
        int first = 0;
        while (as.at(first).isEmpty()) {
            first++;
        }
        int last = as.states().size() - 1;
        while (as.at(last).isEmpty()) {
            last--;
        }
        layer.put("ip", motion.starts().get(first));
        layer.put("op", motion.end(last));
        boolean fades = as.seen().map(MotionLayer.State::opacity).distinct().count() > 1;
        boolean gaps = as.states().subList(first, last + 1).contains(null);
        List<double[]> opacity = new ArrayList<>();
        for (int e = 0; e < as.states().size(); e++) {
            MotionLayer.State s = as.states().get(e);
            boolean gone = s == null && e > first && e < last;
            opacity.add(s != null ? new double[] {100 * s.opacity()} : gone ? new double[] {0} : null);
        }
        // what is exchanged does not fade
        unlessUsual((ObjectNode) layer.get("ks"), "o", (fades && !gaps ? keys : exchanged).of(opacity, 0.2), 100);
    }

    private static List<double[]> one(List<Decomposed> steps, ToDoubleFunction<Decomposed> value) {
        return each(steps, d -> new double[] {value.applyAsDouble(d)});
    }

    private static List<double[]> each(List<Decomposed> steps, Function<Decomposed, double[]> value) {
        return steps.stream().map(d -> d == null ? null : value.apply(d)).toList();
    }
}
