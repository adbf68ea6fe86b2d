package app.leeward.formats.lottie;

import app.leeward.core.motion.Motion;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import java.util.function.Function;

/**
 * Values that change along a motion as a property with keys. Where a shot is photographed on ones its keys are travelled between,
 * and those that are met anyway are left out; on twos each value stands until the next.
 */
final class Keys {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    private final Motion motion;
    private final boolean held;

    /** @param held whether a value stands until the next one, rather than being travelled to */
    Keys(Motion motion, boolean held) {
        this.motion = motion;
        this.held = held;
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
            List<double[]> values,
            double near,
            Function<double[], ArrayNode> key,
            Function<double[], JsonNode> still) {
        double[][] all = filled(values);
        if (constant(all, near / 10)) {
            return JSON.objectNode().put("a", 0).set("k", still.apply(all[0]));
        }
        ArrayNode keys = JSON.arrayNode();
        if (held) {
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
            double[][] frames = new double[motion.frames()][];
            for (int e = 0; e < all.length; e++) {
                for (int f = motion.starts().get(e); f < motion.end(e); f++) {
                    frames[f] = all[e];
                }
            }
            for (int f : kept(frames, near)) {
                ObjectNode k = keys.addObject().put("t", f);
                k.set("s", key.apply(frames[f]));
                k.set("i", handle(1));
                k.set("o", handle(0));
            }
        }
        return JSON.objectNode().put("a", 1).set("k", keys);
    }

    private static ObjectNode handle(int at) {
        return JSON.objectNode().put("x", at).put("y", at);
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

    /**
     * The frames that need a key, so that everything between is met by going evenly (Douglas and Peucker 1973, in time: the frame
     * furthest off becomes a key, until none is too far).
     */
    private static Iterable<Integer> kept(double[][] frames, double near) {
        TreeSet<Integer> keys = new TreeSet<>(List.of(0, frames.length - 1));
        List<int[]> open = new ArrayList<>();
        open.add(new int[] {0, frames.length - 1});
        while (!open.isEmpty()) {
            int[] span = open.remove(open.size() - 1);
            int worst = -1;
            double most = near;
            for (int f = span[0] + 1; f < span[1]; f++) {
                double off = off(frames, span[0], span[1], f);
                if (off > most) {
                    most = off;
                    worst = f;
                }
            }
            if (worst >= 0) {
                keys.add(worst);
                open.add(new int[] {span[0], worst});
                open.add(new int[] {worst, span[1]});
            }
        }
        return keys;
    }

    private static double off(double[][] frames, int from, int to, int at) {
        double share = (double) (at - from) / (to - from);
        double[] a = frames[from];
        double[] b = frames[to];
        double[] is = frames[at];
        double most = 0;
        for (int i = 0; i < is.length; i++) {
            most = Math.max(most, Math.abs(a[i] + (b[i] - a[i]) * share - is[i]));
        }
        return most;
    }
}
