package app.leeward.core.eye;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Stroke;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Ids;
import app.leeward.core.rig.Mirror;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Placement;
import app.leeward.core.rig.Side;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.locationtech.jts.geom.Envelope;

/**
 * Makes whole eyes of less: the white from an outline, both lids from the white, the other eye from the one there is. What
 * was drawn is kept as it is.
 */
public final class EyeBuilder {
    private static final String WHITE = "#ffffff";
    private static final String SKIN = "#e8c4a0";
    /** How far a made lid's edge hangs through in its middle, as a share of the white's height. */
    private static final double SAG = 0.1;

    private EyeBuilder() {}

    /** The ids of the pieces that were made, in the order they were made. */
    public record Built(Character character, List<String> made) {}

    /** Unchanged, with nothing made, when every eye is whole. */
    public static Built build(Character c) {
        List<String> made = new ArrayList<>();
        Character now = c;
        for (EyePieces eye : EyePieces.of(c)) {
            now = whole(now, eye.eye().id(), made);
        }
        List<EyePieces> eyes = EyePieces.of(now);
        if (eyes.size() == 1 && eyes.get(0).eye().side() != Side.NONE) {
            Set<String> before =
                    new HashSet<>(now.rig().parts().stream().map(Part::id).toList());
            now = Mirror.makeOtherSide(now, eyes.get(0).eye().id());
            now.rig().parts().stream()
                    .map(Part::id)
                    .filter(id -> !before.contains(id))
                    .forEach(made::add);
        }
        return new Built(now, made);
    }

    private static EyePieces pieces(Character c, String eye) {
        return EyePieces.of(c).stream()
                .filter(e -> e.eye().id().equals(eye))
                .findFirst()
                .orElseThrow();
    }

    private static Character whole(Character c, String eye, List<String> made) {
        Character now = c;
        EyePieces pieces = pieces(now, eye);
        Optional<Part> outline = drawn(pieces, PartRole.EYE_OUTLINE);
        if (drawn(pieces, PartRole.WHITE).isEmpty() && outline.isPresent()) {
            List<Shape> fills = shown(outline.get()).shapes().stream()
                    .filter(s -> s.path().bounds().isPresent())
                    .map(s -> s.fill() instanceof Paint.None
                            ? bare(s.path(), WHITE)
                            : new Shape("", ShapeRole.OTHER, s.path(), s.fill(), s.rule(), Stroke.NONE, 1, false))
                    .toList();
            now = add(now, pieces, PartRole.WHITE, new Artwork(fills), lowest(now, pieces), made);
            now = hollow(now, outline.get().id());
        }
        pieces = pieces(now, eye);
        Optional<Part> white = drawn(pieces, PartRole.WHITE);
        if (white.isEmpty()) {
            return now;
        }
        if (pieces.shutsItself()) {
            return outline.isPresent() ? over(now, outline.get().id(), eye) : now;
        }
        Evaluator rest = new Evaluator(now);
        Matrix toEye = rest.atRest(Optional.of(eye))
                .inverse()
                .times(rest.atRest(Optional.of(white.get().id())));
        Envelope box = Regions.transformed(LidCover.fill(white.get()), toEye).getEnvelopeInternal();
        Stroke line = line(pieces);
        String skin = skin(now);
        if (drawn(pieces, PartRole.LOWER_LID).isEmpty() && !pieces.drawnLids()) {
            now = add(now, pieces, PartRole.LOWER_LID, lid(box, false, skin, line), highest(now, pieces), made);
        }
        pieces = pieces(now, eye);
        Optional<Part> upper = drawn(pieces, PartRole.UPPER_LID);
        if (upper.isPresent() && BlinkMaker.squashes(now, pieces)) {
            // a crease or a shade, too small for a lid: it stays where it was drawn, and a lid comes over it
            now = now.withPart(upper.get().id(), p -> p.withRole(PartRole.OTHER));
            upper = Optional.empty();
        }
        if (upper.isEmpty()) {
            pieces = pieces(now, eye);
            // nothing would be seen of an eye that shuts without a line
            Stroke edge = line.visible() ? line : ShutLine.stroke(pieces, box.getWidth());
            now = add(now, pieces, PartRole.UPPER_LID, lid(box, true, skin, edge), highest(now, pieces), made);
        }
        return outline.isPresent() ? over(now, outline.get().id(), eye) : now;
    }

    /** The outline's line stays, its fill has become the white. */
    private static Character hollow(Character c, String outline) {
        return c.withPart(
                outline,
                p -> p.withDrawings(
                        p.drawings().stream()
                                .map(d -> d.withArt(new Artwork(d.art().shapes().stream()
                                        .map(s -> s.stroke().visible() ? s.withFill(Paint.NONE) : s)
                                        .toList())))
                                .toList(),
                        p.shown()));
    }

    /** A line without fill goes over the lids, where nothing covers it; what is filled stays where it was drawn. */
    private static Character over(Character c, String outline, String eye) {
        boolean line =
                shown(c.part(outline).orElseThrow()).shapes().stream().allMatch(s -> s.fill() instanceof Paint.None);
        int top = highest(c, pieces(c, eye));
        if (!line || c.rig().order().indexOf(outline) >= top) {
            return c;
        }
        List<String> order = new ArrayList<>(c.rig().order());
        order.add(top, outline);
        order.remove(outline);
        return c.withRig(rig -> rig.withOrder(order));
    }

    /** A curtain just out of sight of the white, its edge hanging through a little, with a line along it. */
    private static Artwork lid(Envelope white, boolean upper, String skin, Stroke line) {
        double sag = SAG * white.getHeight();
        double spare = LidMender.SPARE;
        double reach = white.getHeight() + 2 * spare + 2 * sag;
        double y = upper ? white.getMinY() - line.width() : white.getMaxY() + line.width();
        double left = white.getMinX() - spare - line.width();
        double right = white.getMaxX() + spare + line.width();
        double third = (right - left) / 3;
        // the edge hangs below its ends, towards the place where the lids meet
        double ends = upper ? y - sag : y;
        double middle = upper ? y : y + sag;
        double handle = ends + (middle - ends) * 4 / 3;
        List<Segment> edge = List.of(
                new Segment.Move(new Point(left, ends)),
                new Segment.Cubic(
                        new Point(left + third, handle), new Point(right - third, handle), new Point(right, ends)));
        Path curtain = LidShape.hung(edge, upper ? ends - reach : ends + reach + sag);
        List<Shape> shapes = new ArrayList<>();
        shapes.add(bare(curtain, skin));
        if (line.visible()) {
            shapes.add(
                    new Shape("edge", ShapeRole.OTHER, new Path(edge), Paint.NONE, FillRule.NONZERO, line, 1, false));
        }
        return new Artwork(shapes);
    }

    private static Shape bare(Path path, String colour) {
        return new Shape("", ShapeRole.OTHER, path, Paint.flat(colour), FillRule.NONZERO, Stroke.NONE, 1, false);
    }

    private static Artwork shown(Part p) {
        return p.drawing(p.shown()).orElse(p.drawings().get(0)).art();
    }

    private static Optional<Part> drawn(EyePieces eye, PartRole role) {
        return eye.piece(role).filter(p -> !p.drawings().isEmpty());
    }

    /** The line of the eye's outline, or of its white. */
    private static Stroke line(EyePieces eye) {
        return drawn(eye, PartRole.EYE_OUTLINE).or(() -> drawn(eye, PartRole.WHITE)).stream()
                .flatMap(p -> shown(p).inShapes().shapes().stream())
                .map(Shape::stroke)
                .filter(Stroke::visible)
                .findFirst()
                .orElse(Stroke.NONE);
    }

    private static String skin(Character c) {
        return c.part(PartRole.FACE)
                .or(() -> c.part(PartRole.HEAD))
                .filter(p -> !p.drawings().isEmpty())
                .flatMap(p -> shown(p).shapes().stream()
                        .flatMap(s -> s.fill().mainColour().stream())
                        .findFirst())
                .orElse(SKIN);
    }

    /** Right under every piece of the eye. */
    private static int lowest(Character c, EyePieces eye) {
        return eye.pieces().stream()
                .mapToInt(p -> c.rig().order().indexOf(p.id()))
                .min()
                .orElse(0);
    }

    /** Over what the lids cover, under the outline. */
    private static int highest(Character c, EyePieces eye) {
        return eye.pieces().stream()
                .filter(p -> p.role() != PartRole.EYE_OUTLINE && p.role() != PartRole.LASHES)
                .mapToInt(p -> c.rig().order().indexOf(p.id()) + 1)
                .max()
                .orElse(0);
    }

    private static Character add(Character c, EyePieces eye, PartRole role, Artwork art, int at, List<String> made) {
        Set<String> taken = new HashSet<>(c.rig().parts().stream().map(Part::id).toList());
        String name = eye.eye().side().prefix() + role.words();
        String id = Ids.unused(name, taken);
        Drawing drawing = new Drawing("made", "made", art);
        made.add(id);
        return c.withNewPart(
                new Part(
                        id,
                        name,
                        role,
                        eye.eye().side(),
                        Optional.of(eye.eye().id()),
                        new Point(0, 0),
                        Placement.REST,
                        List.of(drawing),
                        drawing.id()),
                at);
    }
}
