package app.leeward.core.check;

import app.leeward.core.art.Drawing;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.locationtech.jts.geom.Geometry;

/**
 * Fills so thin that they flicker or vanish in a picture {@value #LINES} lines high. What also has a line is as wide as that, and is not
 * looked at; nor are pixels.
 */
final class HairlinesCheck implements Check {
    /** Height of the picture rigs are looked at in most, pixels. */
    static final int LINES = 720;
    /** Thinner than this a fill covers no pixel by half, wherever it lies; pixels. */
    private static final double THINNEST = 0.5;

    @Override
    public String id() {
        return "hairlines";
    }

    @Override
    public Harm harm(String code) {
        return Harm.UNTIDY;
    }

    @Override
    public Stream<Fault> find(Character c) {
        double thinnest = THINNEST * c.sheet().canvas().height() / LINES;
        return c.rig().parts().stream()
                .flatMap(p -> p.drawings().stream().flatMap(d -> fault(p, d, thinnest).stream()));
    }

    private static Optional<Fault> fault(Part p, Drawing d, double thinnest) {
        List<Shape> thin = d.art().shapes().stream()
                .filter(s -> filledAlone(s) && thinner(s, thinnest))
                .toList();
        if (thin.isEmpty()) {
            return Optional.empty();
        }
        String name = thin.get(0).name().isBlank() ? "" : " (“" + thin.get(0).name() + "” among them)";
        return Optional.of(new Fault(
                "hairline",
                Subject.drawing(p.id(), d.id()),
                new Measure(thin.size(), Unit.COUNT),
                Check.sentence(String.format(
                        Locale.ROOT,
                        "%s: %s of “%s” %s thinner than half a pixel at %d lines%s",
                        p.name(),
                        thin.size() == 1 ? "one fill" : thin.size() + " fills",
                        d.name(),
                        thin.size() == 1 ? "is" : "are",
                        LINES,
                        name))));
    }

    private static boolean filledAlone(Shape s) {
        // the pieces of a mouth are thin when it is shut, and a line lies over them
        return s.role() == ShapeRole.OTHER
                && !(s.fill() instanceof Paint.None)
                && (s.stroke().paint() instanceof Paint.None || s.stroke().width() <= 0);
    }

    /** Nothing is left of it when half as much is taken off all round. */
    private static boolean thinner(Shape s, double width) {
        Geometry fill = Regions.of(s.path());
        return fill.getArea() > 0 && fill.buffer(-width / 2).isEmpty();
    }
}
