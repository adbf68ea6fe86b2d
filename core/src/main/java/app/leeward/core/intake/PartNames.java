package app.leeward.core.intake;

import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Reads layer names the way the trade writes them: any case, with spaces, dashes, underscores, dots or CamelCase between
 * words, in one of four languages, one letter wrong or two exchanged, the side before or behind, and a number or a pose at the end.
 */
final class PartNames {
    private record Entry(PartRole role, List<String> words) {}

    /** Longest phrases first, so that "eye white" is not read as an eye. */
    private static final List<Entry> ENTRIES = entries();

    /** Words that say nothing about what a layer is. */
    static final List<String> IDLE =
            List.of("layer", "group", "part", "the", "of", "copy", "ebene", "gruppe", "calque", "capa");

    /** What is worn or painted at an eye and is none. */
    static final List<String> BESIDE_EYES = List.of(
            "patch",
            "bag",
            "bags",
            "shadow",
            "mask",
            "makeup",
            "make",
            "ring",
            "rings",
            "socket",
            "wrinkle",
            "wrinkles",
            "klappe");

    /** What is painted on a face and is not the skin. */
    private static final List<String> ON_FACES =
            List.of("patch", "mask", "mark", "marking", "markings", "paint", "spot", "spots", "stripe", "stripes");

    /** Words for hair that hangs before the face, wherever it lies in the stack. */
    static final List<String> FRINGES =
            List.of("fringe", "bang", "bangs", "front", "forelock", "pony", "frange", "toupet", "meche", "flequillo");

    private static final List<String> ON = List.of(
            "on", "over", "under", "around", "beneath", "auf", "ueber", "uber", "unter", "sur", "sous", "sobre",
            "bajo");

    static final List<String> LEFT = List.of(
            "left", "l", "lt", "lft", "links", "linke", "linkes", "linker", "gauche", "izquierda", "izquierdo", "izq");
    static final List<String> RIGHT = List.of(
            "right", "r", "rt", "rgt", "rechts", "rechte", "rechtes", "rechter", "droite", "droit", "derecha",
            "derecho", "der");

    private PartNames() {}

    private static List<Entry> entries() {
        List<Entry> all = new ArrayList<>();
        Vocabulary.phrases()
                .forEach((role, phrases) -> phrases.forEach(p -> all.add(new Entry(role, List.of(p.split(" "))))));
        all.sort(Comparator.comparingInt((Entry e) -> -e.words.size()));
        return List.copyOf(all);
    }

    /** Words of a name in lower case, without accents; digits stand alone. */
    static List<String> words(String name) {
        String plain = Normalizer.normalize(name, Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .replace("ß", "ss")
                .replace("œ", "oe")
                .replace("Œ", "Oe");
        String spaced = plain.replaceAll("([a-z])([A-Z])", "$1 $2")
                .replaceAll("([A-Z])([A-Z][a-z])", "$1 $2")
                .replaceAll("([A-Za-z])([0-9])", "$1 $2")
                .replaceAll("[^\\p{L}\\p{N}]+", " ")
                .strip()
                .toLowerCase(Locale.ROOT);
        return spaced.isEmpty() ? List.of() : List.of(spaced.split(" "));
    }

    static Optional<PartName> read(String name) {
        List<String> words = new ArrayList<>(words(name));
        words.replaceAll(Spelling::corrected);
        // "spots on head" are spots
        words.stream()
                .filter(ON::contains)
                .mapToInt(words::indexOf)
                .filter(i -> i > 0)
                .min()
                .ifPresent(i -> words.subList(i, words.size()).clear());
        Side side = takeSide(words);
        for (Entry e : ENTRIES) {
            List<String> rest = without(words, e.words);
            if (rest != null) {
                rest.removeAll(IDLE);
                if (e.role == PartRole.EYE && rest.stream().anyMatch(BESIDE_EYES::contains)
                        || e.role == PartRole.FACE && rest.stream().anyMatch(ON_FACES::contains)) {
                    return Optional.empty();
                }
                // a shine on the hair is a piece of the hair
                Optional<PartName> shone = e.role == PartRole.HIGHLIGHT && e.words.size() == 1
                        ? read(String.join(" ", rest)).filter(n -> !n.role().belongsTo(PartRole.EYE))
                        : Optional.empty();
                if (shone.isPresent()) {
                    return Optional.of(
                            new PartName(shone.get().role(), side, shone.get().rest()));
                }
                return Optional.of(new PartName(e.role, side, String.join(" ", rest)));
            }
        }
        return Optional.empty();
    }

    private static Side takeSide(List<String> words) {
        for (int i = 0; i < words.size(); i++) {
            String w = words.get(i);
            Side side = LEFT.contains(w) ? Side.LEFT : RIGHT.contains(w) ? Side.RIGHT : Side.NONE;
            // "mouth l n" is a pair of sounds, not a left mouth
            boolean sound = w.length() == 1 && (words.contains("mouth") || words.contains("lips"));
            if (side != Side.NONE && words.size() > 1 && !sound) {
                words.remove(i);
                return side;
            }
        }
        return Side.NONE;
    }

    /** What is left of the words without a phrase, whose words may stand in any order and as plurals; null when one is missing. */
    private static List<String> without(List<String> words, List<String> phrase) {
        List<String> left = new ArrayList<>(words);
        for (String wanted : phrase) {
            int at = left.indexOf(wanted);
            at = at >= 0 ? at : left.indexOf(wanted + "s");
            if (at < 0) {
                return null;
            }
            left.remove(at);
        }
        return left;
    }
}
