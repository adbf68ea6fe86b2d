package app.leeward.core.edit;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.PointDeltas;
import app.leeward.core.dial.Stop;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.WristBend;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;

/** What the edits of the shape editor have in common: they change one shape, or the list of shapes, of one drawing. */
final class Redrawing {
    /** Points nearer to each other than this are one, units. */
    private static final double SAME_PLACE = 1e-9;

    private Redrawing() {}

    static Outcome shapes(Character c, String part, String drawing, UnaryOperator<List<Shape>> change) {
        Optional<Part> p = c.part(part);
        if (p.isEmpty()) {
            return Edits.noPart(part);
        }
        if (p.get().drawing(drawing).isEmpty()) {
            return new Outcome.Refused(
                    RefusalCode.NO_DRAWING, p.get().name() + " has no drawing '" + drawing + "' any more.");
        }
        List<Drawing> drawings = p.get().drawings().stream()
                .map(d -> d.id().equals(drawing)
                        ? d.withArt(new Artwork(change.apply(d.art().shapes())))
                        : d)
                .toList();
        return new Outcome.Done(c.withPart(part, q -> q.withDrawings(drawings, q.shown())));
    }

    static Outcome shape(Character c, String part, String drawing, int shape, UnaryOperator<Shape> change) {
        return shape(c, part, drawing, shape, change, false);
    }

    /** @param anew whether the points are others even where they are as many, so that what dials do to them follows in any case */
    static Outcome shape(
            Character c, String part, String drawing, int shape, UnaryOperator<Shape> change, boolean anew) {
        Outcome redrawn = shapes(c, part, drawing, all -> {
            List<Shape> out = new ArrayList<>(all);
            if (shape < 0 || shape >= out.size()) {
                throw new Refusal(RefusalCode.NO_SUCH_POINT, "There is no such shape in the drawing any more.");
            }
            Shape before = out.get(shape);
            Shape after = change.apply(before);
            out.set(shape, after);
            if (edge(before)) {
                // a window and its outline that are one curve stay one curve
                out.replaceAll(
                        s -> s != after && edge(s) && s.path().equals(before.path()) ? s.withPath(after.path()) : s);
            }
            return out;
        });
        return redrawn instanceof Outcome.Done done
                ? new Outcome.Done(
                        weighed(c, reshaped(c, done.character(), part, drawing, change, anew), part, drawing))
                : redrawn;
    }

    /**
     * What stops do to the points of an outline follows it when points come or go: the same is done to the outline as it is at
     * the stop, and the difference is what the stop does now.
     */
    private static Character reshaped(
            Character before, Character after, String part, String drawing, UnaryOperator<Shape> change, boolean anew) {
        boolean named = before.controls().dials().stream()
                .flatMap(d -> d.stops().stream())
                .anyMatch(s -> s.reshapes().containsKey(part));
        if (!named) {
            return after;
        }
        List<Shape> was = of(before, part, drawing);
        List<Shape> is = of(after, part, drawing);
        List<Dial> dials = after.controls().dials().stream()
                .map(d -> d.withStops(d.stops().stream()
                        .map(s -> {
                            Stop out = s;
                            for (PointDeltas r : s.reshapes().getOrDefault(part, List.of())) {
                                if (r.drawing().equals(drawing) && r.shape() < was.size()) {
                                    Optional<PointDeltas> now =
                                            following(r, was.get(r.shape()), is.get(r.shape()), change, anew);
                                    out = now.isPresent() ? out.with(part, now.get()) : out;
                                }
                            }
                            return out;
                        })
                        .toList()))
                .toList();
        return after.withDials(dials, after.controls().pads());
    }

    private static Optional<PointDeltas> following(
            PointDeltas r, Shape was, Shape is, UnaryOperator<Shape> change, boolean anew) {
        if (was.path().equals(is.path()) || !anew && r.fits(is.path()) || !r.fits(was.path())) {
            return Optional.empty();
        }
        double[] shifts = r.shifts().stream()
                .flatMapToDouble(p -> DoubleStream.of(p.x(), p.y()))
                .toArray();
        Path there = change.apply(was.withPath(was.path().shifted(shifts))).path();
        return there.points().size() == is.path().points().size()
                ? Optional.of(PointDeltas.between(r.drawing(), r.shape(), is.path(), there))
                : Optional.empty();
    }

    /** What was said of how single points follow the wrist goes with the points where their numbers change. */
    private static Character weighed(Character before, Character after, String part, String drawing) {
        WristBend bend = after.part(part).flatMap(Part::wristBend).orElse(null);
        if (bend == null || bend.weights().isEmpty()) {
            return after;
        }
        List<Shape> was = of(before, part, drawing);
        List<Shape> is = of(after, part, drawing);
        List<WristBend.PointWeight> weights = bend.weights().stream()
                .flatMap(w -> w.drawing().equals(drawing) && w.shape() < Math.min(was.size(), is.size())
                        ? following(
                                w, was.get(w.shape()).path(), is.get(w.shape()).path())
                                .stream()
                        : Stream.of(w))
                .toList();
        return after.withPart(part, p -> p.withWristBend(Optional.of(new WristBend(bend.reach(), weights))));
    }

    private static Optional<WristBend.PointWeight> following(WristBend.PointWeight w, Path was, Path is) {
        if (was.segments().size() == is.segments().size() && was.steppedLike(is)) {
            return Optional.of(w);
        }
        Optional<Point> held =
                w.at() < was.segments().size() ? was.segments().get(w.at()).end() : Optional.empty();
        for (int i = 0; held.isPresent() && i < is.segments().size(); i++) {
            Optional<Point> here = is.segments().get(i).end();
            if (here.isPresent() && here.get().distance(held.get()) < SAME_PLACE) {
                return Optional.of(new WristBend.PointWeight(w.drawing(), w.shape(), i, w.weight()));
            }
        }
        return Optional.empty();
    }

    private static List<Shape> of(Character c, String part, String drawing) {
        return c.part(part)
                .flatMap(p -> p.drawing(drawing))
                .map(d -> d.art().shapes())
                .orElse(List.of());
    }

    private static boolean edge(Shape s) {
        return s.role() == ShapeRole.WINDOW || s.role() == ShapeRole.OUTLINE;
    }

    /** How a drawing is called in a sentence. */
    static String name(Character c, String part, String drawing) {
        if (Part.NOTHING.equals(drawing)) {
            return "nothing of " + Edits.nameOf(c, part);
        }
        String of =
                c.part(part).flatMap(p -> p.drawing(drawing)).map(Drawing::name).orElse(drawing);
        return "drawing " + of + " of " + Edits.nameOf(c, part);
    }
}
