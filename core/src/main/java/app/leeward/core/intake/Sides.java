package app.leeward.core.intake;

import app.leeward.core.art.Box;
import app.leeward.core.rig.Note;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Settles sides for a whole file: whose left is meant, and which of two unnamed twins is which. */
final class Sides {
    private Sides() {}

    static void settle(List<LayerReading.Found> found, List<Note> notes) {
        found.stream()
                .map(f -> f.view)
                .distinct()
                .forEach(view ->
                        twins(found.stream().filter(f -> f.view.equals(view)).toList(), fromBehind(view)));
        List<LayerReading.Found> facing =
                found.stream().filter(f -> !fromBehind(f.view)).toList();
        if (leftMinusRight(facing) < 0) {
            // the character faces us, so its own left lies on the right of the screen
            found.forEach(f -> f.side = f.side.mirrored());
            notes.add(new Note(
                    "sides-turned",
                    "left and right",
                    "The file's left is the left of the screen; sides were turned into the character's own."));
        }
        nearAndFar(found);
    }

    /** Near and far are the character's sides: of a head that looks to the screen's left, its left side is near. */
    private static void nearAndFar(List<LayerReading.Found> found) {
        for (LayerReading.Found f : found) {
            if (f.near != null) {
                boolean left = f.near
                        != looksRight(found.stream()
                                .filter(o -> o.view.equals(f.view))
                                .toList());
                f.side = left ? Side.LEFT : Side.RIGHT;
            }
        }
    }

    private static boolean looksRight(List<LayerReading.Found> head) {
        Optional<Box> all =
                head.stream().flatMap(f -> Assembler.boundsOf(f).stream()).reduce(Box::union);
        return Views.looksRight(
                all, role -> head.stream().filter(f -> f.role == role).flatMap(f -> Assembler.boundsOf(f).stream()));
    }

    /** Seen from behind, the character's left lies on the left of the screen. */
    private static boolean fromBehind(Optional<LayerReading.Found> view) {
        return view.filter(v -> {
                    List<String> words = PartNames.words(v.name);
                    return words.contains("back") || words.contains("rear");
                })
                .isPresent();
    }

    /** Sum over sided pairs of how far the "left" one lies to the right of the "right" one, user units. */
    private static double leftMinusRight(List<LayerReading.Found> found) {
        double sum = 0;
        for (LayerReading.Found left : found) {
            for (LayerReading.Found right : found) {
                if (left.side == Side.LEFT
                        && right.side == Side.RIGHT
                        && left.role == right.role
                        && left.view.equals(right.view)) {
                    Optional<Box> l = Assembler.boundsOf(left);
                    Optional<Box> r = Assembler.boundsOf(right);
                    if (l.isPresent() && r.isPresent()) {
                        sum += l.get().centre().x() - r.get().centre().x();
                    }
                }
            }
        }
        return sum;
    }

    /** A scarf over a collar is no second side of it. */
    private static boolean besideEachOther(List<LayerReading.Found> two) {
        Box a = Assembler.boundsOf(two.get(0)).orElseThrow();
        Box b = Assembler.boundsOf(two.get(1)).orElseThrow();
        double overlap = Math.min(a.maxX(), b.maxX()) - Math.max(a.minX(), b.minX());
        return overlap <= Math.min(a.width(), b.width()) / 4;
    }

    private static void twins(List<LayerReading.Found> found, boolean behind) {
        for (PartRole role : PartRole.values()) {
            List<LayerReading.Found> sideless = new ArrayList<>(found.stream()
                    .filter(f -> f.role == role
                            && f.side == Side.NONE
                            && role.inPairs()
                            && f.whole.isEmpty()
                            && Assembler.boundsOf(f).isPresent())
                    .toList());
            boolean sidedToo = found.stream().anyMatch(f -> f.role == role && f.side != Side.NONE);
            if (sideless.size() == 2 && !sidedToo && besideEachOther(sideless)) {
                sideless.sort(Comparator.comparingDouble(
                        f -> Assembler.boundsOf(f).orElseThrow().centre().x()));
                sideless.get(0).side = behind ? Side.LEFT : Side.RIGHT;
                sideless.get(1).side = behind ? Side.RIGHT : Side.LEFT;
            }
        }
    }
}
