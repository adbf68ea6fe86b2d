package app.leeward.core.turn;

import app.leeward.core.art.Point;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.HeadView;
import app.leeward.core.rig.ModelLine;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.ViewBand;
import app.leeward.core.rig.ViewSet;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Measures what jumps where one view of a head gives way to the next. */
public final class ViewCheck {
    /** What the eye does not see jump, units. */
    public static final double STILL = 1;

    private static final Map<Mark, String> NAMES = Map.of(
            Mark.NECK, "neck", Mark.EYES, "eyes", Mark.MOUTH, "mouth", Mark.CHIN, "chin", Mark.TOP, "top of the head");

    private ViewCheck() {}

    /** What is looked at: where the neck ends below, and heights; the top is the head's, whatever it wears. */
    public enum Mark {
        NECK,
        EYES,
        MOUTH,
        CHIN,
        TOP
    }

    /**
     * One edge between two bands.
     *
     * @param after the band before it, counted from 0
     * @param at in the dial's unit
     * @param from root of the view before it
     * @param to root of the view behind it
     * @param jumps how far each mark goes, units on the canvas; marks that one of the views lacks are left out
     * @param mends root of the view that should move; empty when nothing jumps
     * @param message in words; empty when nothing jumps
     */
    public record Edge(
            int after,
            double at,
            String from,
            String to,
            Map<Mark, Double> jumps,
            Optional<String> mends,
            String message) {}

    /** Every edge from low to high; none without views. */
    public static List<Edge> of(Character c) {
        Optional<ViewSet> views = c.controls().views();
        if (views.isEmpty()) {
            return List.of();
        }
        ViewSet set = views.get();
        Evaluator evaluator = new Evaluator(c);
        List<ViewMarks> marks = set.bands().stream()
                .map(b -> ViewMarks.of(c, evaluator, Pose.of(Map.of(set.dial(), b.middle()))))
                .toList();
        List<Edge> out = new ArrayList<>();
        for (int i = 0; i + 1 < set.bands().size(); i++) {
            out.add(edge(set, i, marks.get(i), marks.get(i + 1)));
        }
        return out;
    }

    /** How far the main view's chin and the top of its head lie off the model's lines, in words; empty where they are on them. */
    public static Optional<String> offModel(Character c) {
        Optional<ViewBand> band =
                c.controls().views().flatMap(v -> v.shown(v.main().root()));
        if (band.isEmpty()) {
            return Optional.empty();
        }
        ViewSet set = c.controls().views().orElseThrow();
        Pose pose = Pose.of(Map.of(set.dial(), band.get().middle()));
        ViewMarks marks = ViewMarks.of(c, new Evaluator(c), pose);
        String told = Stream.of(
                        off(c, "chin", marks.chin(), ModelLine.CHIN),
                        off(c, "top of the head", marks.top(), ModelLine.TOP))
                .flatMap(Optional::stream)
                .collect(Collectors.joining(", "));
        return told.isEmpty()
                ? Optional.empty()
                : Optional.of("Of " + set.main().name() + " the " + told + " the model's line.");
    }

    private static Optional<String> off(Character c, String what, Optional<Double> is, String line) {
        return is.flatMap(y -> c.sheet().model().line(line).map(wanted -> y - wanted))
                .filter(by -> Math.abs(by) > STILL)
                .map(by ->
                        String.format(Locale.ROOT, "%s lies %.1f %s", what, Math.abs(by), by > 0 ? "under" : "over"));
    }

    private static Edge edge(ViewSet set, int i, ViewMarks a, ViewMarks b) {
        ViewBand left = set.bands().get(i);
        ViewBand right = set.bands().get(i + 1);
        Map<Mark, Double> jumps = new java.util.EnumMap<>(Mark.class);
        Point neck = b.neck().minus(a.neck());
        jumps.put(Mark.NECK, Math.hypot(neck.x(), neck.y()));
        height(a.eyes(), b.eyes()).ifPresent(d -> jumps.put(Mark.EYES, d));
        height(a.mouth(), b.mouth()).ifPresent(d -> jumps.put(Mark.MOUTH, d));
        height(a.chin(), b.chin()).ifPresent(d -> jumps.put(Mark.CHIN, d));
        height(a.top(), b.top()).ifPresent(d -> jumps.put(Mark.TOP, d));
        List<String> told = new ArrayList<>();
        jumps.forEach((mark, by) -> {
            if (by > STILL) {
                told.add(String.format(Locale.ROOT, "the %s by %.1f", NAMES.get(mark), by));
            }
        });
        // the view further from the one the others are registered to
        boolean leftIsMain = left.view().equals(set.main().root());
        boolean outer = Math.abs(right.from() + right.to()) >= Math.abs(left.from() + left.to());
        String moves = leftIsMain || outer && !right.view().equals(set.main().root()) ? right.view() : left.view();
        String message = told.isEmpty()
                ? ""
                : "From " + name(set, left) + " to " + name(set, right) + " jump: " + String.join(", ", told) + ".";
        return new Edge(
                i,
                left.to(),
                left.view(),
                right.view(),
                jumps,
                told.isEmpty() ? Optional.empty() : Optional.of(moves),
                message);
    }

    private static String name(ViewSet set, ViewBand b) {
        return set.view(b.view()).map(HeadView::name).orElse(b.view()) + (b.flipped() ? " (mirrored)" : "");
    }

    private static Optional<Double> height(Optional<Double> a, Optional<Double> b) {
        return a.isPresent() && b.isPresent() ? Optional.of(Math.abs(b.get() - a.get())) : Optional.empty();
    }
}
