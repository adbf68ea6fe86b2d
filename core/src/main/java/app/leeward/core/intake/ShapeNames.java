package app.leeward.core.intake;

import app.leeward.core.art.Paint;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import java.util.List;
import java.util.Optional;

/** Gives the shapes of a mouth drawing their roles from their names, in English, German, French and Spanish, or else from how they look. */
final class ShapeNames {
    /** Places whose lines lie by the mouth and are no part of its opening: they follow the jaw as they are. */
    private static final List<String> BESIDE = words(
            "chin cheek cheeks jaw dimple dimples crease"
                    + " kinn wange wangen kiefer gruebchen grubchen menton joue joues fossette menton mejilla barbilla hoyuelo");

    /** What is worn on a lip or lies on it. */
    private static final List<String> WORN = words("ring piercing stud scar mole hair narbe cicatrice cicatriz");

    private static final List<String> TEETH =
            words("teeth tooth zahn zahne zaehne zahnreihe zahnreihen dent dents diente dientes");
    private static final List<String> BEAK = words("beak bill schnabel bec pico");
    private static final List<String> TONGUE = words("tongue zunge langue lengua");
    private static final List<String> WINDOW = words("window mask opening offnung oeffnung ouverture abertura");
    private static final List<String> INSIDE =
            words("inside interior throat cavity innen innere inneres mundhohle rachen interieur gorge garganta");
    private static final List<String> LIPS =
            words("lip lips lippe lippen oberlippe unterlippe levre levres labio labios");
    private static final List<String> LINE = words("outline line contour kontur umriss linie ligne contorno linea");
    private static final List<String> MOUTH = words("mouth mund bouche boca");
    private static final List<String> LOWER = words("lower bottom unten unter untere unterer unterlippe bas basse"
            + " inferieur inferieure inferieurs inferieures inferior inferiores abajo");
    private static final List<String> UPPER =
            words("upper top oben ober obere oberer oberlippe haut superieur superieure"
                    + " superieurs superieures superior superiores arriba");

    private ShapeNames() {}

    private static List<String> words(String all) {
        return List.of(all.split(" "));
    }

    static Optional<ShapeRole> read(String name) {
        List<String> w = PartNames.words(name);
        if (has(w, BESIDE)) {
            return Optional.of(ShapeRole.OTHER);
        }
        boolean lower = has(w, LOWER);
        if (has(w, TEETH)) {
            return Optional.of(lower ? ShapeRole.LOWER_TEETH : ShapeRole.UPPER_TEETH);
        }
        if (has(w, BEAK)) {
            return Optional.of(lower ? ShapeRole.LOWER_BEAK : ShapeRole.UPPER_BEAK);
        }
        if (has(w, TONGUE)) {
            return Optional.of(ShapeRole.TONGUE);
        }
        if (has(w, WINDOW)) {
            return Optional.of(ShapeRole.WINDOW);
        }
        if (has(w, INSIDE)) {
            return Optional.of(ShapeRole.INSIDE);
        }
        return has(w, LINE) || has(w, LIPS) ? Optional.of(ShapeRole.OUTLINE) : Optional.empty();
    }

    /** Whether a layer of this name is a piece of a mouth wherever it lies: teeth, a tongue, a lip, what is inside. */
    static boolean pieceOfMouth(String name) {
        List<String> w = PartNames.words(name);
        return !has(w, BESIDE)
                && !has(w, WORN)
                && (has(w, TEETH) || has(w, TONGUE) || has(w, LIPS) || has(w, INSIDE) && has(w, MOUTH));
    }

    /** Whether a layer of this name is one of a mouth's lips, or both. */
    static boolean lips(String name) {
        return pieceOfMouth(name) && has(PartNames.words(name), LIPS);
    }

    private static boolean has(List<String> name, List<String> any) {
        return any.stream().anyMatch(name::contains);
    }

    /** Whether it is the colour of lips: named so, filled, and something else is the opening or the line round it, or one of two lips. */
    private static boolean coloured(Shape s, List<Shape> all) {
        return lip(s)
                && !s.fill().equals(Paint.NONE)
                && all.stream().anyMatch(o -> o != s && (lip(o) ? otherLip(s, o) : opens(o)));
    }

    private static boolean lip(Shape s) {
        return has(PartNames.words(s.name()), LIPS);
    }

    /** The lower one of an upper lip, or the other way round. */
    private static boolean otherLip(Shape s, Shape o) {
        List<String> one = PartNames.words(s.name());
        List<String> other = PartNames.words(o.name());
        boolean said = has(one, UPPER) && has(other, LOWER) || has(one, LOWER) && has(other, UPPER);
        return said && !o.fill().equals(Paint.NONE);
    }

    private static boolean opens(Shape s) {
        ShapeRole role = read(s.name()).orElse(ShapeRole.OTHER);
        return role == ShapeRole.WINDOW || role == ShapeRole.OUTLINE;
    }

    /**
     * Roles for one drawing's shapes. Teeth and tongue are masked by the window when there is one; a piece named "in
     * front" (the upper teeth of an F) is not, nor is any whose name says nothing.
     */
    static List<Shape> withRoles(List<Shape> shapes) {
        boolean window = shapes.stream().anyMatch(s -> read(s.name()).orElse(ShapeRole.OTHER) == ShapeRole.WINDOW);
        return MouthShapes.guessed(shapes.stream()
                .map(s -> {
                    ShapeRole role = coloured(s, shapes)
                            ? ShapeRole.LIPS
                            : read(s.name()).orElse(ShapeRole.OTHER);
                    boolean front = PartNames.words(s.name()).contains("front");
                    return MouthShapes.within(s).withRole(role, window && role.behindWindow() && !front);
                })
                .toList());
    }
}
