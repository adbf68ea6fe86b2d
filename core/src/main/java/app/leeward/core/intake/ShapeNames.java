package app.leeward.core.intake;

import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import java.util.List;
import java.util.Optional;

/** Gives the shapes of a mouth drawing their roles from their names. */
final class ShapeNames {
    private ShapeNames() {}

    static Optional<ShapeRole> read(String name) {
        List<String> w = PartNames.words(name);
        boolean teeth = w.contains("teeth") || w.contains("tooth");
        if (teeth) {
            boolean lower = w.contains("lower") || w.contains("bottom");
            return Optional.of(lower ? ShapeRole.LOWER_TEETH : ShapeRole.UPPER_TEETH);
        }
        if (w.contains("beak") || w.contains("bill")) {
            boolean lower = w.contains("lower") || w.contains("bottom");
            return Optional.of(lower ? ShapeRole.LOWER_BEAK : ShapeRole.UPPER_BEAK);
        }
        if (w.contains("tongue")) {
            return Optional.of(ShapeRole.TONGUE);
        }
        if (w.contains("window") || w.contains("mask") || w.contains("opening")) {
            return Optional.of(ShapeRole.WINDOW);
        }
        if (w.contains("inside") || w.contains("interior") || w.contains("throat")) {
            return Optional.of(ShapeRole.INSIDE);
        }
        if (w.contains("outline") || w.contains("lip") || w.contains("lips") || w.contains("line")) {
            return Optional.of(ShapeRole.OUTLINE);
        }
        return Optional.empty();
    }

    /**
     * Roles for one drawing's shapes. Teeth and tongue are masked by the window when there is one; a piece named "in
     * front" (the upper teeth of an F) is not.
     */
    static List<Shape> withRoles(List<Shape> shapes) {
        boolean window = shapes.stream().anyMatch(s -> read(s.name()).orElse(ShapeRole.OTHER) == ShapeRole.WINDOW);
        return shapes.stream()
                .map(s -> {
                    ShapeRole role = read(s.name()).orElse(ShapeRole.OTHER);
                    boolean front = PartNames.words(s.name()).contains("front");
                    return s.withRole(role, window && role.behindWindow() && !front);
                })
                .toList();
    }
}
