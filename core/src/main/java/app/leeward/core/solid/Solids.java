package app.leeward.core.solid;

import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Shape;
import app.leeward.core.rig.HeadShape;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.SolidKind;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;

/** The solids of one head and the motions that follow from them. Lengths without another word are shares of half its width. */
final class Solids {
    /** Where the head turns when it nods, as a share of its height from the top. */
    private static final double NOD_AT = 0.55;
    /** How far muzzles without a line of their own push the outline: the softness of the maximum of both. */
    private static final double SOFT = 0.04;
    /** How softly what lies on a face is kept within its limb. */
    private static final double CUT = 0.09;

    private static final double MOUTH_ROWS = 0.35;
    private static final double MOUTH_LIFT = 0.06;
    /** Down to which share of the head's height hair has a width of its own, and over which share more that fades. */
    private static final double CROWN = 0.12;

    private static final double CROWN_FADES = 0.2;
    /** How near the axis the middle of a nose lies to be on it. */
    static final double ON_AXIS = 0.06;

    private static final double NOSE_ON_FACE = 0.3;
    private static final double NOSE_ON_MUZZLE = 0.75;
    private static final double GLASSES_LIFT = 0.06;
    private static final double GLASSES_BEND = 0.22;
    /** What grows so near a muzzle grows on it. */
    private static final double NEAR = 0.1;
    /** How wide and tall a patch of colour is at most that goes as one rather than being drawn out. By eye. */
    private static final double DAB = 0.95;
    /** How wide a strand of hair is at most. */
    private static final double STRAND = 0.5;
    /** How much of its outline may lie along that of the face, for one that does not end there. By eye. */
    private static final double TOUCHING = 0.25;

    /** How far beside a line of a picture what is there goes with it, in times of its width. */
    private static final double INK = 1.4;

    /** How far apart points of a curve may lie that are followed. */
    private static final double FINE = 0.04;

    private final HeadArt art;
    private final HeadShape shape;
    private final double half;
    private final double axis;
    private final Stack skull;
    private final Stacks stacks;
    private final double top;
    private final double bottom;
    private final Welds welds;
    private final Plates plates;
    private final Hats hats;
    private final Optional<HeadPiece> muzzlePiece;
    private final Optional<Stack> muzzle;
    private final boolean muzzleHasLine;
    private final Set<String> lenses;
    private final Map<String, Optional<OutlineWeld>> ink = new HashMap<>();

    Solids(HeadArt art, HeadShape shape) {
        this.art = art;
        this.shape = shape;
        half = art.half();
        axis = art.axis();
        Geometry behind = union(SolidKind.SHELL);
        skull = Skull.of(
                art.skin(), axis, half, shape, behind.isEmpty() ? Optional.empty() : Optional.of(Extents.of(behind)));
        stacks = new Stacks(skull, half, shape);
        top = skull.top();
        bottom = skull.bottom();
        muzzlePiece = art.pieces().values().stream()
                .filter(p -> art.kinds().get(p.part().id()) == SolidKind.MASS
                        && p.part().role() != PartRole.NOSE
                        && p.fills().getArea() > 0)
                .max((a, b) -> Double.compare(a.fills().getArea(), b.fills().getArea()));
        muzzle = muzzlePiece.map(p -> stacks.muzzle(p.fills()));
        muzzleHasLine = muzzlePiece
                .flatMap(HeadPiece::largest)
                .filter(s -> s.stroke().visible())
                .isPresent();
        TurnedPath skin = new TurnedPath(art.pieces().get(art.skinPiece()).silhouette(), outline(), fine());
        hats = new Hats(art, stacks, skull, this::place, this::on, this::cut);
        lenses = Lenses.of(art);
        plates = new Plates(art, skull, this::place, this::onFace);
        OutlineWeld face = new OutlineWeld(List.of(skin), OutlineWeld.FOUND * 2 * half);
        welds = new Welds(
                art, face, fine(), this::own, (p, path) -> motion(p.part().id(), path));
    }

    private Geometry union(SolidKind kind) {
        return Regions.all(art.pieces().values().stream()
                .filter(p -> art.kinds().get(p.part().id()) == kind)
                .map(HeadPiece::fills)
                .toList());
    }

    /** How far apart points of a curve may lie that are followed, canvas units. */
    double fine() {
        return FINE * half;
    }

    /** The height that stays where it is when the head nods. */
    double nodsAt() {
        return top + NOD_AT * (bottom - top);
    }

    Plates plates() {
        return plates;
    }

    boolean onHat(HeadPiece p) {
        return hats.under(p).isPresent();
    }

    Stacks stacks() {
        return stacks;
    }

    /** Between where the drawn edge of the near side comes to lie on the surface and the limb. */
    Geometry cameRound(View view, double down) {
        List<Coordinate> ring = new ArrayList<>();
        List<Coordinate> back = new ArrayList<>();
        double lowest = top + down * (bottom - top);
        for (double height : skull.heights()) {
            double y = Math.min(height, lowest);
            Slice s = skull.at(y);
            double a = view.way() > 0 ? s.left() : s.right();
            double middle = s.middle() * view.sin() + shape.pivot() * half * view.sin();
            double limb = s.limb(-view.way(), view);
            ring.add(new Coordinate(axis + view.way() * (middle - limb), y));
            back.add(0, new Coordinate(axis + view.way() * (middle - Math.min(limb, a * view.cos())), y));
            if (height >= lowest) {
                break;
            }
        }
        ring.addAll(back);
        if (ring.size() < 4 || view.yaw() == 0) {
            return art.skin().getFactory().createPolygon();
        }
        ring.add(ring.get(0));
        return art.skin()
                .getFactory()
                .createPolygon(ring.toArray(new Coordinate[0]))
                .buffer(0);
    }

    /** How the points of a piece go with the head. */
    Motion motion(String piece) {
        return motion(piece, Path.of());
    }

    /** @param outline the outline that is asked for, which on a hat may go round it */
    Motion motion(String piece, Path outline) {
        HeadPiece p = art.pieces().get(piece);
        boolean face = piece.equals(art.skinPiece()) || p.weld().isEmpty() && p.forward() == 0;
        if (face && art.kinds().get(piece) == SolidKind.SKULL && welds.drawsFace(outline)) {
            return outline();
        }
        Motion own = own(p, outline);
        return isDab(p, outline)
                ? new Dab(own, whole(p, outline).sampled(Welds.SAMPLES))
                : inkKept(p, welds.over(p, own));
    }

    /** A line within a picture is as broad as it was drawn wherever it comes to lie: what is near it goes with it. */
    private Motion inkKept(HeadPiece p, Motion own) {
        if (!p.patches()) {
            return own;
        }
        Optional<OutlineWeld> ink = this.ink.get(p.part().id());
        if (ink == null) {
            List<Shape> lines = p.drawnLines();
            double broad =
                    lines.stream().mapToDouble(s -> s.stroke().width()).max().orElse(0);
            List<TurnedPath> along = lines.stream()
                    .map(s -> new TurnedPath(s.path(), own, fine()))
                    .toList();
            ink = along.isEmpty() ? Optional.empty() : Optional.of(new OutlineWeld(along, INK * broad));
            this.ink.put(p.part().id(), ink);
        }
        return ink.map(w -> w.over(own)).orElse(own);
    }

    /** Whether an outline is that of a small patch on the skull, or a strand of hair, which at most touches the outline of the face. */
    private boolean isDab(HeadPiece p, Path of) {
        Path outline = whole(p, of);
        SolidKind kind = art.kinds().get(p.part().id());
        boolean lies = kind == SolidKind.SKULL
                && !p.part().id().equals(art.skinPiece())
                && p.part().role() != PartRole.FACE_LINE;
        PartRole role = p.part().role();
        // what comes out from behind the head in a turn, and beards, go point by point
        boolean strand = kind == SolidKind.COVER && (role == PartRole.FRINGE || role == PartRole.OTHER);
        boolean small = (lies || strand)
                && p.weld().isEmpty()
                && outline.bounds()
                        .filter(b -> b.width() < (lies ? DAB : STRAND) * half && (!lies || b.height() < DAB * half))
                        .isPresent();
        return small && welds.share(outline) < TOUCHING;
    }

    /** The triangles of a mesh go as the picture does that was cut. */
    private static Path whole(HeadPiece p, Path outline) {
        return p.patches() ? p.silhouette() : outline;
    }

    /** Points of what a piece shows that lie along what it is welded to, canvas coordinates at rest. */
    List<Point> welded(String piece) {
        HeadPiece p = art.pieces().get(piece);
        return welds.points(p, path -> !isDab(p, path));
    }

    private Motion own(HeadPiece p, Path outline) {
        String piece = p.part().id();
        double forward = p.forward() * half;
        return switch (art.kinds().get(piece)) {
            case SKULL -> lifted(on(carrier(p), 0), forward);
            case MASS -> lifted(p.part().role() == PartRole.NOSE ? nose(p) : onMuzzle(p), forward);
            case DECAL ->
                lenses.contains(piece)
                        ? frame(p, forward)
                        : hats.under(p)
                                .map(hat -> hats.badge(p, hat, forward))
                                .orElseGet(() -> lifted(cut(carrier(p)), forward));
            case MOUTH -> lifted(mouth(p), forward + (muzzleUnder(p) ? 0 : MOUTH_LIFT * half));
            case COVER -> lifted(cover(), forward);
            case SHELL -> outlineOf(stacks.shell(p.area()), forward);
            case RING -> hats.ring(piece, outline, forward);
            case FRAME -> frame(p, forward);
            case AXIS -> axis(p, forward);
            case PLATE, EAR -> on(carrier(p), 0);
            case SIDE -> side();
            case FLAT -> rest -> view -> rest;
        };
    }

    /** How a place of the face goes, on the muzzle where that lies under it. */
    private Motion.Follow onFace(Point place) {
        boolean onMuzzle = muzzlePiece
                .map(HeadPiece::fills)
                .filter(m -> m.distance(m.getFactory().createPoint(new Coordinate(place.x(), place.y()))) < NEAR * half)
                .isPresent();
        return on(onMuzzle ? muzzle.orElseThrow() : skull, 0).of(place);
    }

    private Point place(double y, Spot s, View view) {
        double middle = nodsAt();
        double x = axis + s.x() + view.way() * shape.pivot() * half * view.sin();
        double down = view.pitch() == 0 ? y : middle + (y - middle) * view.cosPitch() + s.z() * view.sinPitch();
        return new Point(x, down);
    }

    private Motion on(Stack solid, double forward) {
        Motion motion = rest -> {
            Slice level = solid.at(rest.y());
            double x = rest.x() - solid.axis();
            return view -> {
                Spot now = level.surface(x, view);
                return place(rest.y() + solid.along(rest, now, level, view), now, view);
            };
        };
        return lifted(motion, forward);
    }

    /** Further towards the viewer than the surface. */
    private static Motion lifted(Motion motion, double forward) {
        return forward == 0
                ? motion
                : rest -> {
                    Motion.Follow f = motion.of(rest);
                    return view -> f.at(view)
                            .plus(new Point(view.way() * forward * view.sin(), forward * view.cos() * view.sinPitch()));
                };
    }

    /** The outline of a stack; from below and above as the outline of an ellipsoid of its depth. */
    private Motion outlineOf(Stack solid, double forward) {
        return rest -> {
            Slice level = solid.at(rest.y());
            double x = rest.x() - solid.axis();
            return view -> place(rest.y(), level.outline(x, view).shifted(0, forward), view)
                    .plus(new Point(view.way() * forward * view.sin(), 0));
        };
    }

    /** The outline of the head, pushed out by a muzzle that has no line of its own. */
    private Motion outline() {
        double middle = nodsAt();
        double deep = (shape.front() + shape.back()) / 2 * half / ((bottom - top) / 2);
        return rest -> view -> {
            Spot s = skull.outline(rest, view);
            double x = axis + s.x() + view.way() * (push(rest, view) + shape.pivot() * half * view.sin());
            if (view.pitch() == 0) {
                return new Point(x, rest.y());
            }
            double tall = Math.hypot(view.cosPitch(), deep * view.sinPitch());
            return new Point(x, middle + (rest.y() - middle) * tall + s.z() * view.sinPitch());
        };
    }

    private double push(Point rest, View view) {
        boolean far = (rest.x() - axis) * view.way() > 0;
        if (muzzle.isEmpty() || muzzleHasLine || !far || view.yaw() == 0) {
            return 0;
        }
        Stack m = muzzle.get();
        double fade = 0.2 * (m.bottom() - m.top());
        double within = Skull.smooth((rest.y() - m.top()) / fade) * Skull.smooth((m.bottom() - rest.y()) / fade);
        if (within == 0) {
            return 0;
        }
        double x = rest.x() - axis;
        double r = SOFT * half;
        double now = reach(m.at(rest.y()), x, view) - reach(skull.at(rest.y()), x, view);
        View front = View.yaw(0);
        double then = reach(m.at(rest.y()), x, front) - reach(skull.at(rest.y()), x, front);
        return within * r * (softplus(now / r) - softplus(then / r));
    }

    /** How far out the far limb of a slice lies. */
    private static double reach(Slice slice, double x, View view) {
        return slice.middle() * view.sin() + slice.limb(x, view);
    }

    private static double softplus(double t) {
        return t > 30 ? t : Math.log1p(Math.exp(t));
    }

    /** What lies under the piece: a hat it hangs on, the muzzle, else the skull. */
    private Stack carrier(HeadPiece p) {
        return hats.under(p).orElseGet(() -> muzzleUnder(p) ? muzzle.get() : skull);
    }

    private boolean muzzleUnder(HeadPiece p) {
        if (muzzlePiece.isEmpty()
                || muzzlePiece.get() == p
                || p.order() < muzzlePiece.get().order()) {
            return false;
        }
        Coordinate middle = p.area().getEnvelopeInternal().centre();
        return middle != null
                && muzzlePiece.get().fills().contains(p.area().getFactory().createPoint(middle));
    }

    private Motion onMuzzle(HeadPiece p) {
        return muzzlePiece.filter(m -> m == p).isPresent() ? on(muzzle.get(), 0) : on(stacks.muzzle(p.area()), 0);
    }

    /** Kept within the limb, softly, and where it is at rest. */
    private Motion cut(Stack carrier) {
        double r = CUT * half;
        Motion motion = on(carrier, 0);
        return rest -> {
            Motion.Follow f = motion.of(rest);
            Slice level = (carrier == muzzle.orElse(null) ? skull : carrier).at(rest.y());
            double x = rest.x() - axis;
            return view -> {
                boolean far = x * view.way() > 0;
                if (!far || view.yaw() == 0) {
                    return f.at(view);
                }
                Point at = f.at(view);
                double out = (at.x() - axis) * view.way() - shape.pivot() * half * view.sin();
                double over = softplus((out - reach(level, x, view)) / r)
                        - softplus((Math.abs(x) - level.limb(x, View.yaw(0))) / r);
                return at.plus(new Point(-view.way() * r * over, 0));
            };
        };
    }

    /** All drawings of a mouth go by the rows around the middle of the one at rest, so that open ones do not tear. */
    private Motion mouth(HeadPiece p) {
        Stack under = muzzleUnder(p) ? muzzle.get() : skull;
        double middle = p.area().getEnvelopeInternal().centre().y;
        return rest -> {
            Point row = new Point(rest.x(), middle + MOUTH_ROWS * (rest.y() - middle));
            return view -> {
                Point at = place(row.y(), under.surface(row, view), view);
                return new Point(at.x(), at.y() + (rest.y() - row.y()) * view.cosPitch());
            };
        };
    }

    /** A small solid of its own that goes with the surface under its middle. */
    private Motion nose(HeadPiece p) {
        boolean onMuzzle = muzzleUnder(p);
        Stack under = onMuzzle ? muzzle.get() : skull;
        Envelope box = p.area().getEnvelopeInternal();
        boolean onAxis = Math.abs(box.centre().x - axis) < ON_AXIS * half;
        Point root = new Point(onAxis ? axis : box.centre().x, box.centre().y);
        if (box.getHeight() < 1e-6 || box.getWidth() < 1e-6) {
            return on(under, NOSE_ON_FACE * half);
        }
        double deep = onMuzzle ? NOSE_ON_MUZZLE * box.getWidth() / 2 : NOSE_ON_FACE * half;
        Stack own = Stacks.nose(p.area(), root.x(), deep, onMuzzle);
        return rest -> view -> {
            Spot at = under.surface(root, view);
            Spot on = own.surface(rest, view);
            return place(rest.y(), at.shifted(on.x(), on.z()), view);
        };
    }

    /**
     * Hair lies over the skull and goes with it, so that what it covers at rest it covers from every side. What sticks out beyond the
     * skull rides on its limb; at the crown, where hair has a shape of its own, as wide as it is drawn.
     */
    private Motion cover() {
        Stack scalp = new Stack(
                axis,
                skull.heights(),
                skull.slices().stream().map(s -> s.withSeam(0)).toList());
        return rest -> {
            Slice level = scalp.at(rest.y());
            double x = rest.x() - axis;
            double edge = x < 0 ? -level.left() : level.right();
            double beyond = x - edge;
            if (beyond * Math.signum(x) <= 0) {
                return view -> place(rest.y(), level.surface(x, view), view);
            }
            double crown = 1 - Skull.smooth((rest.y() - top - CROWN * (bottom - top)) / (CROWN_FADES * (bottom - top)));
            return view -> {
                double wide = view.cos() + crown * (1 - view.cos());
                return place(rest.y(), level.outline(edge, view).shifted(wide * beyond, 0), view);
            };
        };
    }

    /** Glasses are stiff: every point has its own depth before the face. */
    private Motion frame(HeadPiece p, double forward) {
        Envelope box = frameBox(p);
        Slice level = skull.at(box.centre().y);
        double front = level.middle() + level.depth() + GLASSES_LIFT * half + forward;
        return rest -> {
            double x = rest.x() - axis;
            double z = front - GLASSES_BEND * x * x / half;
            return view -> place(rest.y(), new Spot(x * view.cos() + view.way() * z * view.sin(), z), view);
        };
    }

    private Envelope frameBox(HeadPiece p) {
        Envelope box = new Envelope();
        art.pieces().values().stream()
                .filter(o -> art.kinds().get(o.part().id()) == SolidKind.FRAME)
                .forEach(o -> box.expandToInclude(o.area().getEnvelopeInternal()));
        return box.isNull() ? p.area().getEnvelopeInternal() : box;
    }

    private Motion axis(HeadPiece p, double forward) {
        double z = skull.at(top).middle() + forward;
        Coordinate foot = plates.root(p.area());
        return rest -> view -> place(
                rest.y(),
                new Spot(rest.x() - foot.x + (foot.x - axis) * view.cos() + view.way() * z * view.sin(), z),
                view);
    }

    boolean box() {
        return shape.roundness() > Skull.BOX;
    }

    /** Folded back at the edge of the face: from its corner, turned, to the limb. */
    private Motion side() {
        return rest -> {
            Slice s = skull.at(rest.y());
            double x = rest.x() - axis;
            int way = x < 0 ? -1 : 1;
            double a = way < 0 ? s.left() : s.right();
            double deep = Math.max(1e-6, s.depth());
            double along = Math.max(0, Math.min(1, (Math.abs(x) - a) / (2 * deep)));
            return view -> {
                double turn = Math.sin(Math.toRadians(view.yaw()));
                double corner = way * a * view.cos() + (s.middle() + deep) * turn;
                double limb = s.outline(way * a, view).x();
                double z = s.middle() + deep - 2 * deep * along;
                return place(rest.y(), new Spot(corner + along * (limb - corner), z), view);
            };
        };
    }
}
