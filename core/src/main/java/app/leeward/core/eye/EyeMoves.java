package app.leeward.core.eye;

import app.leeward.core.art.Box;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.OffsetCurve;
import app.leeward.core.dial.Purpose;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.Optional;

/** How eyes move by ready-made dials. How far is common practice, no source. */
final class EyeMoves {
    private static final double NARROW = 0.5;
    private static final double WIDE = 1.14;
    /** Share of the width of the white, or of a dot. */
    private static final double INWARDS = 0.16;

    private EyeMoves() {}

    static void squint(Character c, Moves moves) {
        for (EyePieces eye : EyePieces.of(c)) {
            if (eye.dot()) {
                squintDot(eye, moves);
            } else {
                eye.measure().flatMap(Part::bounds).ifPresent(box -> squint(eye, box, moves));
            }
        }
    }

    /** A dot has nothing to close over it: it flattens and grows itself. */
    private static void squintDot(EyePieces eye, Moves moves) {
        Part dot = eye.pupil().orElseThrow();
        dot.bounds().ifPresent(box -> {
            double middle = box.centre().y();
            moves.most(dot.id(), grown(dot.pivot(), middle, 1, NARROW));
            moves.least(dot.id(), grown(dot.pivot(), middle, WIDE, WIDE));
        });
    }

    private static void squint(EyePieces eye, Box white, Moves moves) {
        double middle = white.centre().y();
        double in = (1 - NARROW) / 2 * white.height();
        for (Part p : eye.pieces()) {
            switch (p.role()) {
                case WHITE, EYE_OUTLINE, LASHES -> moves.most(p.id(), grown(p.pivot(), middle, 1, NARROW));
                case UPPER_LID -> moves.most(p.id(), Offset.shift(0, in));
                case LOWER_LID -> moves.most(p.id(), Offset.shift(0, -in));
                // a wide eye grows whole, lids too, so that it still shuts; what looks out of it does not grow
                case IRIS, PUPIL, HIGHLIGHT -> moves.least(p.id(), Offset.placed(0, 0, 0, 1, 1 / WIDE, 0, 1));
                default -> {}
            }
        }
        moves.least(eye.eye().id(), grown(eye.eye().pivot(), middle, 1, WIDE));
    }

    /** Grown about the pivot and moved so that the middle stays where it was. */
    static Offset grown(Point pivot, double middle, double scaleX, double scaleY) {
        return Offset.placed(0, (middle - pivot.y()) * (1 - scaleY), 0, scaleX, scaleY, 0, 1);
    }

    static void pupilSize(Character c, Moves moves) {
        for (EyePieces eye : EyePieces.of(c)) {
            eye.piece(PartRole.PUPIL).ifPresent(p -> {
                moves.least(p.id(), Offset.placed(0, 0, 0, 0.5, 0.5, 0, 1));
                moves.most(p.id(), Offset.placed(0, 0, 0, 1.6, 1.6, 0, 1));
            });
        }
    }

    static void convergence(Character c, Moves moves) {
        for (EyePieces eye : EyePieces.of(c)) {
            Optional<Box> white = eye.measure().flatMap(Part::bounds);
            int inwards =
                    switch (eye.eye().side()) {
                        case LEFT -> -1;
                        case RIGHT -> 1;
                        case NONE -> 0;
                    };
            if (white.isPresent() && inwards != 0) {
                for (Part p : eye.pieces()) {
                    if (p.role() == PartRole.IRIS || p.role() == PartRole.PUPIL || p.role() == PartRole.HIGHLIGHT) {
                        moves.most(
                                p.id(),
                                Offset.shift(inwards * INWARDS * white.get().width(), 0));
                    }
                }
            }
        }
    }

    /** One kind of lid by itself, as far as the blink takes it; of an eye whose contours come together, the contour it would follow. */
    static void lids(Character c, PartRole role, Moves moves) {
        for (EyePieces eye : EyePieces.of(c)) {
            eye.piece(PartRole.WHITE)
                    .filter(w -> eye.shutsItself() && eye.shutByContours(c))
                    .ifPresent(white -> {
                        EyeOpening opening = EyeOpening.of(white);
                        EyeOpening.Moment half = EyeOpening.half(LidCover.MEETING, role == PartRole.UPPER_LID);
                        eye.about(c, white).forEach(p -> opening.moved(p, half).stream()
                                .filter(d -> !d.still())
                                .forEach(d -> moves.most(p.id(), d)));
                    });
        }
        for (Dial blink : c.controls().dials()) {
            if (blink.purpose() == Purpose.BLINK) {
                for (OffsetCurve way : OffsetCurve.of(blink)) {
                    Part lid = c.part(way.part()).orElse(null);
                    Offset shut = way.at(blink.to());
                    if (lid != null && lid.role() == role && shut.y() != 0) {
                        moves.most(lid.id(), shut);
                    }
                }
                blink.bands().stream()
                        .filter(b ->
                                c.part(b.part()).filter(p -> p.role() == role).isPresent())
                        .forEach(b -> moves.exchange(b.part(), b.bands()));
            }
        }
    }
}
