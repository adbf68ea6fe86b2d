package app.leeward.core.intake;

import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.rig.Note;
import app.leeward.core.rig.PartRole;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Brings mouths and hands that were laid out beside the figure, as on a model sheet, onto the one that was drawn in its place. */
final class LaidOut {
    /** An open mouth hangs from where the lips rest: so far, as a share of its height, its middle lies below theirs. */
    private static final double HANGS = 0.3;

    private LaidOut() {}

    static void bringHome(List<LayerReading.Found> found, List<Note> notes) {
        for (LayerReading.Found f : found) {
            Optional<Box> home = f.drawings.stream()
                    .filter(d -> d.id().equals(f.firstVisible))
                    .findFirst()
                    .flatMap(d -> d.art().bounds());
            boolean mouth = f.role == PartRole.MOUTH;
            if ((mouth || f.role == PartRole.HAND) && home.isPresent()) {
                List<String> moved = new ArrayList<>();
                f.drawings.replaceAll(d -> brought(d, home.get(), mouth ? HANGS : 0, moved));
                if (!moved.isEmpty()) {
                    notes.add(new Note(
                            "laid-out",
                            f.name,
                            (mouth ? moved.size() + " mouths" : moved.size() + " drawings of the " + f.name)
                                    + " laid out beside the figure were brought onto '" + f.firstVisible + "': "
                                    + String.join(", ", moved)
                                    + (mouth ? ". Look at their height." : ". Look at their wrists.")));
                }
            }
        }
    }

    /** Further away than the one in its place is wide, it is no mouth or hand of this figure where it stands. */
    private static Drawing brought(Drawing d, Box home, double hangs, List<String> moved) {
        Box b = d.art().bounds().orElse(home);
        double dx = home.centre().x() - b.centre().x();
        double dy = home.centre().y() + hangs * b.height() - b.centre().y();
        boolean away = Math.abs(dx) > home.width() + b.width() || Math.abs(dy) > home.width() + b.height();
        if (!away) {
            return d;
        }
        moved.add(d.name());
        return d.transform(Matrix.translate(dx, dy));
    }
}
