package app.leeward.core.shotcheck;

import app.leeward.core.art.Box;
import app.leeward.core.art.Point;
import app.leeward.core.check.Measure;
import app.leeward.core.check.Subject;
import app.leeward.core.check.Unit;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Canvas;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Pose;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** A part that leaves the canvas further than it does at rest. */
final class CanvasGauge implements Gauge {
    /** Share of a part that may leave unseen: an outline's width; by eye, no source. */
    private static final double UNSEEN = 0.03;

    private final Evaluator evaluator;
    private final Map<String, Double> atRest = new HashMap<>();

    CanvasGauge(Evaluator evaluator) {
        this.evaluator = evaluator;
        Extents extents = new Extents(evaluator.character());
        for (Frame.Placed p : evaluator.frame(Pose.REST).placed()) {
            atRest.put(p.part(), outside(extents.corners(p)));
        }
    }

    @Override
    public List<Reading> read(List<Exposure> s, int i) {
        List<Reading> out = new ArrayList<>();
        for (Frame.Placed p : s.get(i).picture().placed()) {
            // what a window cuts is seen no further than the window
            if (p.opacity() > 0 && p.windows().isEmpty()) {
                double share = outside(s.get(i).corners(p));
                if (share > atRest.getOrDefault(p.part(), 0.0) + UNSEEN) {
                    out.add(new Reading(
                            "off-canvas",
                            Subject.part(p.part()),
                            new Measure(share, Unit.SHARE),
                            String.format(
                                    Locale.ROOT,
                                    "%.0f %% of %s lies off the canvas.",
                                    100 * share,
                                    evaluator
                                            .character()
                                            .part(p.part())
                                            .orElseThrow()
                                            .name())));
                }
            }
        }
        return out;
    }

    /** Share of its box beyond the canvas. */
    private double outside(List<Point> corners) {
        if (corners.isEmpty()) {
            return 0;
        }
        Box box = Box.around(corners);
        if (box.width() <= 0 || box.height() <= 0) {
            return 0;
        }
        Canvas c = evaluator.character().sheet().canvas();
        double wide = Math.max(0, Math.min(box.maxX(), c.width()) - Math.max(box.minX(), 0));
        double high = Math.max(0, Math.min(box.maxY(), c.height()) - Math.max(box.minY(), 0));
        return 1 - wide * high / (box.width() * box.height());
    }
}
