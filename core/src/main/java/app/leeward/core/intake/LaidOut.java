package app.leeward.core.intake;

import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.hand.Hands;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Note;
import app.leeward.core.rig.PartRole;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Brings mouths and hands that were laid out beside the figure, as on a model sheet, onto the one that was drawn in its place: mouths by
 * their middles, hands by their wrists, once there is an arm.
 */
final class LaidOut {
    /** An open mouth hangs from where the lips rest: so far, as a share of its height, its middle lies below theirs. */
    private static final double HANGS = 0.3;

    /** What was moved. */
    private final Map<LayerReading.Found, List<Drawing>> moved = new LinkedHashMap<>();

    private LaidOut() {}

    static LaidOut bringHome(List<LayerReading.Found> found) {
        LaidOut out = new LaidOut();
        for (LayerReading.Found f : found) {
            Optional<Box> home = f.drawings.stream()
                    .filter(d -> d.id().equals(f.firstVisible))
                    .findFirst()
                    .flatMap(d -> d.art().bounds());
            boolean mouth = f.role == PartRole.MOUTH;
            if ((mouth || f.role == PartRole.HAND) && home.isPresent()) {
                List<Drawing> away = new ArrayList<>();
                f.drawings.replaceAll(d -> brought(d, home.get(), mouth ? HANGS : 0, away));
                if (!away.isEmpty()) {
                    out.moved.put(f, away);
                }
            }
        }
        return out;
    }

    /** Further away than the one in its place is wide, it is no mouth or hand of this figure where it stands. */
    private static Drawing brought(Drawing d, Box home, double hangs, List<Drawing> away) {
        Box b = d.art().bounds().orElse(home);
        double dx = home.centre().x() - b.centre().x();
        double dy = home.centre().y() + hangs * b.height() - b.centre().y();
        boolean elsewhere = Math.abs(dx) > home.width() + b.width() || Math.abs(dy) > home.width() + b.height();
        if (!elsewhere) {
            return d;
        }
        away.add(d);
        return d.transform(Matrix.translate(dx, dy));
    }

    /**
     * Hands lie any way on a sheet: each is turned, scaled and laid on its arm where it is certain where it was cut.
     *
     * @param ids of the parts that came of what was found
     */
    Character onWrists(Character c, Map<LayerReading.Found, String> ids) {
        Character now = c;
        List<Note> notes = new ArrayList<>(c.origin().notes());
        for (Map.Entry<LayerReading.Found, List<Drawing>> e : moved.entrySet()) {
            LayerReading.Found f = e.getKey();
            List<String> sure = new ArrayList<>();
            List<String> unsure =
                    new ArrayList<>(e.getValue().stream().map(Drawing::name).toList());
            String part = f.role == PartRole.HAND ? ids.get(f) : null;
            if (part != null) {
                List<String> moving = e.getValue().stream().map(Drawing::id).toList();
                for (Drawing d : Hands.laidOn(now, part, moving)) {
                    now = now.withPart(part, p -> p.withDrawing(d.id(), was -> d));
                    sure.add(d.name());
                    unsure.remove(d.name());
                }
                for (String d : moving) {
                    now = now.withPart(
                            part,
                            p -> p.withDrawing(d, x -> x.withUnplaced(x.wrist().isEmpty())));
                }
            }
            String home = f.drawings.stream()
                    .filter(d -> d.id().equals(f.firstVisible))
                    .map(Drawing::name)
                    .findFirst()
                    .orElse(f.firstVisible);
            notes.add(new Note("laid-out", f.name, told(f, home, sure, unsure)));
        }
        return moved.isEmpty() ? now : now.withOrigin(now.origin().withNotes(notes));
    }

    private static String told(LayerReading.Found f, String home, List<String> sure, List<String> unsure) {
        String all = String.join(", ", unsure);
        if (f.role == PartRole.MOUTH) {
            return unsure.size() + " mouths laid out beside the figure were brought onto '" + home + "': " + all
                    + ". Look at their height.";
        }
        String on = sure.isEmpty()
                ? ""
                : sure.size() + " drawings of the " + f.name + " laid out beside the figure were laid on the wrist of '"
                        + home + "': " + String.join(", ", sure) + ".";
        return unsure.isEmpty()
                ? on
                : (on + " Where " + all + (unsure.size() == 1 ? " was" : " were") + " cut from the arm is not certain: "
                                + (unsure.size() == 1 ? "it lies" : "they lie") + " over '" + home
                                + "' now; set the two points of the wrist by hand.")
                        .strip();
    }
}
