package app.leeward.core.eval;

import app.leeward.core.art.Box;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;

/** Where a character's head is: what a picture of somebody shows. */
public final class HeadBox {
    private HeadBox() {}

    /**
     * The head in a pose, canvas units: what hangs on the part of the role {@link PartRole#HEAD}, or on the views that stand for it,
     * and is shown. What others mask may be parked far outside them, as lids are, and does not count. Pieces of no known role count
     * only when nothing else is there, since props and signs may hang on a head too.
     *
     * @return empty when nothing of a head is shown
     */
    public static Optional<Box> of(Character c, Evaluator evaluator, Pose pose) {
        Frame frame = evaluator.frame(pose);
        Set<String> head = new HashSet<>();
        c.rig().parts().stream()
                .filter(p -> p.role() == PartRole.HEAD || p.role() == PartRole.VIEW)
                .forEach(p -> head.add(p.id()));
        // a child is told after its parent or before it, so it is looked for until nothing is added
        for (int before = -1; before != head.size(); ) {
            before = head.size();
            c.rig().parts().stream()
                    .filter(p -> p.parent().filter(head::contains).isPresent())
                    .forEach(p -> head.add(p.id()));
        }
        return union(c, frame, head, false).or(() -> union(c, frame, head, true));
    }

    private static Optional<Box> union(Character c, Frame frame, Set<String> of, boolean unknown) {
        return frame.placed().stream()
                .filter(p -> of.contains(p.part()) && p.windows().isEmpty())
                .filter(p -> unknown || c.part(p.part()).map(Part::role).orElse(PartRole.OTHER) != PartRole.OTHER)
                .flatMap(p -> c
                        .part(p.part())
                        .flatMap(part -> part.drawing(p.drawing()))
                        .flatMap(d -> p.shown(d.art()).transform(p.matrix()).bounds())
                        .stream())
                .reduce(Box::union);
    }
}
