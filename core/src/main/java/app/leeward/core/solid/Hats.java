package app.leeward.core.solid;

import app.leeward.core.art.Box;
import app.leeward.core.art.Path;
import app.leeward.core.art.Regions;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.SolidKind;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.DoubleUnaryOperator;
import java.util.function.Function;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;

/** Hats, bands and hoods: solids of revolution that keep their outline, with what is drawn on them going round. */
final class Hats {
    /** From which share of a hat's width at its rows on a shape goes round it. By eye, as the others here. */
    private static final double ROUND = 0.6;
    /** How far a peak stands out, as a share of half the hat's width. */
    private static final double PEAK = 0.38;
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
        String hat = piece;
        for (Optional<String> at = Optional.of(piece);
                at.isPresent() && art.pieces().containsKey(at.get());
                at = art.pieces().get(at.get()).part().parent()) {
            hat = art.kinds().get(at.get()) == SolidKind.RING ? at.get() : hat;
        }
        String root = hat;
        return hats.computeIfAbsent(root, k -> {
            Geometry area = Regions.all(art.pieces().values().stream()
                    .filter(p -> hasAbove(p.part().id(), root)
                            && art.kinds().get(p.part().id()) == SolidKind.RING)
                    .map(HeadPiece::fills)
                    .toList());
            return stacks.revolved(area.isEmpty() ? art.skin() : area);
        });
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
        boolean round = outline.bounds()
                .filter(b -> b.width() <= ROUND * widest(hat, b))
                .isEmpty();
        if (!round) {
            return on.apply(hat, forward);
        }
        HeadPiece p = art.pieces().get(piece);
        Envelope own = p.area().getEnvelopeInternal();
        boolean stands = p.part().role() == PartRole.CAP_PEAK && own.getHeight() > 0;
        // a peak stands out before the band, the further the lower
        DoubleUnaryOperator peak = y -> stands ? PEAK * Skull.smooth((y - own.getMinY()) / own.getHeight()) : 0;
        double axis = art.axis();
        Motion turning = rest -> {
            Slice s = hat.at(rest.y());
            double a = rest.x() < axis ? s.left() : s.right();
            double t = a > 0 ? Math.min(1, Math.abs(rest.x() - axis) / a) : 1;
            double z = s.middle() + s.depth() * (s.profile().height(t) + peak.applyAsDouble(rest.y())) + forward;
            return view -> placing.place(
                    rest.y(), new Spot(rest.x() - axis + view.way() * (s.middle() + forward) * view.sin(), z), view);
        };
        return opening(outline).map(hole -> lookedOut(hole, turning)).orElse(turning);
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
