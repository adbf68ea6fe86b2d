package app.leeward.core.eye;

import app.leeward.core.art.Paint;
import app.leeward.core.dial.Purpose;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** One eye and the pieces that follow it. */
record EyePieces(Part eye, List<Part> pieces) {
    static List<EyePieces> of(Character c) {
        return c.rig().parts().stream()
                .filter(p -> p.role() == PartRole.EYE)
                .map(eye -> new EyePieces(eye, c.rig().childrenOf(eye.id())))
                .toList();
    }

    /** What has to stay in sight: the pupil, or the iris of an eye that has no other. */
    Optional<Part> pupil() {
        return piece(PartRole.PUPIL).or(() -> piece(PartRole.IRIS)).filter(p -> !p.drawings()
                .isEmpty());
    }

    /** Whether the eye is its pupil alone, drawn straight on the face. */
    boolean dot() {
        return pupil().isPresent()
                && pieces.stream()
                        .filter(p -> p.role() == PartRole.WHITE || p.role() == PartRole.EYE_OUTLINE)
                        .allMatch(p -> p.drawings().isEmpty());
    }

    /** What says how large the eye is: its white, or the pupil of a dot. */
    Optional<Part> measure() {
        return piece(PartRole.WHITE).filter(p -> !p.drawings().isEmpty()).or(() -> dot() ? pupil() : Optional.empty());
    }

    /** Whether the eye shuts by a set of drawings, of its lid or of itself, which needs no lower lid. */
    boolean drawnLids() {
        return piece(PartRole.UPPER_LID).filter(p -> p.drawings().size() > 1).isPresent() || blink().isPresent();
    }

    /** Whether its white has contours that can come together, so that it shuts without lids: a picture has none. */
    boolean shutsItself() {
        return piece(PartRole.WHITE)
                .filter(p -> !p.drawings().isEmpty())
                .filter(p -> p.drawings().stream()
                        .flatMap(d -> d.art().shapes().stream())
                        .noneMatch(s -> s.fill() instanceof Paint.Picture))
                .filter(p -> LidCover.fill(p).getArea() > 0)
                .isPresent();
    }

    /** Whether a blink that was made brings its contours together. */
    boolean shutByContours(Character c) {
        Optional<Part> white = piece(PartRole.WHITE);
        return white.isPresent()
                && c.controls().dials().stream()
                        .filter(d -> d.purpose() == Purpose.BLINK)
                        .flatMap(d -> d.stops().stream())
                        .anyMatch(s -> s.reshapes().containsKey(white.get().id()));
    }

    /**
     * What goes with the contours of the white when they come together: the white, lines and lids about it, what is drawn of a lid beyond
     * it, and what looks out of it where it does not mask that.
     */
    List<Part> about(Character c, Part white) {
        Set<String> behind = c.rig().windows().stream()
                .filter(w -> w.by().equals(white.id()))
                .flatMap(w -> w.masked().stream())
                .collect(Collectors.toSet());
        return pieces.stream()
                .filter(p -> !ShutLine.made(p))
                .filter(p -> looks(p) ? !behind.contains(p.id()) : p.role() != PartRole.OTHER || fold(p, white))
                .toList();
    }

    static boolean looks(Part p) {
        return p.role() == PartRole.IRIS || p.role() == PartRole.PUPIL || p.role() == PartRole.HIGHLIGHT;
    }

    /** Whether a piece is what is drawn of a lid beyond the white. */
    static boolean fold(Part p, Part white) {
        return p.pastEdges().contains(white.id());
    }

    /** The drawings of the eye as it shuts. */
    Optional<Part> blink() {
        return piece(PartRole.BLINK).filter(p -> !p.drawings().isEmpty());
    }

    Optional<Part> piece(PartRole role) {
        return pieces.stream().filter(p -> p.role() == role).findFirst();
    }
}
