package app.leeward.core.shot;

import app.leeward.core.dial.MonotoneCubic;
import java.util.Arrays;
import java.util.List;

/** A dial on its way through its keys. Before the first and behind the last key it stands. Compiled once, read for every frame. */
final class KeyedDial {
    private final List<DialKey> keys;
    private final int[] frames;
    private final double[] slopes;

    /** @param keys at least one, in rising order of frames */
    KeyedDial(List<DialKey> keys) {
        this.keys = keys;
        frames = new int[keys.size()];
        for (int i = 0; i < frames.length; i++) {
            frames[i] = keys.get(i).frame();
        }
        slopes = slopes();
    }

    /** A dial stands still before its first key, on held stretches and behind its last key: there its slope is nil. */
    private double[] slopes() {
        int last = frames.length - 1;
        double[] secants = new double[last];
        for (int i = 0; i < last; i++) {
            secants[i] = keys.get(i).way() instanceof Way.Hold
                    ? 0
                    : (keys.get(i + 1).value() - keys.get(i).value()) / (frames[i + 1] - frames[i]);
        }
        double[] m = new double[last + 1];
        for (int i = 1; i < last; i++) {
            m[i] = MonotoneCubic.slope(secants[i - 1], secants[i]);
        }
        MonotoneCubic.limit(secants, m);
        return m;
    }

    /** The key that decides at a frame: the last one at or before it, or the first of all. */
    int deciding(double frame) {
        int found = Arrays.binarySearch(frames, (int) Math.floor(frame));
        return Math.max(0, found >= 0 ? found : -found - 2);
    }

    List<DialKey> keys() {
        return keys;
    }

    double at(double frame) {
        int i = deciding(frame);
        DialKey from = keys.get(i);
        if (i + 1 == frames.length || frame <= frames[i]) {
            return from.value();
        }
        DialKey to = keys.get(i + 1);
        double width = frames[i + 1] - frames[i];
        double t = (frame - frames[i]) / width;
        if (from.way() instanceof Way.Hold) {
            return from.value();
        }
        if (from.way() instanceof Way.Smooth) {
            double straight = MonotoneCubic.at(from.value(), slopes[i], to.value(), slopes[i + 1], width, t);
            // its slope is nil at both ends, so that what came in smoothly goes on so
            return straight + bent(from.bow(), t * t * (3 - 2 * t));
        }
        double share = from.way() instanceof Way.Curve c ? c.at(t) : t;
        return from.value() + (to.value() - from.value()) * share + bent(from.bow(), share);
    }

    /** A parabola over the way: nothing at its ends, all of it in the middle. */
    private static double bent(double bow, double share) {
        return bow == 0 ? 0 : bow * 4 * share * (1 - share);
    }
}
