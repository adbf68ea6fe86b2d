package app.leeward.core.eye;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Envelope;

/** Enlarges a lid that is too small until it can cover the white, keeping the edge it was drawn with. */
public final class LidMender {
    /** By how much a mended lid reaches past the white on every side, units. */
    public static final double SPARE = 2;

    private LidMender() {}

    /**
     * The lid's drawing made large enough: as wide as the white, and as tall as its whole way. Its edge keeps its curve; it
     * is only drawn out sideways where it was narrower than the white.
     *
     * @param lid id of an upper or lower lid
     * @return empty when it is no lid of an eye with a white, or has no fill to enlarge
     */
    public static Optional<Artwork> mended(Character c, String lid) {
        Part part = c.part(lid).orElse(null);
        boolean upper = part != null && part.role() == PartRole.UPPER_LID;
        if (part == null
                || !upper && part.role() != PartRole.LOWER_LID
                || part.drawings().isEmpty()) {
            return Optional.empty();
        }
        Optional<Part> white = EyePieces.of(c).stream()
                .filter(e -> e.pieces().contains(part))
                .findFirst()
                .flatMap(e -> e.piece(PartRole.WHITE))
                .filter(p -> !p.drawings().isEmpty());
        Artwork art = part.drawing(part.shown()).orElse(part.drawings().get(0)).art();
        Optional<Shape> main = art.shapes().stream()
                .filter(s -> !(s.fill() instanceof Paint.None) && s.bounds().isPresent())
                .max(Comparator.comparingDouble(s -> area(s.bounds().orElseThrow())));
        if (white.isEmpty() || main.isEmpty()) {
            return Optional.empty();
        }
        Evaluator rest = new Evaluator(c);
        Matrix toLid = rest.atRest(Optional.of(lid))
                .inverse()
                .times(rest.atRest(Optional.of(white.get().id())));
        Envelope eye = Regions.transformed(LidCover.fill(white.get()), toLid).getEnvelopeInternal();
        Matrix wider = wider(main.get().path().bounds().orElseThrow(), eye);
        List<Segment> edge = LidShape.edge(main.get().path().transform(wider), upper);
        if (edge.size() < 2) {
            return Optional.empty();
        }
        Box line = new Path(edge).bounds().orElseThrow();
        // drawn down until its highest point has passed the white's foot it must still reach over the white's top
        double away = upper
                ? eye.getMinY() - SPARE - Math.max(0, eye.getMaxY() + SPARE - line.minY())
                : eye.getMaxY() + SPARE + Math.max(0, line.maxY() - eye.getMinY() + SPARE);
        Path grown = LidShape.hung(edge, away);
        List<Shape> shapes = new ArrayList<>();
        for (Shape s : art.shapes()) {
            shapes.add(s == main.get() ? s.withPath(grown) : s.withPath(s.path().transform(wider)));
        }
        return Optional.of(new Artwork(shapes));
    }

    private static double area(Box b) {
        return b.width() * b.height();
    }

    /** Draws the lid out to both sides of the white with some to spare; the identity when it is wide enough. */
    private static Matrix wider(Box lid, Envelope eye) {
        double left = Math.min(lid.minX(), eye.getMinX() - SPARE);
        double right = Math.max(lid.maxX(), eye.getMaxX() + SPARE);
        double scale = lid.width() < 1e-9 ? 1 : (right - left) / lid.width();
        return new Matrix(scale, 0, 0, 1, left - scale * lid.minX(), 0);
    }
}
