package app.leeward.core.performer;

import app.leeward.core.signal.Signal;
import java.util.EnumMap;
import java.util.Map;

/**
 * Points of a face in a camera's picture, as a face mesh of 478 points numbers them, made into a performer's signals: each is how far
 * the face is from its neutral pose, so that no two faces need the same measures, and drawn ones can be read as well. The head is
 * turned back first; all lengths are in shares of the width between the outer corners of the eyes. How far a face goes, which is 1, is
 * by eye, no source.
 *
 * @param points rows of x to the right, y down, z away from the camera, all in the same unit
 */
public record FaceLandmarks(double[][] points) {
    public static final int COUNT = 478;

    /** Points that keep their places on a head whatever the face does: bridge and wings of the nose, corners of the eyes, temples. */
    private static final int[] RIGID = {
        168, 6, 197, 195, 5, 4, 1, 33, 133, 362, 263, 127, 356, 234, 454, 98, 327, 2, 10, 151, 9, 8
    };

    /** Outer and inner corner, upper and lower lid, iris: of the eye at the left of the picture, then of the other. */
    private static final int[][] EYES = {{33, 133, 159, 145, 468}, {263, 362, 386, 374, 473}};

    /** Inner and outer end, with the corner of the eye below each. */
    private static final int[][] BROWS = {{107, 133, 70, 33}, {336, 362, 300, 263}};

    private static final int[] CORNERS = {61, 291};
    private static final int UPPER_LIP = 13;
    private static final int LOWER_LIP = 14;

    /** @throws IllegalArgumentException when there are other than 478 points, or one is no point */
    public FaceLandmarks {
        if (points.length != COUNT) {
            throw new IllegalArgumentException("A face has " + COUNT + " points, not " + points.length + ".");
        }
        for (double[] p : points) {
            if (!Double.isFinite(p[0] + p[1] + p[2])) {
                throw new IllegalArgumentException("A point of the face is no number.");
            }
        }
    }

    /** From one row of numbers, x, y and z of each point, as shares of a picture's width, height and width. */
    public static FaceLandmarks of(double[] numbers, double width, double height) {
        double[][] points = new double[numbers.length / 3][];
        for (int i = 0; i < points.length; i++) {
            points[i] = new double[] {numbers[3 * i] * width, numbers[3 * i + 1] * height, numbers[3 * i + 2] * width};
        }
        return new FaceLandmarks(points);
    }

    /** What the face does, from what it did in its neutral pose. */
    public Map<Signal, Double> signals(FaceLandmarks neutral) {
        double[][] r = Kabsch.rotation(neutral.rigid(), rigid());
        Measures now = measures(r);
        Measures rest = neutral.measures(new double[][] {{1, 0, 0}, {0, 1, 0}, {0, 0, 1}});
        Map<Signal, Double> all = new EnumMap<>(Signal.class);
        // where the face looks, away from the camera being −z, and where its right side points
        double[] ahead = Kabsch.applied(r, new double[] {0, 0, -1});
        double[] side = Kabsch.applied(r, new double[] {1, 0, 0});
        put(all, Signal.HEAD_YAW, Math.toDegrees(Math.atan2(ahead[0], -ahead[2])));
        put(all, Signal.HEAD_PITCH, Math.toDegrees(Math.asin(Math.max(-1, Math.min(1, ahead[1])))));
        put(all, Signal.HEAD_ROLL, Math.toDegrees(Math.atan2(side[1], side[0])));
        put(all, Signal.GAZE_ACROSS, (now.irisAcross - rest.irisAcross) / 0.2);
        put(all, Signal.GAZE_DOWN, (now.irisDown - rest.irisDown) / 0.12);
        double open = rest.open <= 0 ? 1 : now.open / rest.open;
        put(all, Signal.AU45, (1 - open) / 0.7);
        put(all, Signal.AU5, (open - 1.05) / 0.3);
        put(all, Signal.AU7, (now.lowerLid - rest.lowerLid) / 0.04);
        put(all, Signal.AU1, (now.browInner - rest.browInner) / 0.09);
        put(all, Signal.AU2, (now.browOuter - rest.browOuter) / 0.09);
        put(all, Signal.AU4, (rest.browInner - now.browInner) / 0.06 + (rest.browsApart - now.browsApart) / 0.08);
        double up = (now.corners - rest.corners) / 0.08;
        double wide = (now.mouth - rest.mouth) / 0.18;
        put(all, Signal.AU12, up <= 0 ? 0 : 0.6 * up + 0.4 * Math.max(0, wide));
        put(all, Signal.AU15, -up);
        put(all, Signal.AU20, wide - Math.max(0, up));
        put(all, Signal.AU23, -wide);
        double lips = now.lips - rest.lips;
        put(all, Signal.AU25, lips / 0.06);
        put(all, Signal.JAW, lips / 0.35);
        return all;
    }

    private static void put(Map<Signal, Double> all, Signal signal, double value) {
        all.put(signal, signal.hold(value));
    }

    private double[][] rigid() {
        double[][] out = new double[RIGID.length][];
        for (int i = 0; i < out.length; i++) {
            out[i] = points[RIGID[i]];
        }
        return out;
    }

    /** What is measured on a face that looks ahead, in shares of the width between the eyes' outer corners. */
    private record Measures(
            double open,
            double lowerLid,
            double irisAcross,
            double irisDown,
            double browInner,
            double browOuter,
            double browsApart,
            double corners,
            double mouth,
            double lips) {}

    private Measures measures(double[][] r) {
        double width = length(points[EYES[0][0]], points[EYES[1][0]]);
        double[] at = new double[8];
        for (int[] e : EYES) {
            double[] outer = ahead(r, e[0]);
            double[] inner = ahead(r, e[1]);
            double[] iris = ahead(r, e[4]);
            double midX = (outer[0] + inner[0]) / 2;
            double midY = (outer[1] + inner[1]) / 2;
            double eye = Math.hypot(outer[0] - inner[0], outer[1] - inner[1]);
            at[0] += Math.abs(ahead(r, e[3])[1] - ahead(r, e[2])[1]) / eye / 2;
            at[1] += (midY - ahead(r, e[3])[1]) / width / 2;
            at[2] += (iris[0] - midX) / eye / 2;
            at[3] += (iris[1] - midY) / eye / 2;
        }
        for (int[] b : BROWS) {
            at[4] += (ahead(r, b[1])[1] - ahead(r, b[0])[1]) / width / 2;
            at[5] += (ahead(r, b[3])[1] - ahead(r, b[2])[1]) / width / 2;
        }
        double[] left = ahead(r, CORNERS[0]);
        double[] right = ahead(r, CORNERS[1]);
        double[] upper = ahead(r, UPPER_LIP);
        double[] lower = ahead(r, LOWER_LIP);
        return new Measures(
                at[0],
                at[1],
                at[2],
                at[3],
                at[4],
                at[5],
                length(points[BROWS[0][0]], points[BROWS[1][0]]) / width,
                (Math.min(upper[1], lower[1]) - (left[1] + right[1]) / 2) / width,
                length(points[CORNERS[0]], points[CORNERS[1]]) / width,
                length(points[UPPER_LIP], points[LOWER_LIP]) / width);
    }

    private double[] ahead(double[][] r, int point) {
        return Kabsch.undone(r, points[point]);
    }

    private static double length(double[] a, double[] b) {
        return Math.sqrt((a[0] - b[0]) * (a[0] - b[0]) + (a[1] - b[1]) * (a[1] - b[1]) + (a[2] - b[2]) * (a[2] - b[2]));
    }
}
