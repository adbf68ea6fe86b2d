package app.leeward.core.turn;

import app.leeward.core.art.Matrix;
import app.leeward.core.art.Point;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.HeadView;
import app.leeward.core.rig.ModelLine;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Placement;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.ViewBand;
import app.leeward.core.rig.ViewSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * Registers a view to the main one: scaled about its neck until its hat (else its eyes, its chin, its top) is as far over the neck's end as the
 * main view's, and moved until the necks end in the same place. The main view itself is grown and lifted until its chin and the
 * top of its head are on the model's lines, so that every view stands to them; with one of the lines alone it is grown about its
 * neck. Only the view's placement changes; its art stays.
 */
public final class ViewMender {
    /** Heights that differ by less are left as they were drawn, a share. */
    private static final double AS_LARGE = 1e-6;
    /** Model lines are dragged by hand: what is this close to one is on it, a share. */
    private static final double STANDS = 1e-3;

    private ViewMender() {}

    /** The main view stood to the model lines, then every other registered to it. */
    public static Character all(Character c) {
        Character now = stood(c).orElse(c);
        for (HeadView view : c.controls().views().map(ViewSet::views).orElse(List.of())) {
            now = registered(now, view.root()).orElse(now);
        }
        return now;
    }

    /** Empty for one that no band shows, and for the main view where it stands on the model lines. */
    public static Optional<Character> registered(Character c, String root) {
        Optional<ViewSet> views = c.controls().views();
        if (views.isEmpty()) {
            return Optional.empty();
        }
        if (views.get().main().root().equals(root)) {
            return stood(c);
        }
        ViewSet set = views.get();
        Optional<ViewBand> main = set.shown(set.main().root());
        Optional<ViewBand> own = set.shown(root);
        Optional<Part> part = c.part(root);
        if (main.isEmpty() || own.isEmpty() || part.isEmpty()) {
            return Optional.empty();
        }
        Evaluator evaluator = new Evaluator(c);
        ViewMarks wanted = ViewMarks.of(c, evaluator, at(set, main.get()));
        ViewMarks is = ViewMarks.of(c, evaluator, at(set, own.get()));
        return Optional.of(placed(c, part.get(), own.get(), evaluator, is, wanted.neck(), grown(wanted, is)));
    }

    /** The main view between the lines of chin and top; empty where it is there already or there is nothing to go by. */
    private static Optional<Character> stood(Character c) {
        ViewSet set = c.controls().views().orElse(null);
        ViewBand band = set == null ? null : set.shown(set.main().root()).orElse(null);
        Part part = set == null ? null : c.part(set.main().root()).orElse(null);
        if (band == null || part == null) {
            return Optional.empty();
        }
        Evaluator evaluator = new Evaluator(c);
        ViewMarks is = ViewMarks.of(c, evaluator, at(set, band));
        Optional<Double> chin = is.chin().flatMap(y -> c.sheet().model().line(ModelLine.CHIN));
        Optional<Double> top = is.top().flatMap(y -> c.sheet().model().line(ModelLine.TOP));
        if (chin.isEmpty() && top.isEmpty()) {
            return Optional.empty();
        }
        double ends = is.neck().y();
        // with one line alone the neck's end is the other place that stays
        double low = chin.isPresent() ? is.chin().get() : ends;
        double high = top.isPresent() ? is.top().get() : ends;
        double by = ratio(chin.orElse(ends) - top.orElse(ends), low - high);
        double neck = chin.isPresent() ? chin.get() + by * (ends - low) : ends;
        boolean off = Math.abs(by - 1) > STANDS || Math.abs(neck - ends) > STANDS * Math.abs(low - high);
        return off
                ? Optional.of(
                        placed(c, part, band, evaluator, is, new Point(is.neck().x(), neck), by))
                : Optional.empty();
    }

    /** How many times as large; 1 where the lines are not to be gone by: crossed, or out of all proportion. */
    private static double ratio(double wanted, double is) {
        double by = Math.abs(is) > 1e-3 ? wanted / is : 1;
        return by > 0.05 && by < 20 ? by : 1;
    }

    /** A view's root placed so that its neck ends in {@code neck} and it is {@code grown} times as large. */
    private static Character placed(
            Character c, Part part, ViewBand own, Evaluator evaluator, ViewMarks is, Point neck, double grown) {
        // where the mirrored picture's neck should be, the drawn one's mirror image is
        Point from = own.flipped() ? mirrored(c, is.neck()) : is.neck();
        Point to = own.flipped() ? mirrored(c, neck) : neck;
        Matrix parent = evaluator.atRest(part.parent());
        Matrix moved = Matrix.translate(to.x(), to.y())
                .times(new Matrix(grown, 0, 0, grown, 0, 0))
                .times(Matrix.translate(-from.x(), -from.y()));
        // the same change in the coordinates of what the view follows
        Matrix within = parent.inverse().times(moved).times(parent);
        Placement rest = part.rest();
        Point pivot = part.pivot();
        Point stands = within.apply(pivot.plus(new Point(rest.x(), rest.y())));
        Placement placed = new Placement(
                stands.x() - pivot.x(),
                stands.y() - pivot.y(),
                rest.rotation(),
                rest.scaleX() * grown,
                rest.scaleY() * grown,
                rest.skewX(),
                rest.opacity());
        return c.withPart(part.id(), p -> p.withRest(placed));
    }

    private static double grown(ViewMarks wanted, ViewMarks is) {
        List<Function<ViewMarks, Optional<Double>>> marks =
                List.of(ViewMarks::cap, ViewMarks::eyes, ViewMarks::chin, ViewMarks::top);
        Optional<Double> a = Optional.empty();
        Optional<Double> b = Optional.empty();
        for (Function<ViewMarks, Optional<Double>> mark : marks) {
            if (a.isEmpty() || b.isEmpty()) {
                a = over(wanted, mark.apply(wanted), mark.apply(is));
                b = over(is, mark.apply(is), mark.apply(wanted));
            }
        }
        if (a.isEmpty() || b.isEmpty()) {
            return 1;
        }
        double s = a.get() / b.get();
        return s > 0.05 && s < 20 && Math.abs(s - 1) > AS_LARGE ? s : 1;
    }

    /** How high a mark is over the neck's end, when both views have it. */
    private static Optional<Double> over(ViewMarks of, Optional<Double> own, Optional<Double> other) {
        return other.isPresent() ? own.map(y -> of.neck().y() - y).filter(h -> h > 1e-3) : Optional.empty();
    }

    private static Point mirrored(Character c, Point p) {
        return new Point(2 * c.sheet().model().axis() - p.x(), p.y());
    }

    private static Pose at(ViewSet set, ViewBand b) {
        return Pose.of(Map.of(set.dial(), b.middle()));
    }
}
