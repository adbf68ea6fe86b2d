package app.leeward.core.eye;

import app.leeward.core.art.Regions;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Purpose;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.locationtech.jts.geom.Geometry;

/**
 * Eyes measured in pictures one after the other: the white a shut eye shows, and how much of a pupil an open one keeps. By the limits
 * {@link EyeCheck} has for the eyes alone. Holds what it has measured; not for several threads.
 */
public final class ActedEyes {
    /** From this share of its blink on an eye is meant to be shut. */
    private static final double SHUT = 0.999;
    /** Beyond this share of its blink an eye closes, and what its lids hide of the pupil is no gaze gone too far. */
    private static final double CLOSING = 0.3;

    private final Evaluator evaluator;
    private final Fills fills;
    private final List<Eye> eyes = new ArrayList<>();

    public ActedEyes(Evaluator evaluator) {
        this.evaluator = evaluator;
        this.fills = new Fills(evaluator.character());
        for (EyePieces pieces : EyePieces.of(evaluator.character())) {
            eyes.add(new Eye(pieces));
        }
    }

    /**
     * What is wrong with one eye in one picture.
     *
     * @param eye its name
     * @param part the lid or the white of one that shows white, the pupil of one that has lost it
     * @param amount square units of white, or the share of the pupil that is seen
     */
    public record Sight(String eye, String part, double amount) {}

    /** Every eye that is shut and shows white. */
    public List<Sight> whites(Pose pose, Frame frame) {
        return eyes.stream()
                .filter(e -> e.shut.isPresent() && e.blink(pose) >= SHUT)
                .flatMap(e -> e.white(frame).stream())
                .toList();
    }

    /** Every open eye whose pupil is lost from its window. */
    public List<Sight> lost(Pose pose, Frame frame) {
        return eyes.stream()
                .filter(e -> e.pupil.isPresent() && e.white.isPresent() && e.blink(pose) < CLOSING)
                .flatMap(e -> e.lost(frame).stream())
                .toList();
    }

    private final class Eye {
        private final EyePieces pieces;
        private final List<Dial> blinks;
        private final Optional<Part> white;
        private final Optional<Part> pupil;
        private final Optional<ShutEye> shut;
        private final double size;
        private final boolean byContours;
        /** Area of its white at rest. */
        private final double open;

        private final Map<List<Frame.Placed>, Double> kept = new HashMap<>();

        Eye(EyePieces pieces) {
            this.pieces = pieces;
            String eye = pieces.eye().id();
            List<Dial> all = evaluator.character().controls().dials().stream()
                    .filter(d -> d.purpose() == Purpose.BLINK)
                    .toList();
            this.blinks = all.stream()
                    .filter(d -> pieces.pieces().stream().anyMatch(p -> moves(d, p.id())))
                    .toList();
            boolean squashed = all.stream().anyMatch(d -> d.poses(eye));
            this.white = pieces.piece(PartRole.WHITE).filter(p -> !p.drawings().isEmpty());
            this.pupil = pieces.pupil();
            this.shut = squashed || blinks.isEmpty() ? Optional.empty() : ShutEye.of(pieces, fills);
            this.size =
                    pieces.measure().map(p -> LidCover.larger(LidCover.fill(p))).orElse(1.0);
            this.byContours = pieces.shutByContours(evaluator.character());
            this.open = white.flatMap(
                            w -> fills.in(evaluator.frame(evaluator.character().showing(w.id())), w.id()))
                    .map(Geometry::getArea)
                    .orElse(0.0);
        }

        private static boolean moves(Dial d, String part) {
            return d.poses(part)
                    || !d.bandsOf(part).isEmpty()
                    || d.stops().stream().anyMatch(s -> s.reshapes().containsKey(part));
        }

        /** How far it is shut by its blink, 0 to 1; what else lowers its lids does not count. */
        double blink(Pose pose) {
            double most = 0;
            for (Dial d : blinks) {
                most = Math.max(most, (evaluator.setting(d.id(), pose) - d.rest()) / (d.to() - d.rest()));
            }
            return most;
        }

        Optional<Sight> white(Frame frame) {
            Geometry open = shut.orElseThrow().open(frame);
            if (byContours) {
                // what is thinner lies under the line that both contours have become
                open = open.buffer(-size * EyeCheck.SEAM);
            }
            double area = open.getArea();
            return area > EyeCheck.SPECK * size * size
                    ? Optional.of(new Sight(
                            pieces.eye().name(),
                            pieces.piece(PartRole.UPPER_LID)
                                    .filter(p -> !p.drawings().isEmpty())
                                    .or(() -> white)
                                    .orElseThrow()
                                    .id(),
                            area))
                    : Optional.empty();
        }

        Optional<Sight> lost(Frame frame) {
            Optional<Frame.Placed> ball = frame.of(pupil.orElseThrow().id()).filter(p -> p.opacity() > 0);
            Optional<Frame.Placed> window = frame.of(white.orElseThrow().id()).filter(p -> p.opacity() > 0);
            if (ball.isEmpty() || window.isEmpty()) {
                return Optional.empty();
            }
            double share = kept.computeIfAbsent(List.of(ball.get(), window.get()), k -> seen(frame));
            return share < EyeCheck.LOST
                    ? Optional.of(new Sight(pieces.eye().name(), ball.get().part(), share))
                    : Optional.empty();
        }

        private double seen(Frame frame) {
            Geometry window = fills.in(frame, white.orElseThrow().id()).orElseThrow();
            if (window.getArea() < (1 - CLOSING) * open) {
                // it closes by a drawing that is exchanged, and hides its pupil rightly
                return 1;
            }
            Geometry ball = fills.in(frame, pupil.orElseThrow().id()).orElseThrow();
            // nearly always all of it, which is found out sooner than how much
            if (window.getEnvelopeInternal().contains(ball.getEnvelopeInternal()) && window.covers(ball)) {
                return 1;
            }
            double whole = ball.getArea();
            return whole < 1e-3 ? 1 : Regions.both(window, ball).getArea() / whole;
        }
    }
}
