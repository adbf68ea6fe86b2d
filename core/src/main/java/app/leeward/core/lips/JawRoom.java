package app.leeward.core.lips;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Regions;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import java.util.Optional;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** How far down a mouth can open: a mouth as wide as the face would otherwise open past the chin. */
final class JawRoom {
    private static final GeometryFactory FACTORY = new GeometryFactory();

    private JawRoom() {}

    /**
     * The y of the chin under the middle of a mouth, in the coordinates of its drawing.
     *
     * @return infinite where there is no face under it, or where it lies beyond the face's edge
     */
    static double chin(Character c, Part mouth, Artwork start) {
        Optional<Part> face = c.part(PartRole.FACE, Side.NONE);
        Optional<Box> lips = start.bounds();
        Optional<Geometry> skin = face.flatMap(f -> f.drawing(f.shown()))
                .map(Drawing::art)
                .map(a -> Regions.ofFills(a.windowShapes()))
                .filter(g -> !g.isEmpty());
        if (skin.isEmpty() || lips.isEmpty()) {
            return Double.POSITIVE_INFINITY;
        }
        Evaluator rest = new Evaluator(c);
        Matrix into = rest.atRest(Optional.of(mouth.id()))
                .inverse()
                .times(rest.atRest(Optional.of(face.get().id())));
        Geometry area = Regions.transformed(skin.get(), into);
        Box b = lips.get();
        double far = area.getEnvelopeInternal().getMaxY() + b.height() + 1;
        Geometry down = FACTORY.createLineString(new Coordinate[] {
            new Coordinate(b.centre().x(), b.centre().y()),
            new Coordinate(b.centre().x(), far)
        });
        Geometry under = area.intersection(down);
        double chin = under.isEmpty() ? 0 : under.getEnvelopeInternal().getMaxY();
        return chin > b.maxY() ? chin : Double.POSITIVE_INFINITY;
    }
}
