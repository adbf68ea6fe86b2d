package app.leeward.core.check;

import app.leeward.core.art.Box;
import app.leeward.core.art.Point;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Canvas;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Pose;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** What leaves the canvas that lies on it at rest. */
public final class OffCanvas {
    /** Share of a part that may leave unseen: an outline's width; by eye, no source. */
    private static final double UNSEEN = 0.03;

    private final Canvas canvas;
    private final Map<String, Double> atRest = new HashMap<>();

    public OffCanvas(Evaluator evaluator) {
        canvas = evaluator.character().sheet().canvas();
        Extents extents = new Extents(evaluator.character());
        for (Frame.Placed p : evaluator.frame(Pose.REST).placed()) {
            atRest.put(p.part(), outside(extents.corners(p)));
        }
    }

    /**
     * A part that has left.
     *
     * @param share of its box that lies beyond the canvas, 0 to 1
     * @param box its corners on the canvas
     */
    public record Left(String part, double share, List<Point> box) {}

    /**
     * Every part that has left.
     *
     * @param corners of the box of what a part shows, on the canvas
     */
    public List<Left> in(Frame picture, Function<Frame.Placed, List<Point>> corners) {
        List<Left> out = new ArrayList<>();
        for (Frame.Placed p : picture.placed()) {
            // what a window cuts is seen no further than the window
            if (p.opacity() > 0 && p.windows().isEmpty()) {
                List<Point> box = corners.apply(p);
                double share = outside(box);
                if (share > atRest.getOrDefault(p.part(), 0.0) + UNSEEN) {
                    out.add(new Left(p.part(), share, box));
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
        double wide = Math.max(0, Math.min(box.maxX(), canvas.width()) - Math.max(box.minX(), 0));
        double high = Math.max(0, Math.min(box.maxY(), canvas.height()) - Math.max(box.minY(), 0));
        return 1 - wide * high / (box.width() * box.height());
    }
}
