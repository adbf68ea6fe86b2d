package app.leeward.core.turn;

import app.leeward.core.art.Regions;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.SolidKind;
import app.leeward.core.solid.HeadSolids;
import app.leeward.core.solid.View;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/**
 * How far a head that was drawn from the front bears to be turned: as far as it keeps its volume, no feature gets too narrow and
 * the eyes stay on the face. What the measures are held against was chosen by eye.
 *
 * @param degrees the widest turn to either side that it bears, in steps of 5
 * @param stops what gives way first beyond that, a sentence; empty at the widest that is tried
 */
public record TurnRange(double degrees, Optional<String> stops) {
    /** The widest a turn is made from drawings from the front: beyond it no more is seen of a face than its side. */
    public static final double WIDEST = 60;
    /** The narrowest one is made. */
    public static final double LEAST = 15;

    private static final double STEP = 5;
    /** Less of the head than this share of it, seen from the front, is a loss of volume. */
    private static final double VOLUME = 0.8;
    /** An eye narrower than this share of itself can no longer be acted with. */
    private static final double EYE_NARROWEST = 0.3;
    /** Any other feature narrower than this is a sliver. */
    private static final double NARROWEST = 0.2;

    private static final GeometryFactory FACTORY = new GeometryFactory();

    public static TurnRange of(Character c, HeadSolids solids) {
        double volume = area(solids, View.yaw(0));
        double borne = LEAST;
        for (double yaw = LEAST + STEP; yaw <= WIDEST; yaw += STEP) {
            for (double way : new double[] {yaw, -yaw}) {
                Optional<String> gives = gives(c, solids, View.yaw(way), volume);
                if (gives.isPresent()) {
                    return new TurnRange(borne, gives);
                }
            }
            borne = yaw;
        }
        return new TurnRange(borne, Optional.empty());
    }

    private static double area(HeadSolids solids, View view) {
        return Math.abs(outline(solids, view).getArea());
    }

    private static Geometry outline(HeadSolids solids, View view) {
        return Regions.of(solids.silhouette().at(view));
    }

    private static Optional<String> gives(Character c, HeadSolids solids, View view, double volume) {
        String at = String.format(Locale.ROOT, "At %.0f° ", Math.abs(view.yaw()));
        Geometry face = outline(solids, view);
        double left = volume > 0 ? face.getArea() / volume : 1;
        if (left < VOLUME) {
            return Optional.of(at + String.format(Locale.ROOT, "the head would be %.0f %% of its size.", 100 * left));
        }
        for (Part part : features(c, solids)) {
            double wide = solids.narrowed(part.id(), view);
            if (wide < (part.role() == PartRole.EYE ? EYE_NARROWEST : NARROWEST)) {
                return Optional.of(
                        at + part.name() + String.format(Locale.ROOT, " would be %.0f %% as wide.", 100 * wide));
            }
            if (part.role() == PartRole.EYE
                    && solids.middle(part.id())
                            .map(solids.placed(part.id(), view)::apply)
                            .filter(p -> !face.contains(FACTORY.createPoint(new Coordinate(p.x(), p.y()))))
                            .isPresent()) {
                return Optional.of(at + part.name() + " would leave the face.");
            }
        }
        return Optional.empty();
    }

    private static List<Part> features(Character c, HeadSolids solids) {
        return c.rig().parts().stream()
                .filter(p -> solids.pieces().contains(p.id())
                        && solids.kind(p.id()) == SolidKind.DECAL
                        && solids.keepsDrawing(p.id()))
                .toList();
    }
}
