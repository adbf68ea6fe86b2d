package app.leeward.core.turn;

import app.leeward.core.art.Box;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Note;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Heads drawn from the side: one eye, and nose or mouth at the edge of the face. What is on the far side of them is in no drawing, so
 * they are turned by views. Shares are of the face's width, by eye.
 */
public final class SideOn {
    private static final double NOSE = 0.3;
    /** A mouth reaches back from the edge. */
    private static final double MOUTH = 0.2;

    private static final String CODE = "drawn-from-the-side";
    public static final String WHY =
            "This head is drawn from the side, so nothing says what its front looks like and it gets no turn. To turn it, draw it from the"
                    + " front as well and make both drawings views on Parts.";

    private SideOn() {}

    public static boolean drawn(Character c) {
        List<Part> parts = c.mainParts();
        long eyes = parts.stream().filter(p -> p.role() == PartRole.EYE).count();
        Optional<Box> face = of(parts, PartRole.FACE);
        if (eyes != 1 || face.isEmpty()) {
            return false;
        }
        Optional<Double> nose = of(parts, PartRole.NOSE).map(b -> beside(b, face.get()));
        return nose.isPresent()
                ? nose.get() > NOSE
                : of(parts, PartRole.MOUTH)
                        .filter(b -> beside(b, face.get()) > MOUTH)
                        .isPresent();
    }

    /** With a note that says why it has no turn. */
    static Character noted(Character c) {
        if (c.origin().notes().stream().anyMatch(n -> n.code().equals(CODE))) {
            return c;
        }
        List<Note> notes = new ArrayList<>(c.origin().notes());
        notes.add(new Note(CODE, c.part(PartRole.FACE).map(Part::name).orElse(""), WHY));
        return c.withOrigin(o -> o.withNotes(notes));
    }

    private static double beside(Box b, Box face) {
        return Math.abs(b.centre().x() - face.centre().x()) / face.width();
    }

    private static Optional<Box> of(List<Part> parts, PartRole role) {
        return parts.stream()
                .filter(p -> p.role() == role)
                .flatMap(p -> p.bounds().stream())
                .findFirst();
    }
}
