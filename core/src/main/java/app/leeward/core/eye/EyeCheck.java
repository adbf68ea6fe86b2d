package app.leeward.core.eye;

import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Purpose;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.eye.EyeFinding.Kind;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.Side;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.locationtech.jts.algorithm.construct.MaximumInscribedCircle;
import org.locationtech.jts.algorithm.distance.DiscreteHausdorffDistance;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;

/** Measures what eyes are judged by: cover at every gaze and turn, seams, reach of lids and pupils, likeness of the two. */
public final class EyeCheck {
    /** Uncovered white smaller than this is rounding, square units of an eye as wide as is meant. */
    static final double SPECK = 0.5;
    /** Edges nearer than this, without overlapping, may show a line at output size, units. */
    static final double SEAM = 0.5;
    /** How far the two eyes may differ, units. */
    private static final double ALIKE = 0.5;
    /** A pupil that keeps less than this at full throw is lost, as a share of its area. */
    static final double LOST = 0.4;

    private final Character character;
    private final Evaluator evaluator;
    private final Fills fills;
    private final List<EyeFinding> findings = new ArrayList<>();

    private EyeCheck(Character c) {
        this.character = c;
        this.evaluator = new Evaluator(c);
        this.fills = new Fills(c);
    }

    /** What is wrong, eye by eye; nothing for a face without eyes. */
    public static List<EyeFinding> of(Character c) {
        EyeCheck check = new EyeCheck(c);
        for (EyePieces eye : EyePieces.of(c)) {
            check.pieces(eye);
            check.lids(eye);
            check.cover(eye);
            check.reach(eye);
        }
        check.likeness();
        return check.findings;
    }

    private void add(
            Kind kind,
            EyePieces eye,
            Part part,
            double measure,
            String message,
            Map<String, Double> at,
            Geometry where) {
        findings.add(new EyeFinding(
                kind,
                eye.eye().id(),
                part.id(),
                measure,
                message,
                at,
                where == null ? List.of() : EyeView.outlines(where)));
    }

    private void pieces(EyePieces eye) {
        Optional<Part> white = drawn(eye, PartRole.WHITE);
        if (white.isPresent()) {
            for (Shape s : shapes(white.get())) {
                String fault = fault(s.path());
                if (!(s.fill() instanceof Paint.None) && !fault.isEmpty()) {
                    add(
                            Kind.BAD_OUTLINE,
                            eye,
                            white.get(),
                            1,
                            "The outline of " + white.get().name() + " " + fault
                                    + "; as a window it may cut where nobody expects it.",
                            Map.of(),
                            Regions.of(s.path()));
                }
            }
            if (shapes(white.get()).stream().allMatch(s -> s.fill() instanceof Paint.None)) {
                add(
                        Kind.NO_FILL,
                        eye,
                        white.get(),
                        1,
                        white.get().name() + " has no fill, so it is no window: pupil and" + " lids are not masked.",
                        Map.of(),
                        null);
            }
        }
        eye.pupil()
                .filter(p -> fills.of(p.id(), shownOf(p)).getArea() < 1e-3)
                .ifPresent(p -> add(
                        Kind.NO_PUPIL,
                        eye,
                        p,
                        1,
                        p.name() + " has no area, so nobody can see where the eye looks.",
                        Map.of(),
                        null));
    }

    private static String shownOf(Part p) {
        return p.shown().equals(Part.NOTHING) ? p.drawings().get(0).id() : p.shown();
    }

    private static List<Shape> shapes(Part p) {
        return p.drawing(shownOf(p)).orElseThrow().art().shapes();
    }

    private static Optional<Part> drawn(EyePieces eye, PartRole role) {
        return eye.piece(role).filter(p -> !p.drawings().isEmpty());
    }

    private static String fault(Path path) {
        List<Segment> s = path.segments();
        boolean closed = s.stream().anyMatch(Segment.Close.class::isInstance) || meets(s);
        if (!closed) {
            return "is not closed";
        }
        return Regions.crossesItself(path) ? "crosses itself" : "";
    }

    private static boolean meets(List<Segment> s) {
        Segment last = s.get(s.size() - 1);
        Point end = last instanceof Segment.Cubic c ? c.to() : last instanceof Segment.Line l ? l.to() : null;
        return end != null && end.distance(((Segment.Move) s.get(0)).to()) < 1e-3;
    }

    /** The blink, or its two halves. */
    private List<Dial> blinks() {
        return character.controls().dials().stream()
                .filter(d -> d.purpose() == Purpose.BLINK)
                .toList();
    }

    private Map<String, Double> shut() {
        Map<String, Double> shut = new HashMap<>();
        blinks().forEach(b -> shut.put(b.id(), b.to()));
        return shut;
    }

    private boolean squashed(EyePieces eye) {
        return blinks().stream().anyMatch(b -> b.poses(eye.eye().id()));
    }

    /** Each pose with nothing else at the lids, and with each end of what else moves them: up to five. */
    private List<Map<String, Double>> lidPositions(List<Map<String, Double>> poses) {
        List<Map<String, Double>> out = new ArrayList<>(poses);
        for (ReadyMade also : List.of(ReadyMade.SQUINT, ReadyMade.UPPER_LIDS, ReadyMade.LOWER_LIDS)) {
            Optional<Dial> dial = character.dial(also.id());
            for (Map<String, Double> p : dial.isPresent() ? poses : List.<Map<String, Double>>of()) {
                for (double end : List.of(dial.get().from(), dial.get().to())) {
                    if (end != dial.get().rest()) {
                        Map<String, Double> more = new HashMap<>(p);
                        more.put(also.id(), end);
                        out.add(more);
                    }
                }
            }
        }
        return out;
    }

    private void lids(EyePieces eye) {
        Optional<Part> white = drawn(eye, PartRole.WHITE);
        if (white.isEmpty() || blinks().isEmpty() || eye.blink().isPresent()) {
            return;
        }
        boolean squashed = squashed(eye);
        if (!squashed && eye.shutByContours(character)) {
            return;
        }
        Optional<Part> upper = drawn(eye, PartRole.UPPER_LID);
        Optional<Part> lower = drawn(eye, PartRole.LOWER_LID);
        Map<String, Double> shut = shut();
        if (squashed && upper.isPresent()) {
            add(
                    Kind.LID_SHORT,
                    eye,
                    upper.get(),
                    1,
                    upper.get().name() + " is too small to cover the white: the blink squashes the whole eye.",
                    shut,
                    null);
        } else if (squashed) {
            add(
                    Kind.LID_SHORT,
                    eye,
                    white.get(),
                    1,
                    "There is no upper lid: the blink squashes the whole eye.",
                    shut,
                    null);
        } else if (lower.isPresent()
                && blinks().stream().noneMatch(b -> b.poses(lower.get().id()))
                && lower.get().drawings().size() < 2
                && upper.filter(u -> u.drawings().size() < 2).isPresent()) {
            add(
                    Kind.LID_SHORT,
                    eye,
                    lower.get(),
                    1,
                    lower.get().name() + " is too small to meet the upper one: the blink uses the upper lid alone.",
                    shut,
                    null);
        }
    }

    /** White to be seen at full blink over looks and turns: the worst of all, and hairlines only where there is none. */
    private void cover(EyePieces eye) {
        Optional<Part> white = drawn(eye, PartRole.WHITE);
        if (white.isEmpty() || blinks().isEmpty() || squashed(eye)) {
            return;
        }
        double size = size(eye);
        double speck = SPECK * size * size;
        boolean byContours = eye.shutByContours(character);
        ShutEye eyeShut = ShutEye.of(eye, fills).orElseThrow();
        Map<String, Double> shut = shut();
        Geometry worst = null;
        Map<String, Double> worstAt = shut;
        boolean seam = false;
        Map<String, Double> seamAt = shut;
        for (Map<String, Double> at : lidPositions(poses(shut))) {
            Frame frame = evaluator.frame(Pose.of(at));
            Geometry open = eyeShut.open(frame);
            if (byContours) {
                // what is thinner lies under the line that both contours have become
                open = open.buffer(-size * SEAM);
            }
            if (open.getArea() > speck && (worst == null || open.getArea() > worst.getArea())) {
                worst = open;
                worstAt = at;
            }
            if (!seam
                    && !byContours
                    && eyeShut.nearlyOpen(frame, size * SEAM / 2).getArea() > speck) {
                seam = true;
                seamAt = at;
            }
        }
        Part lid = drawn(eye, PartRole.UPPER_LID).orElse(white.get());
        if (worst != null) {
            add(
                    Kind.UNCOVERED,
                    eye,
                    lid,
                    worst.getArea(),
                    String.format(
                            Locale.ROOT,
                            "%s shut shows %.1f square units of white, the widest gap %.1f%s.",
                            capital(eye.eye().name()),
                            worst.getArea(),
                            widest(worst),
                            when(worstAt)),
                    worstAt,
                    worst);
        } else if (seam) {
            add(
                    Kind.HAIRLINE,
                    eye,
                    lid,
                    speck,
                    capital(eye.eye().name()) + " shut: the lids overlap by less than "
                            + String.format(Locale.ROOT, "%.1f", size * SEAM)
                            + ", so a hairline of white may show" + when(seamAt) + ".",
                    seamAt,
                    null);
        }
    }

    private static double size(EyePieces eye) {
        return eye.measure().map(p -> LidCover.larger(LidCover.fill(p))).orElse(1.0);
    }

    private static String capital(String s) {
        return s.substring(0, 1).toUpperCase(Locale.ROOT) + s.substring(1);
    }

    /** Nine looks at five turns, where there are such dials. */
    private List<Map<String, Double>> poses(Map<String, Double> shut) {
        List<Map<String, Double>> out = List.of(shut);
        out = over(out, Purpose.TURN, 5);
        out = over(out, Purpose.GAZE_ACROSS, 3);
        return over(out, Purpose.GAZE_DOWN, 3);
    }

    private List<Map<String, Double>> over(List<Map<String, Double>> poses, Purpose purpose, int steps) {
        Optional<Dial> dial = GazeField.dial(character, purpose);
        if (dial.isEmpty()) {
            return poses;
        }
        List<Map<String, Double>> out = new ArrayList<>();
        for (Map<String, Double> p : poses) {
            for (int i = 0; i < steps; i++) {
                Map<String, Double> more = new HashMap<>(p);
                Dial d = dial.get();
                more.put(d.id(), d.from() + (d.to() - d.from()) * i / (steps - 1));
                out.add(more);
            }
        }
        return out;
    }

    /** The part of a sentence that says in which pose something happens; empty for one that only blinks. */
    private String when(Map<String, Double> at) {
        List<String> parts = new ArrayList<>();
        for (Dial d : character.controls().dials()) {
            Double v = at.get(d.id());
            if (v != null && v != d.rest() && d.purpose() != Purpose.BLINK) {
                parts.add(d.name().toLowerCase(Locale.ROOT) + " "
                        + String.format(Locale.ROOT, "%.1f", v).replaceAll("\\.0$", "") + d.unit());
            }
        }
        return parts.isEmpty() ? "" : " at " + String.join(", ", parts);
    }

    /** Width of the widest place of an area: of the largest circle it holds. */
    private static double widest(Geometry area) {
        double most = 0;
        for (int i = 0; i < area.getNumGeometries(); i++) {
            if (area.getGeometryN(i) instanceof Polygon p && p.getArea() > 1e-6) {
                most = Math.max(
                        most, 2 * MaximumInscribedCircle.getRadiusLine(p, 0.05).getLength());
            }
        }
        return most;
    }

    /** At every turn, the looks a pad can ask for. */
    private void reach(EyePieces eye) {
        Optional<Part> pupil =
                eye.pupil().filter(p -> fills.of(p.id(), shownOf(p)).getArea() >= 1e-3);
        Optional<Dial> across = GazeField.dial(character, Purpose.GAZE_ACROSS);
        if (pupil.isEmpty()
                || across.isEmpty()
                || !across.get().poses(pupil.get().id())) {
            return;
        }
        double least = 1;
        Map<String, Double> leastAt = Map.of();
        for (Map<String, Double> at : poses(Map.of())) {
            Frame frame = evaluator.frame(Pose.of(at));
            // what the edge of a turned face cuts off is not the gaze's fault
            Optional<Geometry> window = eye.piece(PartRole.WHITE).flatMap(w -> fills.in(frame, w.id()));
            Optional<Geometry> seen = fills.in(frame, pupil.get().id());
            if (window.isPresent() && seen.isPresent()) {
                double kept = new Overlap(window.get(), seen.get()).kept(0, 0);
                if (kept < least) {
                    least = kept;
                    leastAt = at;
                }
            }
        }
        if (least < LOST) {
            add(
                    Kind.PUPIL_LOST,
                    eye,
                    pupil.get(),
                    LOST - least,
                    String.format(
                            Locale.ROOT,
                            "Only %.0f %% of %s stays in its window%s.",
                            100 * least,
                            pupil.get().name(),
                            when(leastAt)),
                    leastAt,
                    null);
        }
    }

    private void likeness() {
        List<EyePieces> eyes = EyePieces.of(character);
        Optional<EyePieces> left =
                eyes.stream().filter(e -> e.eye().side() == Side.LEFT).findFirst();
        Optional<EyePieces> right =
                eyes.stream().filter(e -> e.eye().side() == Side.RIGHT).findFirst();
        if (left.isEmpty() || right.isEmpty()) {
            return;
        }
        Frame rest = evaluator.frame(Pose.REST);
        Matrix mirror = Matrix.mirror(character.sheet().model().axis());
        double most = 0;
        String piece = "";
        for (PartRole role : List.of(PartRole.WHITE, PartRole.EYE_OUTLINE, PartRole.UPPER_LID, PartRole.LOWER_LID)) {
            Optional<Part> l = drawn(left.get(), role);
            Optional<Part> r = drawn(right.get(), role);
            if (l.isEmpty() || r.isEmpty()) {
                continue;
            }
            Optional<Geometry> a = fills.in(rest, l.get().id()).filter(g -> !g.isEmpty());
            Optional<Geometry> b = fills.in(rest, r.get().id()).filter(g -> !g.isEmpty());
            if (a.isPresent() && b.isPresent()) {
                double off = DiscreteHausdorffDistance.distance(
                        a.get().getBoundary(),
                        Regions.transformed(b.get(), mirror).getBoundary(),
                        0.25);
                if (off > most) {
                    most = off;
                    piece = role.words();
                }
            }
        }
        if (most > size(left.get()) * ALIKE) {
            add(
                    Kind.NOT_MIRRORED,
                    left.get(),
                    left.get().eye(),
                    most,
                    String.format(
                            Locale.ROOT,
                            "The two eyes are not each other's reflection: the %s is up to %.1f off.",
                            piece,
                            most),
                    Map.of(),
                    null);
        }
    }
}
