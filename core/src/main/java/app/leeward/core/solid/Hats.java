package app.leeward.core.solid;

import app.leeward.core.art.Box;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Regions;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.SolidKind;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Predicate;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;

/** Hats, bands and hoods: solids of revolution that keep their outline, with what is drawn on them going round. */
final class Hats {
    /** From which share of a hat's width at its rows on a shape goes round it. By eye, as the others here. */
    private static final double ROUND = 0.6;
    /** How far a peak stands out, as a share of half the hat's width. */
    private static final double PEAK = 0.38;
    /** How far out a hat's lower edge is measured, as a share of half its width. */
    private static final double OUT = 0.85;
    /** How far the edge of a ring may lie from where one would, as a share of half its width. By eye. */
    private static final double UNEVEN = 0.1;
    /** The most a ring hangs in the middle that is seen at a slant, as a share of half its width. By eye. */
    private static final double BOWED = 0.6;
    /** How near the middle of a hat closes that is open below, in half widths of the head. By eye. */
    private static final double CLOSED = 0.15;
    /** How much of something lies on a hat that is sewn to it. By eye. */
    private static final double LIES = 0.6;
    /** How much wider than the hat above it a brim is. By eye. */
    private static final double BRIM = 1.12;
    /** How far out a badge is told from where its ring goes behind, as a share of half the ring's width. */
    private static final double TURNED = 0.97;
    /** How much a badge leans with its ring. By eye. */
    private static final double LEANS = 0.4;
    /** A hole in a hood that is taller than this share of the head is there for the face. */
    private static final double OPENING = 0.5;
    /** How near the edge of such a hole its points are, in half widths of the head. */
    private static final double EDGE = 0.01;

    private final HeadArt art;
    private final Stacks stacks;
    private final Stack skull;
    private final Plates.Placing placing;
    private final BiFunction<Stack, Double, Motion> on;
    private final Function<Stack, Motion> cut;
    private final Map<String, Stack> hats = new HashMap<>();
    private final Map<String, Geometry> areas = new HashMap<>();
    private final Map<String, Optional<String>> under = new HashMap<>();

    /**
     * @param on how what lies on a stack goes, so far further towards the viewer
     * @param cut how what lies on a stack goes that is kept within its edge
     */
    Hats(
            HeadArt art,
            Stacks stacks,
            Stack skull,
            Plates.Placing placing,
            BiFunction<Stack, Double, Motion> on,
            Function<Stack, Motion> cut) {
        this.art = art;
        this.stacks = stacks;
        this.skull = skull;
        this.placing = placing;
        this.on = on;
        this.cut = cut;
    }

    /** A hat of several pieces is one solid of revolution. */
    Stack of(String piece) {
        String root = root(piece);
        return hats.computeIfAbsent(root, k -> {
            Geometry area = areas.computeIfAbsent(root, h -> area(h, p -> true));
            return stacks.revolved(area.isEmpty() ? art.skin() : area)
                    .bowed(bow(area(root, p -> p.part().role() != PartRole.CAP_PEAK)));
        });
    }

    private String root(String piece) {
        String hat = piece;
        for (Optional<String> at = Optional.of(piece);
                at.isPresent() && art.pieces().containsKey(at.get());
                at = art.pieces().get(at.get()).part().parent()) {
            hat = art.kinds().get(at.get()) == SolidKind.RING ? at.get() : hat;
        }
        return hat;
    }

    private Geometry area(String hat, Predicate<HeadPiece> of) {
        return Regions.all(art.pieces().values().stream()
                .filter(p ->
                        hasAbove(p.part().id(), hat) && art.kinds().get(p.part().id()) == SolidKind.RING)
                .filter(of)
                .map(HeadPiece::fills)
                .toList());
    }

    /** How far a hat's lower edge hangs in the middle, as a ring of it does that is seen from above or below; 0 for an edge that is no ring's. */
    private double bow(Geometry hat) {
        Envelope box = hat.getEnvelopeInternal();
        if (box.isNull()) {
            return 0;
        }
        double a = box.getWidth() / 2;
        double middle = box.centre().x;
        double[] share = {-OUT, -OUT / 2, 0, OUT / 2, OUT};
        double[] low = new double[share.length];
        for (int i = 0; i < share.length; i++) {
            double x = middle + share[i] * a;
            low[i] = hat.intersection(hat.getFactory().createLineString(new Coordinate[] {
                        new Coordinate(x, box.getMinY() - 1), new Coordinate(x, box.getMaxY() + 1)
                    }))
                    .getEnvelopeInternal()
                    .getMaxY();
        }
        double out = Math.sqrt(1 - OUT * OUT);
        double bow = (low[2] - (low[0] + low[4]) / 2) / (a * (1 - out));
        double between = (Math.sqrt(1 - OUT * OUT / 4) - out) / (1 - out);
        double expected = (low[0] + low[4]) / 2 + between * (low[2] - (low[0] + low[4]) / 2);
        boolean ring = Math.abs(low[0] - low[4]) < UNEVEN * a
                && Math.abs(low[1] - expected) < UNEVEN * a
                && Math.abs(low[3] - expected) < UNEVEN * a
                && Math.abs(bow) < BOWED;
        return ring ? bow : 0;
    }

    /** The hat that a piece hangs on, or that something nobody has a word for lies on; empty when there is none. */
    Optional<Stack> under(HeadPiece p) {
        return under.computeIfAbsent(p.part().id(), k -> found(p)).map(this::of);
    }

    private Optional<String> found(HeadPiece p) {
        return p.part()
                .parent()
                .filter(id -> art.kinds().get(id) == SolidKind.RING)
                .or(() -> beneath(
                                p,
                                art.pieces().values(),
                                o -> art.kinds().get(o.part().id()) == SolidKind.RING)
                        .map(o -> o.part().id()));
    }

    /** The uppermost of some wider pieces on which something nobody has a word for lies for the most part. */
    static Optional<HeadPiece> beneath(HeadPiece piece, Collection<HeadPiece> all, Predicate<HeadPiece> some) {
        Envelope own = piece.area().getEnvelopeInternal();
        if (piece.part().role() != PartRole.OTHER || own.isNull()) {
            return Optional.empty();
        }
        return all.stream()
                .filter(o -> o.order() < piece.order())
                .filter(o -> o.fills().getEnvelopeInternal().contains(own.centre())
                        && o.fills().getEnvelopeInternal().getWidth() > own.getWidth())
                .filter(some)
                .filter(o -> Regions.both(o.fills(), piece.area()).getArea()
                        > LIES * piece.area().getArea())
                .max(Comparator.comparingInt(HeadPiece::order));
    }

    /** A badge is a stiff plate on the hat: it goes where its middle goes, as wide as it is seen there, and leans little. */
    Motion badge(HeadPiece p, Stack hat, double forward) {
        Coordinate c = p.area().getEnvelopeInternal().centre();
        if (c == null) {
            return on.apply(hat, forward);
        }
        Point middle = new Point(c.x, c.y);
        Slice level = hat.at(c.y);
        double x = c.x - hat.axis();
        double a = x < 0 ? level.left() : level.right();
        double before = a > 0 ? Math.max(-TURNED, Math.min(TURNED, x / a)) : 0;
        return rest -> view -> {
            Spot now = level.surface(x, view);
            double out = now.x() - view.way() * level.middle() * view.sin();
            double limb = level.limb(out, view);
            double u = limb > 0 ? Math.max(-TURNED, Math.min(TURNED, out / limb)) : 0;
            double wide = Math.min(1, face(u) / face(before));
            double leans = LEANS * hat.bow() * (before / face(before) - u / face(u));
            double across = (rest.x() - c.x) * wide;
            return placing.place(
                    rest.y() + hat.along(middle, now, level, view) + leans * across,
                    now.shifted(across + view.way() * forward * view.sin(), forward),
                    view);
        };
    }

    /** How much of what lies so far out on a ring is turned to us, 0 to 1. */
    private static double face(double out) {
        return Math.sqrt(1 - out * out);
    }

    private boolean hasAbove(String piece, String above) {
        Optional<String> at = Optional.of(piece);
        while (at.isPresent() && art.pieces().containsKey(at.get())) {
            if (at.get().equals(above)) {
                return true;
            }
            at = art.pieces().get(at.get()).part().parent();
        }
        return false;
    }

    /** How an outline of a piece of a hat goes, which may go round it. */
    Motion ring(String piece, Path outline, double forward) {
        Stack hat = of(piece);
        HeadPiece p = art.pieces().get(piece);
        if (p.part().role() == PartRole.CAP_PEAK && !goesRound(p, hat)) {
            return peak(hat, p.area().getEnvelopeInternal(), forward);
        }
        boolean round = outline.bounds()
                .filter(b -> b.width() <= ROUND * widest(hat, b))
                .isEmpty();
        if (!round && closed(piece, outline)) {
            return on.apply(hat, forward);
        }
        double axis = art.axis();
        Motion turning = rest -> {
            Slice s = hat.at(rest.y());
            double a = rest.x() < axis ? s.left() : s.right();
            double t = a > 0 ? Math.min(1, Math.abs(rest.x() - axis) / a) : 1;
            double z = s.middle() + s.depth() * s.profile().height(t) + forward;
            return view -> placing.place(
                    rest.y(), new Spot(rest.x() - axis + view.way() * (s.middle() + forward) * view.sin(), z), view);
        };
        return opening(outline).map(hole -> lookedOut(hole, turning)).orElse(turning);
    }

    /** Whether a hat is closed in front at the height of an outline: what is drawn on a flap beside the face stays on it. */
    private boolean closed(String piece, Path outline) {
        Geometry hat = areas.computeIfAbsent(root(piece), k -> area(k, p -> true));
        return outline.bounds()
                .map(b -> hat.distance(hat.getFactory()
                                .createPoint(
                                        new Coordinate(art.axis(), b.centre().y())))
                        < CLOSED * art.half())
                .orElse(true);
    }

    /** Whether a peak is a brim: it stands out to both sides of the hat. */
    private boolean goesRound(HeadPiece p, Stack hat) {
        Envelope own = p.area().getEnvelopeInternal();
        Envelope worn = area(root(p.part().id()), o -> o.part().role() != PartRole.CAP_PEAK)
                .getEnvelopeInternal();
        double axis = hat.axis();
        return own.isNull()
                || own.getHeight() == 0
                || !worn.isNull()
                        && own.getMaxX() - axis > BRIM * (worn.getMaxX() - axis)
                        && axis - own.getMinX() > BRIM * (axis - worn.getMinX());
    }

    /**
     * A peak goes round with the front of the hat it is sewn to: its ends lie on the hat, and what is lower stands further out. Its near
     * end comes round from the side, its far one goes behind its edge.
     */
    private Motion peak(Stack hat, Envelope own, double forward) {
        return rest -> {
            Slice s = hat.at(rest.y());
            double out = 1 + PEAK * Skull.smooth((rest.y() - own.getMinY()) / own.getHeight());
            Slice level = new Slice(s.left(), s.right(), s.depth() * out, s.middle(), s.profile(), 1, 0);
            double x = rest.x() - hat.axis();
            return view -> {
                Spot now = level.surface(x, view);
                return placing.place(
                        rest.y() + hat.along(rest, now, level, view),
                        now.shifted(view.way() * forward * view.sin(), forward),
                        view);
            };
        };
    }

    /** The edge of a hood's hole lies on the face and goes with it. */
    private Motion lookedOut(Geometry hole, Motion hood) {
        Motion face = cut.apply(skull);
        return rest -> {
            Geometry point = hole.getFactory().createPoint(new Coordinate(rest.x(), rest.y()));
            return hole.distance(point) < EDGE * art.half() ? face.of(rest) : hood.of(rest);
        };
    }

    /** The hole that the face looks out of; empty for a hat without. */
    private Optional<Geometry> opening(Path outline) {
        Envelope head = art.skin().getEnvelopeInternal();
        return outline.subPaths().stream()
                .skip(1)
                .map(Regions::of)
                .filter(g -> head.contains(g.getEnvelopeInternal()))
                .filter(g -> g.getEnvelopeInternal().getHeight() > OPENING * head.getHeight())
                .findFirst();
    }

    /** How wide a hat is halfway up a shape: what fills it there is its outline, such as a bobble on top. */
    private static double widest(Stack hat, Box shape) {
        Slice s = hat.at(shape.centre().y());
        return s.left() + s.right();
    }
}
