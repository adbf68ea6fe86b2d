package app.leeward.core.eye;

import app.leeward.core.art.Regions;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;

/**
 * Where an eye that is a dot can look, on the canvas at rest.
 *
 * @param on what it lies on, a screen or the face; empty where it lies on nothing
 * @param free the same without the features beside it; the dot itself where it lies on nothing
 */
record DotRoom(Optional<Geometry> on, Geometry free) {
    private static final Set<PartRole> FEATURES = EnumSet.of(
            PartRole.CHEEK,
            PartRole.MOUTH,
            PartRole.NOSE,
            PartRole.BROW,
            PartRole.MOUSTACHE,
            PartRole.PUPIL,
            PartRole.OTHER);
    /** How much of the dot what it lies on holds, and what a feature beside it may. */
    private static final double HOLDS = 0.98;

    private static final double TOUCHES = 0.02;

    static DotRoom of(Character c, Fills fills, Frame rest, Part pupil, Geometry dot) {
        List<String> order = rest.placed().stream().map(Frame.Placed::part).toList();
        List<String> below = order.subList(0, Math.max(0, order.indexOf(pupil.id())));
        Optional<Geometry> on = below.stream()
                .flatMap(id -> fills.in(rest, id).stream())
                .filter(g -> Regions.both(g, dot).getArea() > HOLDS * dot.getArea())
                .min(Comparator.comparingDouble(Geometry::getArea));
        Geometry room = on.orElse(dot);
        Envelope reach = dot.getEnvelopeInternal().copy();
        reach.expandBy(reach.getWidth(), reach.getHeight());
        for (Part p : c.rig().parts()) {
            if (p != pupil && FEATURES.contains(p.role())) {
                Geometry beside = fills.in(rest, p.id()).orElse(null);
                if (beside != null
                        && beside.getEnvelopeInternal().intersects(reach)
                        && Regions.both(beside, dot).getArea() < TOUCHES * dot.getArea()) {
                    room = Regions.without(room, beside);
                }
            }
        }
        return new DotRoom(on, room);
    }
}
