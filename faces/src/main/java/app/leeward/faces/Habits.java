package app.leeward.faces;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * How somebody draws who has no rig in mind: a nose of one stroke, a mouth that stands open with teeth and tongue nobody named, a mouth of
 * dots, a white that is called eye. By a random source of its own, so that the rest of a seed's face stays as it is.
 */
final class Habits {
    private enum Mouth {
        AS_IT_IS,
        OPEN,
        DOTS
    }

    private final boolean nose;
    private final Mouth mouth;
    private final Optional<String> white;

    Habits(Traits t, long seed) {
        Random r = new Random(~seed * 0xD1B54A32D192ED03L);
        boolean soft = t.kind() == Traits.Kind.HUMAN || t.kind() == Traits.Kind.ROBOT;
        nose = Traits.chance(r, 0.2) && soft;
        double drawn = r.nextDouble();
        boolean alone = t.mouths() == Traits.Mouths.ONE && t.kind() != Traits.Kind.BEAK;
        mouth = !alone ? Mouth.AS_IT_IS : drawn < 0.35 ? Mouth.OPEN : drawn < 0.45 ? Mouth.DOTS : Mouth.AS_IT_IS;
        boolean plain = t.naming() == Traits.Naming.WORDS || t.naming() == Traits.Naming.SNAKE;
        white = Traits.chance(r, 0.4) && plain && t.nesting() == Traits.Nesting.FLAT
                ? Optional.of("eye")
                : Optional.empty();
    }

    /** What this designer calls the white of an eye, where it is no word for one. */
    Optional<String> white() {
        return white;
    }

    List<Piece> of(List<Piece> pieces) {
        List<Piece> out = new ArrayList<>();
        for (Piece p : pieces) {
            if (p.what() == What.NOSE && nose) {
                out.add(p.drawn(List.of(stroke(p.marks().get(0)))));
            } else if (p.what() == What.MOUTH && !p.hidden() && !p.aside() && mouth != Mouth.AS_IT_IS) {
                out.add(p.drawn(
                        mouth == Mouth.OPEN
                                ? open(p.marks().get(0))
                                : dots(p.marks().get(0))));
            } else {
                out.add(p);
            }
        }
        return out;
    }

    private static Mark stroke(Mark nose) {
        double[] b = nose.curve().box();
        double wide = b[2] - b[0];
        return Mark.stroke(Curve.line(b[0] + 0.4 * wide, b[3] - 0.3 * wide, b[0] + 0.65 * wide, b[3]), "#3a2233", 3);
    }

    private static List<Mark> open(Mark line) {
        double[] b = line.curve().box();
        double half = (b[2] - b[0]) / 2;
        double x = b[0] + half;
        double y = b[1];
        double deep = 0.5 * half;
        return List.of(
                Mark.lined(
                        Curve.blob(x - half, y, x, y - 0.1 * half, x + half, y, x, y + deep),
                        "#5a1a22",
                        line.line(),
                        line.width()),
                Mark.filled(Curve.box(x, y + 0.1 * half, 1.2 * half, 0.16 * half), "#fffaf0"),
                Mark.filled(Curve.ellipse(x, y + 0.78 * deep, 0.4 * half, 0.16 * deep), "#d9606a"));
    }

    private static List<Mark> dots(Mark line) {
        double[] b = line.curve().box();
        List<Mark> all = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            double share = i / 4.0;
            double dip = 4 * share * (1 - share);
            double r = (b[2] - b[0]) / 24;
            all.add(Mark.filled(
                    Curve.ellipse(b[0] + share * (b[2] - b[0]), b[1] + dip * (b[3] - b[1]), r, r), line.line()));
        }
        return all;
    }
}
