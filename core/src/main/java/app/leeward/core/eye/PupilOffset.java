package app.leeward.core.eye;

import app.leeward.core.art.Matrix;
import app.leeward.core.art.Point;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** One pupil that rests elsewhere than the other. */
public final class PupilOffset {
    private PupilOffset() {}

    /**
     * The character with pupil, iris and highlight of one eye moved on the canvas, and no longer linked to another side.
     * Empty when the eye is not there or has none of them.
     */
    public static Optional<Character> of(Character c, String eye, double dx, double dy) {
        List<Part> round = EyePieces.of(c).stream()
                .filter(e -> e.eye().id().equals(eye))
                .flatMap(e -> e.pieces().stream())
                .filter(p -> p.role() == PartRole.PUPIL || p.role() == PartRole.IRIS || p.role() == PartRole.HIGHLIGHT)
                .toList();
        if (round.isEmpty()) {
            return Optional.empty();
        }
        Evaluator standing = new Evaluator(c);
        Set<String> ids = round.stream().map(Part::id).collect(Collectors.toSet());
        Character now = c.withRig(rig -> rig.withLinks(c.rig().links().stream()
                .filter(l -> !ids.contains(l.left()) && !ids.contains(l.right()))
                .toList()));
        for (Part p : round) {
            Matrix in = standing.atRest(p.parent()).inverse();
            Point by = in.apply(new Point(dx, dy)).minus(in.apply(new Point(0, 0)));
            now = now.withPart(p.id(), q -> q.withRest(q.rest().movedBy(by.x(), by.y())));
        }
        return Optional.of(now);
    }
}
