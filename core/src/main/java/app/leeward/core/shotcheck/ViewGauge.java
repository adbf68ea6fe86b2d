package app.leeward.core.shotcheck;

import app.leeward.core.check.Measure;
import app.leeward.core.check.Subject;
import app.leeward.core.check.Unit;
import app.leeward.core.edit.RegisterViews;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.turn.ViewCheck;
import java.util.List;

/** A view that jumps as it gives way to the next. */
final class ViewGauge implements Gauge {
    static final String CODE = "view-jumps";
    private final Evaluator evaluator;
    private final String dial;
    private final List<ViewCheck.Edge> edges;

    /** @param measured every edge between two views, as {@link ViewCheck#of} gives them */
    ViewGauge(Evaluator evaluator, List<ViewCheck.Edge> measured) {
        this.evaluator = evaluator;
        dial = evaluator.character().controls().views().map(v -> v.dial()).orElse("");
        edges = measured.stream().filter(e -> !e.message().isEmpty()).toList();
    }

    @Override
    public List<Reading> read(List<Exposure> s, int i) {
        if (edges.isEmpty() || i == 0) {
            return List.of();
        }
        double before = evaluator.setting(dial, s.get(i - 1).pose());
        double now = evaluator.setting(dial, s.get(i).pose());
        // a band holds its lower edge: [from, to)
        return edges.stream()
                .filter(e -> (before < e.at()) != (now < e.at()))
                .map(e -> new Reading(
                        CODE,
                        new Subject(e.mends().orElse(""), "", dial + "@" + e.after()),
                        new Measure(
                                e.jumps().values().stream()
                                        .mapToDouble(x -> x)
                                        .max()
                                        .orElse(0),
                                Unit.UNITS),
                        e.message()))
                .toList();
    }

    @Override
    public List<Remedy> remedies(ShotFinding f) {
        return f.code().equals(CODE) && !f.subject().part().isEmpty()
                ? List.of(Remedy.of("Register it", new RegisterViews(f.subject().part())))
                : List.of();
    }
}
