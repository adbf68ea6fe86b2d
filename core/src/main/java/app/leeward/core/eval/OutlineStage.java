package app.leeward.core.eval;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Bend;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import app.leeward.core.art.Shape;
import app.leeward.core.dial.Channel;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.PointDeltaCurve;
import app.leeward.core.dial.Purpose;
import app.leeward.core.morph.Pieces;
import app.leeward.core.rig.Blend;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Pose;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/** The outlines of what is shown where they are not as they were drawn: on their way from another drawing, pulled by dials, bent, or bent at the wrist. */
final class OutlineStage {
    private static final int LEFT = Channel.STANDARD.indexOf(Channel.BEND_LEFT);
    private static final int MIDDLE = Channel.STANDARD.indexOf(Channel.BEND_MIDDLE);
    private static final int RIGHT = Channel.STANDARD.indexOf(Channel.BEND_RIGHT);

    /** How far from the blink's own way a dial may take points that it shuts an eye with, as a share of the longest. */
    private static final double ALONG = 0.2;

    private final CompiledRig rig;
    private final TransformStage transforms;
    private final WristStage wrists;
    /** For each part the drawings that dials reshape, and for each of their shapes by which; null for most parts and shapes. */
    private final Map<String, By[][]>[] pulls;

    /** @param shut where the blink takes the points at its end, for a dial that takes them some of that way; else null */
    private record By(int dial, PointDeltaCurve way, double[] shut) {
        double[] at(double value) {
            double[] shifts = new double[2 * way.points()];
            way.addTo(shifts, value);
            return shifts;
        }

        boolean sameOutline(PointDeltaCurve o) {
            return way.drawing().equals(o.drawing()) && way.shape() == o.shape() && way.points() == o.points();
        }
    }

    @SuppressWarnings("unchecked") // an array of maps cannot be made otherwise
    OutlineStage(CompiledRig rig, TransformStage transforms, WristStage wrists) {
        this.rig = rig;
        this.transforms = transforms;
        this.wrists = wrists;
        List<By>[] all = new List[rig.parts.length];
        for (int i = 0; i < rig.dials.size(); i++) {
            for (PointDeltaCurve r : PointDeltaCurve.of(rig.dials.get(i))) {
                int part = rig.place(r.part());
                if (part >= 0) {
                    all[part] = all[part] == null ? new ArrayList<>() : all[part];
                    all[part].add(new By(i, r, null));
                }
            }
        }
        pulls = new Map[rig.parts.length];
        for (int i = 0; i < all.length; i++) {
            if (all[i] != null) {
                List<By> same = all[i];
                same.replaceAll(by -> shutting(by, same));
                pulls[i] = byShape(rig.parts[i], same);
            }
        }
    }

    /** What no longer fits its outline does nothing, and is left out. */
    private static Map<String, By[][]> byShape(Part part, List<By> all) {
        Map<String, By[][]> found = new HashMap<>();
        for (By by : all) {
            List<Shape> shapes =
                    part.drawing(by.way.drawing()).map(d -> d.art().shapes()).orElse(List.of());
            int s = by.way.shape();
            if (s < shapes.size() && shapes.get(s).path().points().size() == by.way.points()) {
                By[][] of = found.computeIfAbsent(by.way.drawing(), d -> new By[shapes.size()][]);
                By[] before = of[s] == null ? new By[0] : of[s];
                of[s] = Arrays.copyOf(before, before.length + 1);
                of[s][before.length] = by;
            }
        }
        return found.isEmpty() ? null : found;
    }

    private By shutting(By by, List<By> all) {
        for (By blink : all) {
            Dial dial = rig.dials.get(blink.dial);
            if (dial.purpose() == Purpose.BLINK && by.sameOutline(blink.way)) {
                double[] shut = blink.at(dial.to());
                Dial own = rig.dials.get(by.dial);
                if (along(by.at(own.from()), shut) && along(by.at(own.to()), shut)) {
                    return new By(by.dial, by.way, shut);
                }
            }
        }
        return by;
    }

    /** Whether every point goes some of the way the blink takes it; handles may lead a little further. */
    private static boolean along(double[] shifts, double[] shut) {
        double longest = 0;
        for (int k = 0; k < shut.length; k += 2) {
            longest = Math.max(longest, Math.hypot(shut[k], shut[k + 1]));
        }
        double slack = ALONG * longest;
        for (int k = 0; k < shifts.length; k += 2) {
            double most = Math.hypot(shut[k], shut[k + 1]);
            double far = Math.hypot(shifts[k], shifts[k + 1]);
            double across = Math.abs(shifts[k] * shut[k + 1] - shifts[k + 1] * shut[k]);
            if (far > (1 + ALONG) * most + slack || across > slack * Math.max(most, slack)) {
                return false;
            }
        }
        return true;
    }

    /** One path for each shape of the drawing; empty for one that is as it was drawn. */
    List<Path> of(int part, String drawing, Pose pose, double[] numbers, double[] settings) {
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
        Blend blend = pose.blends().isEmpty() ? null : pose.blends().get(rig.parts[part].id());
        if (straight && pulls[part] == null && still == null && blend == null) {
            return List.of();
        }
        Artwork drawn = rig.parts[part].drawing(drawing).map(Drawing::art).orElseThrow();
        Artwork art = pulled(part, drawing, blended(part, drawing, drawn, blend), settings);
        if (!straight) {
            return new Bend(left, middle, right).of(art, rig.bending);
        }
        if (still != null) {
            art = wrists.of(part, drawing, art, still);
        }
        return art == drawn ? List.of() : art.shapes().stream().map(Shape::path).toList();
    }

    /** The same art where nothing comes over; a piece comes over where the piece it goes with takes the same steps. */
    private Artwork blended(int part, String drawing, Artwork art, Blend blend) {
        if (blend == null || blend.left() == 0 || !blend.to().equals(drawing)) {
            return art;
        }
        Artwork from = rig.parts[part].drawing(blend.from()).map(Drawing::art).orElse(null);
        if (from == null) {
            return art;
        }
        List<Shape> shapes = art.shapes();
        int[] partners = Pieces.paired(from, art);
        List<Path> outlines = new ArrayList<>(shapes.size());
        boolean over = false;
        for (int s = 0; s < partners.length; s++) {
            Path own = shapes.get(s).path();
            Path other = partners[s] < 0 ? null : from.shapes().get(partners[s]).path();
            boolean comes = other != null && other.steppedLike(own);
            outlines.add(comes ? own.towards(other, blend.left()) : own);
            over |= comes;
        }
        return over ? art.withOutlines(outlines) : art;
    }

    /** The same art when no dial pulls it. */
    private Artwork pulled(int part, String drawing, Artwork art, double[] settings) {
        By[][] of = pulls[part] == null ? null : pulls[part].get(drawing);
        if (of == null) {
            return art;
        }
        List<Path> outlines = null;
        for (int s = 0; s < of.length; s++) {
            double[] shifts = of[s] == null ? null : shifts(of[s], settings);
            if (shifts != null) {
                outlines = outlines == null
                        ? new ArrayList<>(art.shapes().stream().map(Shape::path).toList())
                        : outlines;
                outlines.set(s, art.shapes().get(s).path().shifted(shifts));
            }
        }
        return outlines == null ? art : art.withOutlines(outlines);
    }

    /** How far one outline's points are taken; null when nothing takes them anywhere. */
    private double[] shifts(By[] all, double[] settings) {
        double[] shifts = null;
        Shutting shutting = null;
        for (By by : all) {
            if (pulls(by, settings)) {
                shifts = shifts == null ? new double[2 * by.way.points()] : shifts;
                if (by.shut == null) {
                    by.way.addTo(shifts, settings[by.dial]);
                } else {
                    shutting = shutting == null ? new Shutting(by.shut) : shutting;
                    shutting.and(by.at(settings[by.dial]));
                }
            }
        }
        if (shutting != null) {
            shutting.addTo(shifts);
        }
        return shifts;
    }

    /** What several dials leave open of an eye: each leaves its share of what the others leave, so that together they never go past shut. */
    private static final class Shutting {
        private final double[] shut;
        private final double[] open;

        Shutting(double[] shut) {
            this.shut = shut;
            open = new double[shut.length / 2];
            Arrays.fill(open, 1);
        }

        void and(double[] shifts) {
            for (int k = 0; k < open.length; k++) {
                double x = shut[2 * k];
                double y = shut[2 * k + 1];
                double most = x * x + y * y;
                double share = most > 0 ? (shifts[2 * k] * x + shifts[2 * k + 1] * y) / most : 0;
                open[k] *= 1 - Math.max(-1, Math.min(1, share));
            }
        }

        void addTo(double[] shifts) {
            for (int k = 0; k < open.length; k++) {
                shifts[2 * k] += (1 - open[k]) * shut[2 * k];
                shifts[2 * k + 1] += (1 - open[k]) * shut[2 * k + 1];
            }
        }
    }

    private boolean pulls(By by, double[] settings) {
        return settings[by.dial] != rig.dials.get(by.dial).rest();
    }

    /** Writes down which dials pull points of what the part shows. */
    void tell(String drawing, double[] settings, Trace trace) {
        By[][] of = drawing == null || pulls[trace.part] == null ? null : pulls[trace.part].get(drawing);
        if (of == null) {
            return;
        }
        Arrays.stream(of)
                .filter(Objects::nonNull)
                .flatMap(Arrays::stream)
                .filter(by -> pulls(by, settings))
                .map(By::dial)
                .distinct()
                .sorted()
                .forEach(dial -> trace.pulls.add(new Trace.Pull(dial, settings[dial])));
    }
}
