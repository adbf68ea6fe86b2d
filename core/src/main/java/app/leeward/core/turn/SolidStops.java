package app.leeward.core.turn;

import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.dial.Channel;
import app.leeward.core.dial.Ease;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.PointDeltas;
import app.leeward.core.dial.Stop;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Placement;
import app.leeward.core.rig.SolidKind;
import app.leeward.core.solid.HeadSolids;
import app.leeward.core.solid.TurnedPath;
import app.leeward.core.solid.View;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Writes a head seen from some side as an ordinary stop: placements for the pieces that keep their drawing, shifts of points for
 * the others, for every drawing they have.
 */
final class SolidStops {
    /** So many points of a head say well enough how it goes between two stops. */
    private static final int ENOUGH = 3000;

    private static final int FEWEST = 2;
    private static final int MOST = 5;
    /** How far a point may stray between stops, as a share of the head's width. */
    private static final double CLOSE = 0.005;

    private final Character character;
    private final HeadSolids solids;
    /** Points less far from where they were than this are not moved; all are rounded to it. */
    private final double grain;
    /** Pieces in an order in which none comes before what it follows. */
    private final List<Part> parentsFirst;
    /** Outlines are looked at once for all stops. */
    private final Map<String, TurnedPath> outlines = new HashMap<>();

    SolidStops(Character character, HeadSolids solids) {
        this.character = character;
        this.solids = solids;
        grain = Math.pow(10, Math.floor(Math.log10(solids.halfWidth() * 1e-5)));
        parentsFirst = new ArrayList<>();
        Set<String> done = new HashSet<>();
        Set<String> pieces = solids.pieces();
        pieces.forEach(id -> add(id, pieces, done));
    }

    private void add(String id, Set<String> pieces, Set<String> done) {
        Part part = character.rig().part(id).orElseThrow();
        if (done.add(id)) {
            part.parent().filter(pieces::contains).ifPresent(above -> add(above, pieces, done));
            parentsFirst.add(part);
        }
    }

    /**
     * The fewest even steps from {@code drawn} to {@code yaw} degrees, {@value #FEWEST} to {@value #MOST}, with which going evenly between them keeps
     * every point close to where it truly lies.
     */
    int steps(double drawn, double yaw) {
        for (int steps = FEWEST; steps < MOST; steps++) {
            if (strays(steps, drawn, yaw) <= CLOSE) {
                return steps;
            }
        }
        return MOST;
    }

    /** How far points stray halfway between steps at the most, as a share of the head's width. */
    private double strays(int steps, double drawn, double yaw) {
        List<TurnedPath> outlines = parentsFirst.stream()
                .filter(part -> !solids.goesAlong(part.id())
                        && !pieceOfNose(part)
                        && !solids.keepsDrawing(part.id())
                        && solids.kind(part.id()) != SolidKind.FLAT)
                .flatMap(part -> reshaped(part).stream()
                        .flatMap(
                                d -> IntStream.range(0, d.art().shapes().size()).mapToObj(i -> outline(part, d, i))))
                .toList();
        int every = 1 + outlines.stream().mapToInt(TurnedPath::followed).sum() / ENOUGH;
        double worst = outlines.stream()
                .mapToDouble(o -> strays(o, steps, drawn, yaw, every))
                .max()
                .orElse(0);
        return worst / (2 * solids.halfWidth());
    }

    private static double strays(TurnedPath outline, int steps, double drawn, double yaw, int every) {
        double worst = 0;
        List<Point> before = outline.points(View.yaw(drawn), every);
        for (int k = 1; k <= steps; k++) {
            List<Point> after = outline.points(View.yaw(drawn + (yaw - drawn) * k / steps), every);
            List<Point> between = outline.points(View.yaw(drawn + (yaw - drawn) * (k - 0.5) / steps), every);
            for (int i = 0; i < between.size(); i++) {
                worst = Math.max(worst, before.get(i).towards(after.get(i), 0.5).distance(between.get(i)));
            }
            before = after;
        }
        return worst;
    }

    Stop at(double place, View view) {
        Map<String, Matrix> now = new HashMap<>();
        Map<String, Offset> offsets = new HashMap<>();
        Map<String, List<PointDeltas>> reshapes = new HashMap<>();
        for (Part part : parentsFirst) {
            String id = part.id();
            Matrix inherited = inherited(part, now);
            boolean shows = !part.drawings().isEmpty();
            if (solids.goesAlong(id) || pieceOfNose(part) || solids.kind(id) == SolidKind.FLAT) {
                now.put(id, inherited);
            } else if (solids.keepsDrawing(id)) {
                now.put(id, placed(part, solids.placed(id, view), inherited, offsets));
            } else if (!shows) {
                now.put(id, inherited);
            } else {
                Matrix target = onTheWhole(part, view)
                        .map(move -> placed(part, move, inherited, offsets))
                        .orElse(inherited);
                now.put(id, target);
                reshapes.put(id, reshapes(part, target.inverse(), view));
            }
        }
        return new Stop(place, offsets, Ease.LINEAR, reshapes);
    }

    /** For parts that drawings may be added to, which then turn along: a placement that does most of it. */
    private Optional<Matrix> onTheWhole(Part part, View view) {
        boolean profile = part.role() == PartRole.NOSE
                && Stream.concat(Stream.of(part), character.rig().childrenOf(part.id()).stream())
                        .flatMap(p -> p.drawings().stream())
                        .anyMatch(NoseProfile::is);
        if (profile) {
            return Optional.of(solids.shifted(part.id(), view));
        }
        boolean exchanged = part.role() == PartRole.NOSE
                || solids.kind(part.id()) == SolidKind.MOUTH
                || part.drawings().size() > 1;
        return exchanged ? Optional.of(solids.onTheWhole(part.id(), view)) : Optional.empty();
    }

    /** What turning and nodding at once does to the head besides what each does alone. */
    Offset both(Part head, View view) {
        Matrix rest = solids.rest(head.id());
        Matrix above = rest.times(head.restMatrix().inverse());
        return offset(head, above.inverse().times(solids.both(view).times(rest)));
    }

    /** Where a part is on the canvas by what it follows alone. */
    private Matrix inherited(Part part, Map<String, Matrix> now) {
        Matrix rest = solids.rest(part.id());
        return part.parent()
                .filter(now::containsKey)
                .map(above -> now.get(above).times(solids.rest(above).inverse()).times(rest))
                .orElse(rest);
    }

    private Matrix placed(Part part, Matrix move, Matrix inherited, Map<String, Offset> offsets) {
        Matrix rest = solids.rest(part.id());
        Matrix target = move.times(rest);
        // what it follows, now: the inherited place without the part's own rest
        Matrix above = inherited.times(part.restMatrix().inverse());
        Offset offset = offset(part, above.inverse().times(target));
        if (!offset.equals(Offset.NONE)) {
            offsets.put(part.id(), offset);
        }
        return target;
    }

    /** What a stop has to say of a part for it to stand at {@code local} in what it follows. */
    private static Offset offset(Part part, Matrix local) {
        Map<Channel, Double> said = new HashMap<>();
        if (part.earlierPivots().isEmpty()) {
            Placement there = Placement.of(local, part.pivot(), part.rest());
            for (Channel c : Channel.STANDARD) {
                double was = part.rest().of(c);
                double is = there.of(c);
                said.put(c, c.combining() == Channel.Combining.ADDED ? turned(c, is - was) : was == 0 ? 1 : is / was);
            }
        } else {
            // what is recorded from now on turns about the present pivot, after what stood before
            Placement rest = part.rest();
            Matrix before = rest.movedBy(-rest.x(), -rest.y()).matrix(part.restPivot());
            Matrix own = Matrix.translate(-rest.x(), -rest.y()).times(local).times(before.inverse());
            Placement there = Placement.of(own, part.pivot(), Placement.REST);
            Channel.STANDARD.forEach(c -> said.put(c, there.of(c)));
        }
        said.remove(Channel.OPACITY);
        said.replaceAll((c, number) -> Math.rint(number * 1e6) / 1e6);
        return Offset.of(said);
    }

    private static double turned(Channel c, double by) {
        return c != Channel.ROTATION ? by : by > 180 ? by - 360 : by <= -180 ? by + 360 : by;
    }

    private List<PointDeltas> reshapes(Part part, Matrix back, View view) {
        List<PointDeltas> out = new ArrayList<>();
        for (Drawing d : reshaped(part)) {
            for (int i = 0; i < d.art().shapes().size(); i++) {
                Shape s = d.art().shapes().get(i);
                if (s.path().isEmpty()) {
                    continue;
                }
                TurnedPath turned = outline(part, d, i);
                PointDeltas deltas =
                        rounded(d.id(), i, s.path(), turned.at(view).transform(back));
                if (!deltas.still()) {
                    out.add(deltas);
                }
            }
        }
        return out;
    }

    /** The drawings that go with the head; a nose's profile was drawn for the turned head. */
    private static List<Drawing> reshaped(Part part) {
        return part.drawings().stream()
                .filter(d -> part.role() != PartRole.NOSE || !NoseProfile.is(d))
                .toList();
    }

    private boolean pieceOfNose(Part part) {
        return part.role() == PartRole.NOSE
                && part.parent()
                        .flatMap(character::part)
                        .filter(p -> p.role() == PartRole.NOSE)
                        .isPresent();
    }

    private TurnedPath outline(Part part, Drawing d, int shape) {
        return outlines.computeIfAbsent(
                part.id() + "/" + d.id() + "/" + shape,
                k -> solids.outline(
                        part.id(), d.art().shapes().get(shape).path().transform(solids.rest(part.id()))));
    }

    private PointDeltas rounded(String drawing, int shape, Path from, Path to) {
        List<Point> a = from.points();
        List<Point> b = to.points();
        List<Point> shifts = new ArrayList<>(a.size());
        for (int i = 0; i < a.size(); i++) {
            shifts.add(new Point(
                    Math.rint((b.get(i).x() - a.get(i).x()) / grain) * grain + 0.0,
                    Math.rint((b.get(i).y() - a.get(i).y()) / grain) * grain + 0.0));
        }
        return new PointDeltas(drawing, shape, shifts);
    }

    /** How far the rest of a part is from the head's axis: above 0 to the right of the screen. */
    Optional<Double> besideAxis(Part part) {
        return part.drawings().stream()
                .findFirst()
                .flatMap(d -> d.art().bounds())
                .map(b -> solids.rest(part.id()).apply(b.centre()).x() - solids.axis());
    }
}
