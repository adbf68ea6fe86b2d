package app.leeward.core.intake;

import app.leeward.core.art.Box;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Canvas;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.ModelLine;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import java.util.Optional;

/**
 * How a character would be fitted to the canvas, stood on the ground line and centred on the canvas's axis in one step.
 *
 * @param scale factor for everything
 * @param dx then moved this far to the right, user units
 * @param dy then moved this far down, user units
 * @param canvas the picture's size; a common one when the art's own is far too large
 * @param needed whether the step would change anything worth a click
 */
public record CanvasFit(double scale, double dx, double dy, Canvas canvas, boolean needed) {
    /** A canvas larger than this either way is taken for the designer's sheet, not for a picture. */
    private static final double LARGEST_CANVAS = 4096;

    private static final Canvas COMMON = new Canvas(1920, 1080);
    /** Share of the canvas's height that the character may take, and of its width. */
    private static final double TALL = 0.92;

    private static final double WIDE = 0.94;
    /** How far a character may reach over the edges of a canvas, as a share of it, before that counts as a mistake. */
    private static final double SLACK = 0.08;

    /** Empty when nothing is drawn. */
    public static Optional<CanvasFit> of(Character c, Optional<Axis> axis) {
        Optional<Box> drawn = drawn(c);
        if (drawn.isEmpty() || drawn.get().height() <= 0) {
            return Optional.empty();
        }
        Box b = drawn.get();
        Canvas canvas = c.sheet().canvas().width() > LARGEST_CANVAS
                        || c.sheet().canvas().height() > LARGEST_CANVAS
                ? COMMON
                : c.sheet().canvas();
        double middle = axis.map(Axis::x).orElse(b.centre().x());
        double half = Math.max(b.maxX() - middle, middle - b.minX());
        double wideSlack = SLACK * canvas.width();
        double tallSlack = SLACK * canvas.height();
        boolean inside = b.minX() >= -wideSlack
                && b.minY() >= -tallSlack
                && b.maxX() <= canvas.width() + wideSlack
                && b.maxY() <= canvas.height() + tallSlack
                && canvas.equals(c.sheet().canvas())
                && b.height() >= 0.4 * canvas.height();
        double scale = inside
                ? 1
                : Math.min(TALL * canvas.height() / b.height(), WIDE * canvas.width() / (2 * Math.max(half, 1e-6)));
        double dx = canvas.width() / 2 - scale * middle;
        double dy = ground(c, canvas) - scale * b.maxY();
        // a bust is cut by the lower edge on purpose
        boolean needed = !inside || Math.abs(dx) > 0.05 || Math.abs(dy) > tallSlack;
        return Optional.of(new CanvasFit(scale, dx, dy, canvas, needed));
    }

    /** Where the figure stands on a canvas: on the ground line where that lies on it, else on the canvas's edge. */
    public static double ground(Character c, Canvas canvas) {
        return canvas.equals(c.sheet().canvas())
                ? c.sheet()
                        .model()
                        .line(ModelLine.GROUND)
                        .filter(y -> y > 0 && y <= canvas.height())
                        .orElse(canvas.height())
                : canvas.height();
    }

    /** Bounds of the rest picture; what an unrecognised part far outside adds is left out. */
    private static Optional<Box> drawn(Character c) {
        Frame frame = new Evaluator(c).frame(Pose.REST);
        Optional<Box> known = boxes(c, frame, true);
        return known.isPresent() ? known : boxes(c, frame, false);
    }

    private static Optional<Box> boxes(Character c, Frame frame, boolean onlyKnown) {
        return frame.placed().stream()
                .filter(p -> {
                    Part part = c.part(p.part()).orElseThrow();
                    return !onlyKnown || part.role() != PartRole.OTHER;
                })
                .flatMap(p -> c
                        .part(p.part())
                        .orElseThrow()
                        .drawing(p.drawing())
                        .orElseThrow()
                        .art()
                        .transform(p.matrix())
                        .bounds()
                        .stream())
                .reduce(Box::union);
    }
}
