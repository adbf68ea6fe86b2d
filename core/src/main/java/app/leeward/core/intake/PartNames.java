package app.leeward.core.intake;

import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Reads layer names the way the trade writes them: any case, with spaces, dashes, underscores, dots or CamelCase between
 * words, the side before or behind as left/right or l/r, and a number or a pose at the end.
 */
final class PartNames {
    private record Entry(PartRole role, List<String> words) {}

    /** Longest phrases first, so that "eye white" is not read as an eye. */
    private static final List<Entry> ENTRIES = entries();

    private PartNames() {}

    private static List<Entry> entries() {
        List<Entry> all = new ArrayList<>();
        add(all, PartRole.WHITE, "eye white", "white of the eye", "white", "sclera", "eyeball", "eye ball", "eye fill");
        add(all, PartRole.EYE_OUTLINE, "eye outline", "eye line", "eye contour", "eye rim", "outline eye");
        add(
                all,
                PartRole.UPPER_LID,
                "upper lid",
                "upper eyelid",
                "top lid",
                "top eyelid",
                "lid upper",
                "lid top",
                "eyelid upper",
                "eyelid top",
                "eyelid",
                "lid");
        add(
                all,
                PartRole.LOWER_LID,
                "lower lid",
                "lower eyelid",
                "bottom lid",
                "bottom eyelid",
                "lid lower",
                "lid bottom",
                "eyelid lower",
                "eyelid bottom");
        add(all, PartRole.LASHES, "lashes", "eyelashes", "eye lashes", "lash");
        add(all, PartRole.HIGHLIGHT, "highlight", "eye highlight", "glint", "eye light", "catch light", "sparkle");
        add(all, PartRole.IRIS, "iris", "eye iris");
        add(all, PartRole.PUPIL, "pupil", "eye pupil");
        add(all, PartRole.BROW, "brow", "eyebrow", "eye brow");
        add(all, PartRole.EYE, "eye");
        add(all, PartRole.NOSE, "nose", "snout", "beak nose");
        add(all, PartRole.MOUTH, "mouth", "mouths", "lips", "muzzle mouth", "lip sync");
        add(all, PartRole.EAR, "ear");
        add(all, PartRole.CHEEK, "cheek", "blush", "cheek blush");
        add(all, PartRole.FRECKLES, "freckles", "freckle");
        add(
                all,
                PartRole.FACE,
                "face",
                "face skin",
                "skin",
                "face shape",
                "head skin",
                "head shape",
                "face base",
                "head base");
        add(
                all,
                PartRole.VIEW,
                "three quarter view",
                "three quarters view",
                "view three quarter",
                "3 4 view",
                "view 3 4",
                "front view",
                "view front",
                "side view",
                "view side",
                "profile view",
                "view profile",
                "back view",
                "view back",
                "rear view",
                "view rear");
        add(all, PartRole.HEAD, "head", "head group", "face group");
        add(all, PartRole.EXTRA_HAIR, "extra hair", "hair extra", "turn hair", "hair turned");
        add(all, PartRole.BACK_HAIR, "back hair", "hair back", "rear hair", "hair behind", "hair rear");
        add(all, PartRole.SIDE_HAIR, "side hair", "hair side", "sideburn", "side burn", "temple hair");
        add(all, PartRole.FRINGE, "fringe", "bangs", "front hair", "hair front", "hair", "forelock");
        add(all, PartRole.CAP, "cap", "hat", "beanie", "bonnet", "helmet");
        add(all, PartRole.NECK, "neck");
        add(all, PartRole.COLLAR, "collar", "scarf", "neckerchief", "coat collar");
        add(all, PartRole.TORSO, "torso", "body", "chest", "coat", "upper body", "trunk", "shirt", "dress");
        add(all, PartRole.UPPER_ARM, "upper arm", "arm upper", "arm", "bicep");
        add(all, PartRole.FOREARM, "forearm", "fore arm", "lower arm", "arm lower");
        add(all, PartRole.HAND, "hand", "fist hand", "paw", "wing tip");
        all.sort((a, b) -> Integer.compare(b.words.size(), a.words.size()));
        return List.copyOf(all);
    }

    private static void add(List<Entry> all, PartRole role, String... phrases) {
        for (String phrase : phrases) {
            all.add(new Entry(role, List.of(phrase.split(" "))));
        }
    }

    /** Words of a name in lower case; digits stand alone. */
    static List<String> words(String name) {
        String spaced = name.replaceAll("([a-z])([A-Z])", "$1 $2")
                .replaceAll("([A-Za-z])([0-9])", "$1 $2")
                .replaceAll("[^\\p{L}\\p{N}]+", " ")
                .strip()
                .toLowerCase(Locale.ROOT);
        return spaced.isEmpty() ? List.of() : List.of(spaced.split(" "));
    }

    static Optional<PartName> read(String name) {
        List<String> words = new ArrayList<>(words(name));
        Side side = takeSide(words);
        for (Entry e : ENTRIES) {
            int at = find(words, e.words);
            if (at >= 0) {
                List<String> rest = new ArrayList<>(words.subList(0, at));
                rest.addAll(words.subList(at + e.words.size(), words.size()));
                rest.removeAll(List.of("layer", "group", "part", "the", "of", "copy"));
                return Optional.of(new PartName(e.role, side, String.join(" ", rest)));
            }
        }
        return Optional.empty();
    }

    private static Side takeSide(List<String> words) {
        for (int i = 0; i < words.size(); i++) {
            String w = words.get(i);
            Side side = Arrays.asList("left", "l", "lt", "lft").contains(w)
                    ? Side.LEFT
                    : Arrays.asList("right", "r", "rt", "rgt").contains(w) ? Side.RIGHT : Side.NONE;
            // "mouth l n" is a pair of sounds, not a left mouth
            boolean sound = w.length() == 1 && (words.contains("mouth") || words.contains("lips"));
            if (side != Side.NONE && words.size() > 1 && !sound) {
                words.remove(i);
                return side;
            }
        }
        return Side.NONE;
    }

    /** Where {@code phrase} stands in {@code words}, plurals allowed; -1 when it does not. */
    private static int find(List<String> words, List<String> phrase) {
        for (int i = 0; i + phrase.size() <= words.size(); i++) {
            boolean same = true;
            for (int k = 0; k < phrase.size() && same; k++) {
                String word = words.get(i + k);
                String wanted = phrase.get(k);
                same = word.equals(wanted) || word.equals(wanted + "s");
            }
            if (same) {
                return i;
            }
        }
        return -1;
    }
}
