package app.leeward.core.eye;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Stroke;
import app.leeward.core.dial.Band;
import app.leeward.core.dial.Bands;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Ids;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Placement;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The line of a shut eye of which nothing would be left to see: a piece that shows at the end of the blink only.
 *
 * @param character with the line
 * @param bands what the blink exchanges for it
 */
record ShutLine(Character character, Bands bands) {
    private static final String DRAWING = "shut-line";
    /** From where on it shows. */
    private static final double FROM = 0.85;

    private static final int STEPS = 8;
    /** Width of the line as a share of the eye's. */
    private static final double WIDTH = 0.05;

    static boolean made(Part p) {
        return p.role() == PartRole.LASHES
                && p.drawings().size() == 1
                && p.drawings().get(0).id().equals(DRAWING);
    }

    /** Without the lines an earlier blink made and this one has no use for. */
    static Character without(Character c, List<Bands> used) {
        Character now = c;
        for (Part p : c.rig().parts()) {
            if (made(p) && used.stream().noneMatch(b -> b.part().equals(p.id()))) {
                now = now.withoutPart(p.id());
            }
        }
        return now;
    }

    /** Whether a piece leaves a line behind when both contours are one: a stroke, or a fill that reaches beyond the white. */
    static boolean drawnBy(Part piece, Part white) {
        boolean stroke = piece.drawings().stream()
                .flatMap(d -> d.art().shapes().stream())
                .anyMatch(s -> s.stroke().visible());
        if (stroke || piece.id().equals(white.id())) {
            return stroke;
        }
        Optional<Box> all = piece.bounds();
        Optional<Box> eye = white.bounds();
        return piece.role() == PartRole.EYE_OUTLINE
                && all.isPresent()
                && eye.isPresent()
                && all.get().width() > eye.get().width();
    }

    /** One that is there already stays as it is. */
    static ShutLine of(Character c, EyePieces eye, EyeOpening opening) {
        Optional<Part> there = eye.pieces().stream().filter(ShutLine::made).findFirst();
        return there.map(p -> new ShutLine(c, bands(p))).orElseGet(() -> drawn(c, eye, opening));
    }

    private static Bands bands(Part line) {
        return new Bands(line.id(), List.of(new Band(FROM, 1, DRAWING)));
    }

    private static ShutLine drawn(Character c, EyePieces eye, EyeOpening opening) {
        List<Point> at = opening.line(LidCover.MEETING, STEPS);
        Shape drawn = new Shape(
                "line",
                ShapeRole.OTHER,
                Path.through(at),
                Paint.NONE,
                FillRule.NONZERO,
                stroke(eye, at.get(STEPS).x() - at.get(0).x()),
                1,
                false);
        Set<String> taken = c.rig().parts().stream().map(Part::id).collect(Collectors.toSet());
        String name = eye.eye().side().prefix() + "shut line";
        Part part = new Part(
                Ids.unused(name, taken),
                name,
                PartRole.LASHES,
                eye.eye().side(),
                Optional.of(eye.eye().id()),
                at.get(STEPS / 2),
                Placement.REST,
                List.of(new Drawing(DRAWING, "shut line", new Artwork(List.of(drawn)))),
                Part.NOTHING);
        int top = eye.pieces().stream()
                .mapToInt(p -> c.rig().order().indexOf(p.id()) + 1)
                .max()
                .orElse(0);
        return new ShutLine(c.withNewPart(part, top), bands(part));
    }

    /** The line of an eye that was drawn without one. */
    static Stroke stroke(EyePieces eye, double eyeWidth) {
        return new Stroke(Paint.flat(colour(eye)), WIDTH * eyeWidth, Stroke.Cap.ROUND, Stroke.Join.ROUND, 4);
    }

    /** The darkest colour of the eye: that of the pupil, mostly. */
    private static String colour(EyePieces eye) {
        return eye.pieces().stream()
                .flatMap(p -> p.drawings().stream())
                .flatMap(d -> d.art().inShapes().shapes().stream())
                .flatMap(s -> List.of(s.fill(), s.stroke().paint()).stream())
                .flatMap(p -> p.mainColour().stream())
                .min(Comparator.comparingInt(h -> Integer.parseInt(h.substring(1, 3), 16)
                        + 2 * Integer.parseInt(h.substring(3, 5), 16)
                        + Integer.parseInt(h.substring(5, 7), 16)))
                .orElse("#2a2126");
    }
}
