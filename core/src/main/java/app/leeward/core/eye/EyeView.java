package app.leeward.core.eye;

import app.leeward.core.art.Box;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Purpose;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.Side;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;

/**
 * One eye as the Eyes bench shows it, in a pose.
 *
 * @param id of the eye
 * @param box where it lies at rest, its outline included; the same in every pose, so that it stands still while it looks
 * @param window outlines of what its white lets be seen, on the canvas
 * @param reach where the middle of its pupil can go, once round, on the canvas; empty without gaze dials
 * @param kept share of the pupil that is inside its window now, 0 to 1
 * @param missing roles a whole eye has and this one lacks
 * @param lidLine inner end, middle and outer end of the upper lid's edge, on the canvas; empty for lids that do not travel
 * @param pupil its pupil's middle now, on the canvas
 */
public record EyeView(
        String id,
        String name,
        Side side,
        Box box,
        List<List<Point>> window,
        List<Point> reach,
        double kept,
        List<PartRole> missing,
        List<Point> lidLine,
        Optional<Point> pupil) {
    /** What a whole eye has; the rest is the designer's choice. */
    private static final List<PartRole> WHOLE =
            List.of(PartRole.WHITE, PartRole.PUPIL, PartRole.UPPER_LID, PartRole.LOWER_LID);

    /** Every eye that has something drawn, as they stand on the screen, from left to right. */
    public static List<EyeView> of(Character c, Pose pose) {
        Evaluator evaluator = new Evaluator(c);
        Frame rest = evaluator.frame(c.resting(pose));
        Frame now = evaluator.frame(pose);
        Fills fills = new Fills(c);
        List<Point> field = GazeField.of(c, pose);
        List<EyeView> out = new ArrayList<>();
        for (EyePieces eye : EyePieces.of(c)) {
            Optional<Box> box = box(c, rest, eye);
            if (box.isPresent()) {
                out.add(view(c, evaluator, fills, pose, now, field, eye, box.get()));
            }
        }
        out.sort(Comparator.comparingDouble(e -> e.box.centre().x()));
        return out;
    }

    private static EyeView view(
            Character c,
            Evaluator evaluator,
            Fills fills,
            Pose pose,
            Frame now,
            List<Point> field,
            EyePieces eye,
            Box box) {
        Optional<Part> white =
                eye.piece(PartRole.WHITE).filter(p -> !p.drawings().isEmpty());
        Optional<Geometry> seen = white.flatMap(w -> fills.in(now, w.id()));
        Optional<Part> pupil = eye.pupil();
        Optional<Geometry> round = pupil.flatMap(p -> fills.in(now, p.id()));
        Optional<Geometry> window = pupil.flatMap(p -> fills.window(now, p.id()));
        double kept = round.isPresent() && window.isPresent() ? new Overlap(window.get(), round.get()).kept(0, 0) : 1;
        return new EyeView(
                eye.eye().id(),
                eye.eye().name(),
                eye.eye().side(),
                box,
                seen.map(EyeView::outlines).orElse(List.of()),
                pupil.map(p -> reach(c, evaluator, pose, field, p)).orElse(List.of()),
                kept,
                WHOLE.stream()
                        .filter(r -> r != PartRole.LOWER_LID || !eye.drawnLids() && !eye.shutsItself())
                        .filter(r -> r != PartRole.UPPER_LID || eye.blink().isEmpty() && !eye.shutsItself())
                        .filter(r -> r == PartRole.PUPIL
                                ? pupil.isEmpty()
                                : eye.piece(r)
                                        .filter(p -> !p.drawings().isEmpty())
                                        .isEmpty())
                        .toList(),
                seen.map(w -> lidLine(c, fills, now, eye, w)).orElse(List.of()),
                round.filter(g -> !g.isEmpty())
                        .map(g -> g.getEnvelopeInternal().centre())
                        .map(at -> new Point(at.x, at.y)));
    }

    private static List<Point> lidLine(Character c, Fills fills, Frame now, EyePieces eye, Geometry white) {
        Optional<Geometry> lid = eye.piece(PartRole.UPPER_LID)
                .filter(p -> p.drawings().size() == 1 && LidLine.wayOf(c, p.id()) != 0)
                .flatMap(p -> fills.in(now, p.id()));
        Envelope e = white.getEnvelopeInternal();
        List<Point> out = new ArrayList<>();
        for (double x : new double[] {e.getMinX(), e.centre().x, e.getMaxX()}) {
            lid.flatMap(g -> VerticalHit.vertical(g, x)).ifPresent(ends -> out.add(new Point(x, ends[1])));
        }
        if (out.size() < 3) {
            return List.of();
        }
        // the inner end of an eye right of the axis is its left one
        return e.centre().x > c.sheet().model().axis() ? out : List.of(out.get(2), out.get(1), out.get(0));
    }

    private static List<Point> reach(Character c, Evaluator evaluator, Pose pose, List<Point> field, Part pupil) {
        Optional<Dial> across = GazeField.dial(c, Purpose.GAZE_ACROSS);
        Optional<Dial> down = GazeField.dial(c, Purpose.GAZE_DOWN);
        Optional<Point> middle = pupil.bounds().map(Box::centre);
        if (field.isEmpty() || middle.isEmpty()) {
            return List.of();
        }
        List<Point> out = new ArrayList<>(field.size());
        for (Point p : field) {
            Pose look = pose.withDial(across.orElseThrow().id(), p.x())
                    .withDial(down.orElseThrow().id(), p.y());
            evaluator
                    .frame(look)
                    .of(pupil.id())
                    .map(Frame.Placed::matrix)
                    .ifPresent(m -> out.add(m.apply(middle.get())));
        }
        return out;
    }

    /** Of all pieces but the lids, which lie far outside while the eye is open. */
    private static Optional<Box> box(Character c, Frame rest, EyePieces eye) {
        return eye.pieces().stream()
                .filter(p -> p.role() == PartRole.WHITE
                        || p.role() == PartRole.EYE_OUTLINE
                        || p.role() == PartRole.PUPIL
                        || p.role() == PartRole.IRIS)
                .flatMap(p -> rest.of(p.id()).stream())
                .flatMap(p -> bounds(c, p).stream())
                .reduce(Box::union);
    }

    private static Optional<Box> bounds(Character c, Frame.Placed p) {
        Matrix m = p.matrix();
        return c.part(p.part())
                .flatMap(part -> part.drawing(p.drawing()))
                .flatMap(d -> d.art().transform(m).bounds());
    }

    static List<List<Point>> outlines(Geometry g) {
        List<List<Point>> out = new ArrayList<>();
        for (int i = 0; i < g.getNumGeometries(); i++) {
            if (g.getGeometryN(i) instanceof Polygon p) {
                List<Point> ring = new ArrayList<>();
                for (Coordinate at : p.getExteriorRing().getCoordinates()) {
                    ring.add(new Point(at.x, at.y));
                }
                out.add(ring);
            }
        }
        return out;
    }
}
