package app.leeward.core.solid;

import app.leeward.core.art.Regions;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import app.leeward.core.rig.SolidKind;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.prep.PreparedGeometry;
import org.locationtech.jts.geom.prep.PreparedGeometryFactory;

/** Guesses what a piece of a head is in the round: by its role where that says it, else by place, size and order. */
final class SolidGuess {
    /** From which share of the head's width on a piece goes round it. By eye, as all the others here. */
    private static final double WIDE = 0.8;
    /** How near the axis a piece stands on it, in half widths. */
    private static final double ON_AXIS = 0.3;
    /** How far above the head a hat reaches, in half widths. */
    private static final double HAT = 0.3;
    /** How tall a hat's knob is at most, in half widths: what reaches further down has a badge on the front as well. */
    private static final double KNOB = 0.4;
    /** How far down the face, as a share of its height, an ear is at its side. */
    private static final double SIDE = 0.3;
    /** How much of a piece lies within the face for it to lie on it. */
    private static final double WITHIN = 0.6;

    /** How far from the head's box a piece is none of its pieces, in half widths. */
    private static final double FAR = 1.2;

    private final Predicate<HeadPiece> hangsOnHead;
    private final Map<String, HeadPiece> pieces;
    private final Map<String, SolidKind> told = new HashMap<>();
    private final Geometry skin;
    /** The same, made ready for being asked about many pieces. */
    private final PreparedGeometry asked;

    private final double axis;
    private final double half;
    private final int skinOrder;
    private final double hatTop;

    /**
     * @param hangsOnHead whether a piece hangs on the head itself, not on another piece of it
     * @param pieces of the head, by part id
     * @param hatTop y of the highest point of the hat, canvas units; infinite when there is none
     */
    SolidGuess(
            Predicate<HeadPiece> hangsOnHead,
            Map<String, HeadPiece> pieces,
            Geometry skin,
            double axis,
            double half,
            int skinOrder,
            double hatTop) {
        this.hangsOnHead = hangsOnHead;
        this.pieces = pieces;
        this.skin = skin;
        asked = PreparedGeometryFactory.prepare(skin);
        this.axis = axis;
        this.half = half;
        this.skinOrder = skinOrder;
        this.hatTop = hatTop;
    }

    SolidKind of(HeadPiece piece) {
        // what lies on another is told by what that is
        SolidKind known = told.get(piece.part().id());
        if (known == null) {
            known = farAway(piece) ? SolidKind.FLAT : byRole(piece);
            told.put(piece.part().id(), known);
        }
        return known;
    }

    /** What hangs on the head itself and lies far from it was put aside or hangs there by mistake. */
    private boolean farAway(HeadPiece piece) {
        return hangsOnHead.test(piece)
                && !piece.area().isEmpty()
                && piece.area().getEnvelopeInternal().distance(skin.getEnvelopeInternal()) > FAR * half;
    }

    private SolidKind byRole(HeadPiece piece) {
        PartRole role = piece.part().role();
        return switch (role) {
            case FACE, FACE_LINE, HEAD, CHEEK, FRECKLES -> SolidKind.SKULL;
            case MUZZLE -> SolidKind.MASS;
            // one of two nostrils
            case NOSE -> piece.part().side() == Side.NONE ? SolidKind.MASS : SolidKind.DECAL;
            case MOUTH, MOUSTACHE -> SolidKind.MOUTH;
            case EYE, BROW -> SolidKind.DECAL;
            case CAP_BADGE -> crownsHat(piece.area()) ? SolidKind.AXIS : SolidKind.DECAL;
            case EAR -> piece.order() > skinOrder || atTheSide(piece.area()) ? SolidKind.EAR : SolidKind.PLATE;
            case INNER_EAR, HORN -> SolidKind.PLATE;
            case CAP_PEAK -> SolidKind.RING;
            // what is small and sewn on is called after the hat as well
            case CAP, CAP_BAND -> onHat(piece) && !piece.area().isEmpty() ? worn(piece.area()) : SolidKind.RING;
            case GLASSES, LENS -> SolidKind.FRAME;
            case FRINGE, SIDE_HAIR, EXTRA_HAIR, BEARD -> SolidKind.COVER;
            case BACK_HAIR -> SolidKind.SHELL;
            case ANTENNA -> onAxis(piece.area()) ? SolidKind.AXIS : SolidKind.PLATE;
            case WHISKERS -> onAxis(piece.area()) ? SolidKind.SKULL : SolidKind.PLATE;
            default -> piece.part().drawings().isEmpty() ? SolidKind.FLAT : placed(piece);
        };
    }

    /** Beside the middle of the face: people's ears, not those that stand on top of a head. */
    private boolean atTheSide(Geometry area) {
        Envelope face = skin.getEnvelopeInternal();
        return !area.isEmpty() && area.getCentroid().getY() > face.getMinY() + SIDE * face.getHeight();
    }

    private SolidKind placed(HeadPiece piece) {
        Geometry area = piece.area();
        Envelope box = area.getEnvelopeInternal();
        Envelope face = skin.getEnvelopeInternal();
        if (box.isNull()) {
            return SolidKind.FLAT;
        }
        if (onHat(piece)) {
            return worn(area);
        }
        boolean wide = box.getWidth() > WIDE * 2 * half;
        if (piece.order() < skinOrder) {
            if (wide) {
                return SolidKind.SHELL;
            }
            return onAxis(area) && box.getMinY() < face.getMinY() ? SolidKind.AXIS : SolidKind.PLATE;
        }
        if (wide && box.getMinY() < face.getMinY() - HAT * half) {
            return SolidKind.RING;
        }
        if (wide && box.getMaxY() < face.centre().y) {
            return SolidKind.COVER;
        }
        if (within(area)) {
            return SolidKind.SKULL;
        }
        if (box.getMaxY() < face.getMinY() + 0.1 * face.getHeight() && onAxis(area)) {
            return SolidKind.AXIS;
        }
        // an ear drawn before the face is for the most part beside it, a strand of hair is not
        boolean out = share(area) < 0.35;
        boolean beside = out && (box.getMinX() > axis + 0.6 * half || box.getMaxX() < axis - 0.6 * half);
        return beside ? SolidKind.PLATE : SolidKind.COVER;
    }

    /** Whether it hangs on a piece of a hat, by its role or because that goes round the head, is wider and lies under it. */
    private boolean onHat(HeadPiece piece) {
        Optional<HeadPiece> parent = piece.part().parent().map(pieces::get);
        if (parent.filter(HeadPiece::ofHat).isPresent()) {
            return true;
        }
        return Hats.beneath(piece, pieces.values(), o -> o.part().role() == PartRole.OTHER && of(o) == SolidKind.RING)
                .isPresent();
    }

    /** What hangs on a hat goes round it, sits on top of it, or is a badge. */
    private SolidKind worn(Geometry area) {
        if (crownsHat(area)) {
            return SolidKind.AXIS;
        }
        return area.getEnvelopeInternal().getWidth() > half ? SolidKind.RING : SolidKind.DECAL;
    }

    private boolean onAxis(Geometry area) {
        return Math.abs(area.getCentroid().getX() - axis) < ON_AXIS * half;
    }

    /** A knob or a bobble sits on the hat's top, where a badge on its front would be drawn out to a splinter. */
    private boolean crownsHat(Geometry area) {
        Envelope box = area.getEnvelopeInternal();
        return onAxis(area) && box.getMinY() < hatTop && (box.getHeight() < KNOB * half || box.centre().y < hatTop);
    }

    private boolean within(Geometry area) {
        return share(area) > WITHIN;
    }

    private double share(Geometry area) {
        double all = area.getArea();
        if (all > 0) {
            // most lie wholly on the face or beside it, which is told faster than what is shared
            if (asked.contains(area)) {
                return 1;
            }
            if (!asked.intersects(area)) {
                return 0;
            }
            return Regions.both(area, skin).getArea() / all;
        }
        return skin.contains(area.getCentroid()) ? 1 : 0;
    }
}
