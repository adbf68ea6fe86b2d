package app.leeward.core.transfer;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Swatch;
import app.leeward.core.rig.Character;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * Taken art wears the colours of the character that takes it: lines its line, and of each role – lips, teeth, tongue – what its own
 * drawing has there; what is left of a hand is skin, its largest fill.
 */
final class Colouring {
    private Colouring() {}

    /** Which colour becomes which, from the drawings that stand for each other. */
    static Map<String, String> between(Artwork from, Artwork to) {
        Map<String, String> into = new HashMap<>();
        line(from).ifPresent(a -> line(to).ifPresent(b -> into.put(a, b)));
        for (ShapeRole role : ShapeRole.values()) {
            Predicate<Shape> of = s -> s.role() == role;
            fill(from, of).ifPresent(a -> fill(to, of).ifPresent(b -> into.putIfAbsent(a, b)));
        }
        into.entrySet().removeIf(e -> e.getKey().equals(e.getValue()));
        return into;
    }

    /** The even colour of the largest filled shape. */
    private static Optional<String> fill(Artwork art, Predicate<Shape> of) {
        return art.shapes().stream()
                .filter(of)
                .filter(s -> s.fill() instanceof Paint.Flat)
                .max(Comparator.comparingDouble(
                        s -> s.bounds().map(Colouring::area).orElse(0.0)))
                .map(s -> ((Paint.Flat) s.fill()).colour());
    }

    private static double area(Box b) {
        return b.width() * b.height();
    }

    private static Optional<String> line(Artwork art) {
        return art.shapes().stream()
                .filter(s -> s.stroke().visible() && s.stroke().paint() instanceof Paint.Flat)
                .max(Comparator.comparingDouble(
                        s -> s.bounds().map(Colouring::area).orElse(0.0)))
                .map(s -> ((Paint.Flat) s.stroke().paint()).colour());
    }

    static Artwork in(Artwork art, Map<String, String> into) {
        return into.isEmpty()
                ? art
                : new Artwork(art.shapes().stream().map(s -> s.recoloured(into)).toList());
    }

    /** With every colour of its drawings in the palette: new ones under the name they had. */
    static Character withPalette(Character from, Character to) {
        List<Swatch> palette = new ArrayList<>(to.sheet().palette());
        Set<String> known = palette.stream().map(Swatch::colour).collect(Collectors.toSet());
        Set<String> names = palette.stream().map(Swatch::name).collect(Collectors.toSet());
        Map<String, String> called =
                from.sheet().palette().stream().collect(Collectors.toMap(Swatch::colour, Swatch::name, (a, b) -> a));
        to.rig().parts().stream()
                .flatMap(p -> p.drawings().stream())
                .map(Drawing::art)
                .flatMap(a -> a.colours().stream())
                .filter(known::add)
                // those it was drawn in, it may have had outside its palette before
                .filter(called::containsKey)
                .forEach(colour -> {
                    String name = called.get(colour);
                    for (int n = 2; !names.add(name); n++) {
                        name = called.get(colour) + " " + n;
                    }
                    palette.add(new Swatch(name, colour));
                });
        return palette.size() == to.sheet().palette().size() ? to : to.withSheet(s -> s.withPalette(palette));
    }
}
