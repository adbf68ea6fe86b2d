package app.leeward.core.lips;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Lab;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What a mouth that is drawn shut has inside, in colours: those of the mouths drawn open beside it.
 *
 * @param inside {@code #rrggbb}, as the others
 */
record MouthColours(String inside, String teeth, String tongue) {
    static final MouthColours USUAL = new MouthColours("#6b1f2e", "#fffaf0", "#df7078");

    /** The usual ones where nothing drawn says otherwise. */
    static MouthColours of(List<Artwork> drawn) {
        List<Shape> shapes = drawn.stream().flatMap(a -> a.shapes().stream()).toList();
        Optional<String> inside = first(shapes, ShapeRole.INSIDE)
                .or(() -> first(shapes, ShapeRole.WINDOW))
                .or(() -> unnamed(shapes)
                        .min(Comparator.comparingDouble(h -> Lab.of(h).l()))
                        .filter(h -> Lab.of(h).l() < 50));
        Optional<String> teeth = first(shapes, ShapeRole.UPPER_TEETH)
                .or(() -> first(shapes, ShapeRole.LOWER_TEETH))
                .or(() -> unnamed(shapes)
                        .max(Comparator.comparingDouble(h -> Lab.of(h).l()))
                        .filter(h -> Lab.of(h).l() > 88));
        Optional<String> tongue = first(shapes, ShapeRole.TONGUE);
        return new MouthColours(inside.orElse(USUAL.inside), teeth.orElse(USUAL.teeth), tongue.orElse(USUAL.tongue));
    }

    private static Optional<String> first(List<Shape> shapes, ShapeRole role) {
        return shapes.stream()
                .filter(s -> s.role() == role)
                .flatMap(s -> flat(s))
                .findFirst();
    }

    private static Stream<String> unnamed(List<Shape> shapes) {
        return shapes.stream().filter(s -> s.role() == ShapeRole.OTHER).flatMap(s -> flat(s));
    }

    private static Stream<String> flat(Shape s) {
        return s.fill().mainColour().stream();
    }
}
