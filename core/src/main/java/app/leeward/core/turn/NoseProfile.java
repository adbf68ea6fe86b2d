package app.leeward.core.turn;

import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.dial.Band;
import app.leeward.core.dial.Bands;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** The drawings of a nose seen from the side: which they are, and one towards either side of the screen. */
final class NoseProfile {
    private static final String TO_RIGHT = "-to-right";
    private static final String TO_LEFT = "-to-left";

    private NoseProfile() {}

    static boolean is(Drawing d) {
        String name = d.name().toLowerCase(Locale.ROOT);
        return name.contains("profile") || name.contains("side");
    }

    /** The profile towards one side of the screen. */
    static Optional<Drawing> towards(Part nose, boolean screenRight) {
        String wanted = screenRight ? TO_RIGHT : TO_LEFT;
        return nose.drawings().stream()
                .filter(d -> is(d) && d.id().endsWith(wanted))
                .findFirst();
    }

    /** Bands of a piece that shows a profile wherever the head is turned, and nothing at rest; empty for other parts. */
    static Optional<Bands> alwaysOn(Part piece, double from, double rest, double to) {
        Optional<Drawing> right = towards(piece, true);
        Optional<Drawing> left = towards(piece, false);
        return piece.role() == PartRole.NOSE
                        && piece.shown().equals(Part.NOTHING)
                        && right.isPresent()
                        && left.isPresent()
                ? bands(
                        piece,
                        from,
                        rest,
                        left.get().id(),
                        rest,
                        to,
                        right.get().id())
                : Optional.empty();
    }

    /** One stretch to either side, without one that has no length, as on a dial that goes to one side only. */
    static Optional<Bands> bands(
            Part piece, double from, double low, String left, double high, double to, String right) {
        List<Band> all = new ArrayList<>();
        if (from < low) {
            all.add(new Band(from, low, left));
        }
        if (high < to) {
            all.add(new Band(high, to, right));
        }
        return all.isEmpty() ? Optional.empty() : Optional.of(new Bands(piece.id(), all));
    }

    /** Gives a nose with one profile drawing its two directions: as drawn, and its exact mirror image. */
    static Character bothWays(Character c) {
        Optional<Part> nose = c.part(PartRole.NOSE);
        Optional<Drawing> profile =
                nose.flatMap(n -> n.drawings().stream().filter(NoseProfile::is).findFirst());
        if (profile.isEmpty() || towards(nose.get(), true).isPresent()) {
            return c;
        }
        Drawing drawn = profile.get();
        Optional<Box> front = nose.get().bounds();
        Optional<Box> side = drawn.art().bounds();
        if (front.isEmpty() || side.isEmpty()) {
            return c;
        }
        double axis = front.get().centre().x();
        boolean pointsRight = side.get().centre().x() >= axis;
        Drawing asDrawn = new Drawing(
                drawn.id() + (pointsRight ? TO_RIGHT : TO_LEFT),
                drawn.name() + (pointsRight ? " to screen right" : " to screen left"),
                drawn.art());
        Drawing mirrored = new Drawing(
                drawn.id() + (pointsRight ? TO_LEFT : TO_RIGHT),
                drawn.name() + (pointsRight ? " to screen left" : " to screen right"),
                drawn.art().transform(Matrix.mirror(axis)));
        List<Drawing> drawings = new ArrayList<>();
        for (Drawing d : nose.get().drawings()) {
            drawings.add(d.equals(drawn) ? asDrawn : d);
        }
        drawings.add(mirrored);
        String shown = nose.get().shown().equals(drawn.id())
                ? asDrawn.id()
                : nose.get().shown();
        return c.withPart(nose.get().id(), p -> p.withDrawings(drawings, shown));
    }
}
