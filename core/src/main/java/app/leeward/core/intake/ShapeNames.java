package app.leeward.core.intake;

import app.leeward.core.art.Paint;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Gives the shapes of a mouth drawing their roles from their names. */
final class ShapeNames {
    private ShapeNames() {}

    /** Places whose lines lie by the mouth and are no part of its opening: they follow the jaw as they are. */
    private static final List<String> BESIDE = List.of("chin", "cheek", "cheeks", "jaw", "dimple", "dimples", "crease");

    static Optional<ShapeRole> read(String name) {
        List<String> w = PartNames.words(name);
        if (BESIDE.stream().anyMatch(w::contains)) {
            return Optional.of(ShapeRole.OTHER);
        }
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

    /** Whether it is the colour of lips: named so, filled, and something else is the opening or the line round it. */
    private static boolean coloured(Shape s, List<Shape> all) {
        return named(s, "lip", "lips")
                && !s.fill().equals(Paint.NONE)
                && all.stream().anyMatch(o -> o != s && !named(o, "lip", "lips") && opens(o));
    }

    private static boolean named(Shape s, String... names) {
        List<String> words = PartNames.words(s.name());
        return Stream.of(names).anyMatch(words::contains);
    }

    private static boolean opens(Shape s) {
        ShapeRole role = read(s.name()).orElse(ShapeRole.OTHER);
        return role == ShapeRole.WINDOW || role == ShapeRole.OUTLINE;
    }

    /**
     * Roles for one drawing's shapes. Teeth and tongue are masked by the window when there is one; a piece named "in
     * front" (the upper teeth of an F) is not.
     */
    static List<Shape> withRoles(List<Shape> shapes) {
        boolean window = shapes.stream().anyMatch(s -> read(s.name()).orElse(ShapeRole.OTHER) == ShapeRole.WINDOW);
        return shapes.stream()
                .map(s -> {
                    ShapeRole role = coloured(s, shapes)
                            ? ShapeRole.LIPS
                            : read(s.name()).orElse(ShapeRole.OTHER);
                    boolean front = PartNames.words(s.name()).contains("front");
                    return s.withRole(role, window && role.behindWindow() && !front);
                })
                .toList();
    }
}
