package app.leeward.core.edit;

import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Point;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Scales every drawing of a part evenly so that it reaches from one model line to another, and stands it there: the views
 * of a head, drawn at different sizes, come to one size. Each stays centred where it was.
 *
 * @param upper name of the model line its top comes to
 * @param lower name of the model line its foot comes to
 */
public record StandBetween(String part, String upper, String lower) implements DrawingEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        return "Stood every drawing of " + Edits.nameOf(before, part) + " between " + upper + " and " + lower;
    }

    @Override
    public Outcome on(Character before) {
        Optional<Part> of = before.part(part);
        if (of.isEmpty()) {
            return Edits.noPart(part);
        }
        Optional<Double> top = before.sheet().model().line(upper);
        Optional<Double> foot = before.sheet().model().line(lower);
        if (top.isEmpty() || foot.isEmpty()) {
            return new Outcome.Refused(
                    RefusalCode.NO_LINE, "There is no model line '" + (top.isEmpty() ? upper : lower) + "'.");
        }
        if (!(foot.get() - top.get() > 1e-6)) {
            return new Outcome.Refused(RefusalCode.LINES_CROSSED, "'" + upper + "' has to lie above '" + lower + "'.");
        }
        Matrix rest = new Evaluator(before).atRest(Optional.of(part));
        if (Math.abs(rest.b()) > 1e-9 || rest.d() <= 0) {
            return new Outcome.Refused(
                    RefusalCode.TURNED_AT_REST,
                    of.get().name() + " is turned at rest; straighten it before it is stood on lines.");
        }
        double y0 = (top.get() - rest.f()) / rest.d();
        double y1 = (foot.get() - rest.f()) / rest.d();
        List<Drawing> stood =
                of.get().drawings().stream().map(d -> stood(d, y0, y1)).toList();
        return new Outcome.Done(before.withPart(part, p -> p.withDrawings(stood, p.shown())));
    }

    private static Drawing stood(Drawing d, double top, double foot) {
        Optional<Box> box = d.art().bounds().filter(b -> b.height() > 1e-6);
        if (box.isEmpty()) {
            return d;
        }
        double scale = (foot - top) / box.get().height();
        Point middle = box.get().centre();
        Matrix m = new Matrix(
                scale,
                0,
                0,
                scale,
                middle.x() * (1 - scale),
                top - scale * box.get().minY());
        return d.transform(m);
    }
}
