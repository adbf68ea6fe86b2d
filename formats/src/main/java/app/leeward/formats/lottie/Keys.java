package app.leeward.formats.lottie;

import app.leeward.core.motion.Motion;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.function.Function;

/** Values that change along a motion as a property with keys. Those that are met anyway are left out. */
final class Keys {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    /** How it goes from one value to the next. */
    enum Way {
        /** Each stands until the next: what is exchanged. */
        EXCHANGED,
        /** Evenly, right in every frame. */
        EVERY_FRAME,
        /** Evenly, right in the frames that are photographed; the others are never seen. */
        PHOTOGRAPHED
    }

    private final Motion motion;
    private final Way way;

    Keys(Motion motion, Way way) {
        this.motion = motion;
        this.way = way;
    }

    /** A property that stays the same. */
    static ObjectNode still(double... value) {
        ObjectNode out = JSON.objectNode().put("a", 0);
        if (value.length == 1) {
            out.set("k", number(value[0]));
        } else {
            out.set("k", numbers(value));
        }
        return out;
    }

    static ArrayNode numbers(double... values) {
        ArrayNode out = JSON.arrayNode(values.length);
        for (double v : values) {
            out.add(number(v));
        }
        return out;
    }

    /** A number with three decimals at most, written as short as it can be. */
    static JsonNode number(double v) {
        long thousandths = Math.round(v * 1000);
        return thousandths % 1000 == 0 ? JSON.numberNode(thousandths / 1000) : JSON.numberNode(thousandths / 1000.0);
    }

    /**
     * @param values one for each exposure, all of one length; null where they do not matter
     * @param near how far a value may be from what it should be, in each of its numbers
     */
    ObjectNode of(List<double[]> values, double near) {
        return of(values, near, Keys::numbers, v -> v.length == 1 ? number(v[0]) : numbers(v));
    }

    /**
     * @param key how a value is written in a key
     * @param still how it is written when it never changes
     */
    ObjectNode of(
            List<double[]> values, double near, Function<double[], ArrayNode> key, Function<double[], JsonNode> still) {
        double[][] all = filled(values);
        if (constant(all, near / 10)) {
            return JSON.objectNode().put("a", 0).set("k", still.apply(all[0]));
        }
        ArrayNode keys = JSON.arrayNode();
        if (way == Way.EXCHANGED) {
            double[] last = null;
            for (int e = 0; e < all.length; e++) {
                if (last == null || apart(all[e], last) > near / 10) {
                    ObjectNode k = keys.addObject().put("t", motion.starts().get(e));
                    k.set("s", key.apply(all[e]));
                    k.put("h", 1);
                    last = all[e];
                }
            }
        } else {
            Samples samples = samples(all);
            for (Samples.Key at : samples.keys(near)) {
                ObjectNode k = keys.addObject().put("t", samples.frames()[at.sample()]);
                k.set("s", key.apply(samples.values()[at.sample()]));
                k.set("o", handle(at.ease()[0], at.ease()[1]));
                k.set("i", handle(at.ease()[2], at.ease()[3]));
            }
        }
        return JSON.objectNode().put("a", 1).set("k", keys);
    }

    private static ObjectNode handle(double x, double y) {
        ObjectNode out = JSON.objectNode();
        out.set("x", number(x));
        out.set("y", number(y));
        return out;
    }

    /** What does not matter is as it was before, or will be. */
    private static double[][] filled(List<double[]> values) {
        double[][] all = values.toArray(double[][]::new);
        for (int e = 1; e < all.length; e++) {
            all[e] = all[e] == null ? all[e - 1] : all[e];
        }
        for (int e = all.length - 2; e >= 0; e--) {
            all[e] = all[e] == null ? all[e + 1] : all[e];
        }
        return all;
    }

    private static boolean constant(double[][] all, double near) {
        for (double[] v : all) {
            if (v != all[0] && apart(v, all[0]) > near) {
                return false;
            }
        }
        return true;
    }

    private static double apart(double[] a, double[] b) {
        double most = 0;
        for (int i = 0; i < a.length; i++) {
            most = Math.max(most, Math.abs(a[i] - b[i]));
        }
        return most;
    }

    /** The values at the frames where it must be right: all of them, or those that are photographed. */
    private Samples samples(double[][] all) {
        if (way == Way.PHOTOGRAPHED) {
            return new Samples(
                    motion.starts().stream().mapToInt(Integer::intValue).toArray(), all);
        }
        int[] frames = new int[motion.frames()];
        double[][] values = new double[motion.frames()][];
        for (int e = 0; e < all.length; e++) {
            for (int f = motion.starts().get(e); f < motion.end(e); f++) {
                frames[f] = f;
                values[f] = all[e];
            }
        }
        return new Samples(frames, values);
    }
}
