package app.leeward.core.solid;

import app.leeward.core.art.Point;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.SolidKind;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Eyes whose white ends at the rim of the glasses all round, as it does where the lenses were painted white: they are seen through
 * the glasses and go with them, or the white would slide out beyond the rim.
 */
final class Lenses {
    /** How near the rim the edge of a white lies there, as a share of the head's width. By eye, as the other. */
    private static final double NEAR = 0.035;
    /** How much of its edge does. */
    private static final double MOST = 0.9;

    private Lenses() {}

    /** Ids of the eyes. */
    static Set<String> of(HeadArt art) {
        List<Point> rims = art.pieces().values().stream()
                .filter(p -> art.kinds().get(p.part().id()) == SolidKind.FRAME)
                .flatMap(p -> p.outlines().stream())
                .toList();
        double near = NEAR * 2 * art.half();
        return rims.isEmpty()
                ? Set.of()
                : art.pieces().values().stream()
                        .filter(p -> p.part().role() == PartRole.WHITE
                                && alongRim(p.silhouette().sampled(Welds.SAMPLES), rims, near))
                        .map(p -> p.part().parent())
                        .flatMap(Optional::stream)
                        .collect(Collectors.toSet());
    }

    private static boolean alongRim(List<Point> edge, List<Point> rims, double near) {
        long along = edge.stream()
                .filter(p -> rims.stream().anyMatch(r -> r.distance(p) < near))
                .count();
        return along > MOST * edge.size();
    }
}
