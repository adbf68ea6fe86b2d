package app.leeward.faces;

import java.util.List;
import java.util.Random;

/** The colours of one face. */
record Colours(
        String skin,
        String shade,
        String line,
        String hair,
        String hat,
        String trim,
        String cloth,
        String iris,
        String lip,
        String inner) {
    private static final List<String> SKINS = List.of("#f2c6a0", "#8d5a3b", "#d99a6c", "#ffdfc4", "#c68642", "#5c3a26");
    private static final List<String> FURS = List.of("#d9772b", "#8c8f96", "#7a5230", "#e3c9a1", "#4f6d4a", "#b5533c");
    private static final List<String> METALS = List.of("#9fb2c4", "#c9a94b", "#6f8f86", "#b7b7bd");
    private static final List<String> HAIRS = List.of("#3a2418", "#a5622a", "#e2b657", "#1d1d26", "#8c2f39", "#b9b4ac");
    private static final List<String> CLOTHS =
            List.of("#2f6690", "#a23e48", "#4c956c", "#e09f3e", "#5f4b8b", "#33415c");
    private static final List<String> IRISES = List.of("#3b6ea5", "#5d7f3a", "#6b4423", "#447b86");

    static Colours drawn(Random r, Traits.Kind kind) {
        String skin = Traits.of(r, kind == Traits.Kind.ROBOT ? METALS : kind == Traits.Kind.HUMAN ? SKINS : FURS);
        return new Colours(
                skin,
                mixed(skin, "#40202a", 0.18),
                Traits.of(r, List.of("#2b1d1a", "#1f2430", "#3a2233")),
                Traits.of(r, HAIRS),
                Traits.of(r, CLOTHS),
                Traits.of(r, CLOTHS),
                Traits.of(r, CLOTHS),
                Traits.of(r, IRISES),
                kind == Traits.Kind.BEAK ? "#e3a13a" : mixed(skin, "#b0303a", 0.5),
                "#5a1a22");
    }

    static String mixed(String a, String b, double share) {
        StringBuilder out = new StringBuilder("#");
        for (int i = 1; i < 7; i += 2) {
            int x = Integer.parseInt(a.substring(i, i + 2), 16);
            int y = Integer.parseInt(b.substring(i, i + 2), 16);
            out.append(String.format("%02x", Math.round(x + (y - x) * share)));
        }
        return out.toString();
    }
}
