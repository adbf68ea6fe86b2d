package app.leeward.core.eye;

import app.leeward.core.art.Point;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.FieldAt;
import app.leeward.core.dial.Pad;
import app.leeward.core.dial.Purpose;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.ViewBand;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.locationtech.jts.geom.Geometry;

/**
 * How far the eyes can look in every direction, in a pose: as far as both pupils keep {@link #KEPT} of their areas inside
 * their windows.
 */
public final class GazeField {
    /** Least share of a pupil's area that stays in its window. */
    public static final double KEPT = 0.6;

    /** Of what a half shut eye shows of its pupil straight ahead, so much stays to be seen. */
    private static final double SLEEPY = 0.85;

    private static final int DIRECTIONS = 72;
    /** How exactly an edge is found, as a share of the throw. */
    private static final double CLOSE = 1.0 / 512;

    /** A field away from rest is only ever compared with the one at rest, so it may be coarser. */
    private static final int FEWER = 24;
    /**
     * Away from rest more of a pupil is asked for, since what lies between the measured places, and where several dials
     * meet, is put together from them.
     */
    private static final double KEPT_ELSEWHERE = 0.65;

    /** Least change of a field along another dial that is worth keeping, as a share of the whole throw. */
    private static final double CHANGE = 0.01;

    /** How near to the edge of a view's band its field is measured, as a share of the band. */
    private static final double EDGE = 1e-6;

    private GazeField() {}

    /** One eye: how much of its pupil is kept, and where a unit of either dial, to either side, moves it. */
    private record Sight(Overlap overlap, Point right, Point left, Point down, Point up) {
        double kept(double x, double y) {
            Point h = x >= 0 ? right : left;
            Point v = y >= 0 ? down : up;
            double ax = Math.abs(x);
            double ay = Math.abs(y);
            return overlap.kept(ax * h.x() + ay * v.x(), ax * h.y() + ay * v.y());
        }
    }

    /**
     * The edge of the field, once round, in the units of the gaze dials; empty without gaze dials, or without a pupil in a
     * window.
     *
     * @param pose its gaze is left out
     */
    public static List<Point> of(Character c, Pose pose) {
        Optional<Dial> across = dial(c, Purpose.GAZE_ACROSS);
        Optional<Dial> down = dial(c, Purpose.GAZE_DOWN);
        if (across.isEmpty() || down.isEmpty()) {
            return List.of();
        }
        return new Measure(c, across.get(), down.get()).field(pose, DIRECTIONS, KEPT);
    }

    /** A character ready to be measured in many poses. */
    private record Measure(Evaluator free, Fills fills, Dial across, Dial down) {
        /** A pad's edge would hold the very looks that are to be measured, so it is left out. */
        Measure(Character c, Dial across, Dial down) {
            this(
                    new Evaluator(c.withDials(
                            c.controls().dials(),
                            c.controls().pads().stream()
                                    .map(p -> p.withField(List.of(), List.of()))
                                    .toList())),
                    new Fills(c),
                    across,
                    down);
        }

        List<Point> field(Pose pose, int directions, double least) {
            List<Sight> sights = sights(pose);
            return sights.isEmpty() ? List.of() : edge(sights, across, down, directions, least);
        }

        /** Only compared with the field at rest, so it may be coarser. */
        List<Point> beside(Pose pose) {
            return field(pose, FEWER, KEPT_ELSEWHERE);
        }

        /** A blink hides the pupil wherever it looks. */
        private Pose awake(Pose pose) {
            Pose open = pose;
            for (Dial d : free.character().controls().dials()) {
                if (d.purpose() == Purpose.BLINK && pose.dials().containsKey(d.id())) {
                    open = open.withDial(d.id(), d.rest());
                }
            }
            return open;
        }

        private List<Sight> sights(Pose pose) {
            Pose ahead = awake(pose).withDial(across.id(), across.rest()).withDial(down.id(), down.rest());
            Frame frame = free.frame(ahead);
            Frame right = free.frame(ahead.withDial(across.id(), across.to()));
            Frame left = free.frame(ahead.withDial(across.id(), across.from()));
            Frame below = free.frame(ahead.withDial(down.id(), down.to()));
            Frame above = free.frame(ahead.withDial(down.id(), down.from()));
            List<Sight> out = new ArrayList<>();
            for (EyePieces eye : EyePieces.of(free.character())) {
                Optional<Part> pupil = eye.pupil();
                Optional<Geometry> seen = pupil.flatMap(p -> fills.in(frame, p.id()));
                // a dot's face is no window to look out of: its edge comes near only in a turn
                Optional<Geometry> window = eye.dot()
                        ? seen.map(Fills::socket)
                        : pupil.flatMap(p -> fills.window(frame, p.id())).map(w -> fills.open(frame, eye, w));
                if (seen.isPresent() && window.isPresent() && seen.get().getArea() > 0) {
                    String id = pupil.get().id();
                    out.add(new Sight(
                            new Overlap(window.get(), seen.get()),
                            moved(frame, right, id),
                            moved(frame, left, id),
                            moved(frame, below, id),
                            moved(frame, above, id)));
                }
            }
            return out;
        }
    }

    static Optional<Dial> dial(Character c, Purpose purpose) {
        return c.controls().dials().stream().filter(d -> d.purpose() == purpose).findFirst();
    }

    private static Point moved(Frame from, Frame to, String part) {
        var a = from.of(part).orElseThrow().matrix();
        var b = to.of(part).orElseThrow().matrix();
        return new Point(b.e() - a.e(), b.f() - a.f());
    }

    /** What is to be kept of pupils that half hide behind their lids while they look ahead. */
    static double least(double wanted, double ahead) {
        return Math.min(wanted, SLEEPY * ahead);
    }

    private static List<Point> edge(List<Sight> sights, Dial across, Dial down, int directions, double wanted) {
        double least = least(wanted, kept(sights, 0, 0));
        double right = across.to() - across.rest();
        double left = across.rest() - across.from();
        double below = down.to() - down.rest();
        double above = down.rest() - down.from();
        List<Point> edge = new ArrayList<>(directions);
        double ahead = kept(sights, 0, 0) - least;
        for (int i = 0; i < directions; i++) {
            double angle = 2 * Math.PI * i / directions;
            double x = Math.cos(angle);
            double y = Math.sin(angle);
            // in shares of each side's throw, out to the edge of the square
            double near = reach(sights, x, y, 1 / Math.max(Math.abs(x), Math.abs(y)), ahead, least);
            edge.add(new Point(
                    across.rest() + near * x * (x >= 0 ? right : left),
                    down.rest() + near * y * (y >= 0 ? below : above)));
        }
        return edge;
    }

    /**
     * How far along a way enough of the pupils is kept, on the safe side by at most {@link #CLOSE}: false position and
     * halving in turn, so that what is left halves whatever the shapes.
     *
     * @param ahead what is kept at the way's start beyond the least; below 0 nothing is reached
     */
    private static double reach(List<Sight> sights, double x, double y, double end, double ahead, double least) {
        double near = 0;
        double far = end;
        double more = ahead;
        double less = kept(sights, far * x, far * y) - least;
        if (less >= 0) {
            return end;
        }
        if (more < 0) {
            return 0;
        }
        for (boolean guess = true; far - near > CLOSE; guess = !guess) {
            // a hair nearer than where the chord meets 0, so that the next one closes in from the other end
            double met = near + (far - near) * more / (more - less) - CLOSE / 2;
            double at = guess ? Math.max(near + CLOSE / 2, met) : (near + far) / 2;
            double beyond = kept(sights, at * x, at * y) - least;
            if (beyond >= 0) {
                near = at;
                more = beyond;
            } else {
                far = at;
                less = beyond;
            }
        }
        return near;
    }

    private static double kept(List<Sight> sights, double x, double y) {
        double least = 1;
        for (Sight s : sights) {
            least = Math.min(least, s.kept(x, y));
        }
        return least;
    }

    /** Whether something that the field depends on became another: an eye, its pieces, what masks them, or the gaze dials. */
    public static boolean outdated(Character before, Character after) {
        boolean measured =
                after.controls().pads().stream().anyMatch(p -> !p.field().isEmpty());
        return measured
                && !(before.controls().views().equals(after.controls().views())
                        && before.rig().windows().equals(after.rig().windows())
                        && eyes(before).equals(eyes(after))
                        && dial(before, Purpose.GAZE_ACROSS).equals(dial(after, Purpose.GAZE_ACROSS))
                        && dial(before, Purpose.GAZE_DOWN).equals(dial(after, Purpose.GAZE_DOWN))
                        && narrowing(before).equals(narrowing(after)));
    }

    /** Every eye with its pieces, and the windows round them. */
    private static List<Part> eyes(Character c) {
        List<Part> out = new ArrayList<>();
        for (EyePieces eye : EyePieces.of(c)) {
            out.add(eye.eye());
            out.addAll(eye.pieces());
        }
        for (Part p : c.rig().parts()) {
            boolean window = c.rig().windows().stream()
                    .anyMatch(w -> w.by().equals(p.id())
                            && w.masked().stream().anyMatch(m -> out.stream().anyMatch(e -> e.id().equals(m))));
            if (window && !out.contains(p)) {
                out.add(p);
            }
        }
        return out;
    }

    /** The dials, other than the gaze's own, that change the eyes or what looks out of them. */
    private static List<Dial> narrowing(Character c) {
        Set<String> seeing = new HashSet<>();
        for (EyePieces eye : EyePieces.of(c)) {
            seeing.add(eye.eye().id());
            eye.piece(PartRole.WHITE).ifPresent(p -> seeing.add(p.id()));
            eye.pupil().ifPresent(p -> seeing.add(p.id()));
        }
        return c.controls().dials().stream()
                .filter(d -> d.purpose() != Purpose.GAZE_ACROSS && d.purpose() != Purpose.GAZE_DOWN)
                .filter(d -> d.stops().stream()
                        .anyMatch(s -> s.offsets().keySet().stream().anyMatch(seeing::contains)))
                .toList();
    }

    /** With the field of every gaze pad measured anew, at rest and along the dials that change it. */
    public static Character fitted(Character c) {
        Optional<Dial> across = dial(c, Purpose.GAZE_ACROSS);
        Optional<Dial> down = dial(c, Purpose.GAZE_DOWN);
        if (across.isEmpty() || down.isEmpty()) {
            return c;
        }
        Measure eyes = new Measure(c, across.get(), down.get());
        List<Point> field = eyes.field(Pose.REST, DIRECTIONS, KEPT);
        List<FieldAt> elsewhere = field.isEmpty() ? List.of() : elsewhere(eyes);
        List<Pad> pads = c.controls().pads().stream()
                .map(p -> p.across().equals(across.get().id()) ? p.withField(field, elsewhere) : p)
                .toList();
        return c.withDials(c.controls().dials(), pads);
    }

    private static List<FieldAt> elsewhere(Measure eyes) {
        List<Point> rest = eyes.beside(Pose.REST);
        List<FieldAt> out = new ArrayList<>();
        out.addAll(views(eyes));
        for (Dial d : narrowing(eyes.free().character())) {
            for (double end : new double[] {d.from(), d.to()}) {
                if (end == d.rest()) {
                    continue;
                }
                List<Point> there = eyes.beside(Pose.of(Map.of(d.id(), end)));
                if (differ(rest, there)) {
                    double half = (end + d.rest()) / 2;
                    out.add(new FieldAt(d.id(), half, eyes.beside(Pose.of(Map.of(d.id(), half)))));
                    out.add(new FieldAt(d.id(), end, there));
                }
            }
        }
        return out;
    }

    /** At both ends of every band of views: from one to the next the field changes at once. */
    private static List<FieldAt> views(Measure eyes) {
        List<FieldAt> out = new ArrayList<>();
        eyes.free().character().controls().views().ifPresent(v -> {
            for (ViewBand b : v.bands()) {
                List<Point> there = eyes.beside(Pose.of(Map.of(v.dial(), b.middle())));
                double hair = EDGE * (b.to() - b.from());
                // a view without eyes holds nothing
                if (!there.isEmpty()) {
                    out.add(new FieldAt(v.dial(), b.from() + hair, there));
                    out.add(new FieldAt(v.dial(), b.to() - hair, there));
                }
            }
        });
        return out;
    }

    private static boolean differ(List<Point> a, List<Point> b) {
        if (a.size() != b.size()) {
            // an eye that is hidden there says nothing
            return false;
        }
        for (int i = 0; i < a.size(); i++) {
            Point way = a.get(i).minus(b.get(i));
            if (Math.hypot(way.x(), way.y()) > CHANGE) {
                return true;
            }
        }
        return false;
    }
}
