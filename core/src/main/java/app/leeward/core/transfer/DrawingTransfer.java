package app.leeward.core.transfer;

import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.rig.Ids;
import app.leeward.core.rig.Part;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Drawings put beside those a part has, none in the place of another. */
final class DrawingTransfer {
    private DrawingTransfer() {}

    /**
     * @param ids filled with the id each drawing has from then on, by the one it had
     * @param place from where they were drawn to where they lie here
     */
    static Part beside(
            Part to, List<Drawing> drawings, Matrix place, Map<String, String> colours, Map<String, String> ids) {
        List<Drawing> all = new ArrayList<>(to.drawings());
        Set<String> taken = new HashSet<>(Set.of(Part.NOTHING));
        to.drawings().forEach(d -> taken.add(d.id()));
        for (Drawing d : drawings) {
            String id = Ids.unused(d.id(), taken);
            taken.add(id);
            ids.put(d.id(), id);
            Drawing there = d.transform(place).with(b -> b.id(id).over(Optional.empty()));
            all.add(there.withArt(Colouring.in(there.art(), colours)));
        }
        return to.withDrawings(all, to.shown());
    }
}
