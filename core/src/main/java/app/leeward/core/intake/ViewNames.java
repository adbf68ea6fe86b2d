package app.leeward.core.intake;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Names of views of a head: front, 3/4, three-quarter, side, profile, back, with a side or without, "view" said or not. */
final class ViewNames {
    private static final Set<String> DIRECTIONS = Set.of(
            "front",
            "quarter",
            "quarters",
            "threequarter",
            "side",
            "profile",
            "back",
            "rear",
            "vorne",
            "seite",
            "hinten",
            "profil",
            "face",
            "dos",
            "frente",
            "lado",
            "espalda");

    private static final Set<String> BESIDES = Set.of(
            "view",
            "views",
            "head",
            "mirrored",
            "flipped",
            "near",
            "far",
            "ansicht",
            "vue",
            "vista",
            "de",
            "left",
            "right",
            "l",
            "r",
            "links",
            "rechts",
            "gauche",
            "droite",
            "izquierda",
            "derecha");

    /** Of "3/4" and "three quarter"; alone they say nothing. */
    private static final Set<String> NUMBERS = Set.of("3", "4", "three");

    private ViewNames() {}

    /** Whether a name says where a head looks and nothing else. */
    static boolean says(String name) {
        List<String> words = PartNames.words(name);
        boolean quarter = words.containsAll(List.of("3", "4"));
        return (quarter || words.stream().anyMatch(DIRECTIONS::contains))
                && words.stream().allMatch(w -> DIRECTIONS.contains(w) || BESIDES.contains(w) || NUMBERS.contains(w));
    }

    /** The words most names of a view begin with, which only repeat the view's own. */
    static List<String> prefix(List<String> names) {
        List<List<String>> all =
                names.stream().filter(n -> !n.isBlank()).map(PartNames::words).toList();
        List<String> prefix = List.of();
        while (true) {
            Map<String, Integer> next = new HashMap<>();
            int length = prefix.size();
            for (List<String> words : all) {
                // the last word of a name is what it names
                if (words.size() > length + 1 && words.subList(0, length).equals(prefix)) {
                    next.merge(words.get(length), 1, Integer::sum);
                }
            }
            String most = next.entrySet().stream()
                    .max(Map.Entry.comparingByValue())
                    .filter(e -> e.getValue() * 5 >= all.size() * 4 && all.size() > 2)
                    .map(Map.Entry::getKey)
                    .filter(w -> DIRECTIONS.contains(w) || BESIDES.contains(w) || NUMBERS.contains(w))
                    .orElse(null);
            if (most == null) {
                return prefix;
            }
            prefix = new ArrayList<>(prefix);
            prefix.add(most);
        }
    }
}
