package app.leeward.core.intake;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Clip;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Shape;
import app.leeward.core.rig.Canvas;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;

/**
 * Shapes the file clips, drawn as what is seen of them: a clip would stay where it is while the shape is bent, and what it hides would
 * count as part of the head. What masks what in an eye or a mouth is left to windows, before.
 */
final class ClippedShapes {
    /** How much of a shape a clip that is its outline may leave out or take in besides. */
    private static final double UNLIKE = 0.04;
    /** How far about a shape a clip is looked at, as a share of its size: it may be that of both eyes. */
    private static final double ABOUT = 0.1;
    /** How much of the canvas a clip of the whole of it may leave out. */
    private static final double EDGE = 0.01;

    private ClippedShapes() {}

    /**
     * Clips of the whole canvas go: they hide what lies beyond its edge, which a character that moves may yet show.
     *
     * @param seen what is seen of a clipped shape, back to front
     */
    static void settle(List<LayerReading.Found> found, Canvas canvas, Function<Shape, List<Shape>> seen) {
        for (LayerReading.Found f : found) {
            f.drawings.replaceAll(d -> clipped(d) ? settled(d, canvas, seen) : d);
        }
    }

    private static boolean clipped(Drawing d) {
        return d.art().shapes().stream().anyMatch(s -> !s.clips().isEmpty());
    }

    private static Drawing settled(Drawing d, Canvas canvas, Function<Shape, List<Shape>> seen) {
        return d.withArt(new Artwork(d.art().shapes().stream()
                .map(s -> s.withClips(
                        s.clips().stream().filter(c -> !shows(c, canvas)).toList()))
                .flatMap(s -> s.clips().isEmpty() ? Stream.of(s) : seen.apply(s).stream())
                .toList()));
    }

    private static boolean shows(Clip clip, Canvas canvas) {
        Geometry through = Regions.of(clip.path());
        Geometry whole = through.getFactory().toGeometry(new Envelope(0, canvas.width(), 0, canvas.height()));
        return Regions.without(whole, through).getArea() < EDGE * whole.getArea();
    }

    /** Whether a clip is the outline of a shape, where that lies. */
    static boolean outlines(Clip clip, Shape shape) {
        Optional<Box> box = shape.path().bounds();
        if (box.isEmpty()
                || clip.path().bounds().flatMap(box.get()::intersection).isEmpty()) {
            return false;
        }
        Geometry own = Regions.of(shape.path());
        Envelope about = own.getEnvelopeInternal();
        about.expandBy(ABOUT * about.getWidth(), ABOUT * about.getHeight());
        Geometry near = Regions.both(Regions.of(clip.path()), own.getFactory().toGeometry(about));
        double besides = Regions.without(near, own).getArea()
                + Regions.without(own, near).getArea();
        return besides < UNLIKE * own.getArea();
    }
}
