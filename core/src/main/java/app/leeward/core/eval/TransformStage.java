package app.leeward.core.eval;

import app.leeward.core.art.Matrix;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Channel;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Placement;
import app.leeward.core.rig.ViewBand;

/** Where each part stands on the canvas, and how much it lets through. */
final class TransformStage {
    private static final int X = Channel.STANDARD.indexOf(Channel.X);
    private static final int Y = Channel.STANDARD.indexOf(Channel.Y);
    private static final int ROTATION = Channel.STANDARD.indexOf(Channel.ROTATION);
    private static final int SCALE_X = Channel.STANDARD.indexOf(Channel.SCALE_X);
    private static final int SCALE_Y = Channel.STANDARD.indexOf(Channel.SCALE_Y);
    private static final int SKEW_X = Channel.STANDARD.indexOf(Channel.SKEW_X);
    private static final int OPACITY = Channel.STANDARD.indexOf(Channel.OPACITY);

    private final CompiledRig rig;
    private final ViewStage views;
    private final GripStage grips;
    private final int width;

    TransformStage(CompiledRig rig, ViewStage views, GripStage grips) {
        this.rig = rig;
        this.views = views;
        this.grips = grips;
        width = rig.channels.size();
    }

    /** From each part's coordinates to the canvas. */
    Matrix[] matrices(double[] numbers, ViewBand shown, String[] drawings) {
        Matrix[] matrices = new Matrix[rig.parts.length];
        int flipped = views.flippedRoot(shown);
        for (int i : rig.parentsFirst) {
            if (i == flipped) {
                Matrix mirrored =
                        views.mirror(rig.atRest(rig.parts[i].parent())).times(own(i, numbers));
                matrices[i] = grips.within(i, matrices, drawings).times(mirrored);
            } else {
                matrices[i] = rig.parentOf[i] < 0
                        ? own(i, numbers)
                        : grips.within(i, matrices, drawings).times(own(i, numbers));
            }
        }
        return matrices;
    }

    /** The part in the coordinates of what it follows: its groups about their pivots, the oldest applied first. */
    Matrix own(int i, double[] numbers) {
        Part p = rig.parts[i];
        int first = rig.firstGroup(i) * width;
        int present = rig.presentGroup(i) * width;
        if (first == present) {
            return about(numbers, first, numbers[first + X], numbers[first + Y], p.pivot());
        }
        Matrix m = null;
        double x = 0;
        double y = 0;
        for (int v = first; v <= present; v += width) {
            Point pivot = v == present ? p.pivot() : p.earlierPivots().get((v - first) / width);
            Matrix about = about(numbers, v, 0, 0, pivot);
            m = m == null ? about : about.times(m);
            x += numbers[v + X];
            y += numbers[v + Y];
        }
        return new Matrix(m.a(), m.b(), m.c(), m.d(), m.e() + x, m.f() + y);
    }

    private static Matrix about(double[] numbers, int v, double x, double y, Point pivot) {
        return Placement.matrix(
                x,
                y,
                numbers[v + ROTATION],
                numbers[v + SCALE_X],
                numbers[v + SCALE_Y],
                numbers[v + SKEW_X],
                pivot.x(),
                pivot.y());
    }

    /** 0 to 1 for each part, the opacity of what it follows multiplied in. */
    double[] opacities(double[] numbers) {
        double[] opacity = new double[rig.parts.length];
        for (int i : rig.parentsFirst) {
            double own = 1;
            for (int v = rig.firstGroup(i) * width; v <= rig.presentGroup(i) * width; v += width) {
                own *= numbers[v + OPACITY];
            }
            own = Math.max(0, Math.min(1, own));
            opacity[i] = rig.parentOf[i] < 0 ? own : own * opacity[rig.parentOf[i]];
        }
        return opacity;
    }
}
