package app.leeward.core.hand;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Point;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Wrist;
import java.util.List;
import java.util.function.DoubleFunction;
import org.locationtech.jts.algorithm.construct.MaximumInscribedCircle;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;

/**
 * The joint of a hand and its arm: the circle over the wrist, and how far it opens while the hand turns.
 *
 * @param bare what of the circle the arm leaves bare
 * @param width of the wrist, units
 */
record Joint(Geometry bare, double width) {
    private static final int CIRCLE = 16;
    private static final GeometryFactory JTS = new GeometryFactory();
    /** How exactly a gap's width is found, as a share of the wrist's. */
    private static final double EXACT = 1e-3;

    /** @param arm what the arm fills */
    static Joint of(Wrist at, List<Geometry> arm) {
        Point m = at.middle();
        Geometry circle = JTS.createPoint(new Coordinate(m.x(), m.y())).buffer(at.width() / 2, CIRCLE);
        return new Joint(without(circle, arm), at.width());
    }

    /**
     * The widest place in the circle that neither arm nor hand covers when the hand is turned by {@link Hands#SWING} to either
     * side.
     *
     * @param swung the hand turned by so many degrees
     */
    Gap gap(DoubleFunction<Artwork> swung) {
        Gap widest = Gap.NONE;
        for (double by : new double[] {-Hands.SWING, Hands.SWING}) {
            Gap one = widest(left(swung.apply(by)), by);
            widest = one.width() > widest.width() ? one : widest;
        }
        return widest;
    }

    /** What a hand leaves bare of the joint. */
    Geometry left(Artwork hand) {
        return without(bare, fills(near(hand, bare)));
    }

    /** The largest circle in an area that is bare while the hand is turned by so many degrees. */
    Gap widest(Geometry open, double by) {
        Gap widest = Gap.NONE;
        for (int i = 0; i < open.getNumGeometries(); i++) {
            // no circle in it is larger than it
            if (open.getGeometryN(i) instanceof Polygon p
                    && 2 * Math.sqrt(p.getArea() / Math.PI) > widest.width() + EXACT * width) {
                MaximumInscribedCircle circle = new MaximumInscribedCircle(p, EXACT * width);
                double across = 2 * circle.getRadiusLine().getLength();
                Coordinate at = circle.getCenter().getCoordinate();
                widest = across > widest.width() ? new Gap(across, new Point(at.x, at.y), by) : widest;
            }
        }
        return widest;
    }

    /** What of an area is left when some shapes cover it: one after the other, since the joint is small and few reach it. */
    private static Geometry without(Geometry area, List<Geometry> covers) {
        Geometry left = area;
        for (Geometry g : covers) {
            if (left.getEnvelopeInternal().intersects(g.getEnvelopeInternal())) {
                left = Regions.without(left, g);
            }
        }
        return left;
    }

    /** The shapes of a drawing that may reach an area: a path lies within the box of its points and handles. */
    private static Artwork near(Artwork art, Geometry area) {
        Envelope box = area.getEnvelopeInternal();
        return new Artwork(art.shapes().stream()
                .filter(s -> {
                    Envelope own = new Envelope();
                    s.path().points().forEach(p -> own.expandToInclude(p.x(), p.y()));
                    return own.intersects(box);
                })
                .toList());
    }

    static List<Geometry> fills(Artwork art) {
        return art.inShapes().shapes().stream()
                .filter(s -> !(s.fill() instanceof Paint.None))
                .map(s -> Regions.of(s.path()))
                .toList();
    }
}
