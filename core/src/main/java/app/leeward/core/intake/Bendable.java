package app.leeward.core.intake;

import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Shape;
import app.leeward.core.rig.PartRole;

/** What looks and moods bend, drawn in straight steps, is written in curves: a straight step stays straight whatever bends it. */
final class Bendable {
    /** Steps shorter than this share of the drawing's width stay as they are: their ends bend enough. */
    private static final double LEAST = 0.1;

    private Bendable() {}

    /** The same drawing to look at. */
    static Drawing of(PartRole role, Drawing drawn) {
        if (role != PartRole.MOUTH && role != PartRole.BROW) {
            return drawn;
        }
        double least = LEAST * drawn.art().bounds().map(Box::width).orElse(0.0);
        return drawn.withArt(drawn.art()
                .withOutlines(drawn.art().shapes().stream()
                        .map(Shape::path)
                        // what is closed in a mouth is teeth, and they are no softer for it
                        .map(p -> role == PartRole.MOUTH && p.closes() ? p : p.curved(least))
                        .toList()));
    }
}
