package app.leeward.core.turn;

import app.leeward.core.art.Box;
import app.leeward.core.art.Point;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Evaluator;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.ViewSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a view is registered by, on the canvas: where its neck ends below, and how high its eyes, its mouth and its chin are.
 *
 * @param neck the neck's lower end, or where the view hangs when it has no neck of its own
 */
record ViewMarks(Point neck, Optional<Double> eyes, Optional<Double> mouth, Optional<Double> chin) {
    /** Of the view a character with views shows in a pose. */
    static ViewMarks of(Character c, Evaluator evaluator, Pose pose) {
        ViewSet set = c.views().orElseThrow();
        String root = set.at(evaluator.setting(set.dial(), pose)).view();
        Map<String, String> views = set.membership(c.parts());
        Frame frame = evaluator.frame(pose);
        List<Part> pieces =
                c.parts().stream().filter(p -> root.equals(views.get(p.id()))).toList();
        Optional<Box> neck = box(frame, pieces, PartRole.NECK);
        Point hangs = evaluator.joints(pose).stream()
                .filter(j -> j.part().equals(root))
                .findFirst()
                .orElseThrow()
                .at();
        return new ViewMarks(
                neck.map(b -> new Point(b.centre().x(), b.maxY())).orElse(hangs),
                box(frame, pieces, PartRole.WHITE)
                        .or(() -> box(frame, pieces, PartRole.PUPIL))
                        .map(b -> b.centre().y()),
                box(frame, pieces, PartRole.MOUTH).map(b -> b.centre().y()),
                box(frame, pieces, PartRole.FACE).map(Box::maxY));
    }

    private static Optional<Box> box(Frame frame, List<Part> pieces, PartRole role) {
        return pieces.stream()
                .filter(p -> p.role() == role)
                .flatMap(p -> frame.of(p.id()).stream()
                        .flatMap(at ->
                                p
                                        .drawing(at.drawing())
                                        .flatMap(d ->
                                                d.art().transform(at.matrix()).bounds())
                                        .stream()))
                .reduce(Box::union);
    }
}
