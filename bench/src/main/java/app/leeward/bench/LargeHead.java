package app.leeward.bench;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Stroke;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Placement;
import app.leeward.core.rig.Side;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Maren with rings of many points all over her face, each a piece of its own. */
final class LargeHead {
    private LargeHead() {}

    /**
     * @param pieces how many more
     * @param points points and handles of all of them together
     */
    static Character of(int pieces, int points) {
        Character c = Faces.maren();
        String head = c.part(PartRole.HEAD).orElseThrow().id();
        int steps = points / pieces / 3;
        for (int i = 0; i < pieces; i++) {
            Point middle = new Point(400 + i % 10 * 22, 330 + i / 10 * 40);
            String id = "ring-" + i;
            Shape ring = new Shape(
                    "",
                    ShapeRole.OTHER,
                    ring(middle, steps),
                    Paint.flat("#336699"),
                    FillRule.NONZERO,
                    Stroke.NONE,
                    1,
                    false);
            Part part = new Part(
                    id,
                    "Ring " + i,
                    PartRole.OTHER,
                    Side.NONE,
                    Optional.of(head),
                    middle,
                    Placement.REST,
                    List.of(new Drawing("drawn", "drawn", new Artwork(List.of(ring)))),
                    "drawn");
            int top = c.rig().order().size();
            c = c.withRig(rig -> rig.withNewPart(part, top));
        }
        return c;
    }

    private static Path ring(Point middle, int steps) {
        List<Segment> all = new ArrayList<>();
        all.add(new Segment.Move(at(middle, 0)));
        for (int k = 0; k < steps; k++) {
            all.add(new Segment.Cubic(
                    at(middle, (k + 1 / 3.0) / steps),
                    at(middle, (k + 2 / 3.0) / steps),
                    at(middle, (k + 1.0) / steps)));
        }
        all.add(new Segment.Close());
        return new Path(all);
    }

    private static Point at(Point middle, double turn) {
        return new Point(middle.x() + 9 * Math.cos(2 * Math.PI * turn), middle.y() + 15 * Math.sin(2 * Math.PI * turn));
    }
}
