package app.leeward.formats.svg;

import app.leeward.formats.xml.XmlNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A CSS selector as drawing programs and people write them in SVG: an element, classes and an id in any combination, within
 * others ({@code #nose path}) or directly in one ({@code g > .skin}). CSS Selectors Level 3, 6 to 9.
 */
final class Selector {
    private static final Pattern SIMPLE = Pattern.compile("(\\*|[\\w-]+)?((?:[.#][\\w\\u0080-\\uffff-]+)*)");
    private static final Pattern PIECE = Pattern.compile("[.#][^.#]+");

    private record Step(String element, List<String> classes, String id, boolean direct) {
        boolean matches(XmlNode node) {
            String own = " " + node.get("class", "").replaceAll("\\s+", " ") + " ";
            return (element.isEmpty() || element.equals("*") || element.equals(node.name))
                    && (id.isEmpty() || id.equals(node.get("id")))
                    && classes.stream().allMatch(c -> own.contains(" " + c + " "));
        }
    }

    /** The innermost first. */
    private final List<Step> steps;

    private Selector(List<Step> steps) {
        this.steps = steps;
    }

    /** Empty for selectors of other kinds, which match nothing. */
    static Optional<Selector> parse(String text) {
        List<Step> steps = new ArrayList<>();
        boolean direct = false;
        for (String word : text.strip().replace(">", " > ").split("\\s+")) {
            if (word.equals(">")) {
                direct = true;
                continue;
            }
            Matcher m = SIMPLE.matcher(word);
            if (word.isEmpty() || !m.matches()) {
                return Optional.empty();
            }
            List<String> classes = new ArrayList<>();
            String id = "";
            Matcher piece = PIECE.matcher(m.group(2));
            while (piece.find()) {
                if (piece.group().startsWith("#")) {
                    id = piece.group().substring(1);
                } else {
                    classes.add(piece.group().substring(1));
                }
            }
            steps.add(0, new Step(m.group(1) == null ? "" : m.group(1), classes, id, direct));
            direct = false;
        }
        return steps.isEmpty() ? Optional.empty() : Optional.of(new Selector(steps));
    }

    /** Ids before classes before elements. */
    int weight() {
        int weight = 0;
        for (Step s : steps) {
            boolean named = !s.element.isEmpty() && !s.element.equals("*");
            weight += (s.id.isEmpty() ? 0 : 10_000) + 100 * s.classes.size() + (named ? 1 : 0);
        }
        return weight;
    }

    boolean matches(XmlNode node) {
        return steps.get(0).matches(node) && outer(node, 0);
    }

    /** Whether the steps outside of step {@code i}, which {@code node} matches, are matched by what it lies in. */
    private boolean outer(XmlNode node, int i) {
        if (i + 1 == steps.size()) {
            return true;
        }
        for (XmlNode up = node.parent; up != null; up = up.parent) {
            if (steps.get(i + 1).matches(up) && outer(up, i + 1)) {
                return true;
            }
            if (steps.get(i).direct) {
                return false;
            }
        }
        return false;
    }
}
