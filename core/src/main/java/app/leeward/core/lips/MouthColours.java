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
 * @param white what is white in the same face
 */
record MouthColours(String inside, String teeth, String tongue, String white) {
    static final MouthColours USUAL = new MouthColours("#6b1f2e", "#fffaf0", "#df7078", "#ffffff");
    /** How far from white the whites of a face are that was painted in shade, as a colour difference; its teeth are in that shade too. */
    private static final double SHADE = 12;

    /**
     * The usual ones where nothing drawn says otherwise.
     *
     * @param eyes what the whites of the face's eyes are painted with; empty where it has none
     */
    static MouthColours of(List<Artwork> drawn, Optional<String> eyes) {
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
        Lab white = Lab.of(USUAL.white);
        Optional<String> shaded =
                eyes.filter(e -> Lab.of(e).white() && Lab.of(e).difference(white) > SHADE);
        return new MouthColours(
                inside.orElse(USUAL.inside),
                teeth.or(() -> shaded).orElse(USUAL.teeth),
                tongue.orElse(USUAL.tongue),
                eyes.orElse(USUAL.white));
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
