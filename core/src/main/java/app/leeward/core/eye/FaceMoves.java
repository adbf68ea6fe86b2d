package app.leeward.core.eye;

import app.leeward.core.art.Bend;
import app.leeward.core.art.Box;
import app.leeward.core.dial.Band;
import app.leeward.core.dial.Offset;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.BrowPlace;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/** How brows, cheeks, nose and mouth move by ready-made dials. How far is common practice, no source. */
final class FaceMoves {
    /** Shares of the brow's width. */
    private static final double RAISED = 0.3;

    private static final double LOWERED = 0.2;
    private static final double BENT = 0.26;
    private static final double TOGETHER = 0.12;
    /** Degrees. */
    private static final double TILTED = 22;
    /** Shares of the cheek's and of the nose's height, and of the mouth's width. */
    private static final double CHEEK_UP = 0.3;

    private static final double NOSE_UP = 0.1;
    private static final double CORNERS = 0.2;
    /** A mouth wider than this share of the face is moved as one of that width. */
    private static final double WIDE_MOUTH = 0.5;

    private FaceMoves() {}

    private interface One {
        void move(Part part, Box at);
    }

    /** What is wider than this, as a share of the face, or nearer to its edge, is no cheek that rises. */
    private static final double PATCH = 0.4;

    private static final double PATCH_EDGE = 0.01;

    private static void each(Character c, PartRole role, One one) {
        for (Part p : c.rig().parts()) {
            if (p.role() == role) {
                p.bounds().ifPresent(at -> one.move(p, at));
            }
        }
    }

    static void raise(Character c, Moves moves) {
        each(c, PartRole.BROW, (brow, at) -> {
            double width = place(c, brow, at) == BrowPlace.MIDDLE ? at.width() / 2 : at.width();
            moves.most(brow.id(), Offset.shift(0, -RAISED * width));
            moves.least(brow.id(), Offset.shift(0, LOWERED * width));
        });
    }

    private static BrowPlace place(Character c, Part brow, Box at) {
        Map<String, String> views = c.rig().views();
        List<Box> brows = c.rig().parts().stream()
                .filter(p -> p.role() == PartRole.BROW && Objects.equals(views.get(p.id()), views.get(brow.id())))
                .flatMap(p -> p.bounds().stream())
                .toList();
        return BrowPlace.of(at, brows, c.sheet().model().axis());
    }

    static void tilt(Character c, Moves moves) {
        each(c, PartRole.BROW, (brow, at) -> {
            if (place(c, brow, at) == BrowPlace.MIDDLE) {
                double up = -BENT * at.width() / 2;
                Bend bend = new Bend(-up, up, -up);
                moves.most(brow.id(), Offset.NONE.with(bend));
                moves.least(brow.id(), Offset.NONE.with(bend.times(-1)));
                return;
            }
            // an inner end left of its pivot goes up when it is turned clockwise
            int up = at.centre().x() < brow.pivot().x() ? 1 : -1;
            moves.most(brow.id(), Offset.placed(0, 0, up * TILTED, 1, 1, 0, 1));
            moves.least(brow.id(), Offset.placed(0, 0, -up * TILTED, 1, 1, 0, 1));
        });
    }

    /**
     * Bends brows at one of their three points.
     *
     * @param point 0 inner, 1 middle, 2 outer
     */
    static void bend(Character c, int point, Moves moves) {
        each(c, PartRole.BROW, (brow, at) -> {
            double up = -BENT * at.width();
            Bend inner =
                    switch (point) {
                        case 0 -> new Bend(up, 0, 0);
                        case 1 -> new Bend(0, up, 0);
                        default -> new Bend(0, 0, up);
                    };
            // the inner end of a brow on the right of the screen is its left one
            Bend bend =
                    switch (place(c, brow, at)) {
                        case MIDDLE -> bothAtOnce(inner);
                        case SCREEN_RIGHT -> inner;
                        case SCREEN_LEFT -> inner.mirrored();
                    };
            moves.most(brow.id(), Offset.NONE.with(bend));
            moves.least(brow.id(), Offset.NONE.with(bend.times(-1)));
        });
    }

    /** Of one brow on the axis, half the width of which is a brow's. */
    private static Bend bothAtOnce(Bend one) {
        return new Bend(one.right() / 2, (one.left() + one.middle()) / 2, one.right() / 2);
    }

    static void together(Character c, Moves moves) {
        each(c, PartRole.BROW, (brow, at) -> {
            BrowPlace place = place(c, brow, at);
            if (place == BrowPlace.MIDDLE) {
                // about its middle, wherever its pivot is
                double x = TOGETHER * (at.centre().x() - brow.pivot().x());
                moves.most(brow.id(), Offset.placed(x, 0, 0, 1 - TOGETHER, 1, 0, 1));
                moves.least(brow.id(), Offset.placed(-x, 0, 0, 1 + TOGETHER, 1, 0, 1));
                return;
            }
            double in = (place == BrowPlace.SCREEN_RIGHT ? -1 : 1) * TOGETHER * at.width();
            moves.most(brow.id(), Offset.shift(in, 0));
            moves.least(brow.id(), Offset.shift(-in, 0));
        });
    }

    static void cheeks(Character c, Moves moves) {
        each(c, PartRole.CHEEK, (cheek, at) -> {
            if (!patch(c, at)) {
                moves.most(cheek.id(), Offset.shift(0, -CHEEK_UP * at.height()));
            }
        });
    }

    /** A large patch of the face, or one that runs to its edge, is fur or a muzzle: raised, it would slide like a mask. */
    private static boolean patch(Character c, Box cheek) {
        Optional<Box> face = c.part(PartRole.FACE).flatMap(Part::bounds);
        double edge = face.map(f -> PATCH_EDGE * f.width()).orElse(0.0);
        return face.filter(f -> cheek.width() > PATCH * f.width()
                        || cheek.minX() < f.minX() + edge
                        || cheek.maxX() > f.maxX() - edge)
                .isPresent();
    }

    static void nose(Character c, Moves moves) {
        each(
                c,
                PartRole.NOSE,
                (nose, at) -> moves.most(nose.id(), Offset.placed(0, -NOSE_UP * at.height(), 0, 1.08, 0.88, 0, 1)));
    }

    private static Optional<Part> mouth(Character c) {
        return c.voice().mouths().part().flatMap(c::part).or(() -> c.part(PartRole.MOUTH));
    }

    static void corners(Character c, Moves moves) {
        mouth(c).ifPresent(m -> m.bounds().ifPresent(at -> {
            // a mouth from ear to ear smiles no higher for it
            double most = c.part(PartRole.FACE)
                    .flatMap(Part::bounds)
                    .map(f -> WIDE_MOUTH * f.width())
                    .orElse(Double.POSITIVE_INFINITY);
            double up = CORNERS * Math.min(at.width(), most);
            moves.most(m.id(), Offset.bent(-up, 0, -up));
            moves.least(m.id(), Offset.bent(up, 0, up));
        }));
    }

    static void width(Character c, Moves moves) {
        mouth(c).ifPresent(m -> {
            moves.most(m.id(), Offset.placed(0, 0, 0, 1.22, 1, 0, 1));
            moves.least(m.id(), Offset.placed(0, 0, 0, 0.76, 1, 0, 1));
        });
    }

    static void tight(Character c, Moves moves) {
        mouth(c).ifPresent(m -> moves.most(m.id(), Offset.placed(0, 0, 0, 0.84, 0.7, 0, 1)));
    }

    static void lowerLip(Character c, Moves moves) {
        mouth(c).ifPresent(m -> m.bounds().ifPresent(at -> {
            double taller = 1.22;
            // grown downwards: the upper edge stays
            double down = (m.pivot().y() - at.minY()) * (taller - 1);
            moves.most(m.id(), Offset.placed(0, down, 0, 1, taller, 0, 1));
        }));
    }

    /** The mouths drawn for a half and a wide open jaw. */
    static void jaw(Character c, Moves moves) {
        MouthChart chart = c.voice().mouths();
        Optional<MouthChart.Service> half = chart.serve(Viseme.EH);
        Optional<MouthChart.Service> wide = chart.serve(Viseme.AH);
        if (chart.part().isPresent() && half.isPresent() && wide.isPresent()) {
            List<Band> drawings = new ArrayList<>();
            drawings.add(new Band(0.25, 0.6, half.get().drawing()));
            drawings.add(new Band(0.6, 1, wide.get().drawing()));
            moves.exchange(chart.part().get(), drawings);
        }
    }
}
