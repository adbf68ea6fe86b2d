package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.Set;

/** Says where the axis of symmetry is, without moving any art. */
public record MoveAxis(double x) implements SheetEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.AXIS.all());
    }

    @Override
    public String describe(Character before) {
        return "Axis of symmetry at " + Edits.plain(x);
    }

    @Override
    public Outcome on(Character before) {
        return Edits.tooFar(before, x)
                ? new Outcome.Refused(RefusalCode.TOO_FAR, "That is far off the canvas.")
                : new Outcome.Done(before.withSheet(
                        sheet -> sheet.withModel(before.sheet().model().withAxis(x))));
    }
}
