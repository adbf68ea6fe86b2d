package app.leeward.core.intake;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Point;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Shape;
import app.leeward.core.rig.Part;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** Whether a feature was drawn past the edge of the face, such as fluff on a cheek: the face must not cut off what is to be seen. */
final class PastEdge {
    /** A larger share of it beyond the edge was meant so; a smaller one is how hands draw. */
    private static final double MEANT = 0.02;

    private static final GeometryFactory FACTORY = new GeometryFactory();

    private PastEdge() {}

    /** Both as they are drawn; false where either shows nothing. */
    static boolean of(Part face, Part feature) {
        Optional<Geometry> skin =
                art(face).map(a -> Regions.ofFills(a.windowShapes())).filter(g -> !g.isEmpty());
        Optional<Artwork> drawn = art(feature);
        if (skin.isEmpty() || drawn.isEmpty()) {
            return false;
        }
        Geometry fill = Regions.ofFills(drawn.get().windowShapes());
        if (fill.getArea() > 0) {
            return Regions.without(fill, skin.get()).getArea() > MEANT * fill.getArea();
        }
        List<Point> points = drawn.get().shapes().stream()
                .map(Shape::path)
                .flatMap(path -> path.points().stream())
                .toList();
        long out = points.stream()
                .filter(p -> !skin.get().intersects(FACTORY.createPoint(new Coordinate(p.x(), p.y()))))
                .count();
        return out > MEANT * points.size();
    }

    private static Optional<Artwork> art(Part p) {
        return p.drawing(p.shown())
                .map(Drawing::art)
                .map(a -> p.rest().equals(app.leeward.core.rig.Placement.REST) ? a : a.transform(p.restMatrix()));
    }
}
