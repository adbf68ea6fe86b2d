package app.leeward.core.shotcheck;

import app.leeward.core.check.Measure;
import app.leeward.core.check.OffCanvas;
import app.leeward.core.check.Subject;
import app.leeward.core.check.Unit;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import java.util.List;
import java.util.Locale;

/** A part that leaves the canvas. */
final class CanvasGauge implements Gauge {
    private final Character character;
    private final OffCanvas canvas;

    CanvasGauge(Evaluator evaluator) {
        character = evaluator.character();
        canvas = new OffCanvas(evaluator);
    }

    @Override
    public List<Reading> read(List<Exposure> s, int i) {
        return canvas.in(s.get(i).picture(), s.get(i)::corners).stream()
                .map(l -> new Reading(
                        "off-canvas",
                        Subject.part(l.part()),
                        new Measure(l.share(), Unit.SHARE),
                        String.format(
                                Locale.ROOT,
                                "%.0f %% of %s lies off the canvas.",
                                100 * l.share(),
                                character.part(l.part()).orElseThrow().name())))
                .toList();
    }
}
