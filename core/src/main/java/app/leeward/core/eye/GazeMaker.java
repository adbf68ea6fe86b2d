package app.leeward.core.eye;

import app.leeward.core.art.Matrix;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.Pad;
import app.leeward.core.dial.Purpose;
import app.leeward.core.dial.Stop;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;

/**
 * Makes the gaze pad: two dials from -1 to 1 that move iris, pupil and highlight of both eyes together. Full throw is
 * as far as the pupil keeps enough of itself inside the white, or a dot inside its socket; the pad's edge is the
 * {@link GazeField}.
 */
public final class GazeMaker {
    public static final String ACROSS = "gaze-across";
    public static final String DOWN = "gaze-down";
    /** Share of the pupil's way that the highlight goes: the light does not move with the look. */
    private static final double HIGHLIGHT_SHARE = 0.55;

    /** How much of a dot stays in what it lies on, and how far it looks at least, as a share of its size; by eye. */
    private static final double DOT_KEPT = 0.98;

    private static final double DOT_LEAST = 0.15;

    private GazeMaker() {}

    /** The character with a gaze pad; unchanged when no eye is a dot or has a white with a pupil or iris. */
    public static Character addTo(Character c) {
        double across = Double.POSITIVE_INFINITY;
        double down = Double.POSITIVE_INFINITY;
        Map<String, Double> shares = new HashMap<>();
        Evaluator evaluator = new Evaluator(c);
        Fills fills = new Fills(c);
        List<Part> leading =
                c.mainParts().stream().filter(p -> p.role() == PartRole.EYE).toList();
        for (EyePieces eye : EyePieces.of(c)) {
            Optional<Part> measure = eye.measure();
            Optional<Part> pupil = eye.pupil();
            if (measure.isEmpty() || pupil.isEmpty()) {
                continue;
            }
            Frame rest = evaluator.frame(c.showing(pupil.get().id()));
            Optional<Geometry> round = fills.in(rest, pupil.get().id());
            Optional<Geometry> seen =
                    fills.in(rest, measure.get().id()).map(g -> eye.dot() ? Fills.socket(g) : fills.open(rest, eye, g));
            if (round.isEmpty() || seen.isEmpty()) {
                continue;
            }
            double[] reach = reach(seen.get(), round.get());
            if (eye.dot()) {
                reach = within(reach, DotRoom.of(c, fills, rest, pupil.get(), round.get()), round.get());
            }
            // the dial moves the pupil in the coordinates of what it follows
            Matrix within = evaluator.atRest(pupil.get().parent());
            // a view with narrower eyes holds the look back where it shows, by the pad's edge there, and nowhere else
            if (leading.isEmpty() || leading.contains(eye.eye())) {
                across = Math.min(across, reach[0] / Math.max(1e-6, Math.hypot(within.a(), within.b())));
                down = Math.min(down, reach[1] / Math.max(1e-6, Math.hypot(within.c(), within.d())));
            }
            eye.piece(PartRole.PUPIL).ifPresent(p -> shares.put(p.id(), 1.0));
            eye.piece(PartRole.IRIS).ifPresent(p -> shares.put(p.id(), 1.0));
            eye.piece(PartRole.HIGHLIGHT).ifPresent(p -> shares.put(p.id(), HIGHLIGHT_SHARE));
        }
        if (shares.isEmpty()) {
            return c;
        }
        List<Dial> dials = new ArrayList<>(c.controls().dials());
        dials.removeIf(d -> d.id().equals(ACROSS) || d.id().equals(DOWN));
        dials.add(dial(ACROSS, "Gaze across", Purpose.GAZE_ACROSS, shares, across, 0));
        dials.add(dial(DOWN, "Gaze down", Purpose.GAZE_DOWN, shares, 0, down));
        List<Pad> pads = new ArrayList<>(c.controls().pads());
        pads.removeIf(p -> p.across().equals(ACROSS));
        pads.add(new Pad("Gaze", ACROSS, DOWN));
        return GazeField.fitted(c.withDials(dials, pads));
    }

    private static Dial dial(String id, String name, Purpose purpose, Map<String, Double> shares, double x, double y) {
        Map<String, Offset> plus = new HashMap<>();
        Map<String, Offset> minus = new HashMap<>();
        shares.forEach((part, share) -> {
            plus.put(part, Offset.shift(x * share, y * share));
            minus.put(part, Offset.shift(-x * share, -y * share));
        });
        return new Dial(id, name, purpose, -1, 1, 0, "", List.of(new Stop(-1, minus), new Stop(1, plus)), List.of());
    }

    /** Throw across and down: as far as both ways keep the pupil. */
    static double[] reach(Geometry white, Geometry pupil) {
        Overlap overlap = new Overlap(white, pupil);
        double most = Math.max(
                white.getEnvelopeInternal().getWidth(),
                white.getEnvelopeInternal().getHeight());
        return new double[] {
            Math.min(furthest(overlap, most, 1, 0), furthest(overlap, most, -1, 0)),
            Math.min(furthest(overlap, most, 0, 1), furthest(overlap, most, 0, -1))
        };
    }

    /** A dot is not masked: all of it stays in its room. Between features it looks about a little all the same, but stays on the face. */
    private static double[] within(double[] reach, DotRoom room, Geometry dot) {
        Envelope box = dot.getEnvelopeInternal();
        double[] free = kept(reach, room.free(), dot);
        double[] on = room.on().map(g -> kept(reach, g, dot)).orElse(reach);
        double across = Math.max(free[0], Math.min(on[0], DOT_LEAST * box.getWidth()));
        double down = Math.max(free[1], Math.min(on[1], DOT_LEAST * box.getHeight()));
        double aslant =
                room.on().map(g -> aslant(new Overlap(g, dot), across, down)).orElse(1.0);
        return new double[] {aslant * across, aslant * down};
    }

    /** The share of both ways that a dot may go at once. */
    private static double aslant(Overlap overlap, double across, double down) {
        double least = DOT_KEPT * overlap.kept(0, 0);
        double share = 1;
        for (int x = -1; x <= 1; x += 2) {
            for (int y = -1; y <= 1; y += 2) {
                share = Math.min(share, furthest(overlap, least, 1, x * across, y * down));
            }
        }
        return share;
    }

    /** How far the dot goes across and down within a room, {@code reach} at most. */
    private static double[] kept(double[] reach, Geometry room, Geometry dot) {
        Overlap overlap = new Overlap(room, dot);
        double least = DOT_KEPT * overlap.kept(0, 0);
        return new double[] {
            Math.min(furthest(overlap, least, reach[0], 1, 0), furthest(overlap, least, reach[0], -1, 0)),
            Math.min(furthest(overlap, least, reach[1], 0, 1), furthest(overlap, least, reach[1], 0, -1))
        };
    }

    private static double furthest(Overlap overlap, double most, double dx, double dy) {
        return furthest(overlap, GazeField.least(GazeField.KEPT, overlap.kept(0, 0)), most, dx, dy);
    }

    private static double furthest(Overlap overlap, double least, double most, double dx, double dy) {
        double near = 0;
        double far = most;
        for (int i = 0; i < 30; i++) {
            double m = (near + far) / 2;
            if (overlap.kept(dx * m, dy * m) >= least) {
                near = m;
            } else {
                far = m;
            }
        }
        return near;
    }
}
