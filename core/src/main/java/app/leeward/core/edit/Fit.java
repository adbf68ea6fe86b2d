package app.leeward.core.edit;

import app.leeward.core.intake.CanvasFit;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Canvas;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.ModelLine;
import app.leeward.core.rig.Scaling;
import java.util.Set;

/**
 * Enlarges or shrinks the whole character and moves it: every place (x, y) becomes (scale·x + dx, scale·y + dy).
 *
 * @param canvas the picture's size from then on
 */
public record Fit(double scale, double dx, double dy, Canvas canvas) implements SheetEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        String size = scale == 1 ? "" : "Scaled the character to " + Edits.plain(scale * 100) + " %";
        String moved = dx == 0 && dy == 0 ? "" : "moved it " + Edits.plain(dx) + ", " + Edits.plain(dy);
        if (size.isEmpty()) {
            return moved.isEmpty() ? "Left the character where it was" : "M" + moved.substring(1);
        }
        return moved.isEmpty() ? size : size + " and " + moved;
    }

    @Override
    public Outcome on(Character before) {
        if (!(scale >= 1e-4 && scale <= 1e4)) {
            return new Outcome.Refused(
                    RefusalCode.SCALE, "A character can be scaled to 0.01 % up to 1000000 %, not by " + scale + ".");
        }
        if (!(Math.abs(dx) <= 1e7 && Math.abs(dy) <= 1e7)) {
            return Edits.TOO_FAR;
        }
        // the ground stays where it is and the figure is put on it; every other model line goes with the art
        ModelLine ground = new ModelLine(ModelLine.GROUND, CanvasFit.ground(before, canvas));
        return new Outcome.Done(Scaling.of(before, scale, dx, dy, canvas)
                .withSheet(sheet -> sheet.withModel(sheet.model().with(ground))));
    }
}
