package app.leeward.core.check;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Point;
import app.leeward.core.art.Regions;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Pose;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.locationtech.jts.geom.Geometry;

/**
 * Whether pieces that touch the figure at rest still do: one that touches nothing any more floats in the air, and everybody sees that it
 * has come off. Pieces without a fill are not looked at. Not for several threads.
 */
final class Hanging {
    private final Character character;
    private final Extents extents;
    private final Map<List<String>, Optional<Geometry>> drawn = new HashMap<>();
    /** Parts that touch something at rest. */
    private final Set<String> hung = new HashSet<>();

    Hanging(Evaluator evaluator) {
        character = evaluator.character();
        extents = new Extents(character);
        List<Piece> rest = pieces(evaluator.frame(Pose.REST));
        rest.stream().filter(p -> nearest(p, rest) == 0).forEach(p -> hung.add(p.part()));
    }

    /**
     * A piece that touches nothing.
     *
     * @param by how far the nearest other piece is away, units
     * @param box its corners on the canvas
     */
    record Off(String part, double by, List<Point> box) {}

    /** What has come off, in one picture. */
    List<Off> off(Frame frame) {
        List<Piece> pieces = pieces(frame);
        List<Off> out = new ArrayList<>();
        for (Piece p : pieces) {
            double by = hung.contains(p.part()) ? nearest(p, pieces) : 0;
            if (by > 0) {
                out.add(new Off(p.part(), by, p.corners()));
            }
        }
        return out;
    }

    /** One part with a fill. */
    private record Piece(String part, Frame.Placed placed, List<Point> corners, Box box, Geometry[] fill) {
        Geometry fill(Hanging in) {
            if (fill[0] == null) {
                fill[0] = in.fill(placed);
            }
            return fill[0];
        }
    }

    private List<Piece> pieces(Frame frame) {
        List<Piece> out = new ArrayList<>();
        for (Frame.Placed p : frame.placed()) {
            // what is masked shows inside what masks it or nowhere
            if (p.opacity() > 0 && p.windows().isEmpty() && unplaced(p).isPresent()) {
                List<Point> corners = extents.corners(p);
                if (!corners.isEmpty()) {
                    out.add(new Piece(p.part(), p, corners, Box.around(corners), new Geometry[1]));
                }
            }
        }
        return out;
    }

    /** How far the nearest other piece is away: 0 where it touches one, and where there is no other. */
    private double nearest(Piece p, List<Piece> all) {
        double least = Double.POSITIVE_INFINITY;
        for (Piece other : all) {
            if (other != p && other.box().intersection(p.box()).isPresent() && touches(p, other)) {
                return 0;
            }
        }
        for (Piece other : all) {
            if (other != p) {
                least = Math.min(least, p.fill(this).distance(other.fill(this)));
            }
        }
        return Double.isFinite(least) ? least : 0;
    }

    private boolean touches(Piece a, Piece b) {
        return a.fill(this).intersects(b.fill(this));
    }

    /** The fills as they were drawn, where there are any. */
    private Optional<Geometry> unplaced(Frame.Placed p) {
        return drawn.computeIfAbsent(List.of(p.part(), p.drawing()), k -> art(p).map(a -> Regions.ofFills(a.shapes()))
                .filter(g -> !g.isEmpty()));
    }

    private Optional<Artwork> art(Frame.Placed p) {
        return character.drawing(p.part(), p.drawing()).map(d -> d.art());
    }

    private Geometry fill(Frame.Placed p) {
        return p.outlines().isEmpty()
                ? Regions.transformed(unplaced(p).orElseThrow(), p.matrix())
                : Regions.ofFills(
                        p.shown(art(p).orElseThrow()).transform(p.matrix()).shapes());
    }
}
