package app.leeward.core.shotcheck;

import app.leeward.core.check.Measure;
import app.leeward.core.check.Subject;
import app.leeward.core.check.Unit;
import app.leeward.core.edit.MendLid;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.eye.ActedEyes;
import java.util.List;
import java.util.Locale;

/** White that shows while an eye is shut. */
final class WhiteGauge implements Gauge {
    static final String CODE = "white-shows";
    private final ActedEyes eyes;

    WhiteGauge(Evaluator evaluator) {
        eyes = new ActedEyes(evaluator);
    }

    @Override
    public List<Reading> read(List<Exposure> s, int i) {
        return eyes.whites(s.get(i).pose(), s.get(i).picture()).stream()
                .map(w -> new Reading(
                        CODE,
                        Subject.part(w.part()),
                        new Measure(w.amount(), Unit.SQUARE_UNITS),
                        String.format(
                                Locale.ROOT, "%s is shut and shows %.1f square units of white.", w.eye(), w.amount())))
                .toList();
    }

    @Override
    public List<Remedy> remedies(ShotFinding f) {
        return f.code().equals(CODE)
                ? List.of(Remedy.of("Enlarge the lid", new MendLid(f.subject().part())))
                : List.of();
    }
}
