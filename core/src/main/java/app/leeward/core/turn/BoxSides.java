package app.leeward.core.turn;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Stroke;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Ids;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Placement;
import app.leeward.core.rig.Side;
import app.leeward.core.rig.Solid;
import app.leeward.core.rig.SolidKind;
import app.leeward.core.solid.HeadSolids;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Gives a head that is a box the sides nobody drew: each unfolded beside the face, in its colours a little darker, shown only while
 * the head is turned away from it. They are parts like any other, to be drawn on.
 */
public final class BoxSides {
    /** How much of its light a side keeps; by eye. */
    private static final double SHADE = 0.84;

    private BoxSides() {}

    /** Empty for a head that is no box, has no turn of its own, or has its sides. */
    public static Optional<Character> of(Character c) {
        Optional<Part> head = c.part(PartRole.HEAD);
        boolean turns = c.controls().turn().isPresent() && c.controls().views().isEmpty();
        if (head.isEmpty() || !turns || has(c)) {
            return Optional.empty();
        }
        Optional<HeadSolids> solids =
                HeadSolids.of(c, c.controls().turn().get().shape()).filter(HeadSolids::box);
        return solids.map(s -> {
            Character now = c;
            int over = c.rig().order().indexOf(s.skin()) + 1;
            Optional<Part> line = c.part(PartRole.FACE_LINE);
            if (line.isPresent()) {
                over = Math.max(over, c.rig().order().indexOf(line.get().id()) + 1);
            }
            for (Side side : new Side[] {Side.RIGHT, Side.LEFT}) {
                now = now.withNewPart(side(now, head.get(), s, side), over);
            }
            return TurnMaker.addTo(now);
        });
    }

    private static boolean has(Character c) {
        return c.rig().parts().stream()
                .anyMatch(p -> p.solid().flatMap(Solid::kind).equals(Optional.of(SolidKind.SIDE)));
    }

    private static Part side(Character c, Part head, HeadSolids solids, Side side) {
        Set<String> taken = new HashSet<>(c.rig().order());
        String name = side.prefix() + "side of the head";
        Matrix back = solids.rest(head.id()).inverse();
        // the character's left is on the right of the screen
        Path outline = solids.unfolded(side == Side.LEFT).transform(back);
        Shape face = solids.face();
        Stroke line = c.part(PartRole.FACE_LINE)
                .flatMap(p -> p.drawing(p.shown()))
                .flatMap(d -> d.art().shapes().stream().findFirst())
                .map(Shape::stroke)
                .orElse(face.stroke());
        Shape shape = new Shape("", ShapeRole.OTHER, outline, shaded(face.fill()), FillRule.NONZERO, line, 1, false);
        Drawing drawing = new Drawing("side", "side", new Artwork(List.of(shape)));
        return new Part(
                        Ids.unused(name, taken),
                        name,
                        PartRole.OTHER,
                        side,
                        Optional.of(head.id()),
                        head.pivot(),
                        Placement.REST,
                        List.of(drawing),
                        Part.NOTHING)
                .withSolid(Optional.of(Solid.of(SolidKind.SIDE, 0)));
    }

    private static Paint shaded(Paint fill) {
        String colour = fill.colours().findFirst().orElse("#888888");
        StringBuilder out = new StringBuilder("#");
        for (int i = 1; i < 7; i += 2) {
            int channel = (int) Math.round(SHADE * Integer.parseInt(colour.substring(i, i + 2), 16));
            out.append(String.format(java.util.Locale.ROOT, "%02x", channel));
        }
        return Paint.flat(out.toString());
    }
}
