package app.leeward.core.lips;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Lab;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Stroke;
import app.leeward.core.refusal.RefusalCode;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Puts single mouths back on model. */
public final class MouthMender {
    private MouthMender() {}

    /**
     * The mouth without its findings of one kind.
     *
     * @throws MouthProblem when that cannot be mended
     */
    public static Artwork mended(Artwork mouth, Artwork start, MouthFinding.Kind kind) {
        return switch (kind) {
            case TEETH_MOVED, TEETH_SIZE -> teethBack(mouth, start);
            case LOWER_TEETH_OFF -> lowerTeethBack(mouth, start);
            case WINDOW_OFF -> snapped(mouth);
            case LINE_WEIGHT -> weighed(mouth, start);
            case COLOUR -> coloured(mouth, start);
            case POINTS -> matched(mouth, start);
            case OUTLINE_LENGTH ->
                throw new MouthProblem(
                        RefusalCode.BY_HAND,
                        "How long the lips are is a matter of the drawing; rebuild this mouth or shape it.");
        };
    }

    private static Artwork each(Artwork art, UnaryOperator<Shape> change) {
        return new Artwork(art.shapes().stream().map(change).toList());
    }

    private static Shape line(Artwork art) {
        return OnModel.line(art)
                .orElseThrow(() -> new MouthProblem(
                        RefusalCode.MOUTH_NO_OUTLINE, "There is no line round one of the two mouths to go by."));
    }

    private static Artwork teethBack(Artwork mouth, Artwork start) {
        Optional<Shape> model = shape(start, ShapeRole.UPPER_TEETH);
        return each(
                mouth,
                s -> model.isPresent() && s.role() == ShapeRole.UPPER_TEETH && s.masked()
                        ? s.withPath(model.get().path())
                        : s);
    }

    private static Artwork lowerTeethBack(Artwork mouth, Artwork start) {
        MouthStart s = MouthStart.of(start, MouthColours.USUAL);
        Shape line = line(mouth);
        double jaw = Math.max(0, Lips.of(line.path()).lower().middlePoint().y() - s.lipLine());
        return each(
                mouth,
                x -> x.role() == ShapeRole.LOWER_TEETH
                        ? x.withPath(s.lowerTeeth().path().transform(Matrix.translate(0, jaw)))
                        : x);
    }

    private static Artwork snapped(Artwork mouth) {
        Path edge = line(mouth).path();
        return each(mouth, s -> s.role() == ShapeRole.WINDOW ? s.withPath(edge) : s);
    }

    private static Artwork weighed(Artwork mouth, Artwork start) {
        double width = line(start).stroke().width();
        return each(mouth, s -> s.role() == ShapeRole.OUTLINE && s == line(mouth) ? wide(s, width) : s);
    }

    private static Shape wide(Shape s, double width) {
        Stroke l = s.stroke();
        Stroke line = new Stroke(l.paint(), width, l.cap(), l.join(), l.miterLimit(), l.dashes(), l.dashOffset());
        return new Shape(s.name(), s.role(), s.path(), s.fill(), s.rule(), line, s.opacity(), s.masked(), s.clips());
    }

    /** Each strange colour becomes the nearest one to the eye of the starting mouth's. */
    private static Artwork coloured(Artwork mouth, Artwork start) {
        Map<String, String> into = new HashMap<>();
        List<String> known = start.colours();
        for (String colour : mouth.colours()) {
            if (!known.contains(colour)) {
                known.stream()
                        .min(java.util.Comparator.comparingDouble(k -> Lab.of(k).difference(Lab.of(colour))))
                        .ifPresent(k -> into.put(colour, k));
            }
        }
        return each(mouth, s -> s.recoloured(into));
    }

    /** Cut where the longest curves are until both lips have as many as the starting mouth's; the outline stays. */
    private static Artwork matched(Artwork mouth, Artwork start) {
        Shape line = line(mouth);
        Lips model = Lips.of(line(start).path());
        Lips lips = Lips.of(line.path());
        Lips cut = new Lips(
                cut(lips.upper(), model.upper().curves()),
                cut(lips.lower(), model.lower().curves()));
        Path edge = cut.path();
        boolean same = shape(mouth, ShapeRole.WINDOW)
                .filter(w -> w.path().equals(line.path()))
                .isPresent();
        return each(mouth, s -> s == line || same && s.role() == ShapeRole.WINDOW ? s.withPath(edge) : s);
    }

    private static Arc cut(Arc arc, int curves) {
        if (arc.curves() > curves) {
            throw new MouthProblem(
                    RefusalCode.TOO_MANY_POINTS,
                    "This mouth has more points than the starting mouth; take points out of it in the shape editor.");
        }
        Arc out = arc;
        while (out.curves() < curves) {
            int longest = 0;
            double most = -1;
            for (int i = 0; i < out.curves(); i++) {
                double length = new Arc(out.points().subList(3 * i, 3 * i + 4)).length();
                if (length > most) {
                    most = length;
                    longest = i;
                }
            }
            out = out.cut(longest, 0.5);
        }
        return out;
    }

    private static Optional<Shape> shape(Artwork art, ShapeRole role) {
        return art.shapes().stream().filter(s -> s.role() == role).findFirst();
    }
}
