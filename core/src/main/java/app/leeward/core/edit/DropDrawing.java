package app.leeward.core.edit;

import app.leeward.core.art.Drawing;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Takes a drawing out of a part's set. */
public record DropDrawing(String part, String drawing) implements DrawingEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        return "Took away " + Redrawing.name(before, part, drawing);
    }

    @Override
    public Outcome on(Character before) {
        Part p = before.part(part).orElse(null);
        if (p == null) {
            return Edits.noPart(part);
        }
        if (p.drawing(drawing).isEmpty()) {
            return new Outcome.Refused(
                    RefusalCode.NO_DRAWING, p.name() + " has no drawing '" + drawing + "' any more.");
        }
        boolean serves = before.voice().mouths().part().equals(Optional.of(part))
                && before.voice().mouths().drawings().contains(drawing);
        boolean asked = before.controls().dials().stream()
                .flatMap(d -> d.bands().stream())
                .filter(b -> b.part().equals(part))
                .anyMatch(b -> b.bands().stream().anyMatch(x -> x.drawing().equals(drawing)));
        if (serves || asked) {
            return new Outcome.Refused(
                    RefusalCode.IN_USE,
                    serves
                            ? "This mouth serves sounds; let others serve them first."
                            : "A dial shows this drawing; take its band away first.");
        }
        List<Drawing> left =
                p.drawings().stream().filter(d -> !d.id().equals(drawing)).toList();
        String shown = !p.shown().equals(drawing)
                ? p.shown()
                : left.isEmpty() ? Part.NOTHING : left.get(0).id();
        return new Outcome.Done(before.withPart(part, q -> q.withDrawings(left, shown)));
    }
}
