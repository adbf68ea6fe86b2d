package app.leeward.core.eye;

import app.leeward.core.art.Point;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.Side;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;

/**
 * One brow as the Brows bench shows it, in a pose.
 *
 * @param id of the brow
 * @param inner on the canvas, in the middle of the brow's thickness, as the other two
 */
public record BrowView(String id, String name, Side side, Point inner, Point middle, Point outer) {
    /** How far from its tips a brow is taken hold of, as a share of its width. */
    private static final double IN = 0.06;

    /** Every brow that shows a drawing with a fill, as they stand on the screen, from left to right. */
    public static List<BrowView> of(Character c, Pose pose) {
        Frame now = new Evaluator(c).frame(pose);
        Frame rest = new Evaluator(c).frame(c.resting(pose));
        Fills fills = new Fills(c);
        List<BrowView> out = new ArrayList<>();
        for (Part p : c.rig().parts()) {
            Optional<Geometry> area = p.role() == PartRole.BROW ? fills.in(now, p.id()) : Optional.empty();
            Optional<Geometry> before = fills.in(rest, p.id());
            if (area.isPresent() && before.isPresent() && !area.get().isEmpty()) {
                Envelope e = area.get().getEnvelopeInternal();
                boolean right = before.get().getEnvelopeInternal().centre().x
                        > c.sheet().model().axis();
                Point left = at(area.get(), e.getMinX() + IN * e.getWidth());
                Point end = at(area.get(), e.getMaxX() - IN * e.getWidth());
                Point middle = at(area.get(), e.centre().x);
                out.add(new BrowView(p.id(), p.name(), p.side(), right ? left : end, middle, right ? end : left));
            }
        }
        out.sort(Comparator.comparingDouble(b -> b.middle.x()));
        return out;
    }

    private static Point at(Geometry area, double x) {
        return VerticalHit.vertical(area, x)
                .map(ends -> new Point(x, (ends[0] + ends[1]) / 2))
                .orElseGet(() -> new Point(x, area.getEnvelopeInternal().centre().y));
    }
}
