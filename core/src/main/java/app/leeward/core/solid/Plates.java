package app.leeward.core.solid;

import app.leeward.core.art.Matrix;
import app.leeward.core.art.Point;
import app.leeward.core.art.Regions;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.SolidKind;
import java.util.List;
import java.util.function.Function;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.distance.DistanceOp;

/** Ears, horns and the like: plates hinged where they grow out of the head. Lengths without another word are shares of half its width. */
final class Plates {
    /** How far behind the head's middle an upright one grows. By eye, as all the others here. */
    private static final double BACK = -0.12;
    /** They lean outwards so many degrees. */
    private static final double LEAN = 14;
    /** How far an ear at the side is swept back: the cotangent of the angle. */
    private static final double SWEEP = 1.1;
    /** How far down the head, as a share of its height, an ear that hangs down is at most rooted. */
    private static final double HANGS = 0.3;
    /** Between which shares of their width they stay. */
    private static final double THINNEST = 0.3;

    private static final double WIDEST = 1.35;

    private final HeadArt art;
    private final Stack skull;
    private final Placing placing;

    /** How far whiskers point back: the cotangent of the angle. */
    private static final double WHISKERS_SWEEP = 0.45;
    /** Which share of their width next to the axis whiskers grow from. */
    private static final double WHISKERS_ROOT = 0.1;

    /** From a height and a point of a solid to the canvas. */
    interface Placing {
        Point place(double y, Spot s, View view);
    }

    private final Function<Point, Motion.Follow> surface;

    /** @param surface how a place of the face, seen from the front, goes with what lies there */
    Plates(HeadArt art, Stack skull, Placing placing, Function<Point, Motion.Follow> surface) {
        this.art = art;
        this.skull = skull;
        this.placing = placing;
        this.surface = surface;
    }

    /** Where a plate grows out of the head, canvas coordinates at rest: where it was said to, else where it meets the skin. */
    Point root(String piece) {
        return art.pieces().get(piece).root().orElseGet(() -> {
            if (whiskers(piece)) {
                return whiskersRoot(piece);
            }
            Coordinate at = root(area(piece));
            return new Point(at.x, at.y);
        });
    }

    private boolean whiskers(String piece) {
        return art.pieces().get(piece).part().role() == PartRole.WHISKERS;
    }

    /** The middle of the ends that are next to the axis. */
    private Point whiskersRoot(String piece) {
        List<Point> all = art.pieces().get(piece).outlines();
        double near = all.stream().mapToDouble(this::off).min().orElse(0);
        double far = all.stream().mapToDouble(this::off).max().orElse(0);
        List<Point> ends = all.stream()
                .filter(p -> off(p) <= near + WHISKERS_ROOT * (far - near))
                .toList();
        return new Point(
                ends.stream().mapToDouble(Point::x).average().orElse(art.axis()),
                ends.stream().mapToDouble(Point::y).average().orElse(0));
    }

    private double off(Point p) {
        return Math.abs(p.x() - art.axis());
    }

    /** Where something that stands on the skin or behind it meets it. */
    Coordinate root(Geometry area) {
        Geometry under = Regions.both(area, art.skin());
        if (under.getArea() > 0) {
            return under.getCentroid().getCoordinate();
        }
        return DistanceOp.nearestPoints(art.skin(), area)[0];
    }

    private Geometry area(String piece) {
        Geometry area =
                Regions.all(art.carried(piece).stream().map(HeadPiece::area).toList());
        return area.isEmpty() ? art.pieces().get(piece).area() : area;
    }

    /** Whether it stands on top of the head rather than at its side. */
    boolean upright(String piece) {
        Point root = root(piece);
        Geometry area = area(piece);
        // most of an ear at the side may lie behind the face: what is seen of it says where it stands out
        Geometry out = Regions.without(area, art.skin());
        Coordinate tip = (out.isEmpty() ? area : out).getCentroid().getCoordinate();
        double up = root.y() - tip.y;
        double down = (root.y() - skull.top()) / (skull.bottom() - skull.top());
        // what hangs down does so from the top of the head, or it is an ear at the side
        return Math.abs(up) > Math.abs(tip.x - root.x()) && down < (up > 0 ? 0.5 : HANGS);
    }

    /** Where it is placed, from where it is at rest: turned about its root. */
    Matrix placed(String piece, View view) {
        double half = art.half();
        double axis = art.axis();
        double forward = art.pieces().get(piece).forward() * half;
        Point root = root(piece);
        boolean far = (root.x() - axis) * view.way() >= 0;
        double c = view.cos();
        double s = view.sin();
        if (whiskers(piece)) {
            double wide = Math.max(THINNEST, Math.min(WIDEST, c + (far ? -1 : 1) * WHISKERS_SWEEP * s));
            Point at = surface.apply(root).at(view).plus(new Point(view.way() * forward * s, 0));
            return new Matrix(wide, 0, 0, 1, at.x() - wide * root.x(), at.y() - root.y());
        }
        Spot hinge;
        double k;
        if (upright(piece)) {
            double z = BACK * half + forward;
            hinge = new Spot((root.x() - axis) * c + view.way() * z * s, z);
            double lean = Math.toRadians(LEAN);
            k = (c * Math.cos(lean) + (far ? -1 : 1) * s * Math.sin(lean)) / Math.cos(lean);
        } else if (art.kinds().get(piece) == SolidKind.EAR && !far) {
            // on the side of the head, which comes round towards the viewer
            double z = skull.at(root.y()).middle() + forward;
            hinge = new Spot((root.x() - axis) * c + view.way() * z * s, z * c + Math.abs(root.x() - axis) * s);
            k = c + SWEEP * s;
        } else {
            hinge = skull.outline(root, view).shifted(view.way() * forward * s, forward);
            k = c + (far ? -1 : 1) * SWEEP * s;
        }
        k = Math.max(THINNEST, Math.min(WIDEST, k));
        Point at = placing.place(root.y(), hinge, view);
        return new Matrix(k, 0, 0, 1, at.x() - k * root.x(), at.y() - root.y());
    }
}
