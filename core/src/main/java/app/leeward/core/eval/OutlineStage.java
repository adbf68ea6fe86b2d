package app.leeward.core.eval;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Bend;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import app.leeward.core.art.Shape;
import app.leeward.core.dial.Channel;
import app.leeward.core.dial.PointDeltaCurve;
import java.util.ArrayList;
import java.util.List;

/** The outlines of what is shown where they are not as they were drawn: pulled by dials, bent, or bent at the wrist. */
final class OutlineStage {
    private static final int LEFT = Channel.STANDARD.indexOf(Channel.BEND_LEFT);
    private static final int MIDDLE = Channel.STANDARD.indexOf(Channel.BEND_MIDDLE);
    private static final int RIGHT = Channel.STANDARD.indexOf(Channel.BEND_RIGHT);

    private final CompiledRig rig;
    private final TransformStage transforms;
    private final WristStage wrists;
    /** For each part the dials that reshape its drawings; null for most. */
    private final List<By>[] pulls;

    private record By(int dial, PointDeltaCurve way) {}

    @SuppressWarnings("unchecked") // an array of lists cannot be made otherwise
    OutlineStage(CompiledRig rig, TransformStage transforms, WristStage wrists) {
        this.rig = rig;
        this.transforms = transforms;
        this.wrists = wrists;
        pulls = new List[rig.parts.length];
        for (int i = 0; i < rig.dials.size(); i++) {
            for (PointDeltaCurve r : PointDeltaCurve.of(rig.dials.get(i))) {
                int part = rig.place(r.part());
                if (part >= 0) {
                    pulls[part] = pulls[part] == null ? new ArrayList<>() : pulls[part];
                    pulls[part].add(new By(i, r));
                }
            }
        }
    }

    /** One path for each shape of the drawing; empty for one that is as it was drawn. */
    List<Path> of(int part, String drawing, double[] numbers, double[] settings) {
        double left = 0;
        double middle = 0;
        double right = 0;
        int width = rig.channels.size();
        for (int v = rig.firstGroup(part) * width; v <= rig.presentGroup(part) * width; v += width) {
            left += numbers[v + LEFT];
            middle += numbers[v + MIDDLE];
            right += numbers[v + RIGHT];
        }
        boolean straight = left == 0 && middle == 0 && right == 0;
        // most parts are as they were drawn, and a drag asks for hundreds of poses
        Matrix still = wrists.bends(part) ? wrists.still(part, drawing, transforms.own(part, numbers)) : null;
        if (straight && pulls[part] == null && still == null) {
            return List.of();
        }
        Artwork drawn = rig.parts[part].drawing(drawing).map(Drawing::art).orElseThrow();
        Artwork art = pulled(part, drawing, drawn, settings);
        if (!straight) {
            return new Bend(left, middle, right).of(art);
        }
        if (still != null) {
            art = wrists.of(part, drawing, art, still);
        }
        return art == drawn ? List.of() : art.shapes().stream().map(Shape::path).toList();
    }

    /** The same art when no dial pulls it. What no longer fits its outline does nothing. */
    private Artwork pulled(int part, String drawing, Artwork art, double[] settings) {
        List<Path> outlines = null;
        for (int s = 0; pulls[part] != null && s < art.shapes().size(); s++) {
            Shape shape = art.shapes().get(s);
            double[] shifts = null;
            for (By by : pulls[part]) {
                if (by.way.shape() == s && pulls(by, drawing, shape, settings)) {
                    shifts = shifts == null ? new double[2 * by.way.points()] : shifts;
                    by.way.addTo(shifts, settings[by.dial]);
                }
            }
            if (shifts != null) {
                outlines = outlines == null
                        ? new ArrayList<>(art.shapes().stream().map(Shape::path).toList())
                        : outlines;
                outlines.set(s, shape.path().shifted(shifts));
            }
        }
        return outlines == null ? art : art.withOutlines(outlines);
    }

    private boolean pulls(By by, String drawing, Shape shape, double[] settings) {
        return by.way.drawing().equals(drawing)
                && settings[by.dial] != rig.dials.get(by.dial).rest()
                && by.way.points() == shape.path().points().size();
    }

    /** Writes down which dials pull points of what the part shows. */
    void tell(String drawing, double[] settings, Trace trace) {
        List<By> all = pulls[trace.part];
        Artwork art = drawing == null
                ? null
                : rig.parts[trace.part].drawing(drawing).map(Drawing::art).orElse(null);
        for (int i = 0; art != null && all != null && i < rig.dials.size(); i++) {
            int dial = i;
            boolean does = all.stream()
                    .anyMatch(by -> by.dial == dial
                            && by.way.shape() < art.shapes().size()
                            && pulls(by, drawing, art.shapes().get(by.way.shape()), settings));
            if (does) {
                trace.pulls.add(new Trace.Pull(dial, settings[dial]));
            }
        }
    }
}
