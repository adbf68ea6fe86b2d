package app.leeward.core.intake;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Lab;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.rig.Note;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Takes a muzzle that was drawn in one layer with the nose and the mouth on it to pieces: the mouth is exchanged, the nose and the
 * muzzle are not. Only where the pieces lie in the stack as they would apart. Shares and colours are rules of thumb, no source.
 */
final class MuzzleParting {
    /** How far beyond the patch what lies on it may reach, as a share of the patch's size. */
    private static final double OVER = 0.08;
    /** Below which lightness a patch on a muzzle is its nose, and by how much it is darker than the muzzle. */
    private static final double DARK = 45;

    private static final double DARKER = 15;
    /** How wide the nose is at most, as a share of the patch, and above which share of its height its middle lies. */
    private static final double NOSE_WIDTH = 0.75;

    private static final double NOSE_HEIGHT = 0.6;
    /** How wide the lines of a mouth are at least together, as a share of the patch. */
    private static final double MOUTH_WIDTH = 0.15;

    private MuzzleParting() {}

    /** @param nameless whether no name says what a layer is, so that any may be a muzzle */
    static void part(List<LayerReading.Found> found, boolean nameless, List<Note> notes) {
        for (LayerReading.Found f : List.copyOf(found)) {
            boolean may = f.role == PartRole.MUZZLE
                    || f.role == PartRole.MOUTH
                    || nameless && f.role == PartRole.OTHER && f.side == Side.NONE;
            if (may && f.parts(found)) {
                List<LayerReading.Found> parts = pieces(f, found);
                if (!parts.isEmpty()) {
                    int at = found.indexOf(f);
                    found.remove(at);
                    found.addAll(at, parts);
                    notes.add(new Note(
                            "muzzle-parted",
                            f.name,
                            "'" + f.name + "' was drawn in one layer; it was taken to pieces: "
                                    + String.join(
                                            ", ",
                                            parts.stream()
                                                    .map(p -> p.role.words())
                                                    .toList())
                                    + "."));
                }
            }
        }
    }

    /** Back to front; empty where it cannot be told, or a piece of it is there already. */
    private static List<LayerReading.Found> pieces(LayerReading.Found f, List<LayerReading.Found> found) {
        List<Shape> shapes = f.drawings.get(0).art().shapes();
        Shape patch = shapes.get(0);
        Optional<Box> box = patch.path().bounds();
        Optional<Lab> colour = Sighted.colour(patch);
        if (shapes.size() < 2 || box.isEmpty() || colour.isEmpty() || patch.fill() instanceof Paint.None) {
            return List.of();
        }
        List<LayerReading.Found> out = new ArrayList<>();
        out.add(one(f, PartRole.MUZZLE, List.of(patch)));
        List<Shape> run = new ArrayList<>();
        PartRole last = PartRole.MUZZLE;
        for (Shape s : shapes.subList(1, shapes.size())) {
            PartRole role = on(s, box.get(), colour.get());
            boolean again = role != last && out.stream().anyMatch(p -> p.role == role);
            if (role == PartRole.OTHER || again) {
                return List.of();
            }
            if (role != last && !run.isEmpty()) {
                out.add(one(f, last, run));
                run = new ArrayList<>();
            }
            run.add(s);
            last = role;
        }
        out.add(one(f, last, run));
        return told(f, out, box.get(), found) ? out : List.of();
    }

    private static boolean told(
            LayerReading.Found f, List<LayerReading.Found> out, Box patch, List<LayerReading.Found> found) {
        boolean nose = out.stream().anyMatch(p -> p.role == PartRole.NOSE);
        Optional<Box> mouth =
                out.stream().filter(p -> p.role == PartRole.MOUTH).findFirst().flatMap(Assembler::boundsOf);
        boolean wide =
                mouth.filter(b -> b.width() >= MOUTH_WIDTH * patch.width()).isPresent();
        boolean enough = f.role == PartRole.MUZZLE ? nose && mouth.isEmpty() || wide : nose && wide;
        return enough
                && found.stream()
                        .noneMatch(o ->
                                o != f && o.view.equals(f.view) && out.stream().anyMatch(p -> p.role == o.role));
    }

    /** What a shape on a muzzle is; OTHER where that cannot be told. */
    private static PartRole on(Shape s, Box patch, Lab colour) {
        Optional<Box> box = s.path().bounds();
        if (box.isEmpty() || !within(box.get(), patch)) {
            return PartRole.OTHER;
        }
        if (s.fill() instanceof Paint.None) {
            return s.stroke().visible() ? PartRole.MOUTH : PartRole.OTHER;
        }
        double down = (box.get().centre().y() - patch.minY()) / patch.height();
        boolean dark = Sighted.colour(s)
                .filter(c -> c.l() < DARK && c.l() < colour.l() - DARKER)
                .isPresent();
        return dark && down < NOSE_HEIGHT && box.get().width() < NOSE_WIDTH * patch.width()
                ? PartRole.NOSE
                : PartRole.OTHER;
    }

    private static boolean within(Box b, Box patch) {
        double by = OVER * Math.max(patch.width(), patch.height());
        Box around = new Box(patch.minX() - by, patch.minY() - by, patch.maxX() + by, patch.maxY() + by);
        return around.contains(new Point(b.minX(), b.minY())) && around.contains(new Point(b.maxX(), b.maxY()));
    }

    private static LayerReading.Found one(LayerReading.Found f, PartRole role, List<Shape> shapes) {
        Drawing drawing = new Drawing(role.words(), role.words(), new Artwork(List.copyOf(shapes)));
        return LayerReading.Found.shown(
                role,
                Side.NONE,
                f.within,
                f.view,
                role == PartRole.MOUTH ? LayerReading.mouth(drawing, shapes) : drawing);
    }
}
