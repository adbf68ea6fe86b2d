package app.leeward.core.eye;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Regions;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.util.AffineTransformation;

/** The fills of drawings as areas, each worked out once, and where a frame puts them on the canvas. */
final class Fills {
    /** A dot's white, were it drawn, as a multiple of the dot; by eye, no source. */
    private static final double SOCKET = 1.6;

    /** Less of an eye than this under its lids is no sleepy look. */
    private static final double HARDLY = 0.03;

    private final Character character;
    private final Map<String, Geometry> own = new HashMap<>();

    Fills(Character character) {
        this.character = character;
    }

    /** In the drawing's own coordinates. */
    Geometry of(String part, String drawing) {
        return own.computeIfAbsent(part + "/" + drawing, k -> character
                .part(part)
                .flatMap((Part p) -> p.drawing(drawing))
                .map(Drawing::art)
                .map(a -> Regions.ofFills(a.windowShapes()))
                .orElseThrow());
    }

    /** On the canvas; empty when the part shows nothing in this frame. */
    Optional<Geometry> in(Frame frame, String part) {
        return frame.of(part).map(p -> Regions.transformed(fill(p), p.matrix()));
    }

    private Geometry fill(Frame.Placed p) {
        if (p.outlines().isEmpty()) {
            return of(p.part(), p.drawing());
        }
        Artwork drawn = character
                .part(p.part())
                .flatMap(part -> part.drawing(p.drawing()))
                .map(Drawing::art)
                .orElseThrow();
        return Regions.ofFills(p.shown(drawn).windowShapes());
    }

    /**
     * Where an eye that is a dot may go: it has no white to stay in, so as far as a white of {@link #SOCKET} times its own
     * size would let it.
     */
    static Geometry socket(Geometry dot) {
        var middle = dot.getEnvelopeInternal().centre();
        return AffineTransformation.scaleInstance(SOCKET, SOCKET, middle.x, middle.y)
                .transform(dot);
    }

    /** What the lids of an eye leave of an area; the area itself where they leave it all but a little. */
    Geometry open(Frame frame, EyePieces eye, Geometry area) {
        Geometry left = area;
        for (Part lid : eye.pieces()) {
            if (lid.role() == PartRole.UPPER_LID || lid.role() == PartRole.LOWER_LID) {
                Optional<Geometry> over = in(frame, lid.id());
                left = over.isPresent() ? Regions.without(left, over.get()) : left;
            }
        }
        return left.getArea() > (1 - HARDLY) * area.getArea() || left.isEmpty() ? area : left;
    }

    /** What every window of a part leaves of it to be seen; empty when nothing masks it. */
    Optional<Geometry> window(Frame frame, String part) {
        return frame.of(part)
                .flatMap(p ->
                        p.windows().stream().flatMap(w -> in(frame, w).stream()).reduce(Regions::both));
    }
}
