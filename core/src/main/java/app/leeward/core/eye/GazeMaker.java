package app.leeward.core.eye;

import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.Pad;
import app.leeward.core.dial.Purpose;
import app.leeward.core.dial.Stop;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.util.AffineTransformation;

/**
 * Makes the gaze pad: two dials from -1 to 1 that move iris, pupil and highlight of both eyes together. Full throw is
 * as far as the pupil, even into the pad's corners, keeps {@link #KEPT} of its area inside the white.
 */
public final class GazeMaker {
    public static final String ACROSS = "gaze-across";
    public static final String DOWN = "gaze-down";
    /** Least share of the pupil that stays in its window. */
    static final double KEPT = 0.75;
    /** Share of the pupil's way that the highlight goes: the light does not move with the look. */
    private static final double HIGHLIGHT_SHARE = 0.55;

    private GazeMaker() {}

    /** The character with a gaze pad; unchanged when no eye has a white with a pupil or iris. */
    public static Character addTo(Character c) {
        double across = Double.POSITIVE_INFINITY;
        double down = Double.POSITIVE_INFINITY;
        Map<String, Double> shares = new HashMap<>();
        for (EyePieces eye : EyePieces.of(c)) {
            Optional<Part> white =
                    eye.piece(PartRole.WHITE).filter(p -> !p.drawings().isEmpty());
            Optional<Part> pupil = eye.piece(PartRole.PUPIL)
                    .or(() -> eye.piece(PartRole.IRIS))
                    .filter(p -> !p.drawings().isEmpty());
            if (white.isEmpty() || pupil.isEmpty()) {
                continue;
            }
            double[] reach = reach(LidCover.fill(white.get()), LidCover.fill(pupil.get()));
            across = Math.min(across, reach[0]);
            down = Math.min(down, reach[1]);
            eye.piece(PartRole.PUPIL).ifPresent(p -> shares.put(p.id(), 1.0));
            eye.piece(PartRole.IRIS).ifPresent(p -> shares.put(p.id(), 1.0));
            eye.piece(PartRole.HIGHLIGHT).ifPresent(p -> shares.put(p.id(), HIGHLIGHT_SHARE));
        }
        if (shares.isEmpty()) {
            return c;
        }
        List<Dial> dials = new ArrayList<>(c.dials());
        dials.removeIf(d -> d.id().equals(ACROSS) || d.id().equals(DOWN));
        dials.add(dial(ACROSS, "Gaze across", Purpose.GAZE_ACROSS, shares, across, 0));
        dials.add(dial(DOWN, "Gaze down", Purpose.GAZE_DOWN, shares, 0, down));
        return c.withDials(dials, List.of(new Pad("Gaze", ACROSS, DOWN)));
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

    /** Throw across and down, shrunk together until the pad's four corners keep the pupil too. */
    static double[] reach(Geometry white, Geometry pupil) {
        double across = Math.min(furthest(white, pupil, 1, 0), furthest(white, pupil, -1, 0));
        double down = Math.min(furthest(white, pupil, 0, 1), furthest(white, pupil, 0, -1));
        double shrink = 1;
        for (int i = 0; i < 40 && worstCorner(white, pupil, across * shrink, down * shrink) < KEPT; i++) {
            shrink *= 0.96;
        }
        return new double[] {across * shrink, down * shrink};
    }

    private static double worstCorner(Geometry white, Geometry pupil, double x, double y) {
        double least = 1;
        for (int sx = -1; sx <= 1; sx += 2) {
            for (int sy = -1; sy <= 1; sy += 2) {
                least = Math.min(least, kept(white, pupil, sx * x, sy * y));
            }
        }
        return least;
    }

    private static double furthest(Geometry white, Geometry pupil, double dx, double dy) {
        double near = 0;
        double far = Math.max(
                white.getEnvelopeInternal().getWidth(),
                white.getEnvelopeInternal().getHeight());
        for (int i = 0; i < 30; i++) {
            double m = (near + far) / 2;
            if (kept(white, pupil, dx * m, dy * m) >= KEPT) {
                near = m;
            } else {
                far = m;
            }
        }
        return near;
    }

    /** Share of the pupil's area inside the white when it is moved by (dx, dy). */
    static double kept(Geometry white, Geometry pupil, double dx, double dy) {
        Geometry moved = AffineTransformation.translationInstance(dx, dy).transform(pupil);
        return white.intersection(moved).getArea() / pupil.getArea();
    }
}
