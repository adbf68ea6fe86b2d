package app.leeward.core.solid;

import app.leeward.core.art.Point;
import app.leeward.core.rig.HeadShape;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Solid;
import app.leeward.core.rig.SolidKind;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;

/**
 * A head that was drawn turned, as it would have been drawn from the front: only so far as its solids have to know, since each
 * point is afterwards led through the place from which its solid brings it to where it was drawn. A row of the drawn outline is the
 * limb of a level slice, which tells how wide the slice is ({@link Profile#limb}); where its middle lies tells the axis.
 */
final class Unturned {
    private static final int HALVINGS = 50;
    /** Which rows tell the axis: not those of the crown and the chin, where an outline says little about its middle. */
    private static final double FROM = 0.2;

    private static final double TO = 0.8;
    /** How far behind the axis the middle of a shell lies, in half widths. */
    private static final double SHELL_MIDDLE = -0.28;

    private final HeadArt drawn;
    private final HeadShape shape;
    private final View view;
    private double half;
    private double axis;
    private Stack skull;

    private Unturned(HeadArt drawn, HeadShape shape) {
        this.drawn = drawn;
        this.shape = shape;
        view = View.yaw(shape.drawn());
    }

    static HeadArt of(HeadArt drawn, HeadShape shape) {
        return shape.drawn() == 0 ? drawn : new Unturned(drawn, shape).front();
    }

    private HeadArt front() {
        Geometry skin = skin();
        skull = Skull.of(skin, axis, half, shape, Optional.empty());
        Map<String, HeadPiece> pieces = new LinkedHashMap<>();
        drawn.pieces()
                .forEach((id, p) -> pieces.put(id, p.seen(map(p, drawn.kinds().get(id)))));
        return new HeadArt(drawn.skinPiece(), skin, axis, half, pieces, drawn.guesses(), drawn.kinds());
    }

    /** The outline from the front, as wide on both sides of the axis. */
    private Geometry skin() {
        Extents rows = Extents.of(drawn.skin());
        double[] heights = rows.heights();
        int n = heights.length;
        double[] wide = new double[n];
        half = drawn.half();
        // half the width is that of the widest slice, and all depths are shares of it
        for (int pass = 0; pass < 6; pass++) {
            double widest = 0;
            for (int i = 0; i < n; i++) {
                wide[i] = rows.reaches(i) ? slice((rows.right()[i] - rows.left()[i]) / 2, depth(share(heights, i))) : 0;
                widest = Math.max(widest, wide[i]);
            }
            half = widest > 0 ? widest : half;
        }
        double sum = 0;
        int counted = 0;
        for (int i = 0; i < n; i++) {
            double share = share(heights, i);
            if (rows.reaches(i) && share > FROM && share < TO) {
                sum += (rows.left()[i] + rows.right()[i]) / 2
                        - way() * (middle(share) + shape.pivot()) * half * view.sin();
                counted++;
            }
        }
        axis = counted > 0 ? sum / counted : drawn.axis();
        List<Coordinate> ring = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            ring.add(new Coordinate(axis + wide[i], heights[i]));
        }
        for (int i = n - 1; i >= 0; i--) {
            ring.add(new Coordinate(axis - wide[i], heights[i]));
        }
        ring.add(ring.get(0));
        return drawn.skin()
                .getFactory()
                .createPolygon(ring.toArray(new Coordinate[0]))
                .buffer(0);
    }

    private int way() {
        return view.way();
    }

    private static double share(double[] heights, int i) {
        return (heights[i] - heights[0]) / (heights[heights.length - 1] - heights[0]);
    }

    /** Half the depth of a slice, in half widths, before it is held by its width. */
    private double depth(double share) {
        return (Skull.front(shape, share) + Skull.back(shape, share)) / 2;
    }

    private double middle(double share) {
        return (Skull.front(shape, share) - Skull.back(shape, share)) / 2;
    }

    /** Half the width of the slice whose limb lies so far from its middle. */
    private double slice(double limb, double depth) {
        Profile profile = new Profile.Superellipse(shape.roundness());
        double low = 0;
        double high = limb / Math.max(0.2, view.cos());
        for (int i = 0; i < HALVINGS; i++) {
            double a = (low + high) / 2;
            if (profile.limb(a, Skull.held(half * depth, a), view.cos(), view.sin()) < limb) {
                low = a;
            } else {
                high = a;
            }
        }
        return (low + high) / 2;
    }

    /** What lies on the face close to its far edge was drawn so narrow that nobody can tell its parts: it is placed as one. */
    static HeadArt asOne(HeadArt drawn) {
        Map<String, SolidKind> kinds = new LinkedHashMap<>(drawn.kinds());
        drawn.pieces().forEach((id, p) -> {
            boolean patch = p.part().role() == PartRole.CHEEK || p.part().role() == PartRole.FRECKLES;
            if (patch && p.part().solid().flatMap(Solid::kind).isEmpty()) {
                kinds.put(id, SolidKind.DECAL);
            }
        });
        return new HeadArt(
                drawn.skinPiece(), drawn.skin(), drawn.axis(), drawn.half(), drawn.pieces(), drawn.guesses(), kinds);
    }

    private UnaryOperator<Point> map(HeadPiece piece, SolidKind kind) {
        if (kind == SolidKind.MASS
                && piece.part().role() != PartRole.NOSE
                && piece.fills().getArea() > 0) {
            return centred(piece.fills());
        }
        return switch (kind) {
            case SKULL, COVER, PLATE, EAR, SIDE -> p -> inverse(p, x -> skull.outline(new Point(x, p.y()), view));
            case MASS, DECAL, MOUTH -> p -> inverse(p, x -> skull.surface(new Point(x, p.y()), view));
            case SHELL -> p -> shifted(p, SHELL_MIDDLE * half);
            case RING -> p -> shifted(p, (shape.front() - shape.back()) / 2 * half);
            case AXIS -> p -> shifted(p, skull.at(skull.top()).middle());
            case FRAME ->
                p -> {
                    Point flat = shifted(p, shape.front() * half);
                    return new Point(axis + (flat.x() - axis) / view.cos(), p.y());
                };
            case FLAT -> p -> p;
        };
    }

    /** A muzzle stands out on the axis: each row of it as wide as it was drawn, about the axis. */
    private UnaryOperator<Point> centred(Geometry area) {
        Extents rows = Extents.of(area);
        return p -> {
            double[] heights = rows.heights();
            int i = 0;
            while (i < heights.length - 1 && heights[i] < p.y()) {
                i++;
            }
            return rows.reaches(i)
                    ? new Point(p.x() - (rows.left()[i] + rows.right()[i]) / 2 + axis, p.y())
                    : shifted(p, shape.front() * half);
        };
    }

    private Point shifted(Point p, double z) {
        return new Point(p.x() - way() * (z + shape.pivot() * half) * view.sin(), p.y());
    }

    /** The x that lies where the point does once it is turned: all that is asked of a solid rises with it. */
    private Point inverse(Point p, java.util.function.DoubleFunction<Spot> turned) {
        double wanted = p.x() - axis - way() * shape.pivot() * half * view.sin();
        double low = axis - 3 * half;
        double high = axis + 3 * half;
        for (int i = 0; i < HALVINGS; i++) {
            double x = (low + high) / 2;
            if (turned.apply(x).x() < wanted) {
                low = x;
            } else {
                high = x;
            }
        }
        return new Point((low + high) / 2, p.y());
    }
}
