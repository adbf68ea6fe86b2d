package app.leeward.bench.faces;

import app.leeward.core.art.Drawing;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.intake.Recognition;
import app.leeward.core.intake.Recognitions;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import app.leeward.faces.Truth;
import app.leeward.faces.What;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What became of the layers that are to be seen: those read as what they are, those read as something else, those nobody claims and
 * nobody makes an offer for, those not found in the rig at all.
 */
record Recognised(int right, int wrong, int unclaimed, int lost, int wrongSides, List<String> told) {
    private static final Map<What, Set<PartRole>> ROLES = new EnumMap<>(What.class);

    private static void is(What what, PartRole... roles) {
        ROLES.put(what, Set.of(roles));
    }

    static {
        is(What.SKIN, PartRole.FACE);
        is(What.HEAD_LINE, PartRole.FACE_LINE);
        is(What.EAR, PartRole.EAR);
        is(What.INNER_EAR, PartRole.INNER_EAR);
        is(What.WHITE, PartRole.WHITE);
        is(What.IRIS, PartRole.IRIS);
        is(What.PUPIL, PartRole.PUPIL);
        is(What.HIGHLIGHT, PartRole.HIGHLIGHT);
        is(What.UPPER_LID, PartRole.UPPER_LID);
        is(What.LOWER_LID, PartRole.LOWER_LID);
        is(What.EYE_LINE, PartRole.EYE_OUTLINE);
        is(What.LASHES, PartRole.LASHES);
        is(What.BLINK, PartRole.BLINK);
        is(What.BROW, PartRole.BROW);
        is(What.NOSE, PartRole.NOSE);
        is(What.MUZZLE, PartRole.MUZZLE);
        is(What.MOUTH, PartRole.MOUTH);
        is(What.CHEEK, PartRole.CHEEK);
        is(What.FRECKLES, PartRole.FRECKLES);
        is(What.WHISKERS, PartRole.WHISKERS);
        is(What.BEARD, PartRole.BEARD);
        is(What.MOUSTACHE, PartRole.MOUSTACHE);
        is(What.FRINGE, PartRole.FRINGE);
        is(What.SIDE_HAIR, PartRole.SIDE_HAIR);
        is(What.BACK_HAIR, PartRole.BACK_HAIR);
        is(What.HORN, PartRole.HORN);
        is(What.ANTENNA, PartRole.ANTENNA);
        is(What.HAT_CROWN, PartRole.CAP);
        is(What.HAT_BAND, PartRole.CAP_BAND);
        is(What.HAT_PEAK, PartRole.CAP_PEAK);
        is(What.HAT_BADGE, PartRole.CAP_BADGE);
        is(What.HAT_BUTTON, PartRole.CAP_BADGE);
        is(What.GLASSES, PartRole.GLASSES);
        is(What.LENS, PartRole.LENS);
        is(What.NECK, PartRole.NECK);
        is(What.COLLAR, PartRole.COLLAR);
        is(What.TORSO, PartRole.TORSO);
        is(What.UPPER_ARM, PartRole.UPPER_ARM);
        is(What.FOREARM, PartRole.FOREARM);
        is(What.HAND, PartRole.HAND);
    }

    static Recognised of(Character c, Truth truth) {
        Map<String, Recognition> offers = Recognitions.in(c).stream()
                .collect(Collectors.toMap(Recognition::part, Function.identity(), (a, b) -> a));
        int[] counts = new int[5];
        List<String> told = new ArrayList<>();
        for (Truth.Layer l : truth.layers()) {
            if (l.hidden() || l.aside()) {
                continue;
            }
            Optional<Part> part = partOf(c, truth, l);
            if (part.isEmpty()) {
                counts[3]++;
                told.add(l.what() + " '" + l.name() + "' is not in the rig");
                continue;
            }
            Part p = part.get();
            Recognition offer = p.role() == PartRole.OTHER ? offers.get(p.id()) : null;
            PartRole role = offer == null ? p.role() : offer.role();
            Side side = offer == null ? p.side() : offer.side();
            if (ROLES.get(l.what()).contains(role)) {
                counts[0]++;
                boolean otherSide = l.side() == app.leeward.faces.Side.LEFT && side == Side.RIGHT
                        || l.side() == app.leeward.faces.Side.RIGHT && side == Side.LEFT;
                if (otherSide) {
                    counts[4]++;
                    told.add(l.what() + " '" + l.name() + "' is on the " + side);
                }
            } else {
                counts[role == PartRole.OTHER ? 2 : 1]++;
                told.add(l.what() + " '" + l.name() + "' is read as " + role);
            }
        }
        return new Recognised(counts[0], counts[1], counts[2], counts[3], counts[4], told);
    }

    /** Whose shapes have a layer's first one among them: at its place and of its colours. */
    private static Optional<Part> partOf(Character c, Truth truth, Truth.Layer l) {
        for (Part p : c.rig().parts()) {
            for (Drawing d : p.drawings()) {
                if (d.art().shapes().stream().anyMatch(s -> same(s, truth, l))) {
                    return Optional.of(p);
                }
            }
        }
        return Optional.empty();
    }

    private static boolean same(Shape s, Truth truth, Truth.Layer l) {
        double near = 1e-3 * truth.headWidth();
        double[] box = box(s.path());
        for (int i = 0; i < 4; i++) {
            if (!(Math.abs(box[i] - l.box().get(i)) < near)) {
                return false;
            }
        }
        return colour(s.fill()).equals(l.fill()) && colour(s.stroke().paint()).equals(l.line());
    }

    private static String colour(Paint p) {
        return p instanceof Paint.Flat f ? f.colour() : "none";
    }

    private static double[] box(Path path) {
        double[] b = {Double.MAX_VALUE, Double.MAX_VALUE, -Double.MAX_VALUE, -Double.MAX_VALUE};
        for (Point p : path.points()) {
            b[0] = Math.min(b[0], p.x());
            b[1] = Math.min(b[1], p.y());
            b[2] = Math.max(b[2], p.x());
            b[3] = Math.max(b[3], p.y());
        }
        return b;
    }
}
