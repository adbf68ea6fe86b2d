package app.leeward.core.turn;

import app.leeward.core.art.Box;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Offset;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Where the pieces of a head are, and how one is taken elsewhere. */
final class HeadParts {
    private HeadParts() {}

    /** Middle of what the part, or what follows it, shows at rest; of an eye, of its white. */
    static Optional<Point> centreOf(Character c, Part part) {
        return boundsOf(c, part).map(Box::centre);
    }

    private static Optional<Box> boundsOf(Character c, Part part) {
        if (part.role() == PartRole.EYE) {
            Optional<Box> white = c.rig().childrenOf(part.id()).stream()
                    .filter(p -> p.role() == PartRole.WHITE)
                    .flatMap(p -> p.bounds().stream())
                    .findFirst();
            if (white.isPresent()) {
                return white;
            }
        }
        List<Box> boxes = new ArrayList<>();
        part.bounds().ifPresent(boxes::add);
        c.rig().childrenOf(part.id()).stream()
                // what shows nothing at rest has no say in where its leader is
                .filter(p -> p.drawings().isEmpty() || !p.shown().equals(Part.NOTHING))
                .forEach(p -> boundsOf(c, p).ifPresent(boxes::add));
        return boxes.stream().reduce(Box::union);
    }

    /** The offset that takes a part's centre to {@code to} and narrows it, whatever its pivot. */
    static Offset about(Part part, Point centre, Point to, double narrow) {
        return about(part, centre, to, narrow, 1);
    }

    static Offset about(Part part, Point centre, Point to, double narrow, double flat) {
        double x =
                to.x() - part.pivot().x() - narrow * (centre.x() - part.pivot().x());
        double y = to.y() - part.pivot().y() - flat * (centre.y() - part.pivot().y());
        return Offset.placed(x, y, 0, narrow, flat, 0, 1);
    }
}
