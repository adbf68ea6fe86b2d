package app.leeward.core.intake;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Shape;
import app.leeward.core.rig.Note;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.locationtech.jts.geom.Geometry;

/**
 * Layers at an eye whose names do not say what they are: the bump or socket an eye sits in, which is no part of what opens and shuts, and
 * what shines or is drawn within the white. Shares are by eye.
 */
final class EyeLayers {
    /** What an eye sits in shows round it: the white covers no more of it than this. */
    private static final double ROUND = 0.85;
    /** What covers less of it than this is a highlight in a dark eye. */
    private static final double SHINE = 0.3;
    /** How much of a piece may lie outside what it lies in. */
    private static final double OUTSIDE = 0.02;

    private final List<LayerReading.Found> found;
    private final List<Note> notes;

    private EyeLayers(List<LayerReading.Found> found, List<Note> notes) {
        this.found = found;
        this.notes = notes;
    }

    static void read(List<LayerReading.Found> found, List<Note> notes) {
        EyeLayers layers = new EyeLayers(found, notes);
        List.copyOf(found).forEach(layers::socket);
        List.copyOf(found).forEach(layers::white);
        List.copyOf(found).forEach(layers::within);
    }

    /** Takes the patch that a white lies in, and that is none itself, out of the eye. */
    private void socket(LayerReading.Found eye) {
        if (eye.role != PartRole.EYE || eye.drawings.size() != 1 || eye.firstVisible == null) {
            return;
        }
        Drawing drawing = eye.drawings.get(0);
        List<Shape> shapes = drawing.art().shapes();
        if (shapes.size() < 2 || !holds(shapes.get(0), shapes.get(1))) {
            return;
        }
        Shape socket = shapes.get(0);
        Shape white = shapes.get(1);
        String name = socket.name().isBlank() || socket.name().equals(white.name())
                ? eye.side.prefix() + "eye socket"
                : socket.name();
        LayerReading.Found under = LayerReading.Found.shown(
                PartRole.OTHER,
                Side.NONE,
                name,
                eye.within,
                eye.view,
                new Drawing("socket", name, new Artwork(List.of(socket))));
        String seen = white.name().isBlank() ? drawing.name() : white.name();
        eye.drawings.set(0, drawing.withName(seen).withArt(new Artwork(shapes.subList(1, shapes.size()))));
        // it goes where the eye goes
        under.whole = Optional.of(eye);
        found.add(found.indexOf(eye), under);
        notes.add(new Note(
                "eye-socket",
                name,
                "'" + name + "' is what the " + eye.name + " sits in; it stays open when the eye shuts."));
    }

    /** A layer called eye that is a white patch, with an iris or a pupil on it in another layer, is the white of that eye. */
    private void white(LayerReading.Found eye) {
        boolean pale = eye.role == PartRole.EYE
                && eye.drawings.size() == 1
                && eye.firstVisible != null
                && fills(eye).findFirst().filter(EyeShapes::white).isPresent();
        boolean looks = pale
                && found.stream()
                        .filter(o -> o.role == PartRole.IRIS || o.role == PartRole.PUPIL)
                        .anyMatch(o -> o.side == eye.side && o.view.equals(eye.view));
        boolean whole = found.stream()
                .filter(o -> o.role == PartRole.WHITE || o.role == PartRole.EYE_OUTLINE || o.role == PartRole.EYE)
                .noneMatch(o -> o != eye && o.side == eye.side && o.view.equals(eye.view));
        if (looks && whole) {
            LayerReading.Found group = new LayerReading.Found(PartRole.EYE, eye.side, eye.name, eye.within, eye.view);
            LayerReading.Found white = LayerReading.Found.shown(
                    PartRole.WHITE, eye.side, Optional.of(group), eye.view, eye.drawings.get(0));
            int at = found.indexOf(eye);
            found.set(at, white);
            found.add(at, group);
            found.stream().filter(o -> o.whole.equals(Optional.of(eye))).forEach(o -> o.whole = Optional.of(group));
        }
    }

    private static boolean holds(Shape socket, Shape white) {
        if (socket.fill() instanceof Paint.None || EyeShapes.white(socket) || !EyeShapes.white(white)) {
            return false;
        }
        Geometry round = Regions.of(socket.path());
        Geometry area = Regions.of(white.path());
        return area.getArea() > SHINE * round.getArea()
                && area.getArea() < ROUND * round.getArea()
                && Regions.without(area, round).getArea() < OUTSIDE * area.getArea();
    }

    /** What shines in a white is a highlight, what is drawn on an iris or a pupil a piece of it, whatever it is called. */
    private void within(LayerReading.Found f) {
        if (f.role != PartRole.OTHER || f.drawings.size() != 1 || f.firstVisible == null) {
            return;
        }
        List<Shape> shapes = f.drawings.get(0).art().shapes();
        Optional<LayerReading.Found> white = below(f).filter(o -> o.role == PartRole.WHITE || o.role == PartRole.EYE)
                .filter(o -> fills(o).anyMatch(w -> EyeShapes.white(w) && all(shapes, w)))
                .findFirst();
        if (white.isEmpty()) {
            return;
        }
        Shape in = fills(white.get()).filter(EyeShapes::white).findFirst().orElseThrow();
        List<Optional<PartRole>> roles =
                shapes.stream().map(s -> EyeShapes.inside(s, in)).distinct().toList();
        boolean shines = roles.equals(List.of(Optional.of(PartRole.HIGHLIGHT)));
        Optional<LayerReading.Found> on = below(f).filter(o -> o.role == PartRole.IRIS || o.role == PartRole.PUPIL)
                .filter(o -> o.side == white.get().side && fills(o).anyMatch(w -> all(shapes, w)))
                .reduce((a, b) -> b);
        Optional<PartRole> role = shines ? Optional.of(PartRole.HIGHLIGHT) : on.map(o -> o.role);
        if (role.isEmpty()) {
            return;
        }
        Side side = white.get().side;
        LayerReading.Found piece = LayerReading.Found.shown(role.get(), side, f.within, f.view, f.drawings.get(0));
        if (!shines) {
            piece.whole = on;
        }
        found.set(found.indexOf(f), piece);
        notes.add(new Note(
                "eye-piece",
                f.name,
                "'" + f.name + "' lies in an eye and is taken for its "
                        + role.get().words() + "."));
    }

    private Stream<LayerReading.Found> below(LayerReading.Found f) {
        return found.subList(0, found.indexOf(f)).stream().filter(o -> o.view.equals(f.view));
    }

    private static Stream<Shape> fills(LayerReading.Found f) {
        return f.drawings.stream()
                .filter(d -> d.id().equals(f.firstVisible))
                .flatMap(d -> d.art().shapes().stream())
                .filter(s -> !(s.fill() instanceof Paint.None));
    }

    private static boolean all(List<Shape> shapes, Shape within) {
        Optional<Box> box = within.path().bounds();
        // most layers lie nowhere near an eye, which is told faster than by areas
        boolean near = box.isPresent()
                && shapes.stream().allMatch(s -> s.bounds()
                        .filter(b -> box.get().contains(b.centre()))
                        .isPresent());
        if (!near) {
            return false;
        }
        Geometry area = Regions.of(within.path());
        return shapes.stream().allMatch(s -> {
            Geometry own = Regions.seen(s);
            return own.getArea() > 0 && Regions.without(own, area).getArea() < OUTSIDE * own.getArea();
        });
    }
}
