package app.leeward.core.turn;

import app.leeward.core.art.Box;
import app.leeward.core.art.Point;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.ViewSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a view is registered by, on the canvas: where its neck ends below, and how high its eyes, its mouth, its chin and the top
 * of its head are; caps are no part of the head.
 *
 * @param neck the neck's lower end, or where the view hangs when it has no neck of its own
 * @param cap the top of what it wears
 */
record ViewMarks(
        Point neck,
        Optional<Double> eyes,
        Optional<Double> mouth,
        Optional<Double> chin,
        Optional<Double> top,
        Optional<Double> cap) {
    /** What the top of a head is made of, as its model line is read off. */
    private static final List<PartRole> TOP = List.of(PartRole.FACE, PartRole.FRINGE, PartRole.BACK_HAIR);

    /** How much of a neck is its end, as a share of its height. */
    private static final double END = 0.02;

    /** Of the view a character with views shows in a pose. */
    static ViewMarks of(Character c, Evaluator evaluator, Pose pose) {
        ViewSet set = c.controls().views().orElseThrow();
        String root = set.at(evaluator.setting(set.dial(), pose)).view();
        Map<String, String> views = set.membership(c.rig().parts());
        Frame frame = evaluator.frame(pose);
        List<Part> pieces = c.rig().parts().stream()
                .filter(p -> root.equals(views.get(p.id())))
                .toList();
        Optional<Point> neck = neck(frame, pieces);
        Point hangs = evaluator.joints(pose).stream()
                .filter(j -> j.part().equals(root))
                .findFirst()
                .orElseThrow()
                .at();
        return new ViewMarks(
                neck.orElse(hangs),
                box(frame, pieces, PartRole.WHITE)
                        .or(() -> box(frame, pieces, PartRole.PUPIL))
                        .map(b -> b.centre().y()),
                box(frame, pieces, PartRole.MOUTH).map(b -> b.centre().y()),
                box(frame, pieces, PartRole.FACE).map(Box::maxY),
                TOP.stream()
                        .flatMap(role -> box(frame, pieces, role).stream())
                        .map(Box::minY)
                        .reduce(Math::min),
                box(frame, pieces, PartRole.CAP).map(Box::minY));
    }

    /** The middle of a neck's lower end: necks lean, so their boxes' middles say nothing. */
    private static Optional<Point> neck(Frame frame, List<Part> pieces) {
        List<Point> outline = pieces.stream()
                .filter(p -> p.role() == PartRole.NECK)
                .flatMap(p -> frame.of(p.id()).stream().flatMap(at -> p.drawing(at.drawing()).stream()
                        .flatMap(d -> d.art().transform(at.matrix()).shapes().stream())))
                .flatMap(s -> s.path().points().stream())
                .toList();
        double top = outline.stream().mapToDouble(Point::y).min().orElse(0);
        double bottom = outline.stream().mapToDouble(Point::y).max().orElse(0);
        double from = bottom - END * (bottom - top);
        List<Point> end = outline.stream().filter(p -> p.y() >= from).toList();
        return end.isEmpty()
                ? Optional.empty()
                : Optional.of(new Point(
                        (end.stream().mapToDouble(Point::x).min().orElseThrow()
                                        + end.stream()
                                                .mapToDouble(Point::x)
                                                .max()
                                                .orElseThrow())
                                / 2,
                        bottom));
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
