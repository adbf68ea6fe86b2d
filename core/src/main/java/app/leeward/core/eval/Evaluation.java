package app.leeward.core.eval;

import app.leeward.core.art.Matrix;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Channel;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Joint;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.ViewBand;
import java.util.ArrayList;
import java.util.List;

/**
 * One pose on its way through the stages: where dials stand, which view shows, what the channels of all parts come to, which
 * drawings show, and where everything stands. With a {@link Trace} the same run writes down what it did to one part.
 */
final class Evaluation {
    private final Stages stages;
    private final Pose pose;
    private final CompiledRig rig;
    private final Trace trace;
    final double[] settings;
    private final ViewBand shown;
    private final double[] numbers;
    private final String[] drawings;
    private final Matrix[] matrices;

    /** @param trace null when nobody asks why */
    Evaluation(Stages stages, Pose pose, Trace trace) {
        this.stages = stages;
        this.pose = pose;
        this.trace = trace;
        rig = stages.rig();
        settings = stages.dials().of(pose);
        shown = stages.views().at(settings);
        numbers = rig.rest();
        stages.poses().addTo(numbers, settings, shown, trace);
        stages.correctives().addTo(numbers, settings, trace);
        stages.lids().hold(numbers, trace);
        drawings = stages.drawings().of(pose, settings, shown, trace);
        stages.grips().drop(drawings, trace);
        matrices = stages.transforms().matrices(numbers, shown, drawings);
        if (trace != null) {
            stages.stacking().of(drawings, settings, trace);
            stages.outlines().tell(drawings[trace.part], settings, trace);
        }
    }

    Frame frame() {
        double[] opacity = stages.transforms().opacities(numbers);
        List<Frame.Placed> placed = new ArrayList<>(rig.parts.length);
        for (int i : stages.stacking().of(drawings, settings, null)) {
            if (drawings[i] != null) {
                placed.add(new Frame.Placed(
                        rig.parts[i].id(),
                        drawings[i],
                        matrices[i],
                        opacity[i],
                        stages.masks().windows(i, drawings),
                        stages.masks().outside(i, drawings),
                        stages.grips().behind(i),
                        stages.outlines().of(i, drawings[i], pose, numbers, settings)));
            }
        }
        return new Frame(placed);
    }

    /** The joints of every part, in the order of the parts. */
    List<Joint> joints() {
        List<Joint> joints = new ArrayList<>(rig.parts.length);
        for (int i = 0; i < rig.parts.length; i++) {
            Matrix within = stages.grips().within(i, matrices, drawings);
            Point shift = new Point(rig.total(i, Channel.X, numbers), rig.total(i, Channel.Y, numbers));
            joints.add(new Joint(
                    rig.parts[i].id(),
                    rig.parts[i].parent(),
                    within.apply(rig.parts[i].pivot().plus(shift)),
                    within));
        }
        return joints;
    }

    /** What a channel of a part comes to. */
    double total(int part, Channel channel) {
        return rig.total(part, channel, numbers);
    }

    /** Id of the drawing a part shows; null for none. */
    String drawing(int part) {
        return drawings[part];
    }

    Trace trace() {
        return trace;
    }
}
