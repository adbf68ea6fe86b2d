package app.leeward.core.rig;

import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Offset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Enlarges and moves a whole character: art, pivots, placements, what dials do, axis and model lines alike. */
public final class Scaling {
    private Scaling() {}

    /**
     * Every place (x, y) becomes ({@code scale}·x + {@code dx}, {@code scale}·y + {@code dy}), in every pose.
     *
     * @param canvas the picture's size from then on
     */
    public static Character of(Character c, double scale, double dx, double dy, Canvas canvas) {
        Matrix m = new Matrix(scale, 0, 0, scale, dx, dy);
        List<Part> parts = c.rig().parts().stream().map(p -> part(p, m)).toList();
        Model model = new Model(
                scale * c.sheet().model().axis() + dx,
                c.sheet().model().lines().stream()
                        .map(l -> new ModelLine(l.name(), scale * l.y() + dy))
                        .toList());
        return c.withRig(rig -> rig.withParts(parts))
                .withControls(controls -> controls.withCorrectives(c.controls().correctives().stream()
                        .map(k -> k.withOffsets(scaled(k.offsets(), scale)))
                        .toList()))
                .withDials(
                        c.controls().dials().stream()
                                .map(d -> d.withEffects(d.effects().stream().map(e -> e.scaled(scale))))
                                .toList(),
                        c.controls().pads())
                .withSheet(sheet -> sheet.withModel(model))
                .withOrigin(origin -> origin.withSource(c.origin().source().map(r -> r.then(scale, dx, scale, dy))))
                .withSheet(sheet -> sheet.withCanvas(canvas));
    }

    private static Part part(Part p, Matrix m) {
        Placement r = p.rest();
        List<Drawing> drawings = p.drawings().stream().map(d -> d.transform(m)).toList();
        List<Point> earlier = p.earlierPivots().stream().map(m::apply).toList();
        return p.withDrawings(drawings, p.shown())
                .withPivot(m.apply(p.pivot()), earlier)
                .withRest(new Placement(
                        m.a() * r.x(), m.a() * r.y(), r.rotation(), r.scaleX(), r.scaleY(), r.skewX(), r.opacity()));
    }

    private static Map<String, Offset> scaled(Map<String, Offset> all, double scale) {
        Map<String, Offset> offsets = new HashMap<>();
        all.forEach((part, o) -> offsets.put(part, o.scaled(scale)));
        return offsets;
    }
}
