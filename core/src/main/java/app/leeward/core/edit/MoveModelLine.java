package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.ModelLine;
import java.util.Set;

/** Drags a model line, or draws one that was not there. */
public record MoveModelLine(String name, double y) implements SheetEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.MODEL_LINE.of(name));
    }

    @Override
    public String describe(Character before) {
        return "Model line '" + name.strip() + "' at " + Edits.plain(y);
    }

    @Override
    public Outcome on(Character before) {
        if (Edits.tooFar(before, y)) {
            return new Outcome.Refused(RefusalCode.TOO_FAR, "That is far off the canvas.");
        }
        return Edits.badName(name)
                .orElseGet(() -> new Outcome.Done(before.withSheet(
                        sheet -> sheet.withModel(before.sheet().model().with(new ModelLine(name.strip(), y))))));
    }
}
