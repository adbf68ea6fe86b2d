package app.leeward.core.eye;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Bend;
import app.leeward.core.art.Bending;
import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.PathPoints;
import app.leeward.core.art.Point;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.OffsetCurve;
import app.leeward.core.dial.Purpose;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Placement;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Envelope;

/** The line on which lids meet, and where lids rest while the eye is open. */
public final class LidLine {
    /** Steps an edge needs to follow three places. */
    private static final int ENOUGH = 4;

    private LidLine() {}

    /**
     * The lids' facing edges bent at the inner end, the middle and the outer end of the white, both lids alike, so that they
     * still meet; lids are enlarged where they need it and the blink finds its way anew. Empty when no eye has a lid that
     * travels.
     *
     * @param inner user units downwards, as the other two
     */
    public static Optional<Character> bent(Character c, double inner, double middle, double outer) {
        Character now = c;
        List<String> lids = new ArrayList<>();
        double axis = c.sheet().model().axis();
        Evaluator rest = new Evaluator(c);
        for (EyePieces eye : EyePieces.of(c)) {
            Optional<Part> white =
                    eye.piece(PartRole.WHITE).filter(p -> !p.drawings().isEmpty());
            for (Part lid : travelling(eye)) {
                if (white.isEmpty()) {
                    continue;
                }
                Matrix toLid = rest.atRest(Optional.of(lid.id()))
                        .inverse()
                        .times(rest.atRest(Optional.of(white.get().id())));
                Envelope e =
                        Regions.transformed(LidCover.fill(white.get()), toLid).getEnvelopeInternal();
                Box box = new Box(e.getMinX(), e.getMinY(), e.getMaxX(), e.getMaxY());
                Point middleOfWhite = rest.atRest(Optional.of(lid.id())).apply(box.centre());
                Bend bend = new Bend(inner, middle, outer);
                Bend turned = middleOfWhite.x() > axis ? bend : bend.mirrored();
                boolean upper = lid.role() == PartRole.UPPER_LID;
                now = now.withPart(lid.id(), p -> redrawn(p, d -> bent(d, turned, box, upper)));
                lids.add(lid.id());
            }
        }
        if (lids.isEmpty()) {
            return Optional.empty();
        }
        for (String lid : lids) {
            Optional<Artwork> large = LidMender.mended(now, lid);
            if (large.isPresent()) {
                now = now.withPart(lid, p -> redrawn(p, d -> large.get()));
            }
        }
        return Optional.of(BlinkMaker.addTo(now));
    }

    private static Part redrawn(Part p, java.util.function.UnaryOperator<Artwork> change) {
        List<Drawing> drawings =
                p.drawings().stream().map(d -> d.withArt(change.apply(d.art()))).toList();
        return p.withDrawings(drawings, p.shown());
    }

    /** The lids of an eye that are one drawing each and so travel. */
    private static List<Part> travelling(EyePieces eye) {
        return eye.pieces().stream()
                .filter(p -> (p.role() == PartRole.UPPER_LID || p.role() == PartRole.LOWER_LID)
                        && p.drawings().size() == 1)
                .toList();
    }

    private static Artwork bent(Artwork art, Bend bend, Box within, boolean upper) {
        Optional<Shape> main = art.shapes().stream()
                .filter(s -> !(s.fill() instanceof Paint.None) && s.bounds().isPresent())
                .max(Comparator.comparingDouble(
                        s -> s.bounds().map(b -> b.width() * b.height()).orElseThrow()));
        List<Shape> shapes = new ArrayList<>();
        for (Shape s : art.shapes()) {
            boolean hung = main.isPresent() && s == main.get();
            shapes.add(
                    s.withPath(hung ? hung(s.path(), bend, within, upper) : bend.of(s.path(), within, Bending.EASED)));
        }
        return new Artwork(shapes);
    }

    /** Only the edge is bent: what is behind it must go on covering the eye. */
    private static Path hung(Path lid, Bend bend, Box within, boolean upper) {
        List<Segment> edge = LidShape.edge(lid, upper);
        if (edge.size() < 2) {
            return bend.of(lid, within, Bending.EASED);
        }
        Box all = lid.bounds().orElseThrow();
        List<Segment> curved =
                bend.of(new Path(curves(edge)), within, Bending.EASED).segments();
        return LidShape.hung(curved, upper ? all.minY() : all.maxY());
    }

    /** Straight steps written as curves, and an edge of few steps with more points, so that it can be bent where asked. */
    private static List<Segment> curves(List<Segment> edge) {
        Path path = new Path(edge).curved(0);
        while (path.segments().size() <= ENOUGH) {
            for (int i = path.segments().size() - 1; i > 0; i--) {
                path = PathPoints.added(path, i, 0.5);
            }
        }
        return path.segments();
    }

    /**
     * Lids that rest lower or higher while the eye is open: sleepy, or out of sight. The blink then goes from there.
     *
     * @param upper share of the upper lids' whole way, from as drawn (0) to shut (1); below 0 further out of sight
     * @param lower the same of the lower lids
     * @return empty when no lid travels
     */
    public static Optional<Character> resting(Character c, double upper, double lower) {
        Character now = c;
        boolean any = false;
        for (EyePieces eye : EyePieces.of(c)) {
            for (Part lid : travelling(eye)) {
                double way = wayOf(c, lid.id());
                if (way != 0) {
                    any = true;
                    Placement r = lid.rest();
                    double share = lid.role() == PartRole.UPPER_LID ? upper : lower;
                    double y = share * (r.y() + way);
                    now = now.withPart(
                            lid.id(),
                            p -> p.withRest(new Placement(
                                    r.x(), y, r.rotation(), r.scaleX(), r.scaleY(), r.skewX(), r.opacity())));
                }
            }
        }
        return any ? Optional.of(BlinkMaker.addTo(now)) : Optional.empty();
    }

    /** Where the lids rest: shares of their whole way, of upper and lower lids; those of the first eye that has them. */
    public static double[] resting(Character c) {
        double[] shares = new double[2];
        boolean[] found = new boolean[2];
        for (EyePieces eye : EyePieces.of(c)) {
            for (Part lid : travelling(eye)) {
                int i = lid.role() == PartRole.UPPER_LID ? 0 : 1;
                double all = lid.rest().y() + wayOf(c, lid.id());
                if (!found[i] && all != 0) {
                    found[i] = true;
                    shares[i] = lid.rest().y() / all;
                }
            }
        }
        return shares;
    }

    /** How far down the blink takes a lid. */
    static double wayOf(Character c, String lid) {
        double way = 0;
        for (Dial d : c.controls().dials()) {
            if (d.purpose() == Purpose.BLINK) {
                way += OffsetCurve.of(d).stream()
                        .filter(w -> w.part().equals(lid))
                        .map(w -> w.at(d.to()))
                        .mapToDouble(Offset::y)
                        .sum();
            }
        }
        return way;
    }
}
