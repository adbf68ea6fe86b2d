package app.leeward.faces;

import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;

/** Names of layers as one designer would write them. */
final class Names {
    private static final Map<What, List<String>> ENGLISH = new EnumMap<>(What.class);
    private static final Map<What, String> GERMAN = new EnumMap<>(What.class);
    private static final Map<What, String> FRENCH = new EnumMap<>(What.class);
    private static final Map<What, String> SPANISH = new EnumMap<>(What.class);

    private static void words(What what, String german, String french, String spanish, String... english) {
        ENGLISH.put(what, List.of(english));
        GERMAN.put(what, german);
        FRENCH.put(what, french);
        SPANISH.put(what, spanish);
    }

    static {
        words(What.SKIN, "gesicht", "visage", "cara", "face", "head skin", "face base", "head shape", "head");
        words(
                What.HEAD_LINE,
                "gesicht kontur",
                "contour visage",
                "contorno cara",
                "head line",
                "face outline",
                "head outline");
        words(What.EAR, "ohr", "oreille", "oreja", "ear", "ear outer");
        words(What.INNER_EAR, "ohr innen", "oreille interieur", "oreja interior", "inner ear", "ear inner");
        words(What.WHITE, "augenweiss", "blanc oeil", "blanco ojo", "eye white", "white", "eyeball", "sclera");
        words(What.IRIS, "iris", "iris", "iris", "iris");
        words(What.PUPIL, "pupille", "pupille", "pupila", "pupil");
        words(What.HIGHLIGHT, "glanzlicht", "reflet", "brillo", "highlight", "glint", "eye highlight");
        words(
                What.UPPER_LID,
                "oberlid",
                "paupiere superieure",
                "parpado superior",
                "upper lid",
                "eyelid top",
                "top lid");
        words(
                What.LOWER_LID,
                "unterlid",
                "paupiere inferieure",
                "parpado inferior",
                "lower lid",
                "eyelid bottom",
                "bottom lid");
        words(What.EYE_LINE, "augen kontur", "contour oeil", "contorno ojo", "eye outline", "eye line", "eye rim");
        words(What.LASHES, "wimpern", "cils", "pestanas", "lashes", "eyelashes");
        words(What.BLINK, "blinzeln", "clignement", "parpadeo", "blink", "eye closed", "eye blink");
        words(What.BROW, "augenbraue", "sourcil", "ceja", "brow", "eyebrow");
        words(What.NOSE, "nase", "nez", "nariz", "nose");
        words(What.MUZZLE, "schnauze", "museau", "hocico", "muzzle", "snout");
        words(What.MOUTH, "mund", "bouche", "boca", "mouth");
        words(What.CHEEK, "wange", "joue", "mejilla", "cheek", "blush");
        words(What.FRECKLES, "sommersprossen", "taches de rousseur", "pecas", "freckles");
        words(What.WHISKERS, "schnurrhaare", "moustaches chat", "bigotes gato", "whiskers");
        words(What.BEARD, "bart", "barbe", "barba", "beard");
        words(What.MOUSTACHE, "schnurrbart", "moustache", "bigote", "moustache", "mustache");
        words(What.FRINGE, "pony", "frange", "flequillo", "fringe", "bangs", "front hair");
        words(What.SIDE_HAIR, "haare seite", "cheveux cote", "pelo lado", "side hair", "sideburn");
        words(What.BACK_HAIR, "haare hinten", "cheveux arriere", "pelo atras", "back hair", "hair back");
        words(What.HORN, "horn", "corne", "cuerno", "horn", "tuft");
        words(What.ANTENNA, "antenne", "antenne", "antena", "antenna");
        words(What.HAT_CROWN, "hut", "chapeau", "sombrero", "hat", "cap", "hat crown");
        words(What.HAT_BAND, "hutband", "bande chapeau", "banda sombrero", "hat band", "cap band");
        words(What.HAT_PEAK, "hutschirm", "visiere", "visera", "hat peak", "cap peak", "cap visor", "hat brim");
        words(What.HAT_BADGE, "hut abzeichen", "insigne chapeau", "insignia sombrero", "hat badge", "cap badge");
        words(What.HAT_BUTTON, "hutknopf", "bouton chapeau", "boton sombrero", "hat button", "cap pompom");
        words(What.GLASSES, "brille", "lunettes", "gafas", "glasses", "glasses frame", "spectacles");
        words(What.LENS, "brillenglas", "verre lunettes", "lente", "lens", "glasses lens");
        words(What.NECK, "hals", "cou", "cuello", "neck");
        words(What.COLLAR, "kragen", "col", "collar", "collar", "scarf");
        words(What.TORSO, "koerper", "corps", "cuerpo", "body", "torso", "shirt");
        words(What.UPPER_ARM, "oberarm", "bras", "brazo", "upper arm", "arm upper");
        words(What.FOREARM, "unterarm", "avant bras", "antebrazo", "forearm", "lower arm");
        words(What.HAND, "hand", "main", "mano", "hand");
    }

    private final Traits t;
    private final Random random;
    private final Habits habits;
    private final Map<What, String> chosen = new EnumMap<>(What.class);
    private final Set<String> taken = new HashSet<>();
    private final boolean sideFirst;
    private final boolean sideLong;
    private int count;

    Names(Traits t, Random random, Habits habits) {
        this.t = t;
        this.habits = habits;
        this.random = random;
        sideFirst = random.nextBoolean();
        sideLong = random.nextBoolean();
    }

    /** The name of a layer; empty where this designer gives none. */
    String of(Piece p) {
        count++;
        if (t.naming() == Traits.Naming.NONE) {
            return "";
        }
        if (t.naming() == Traits.Naming.NUMBERS) {
            return "Layer " + count;
        }
        String word = chosen.computeIfAbsent(p.what(), this::words);
        String base = p.what() == What.WHITE ? habits.white().orElse(word) : word;
        if (t.naming() == Traits.Naming.TYPOS && Traits.chance(random, 0.3) && base.length() > 4) {
            base = mistyped(base);
        }
        String side = side(p.side());
        String name = side.isEmpty() ? base : sideFirst ? side + " " + base : base + " " + side;
        if (!p.detail().isEmpty()) {
            name = name + " " + p.detail();
        }
        return unique(cased(name));
    }

    private String words(What what) {
        return switch (t.naming()) {
            case GERMAN -> GERMAN.get(what);
            case FRENCH -> FRENCH.get(what);
            case SPANISH -> SPANISH.get(what);
            default -> Traits.of(random, ENGLISH.get(what));
        };
    }

    /** Two letters exchanged, or one left out. */
    private String mistyped(String word) {
        int at = 1 + random.nextInt(word.length() - 3);
        if (word.charAt(at) == ' ' || word.charAt(at + 1) == ' ') {
            return word;
        }
        return random.nextBoolean()
                ? word.substring(0, at) + word.charAt(at + 1) + word.charAt(at) + word.substring(at + 2)
                : word.substring(0, at) + word.substring(at + 1);
    }

    private String side(Side side) {
        if (side == Side.MIDDLE) {
            return "";
        }
        boolean left = (side == Side.LEFT) != t.viewersSides();
        return switch (t.naming()) {
            case GERMAN -> left ? "links" : "rechts";
            case FRENCH -> left ? "gauche" : "droite";
            case SPANISH -> left ? "izquierda" : "derecha";
            case SHORT -> left ? "L" : "R";
            default -> sideLong ? left ? "left" : "right" : left ? "L" : "R";
        };
    }

    private String cased(String name) {
        return switch (t.naming()) {
            case SNAKE -> name.replace(' ', '_');
            case CAMEL -> camel(name);
            case SHORT -> name.replace(' ', '.');
            case WORDS, GERMAN -> name.substring(0, 1).toUpperCase(Locale.ROOT) + name.substring(1);
            default -> name;
        };
    }

    private static String camel(String name) {
        StringBuilder out = new StringBuilder();
        for (String word : name.split(" ")) {
            out.append(word.substring(0, 1).toUpperCase(Locale.ROOT)).append(word.substring(1));
        }
        return out.toString();
    }

    private String unique(String name) {
        String out = name;
        for (int i = 2; !taken.add(out); i++) {
            out = name + " " + i;
        }
        return out;
    }
}
