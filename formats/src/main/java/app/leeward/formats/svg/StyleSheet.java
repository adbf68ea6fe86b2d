package app.leeward.formats.svg;

import app.leeward.formats.art.ArtProblem;
import app.leeward.formats.xml.XmlNode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The rules of the file's style elements, the weightier later; among equals the later in the file. */
final class StyleSheet {
    private static final Pattern RULE = Pattern.compile("([^{}]+)\\{([^{}]*)}");

    private record Rule(Selector selector, Map<String, String> declarations) {}

    private final List<Rule> rules = new ArrayList<>();

    void add(XmlNode style) {
        String css = style.text.toString().replaceAll("(?s)/\\*.*?\\*/", "");
        if (css.contains("@import") || css.matches("(?s).*url\\(\\s*['\"]?(https?:|//|file:).*")) {
            throw new ArtProblem(
                    "svg-external",
                    "line " + style.line,
                    "The style sheet at line " + style.line + " refers to another file; take that out.");
        }
        Matcher m = RULE.matcher(css.replaceAll("<!\\[CDATA\\[|]]>", ""));
        while (m.find()) {
            Map<String, String> declarations = declarations(m.group(2));
            for (String selector : m.group(1).split(",")) {
                Selector.parse(selector).ifPresent(s -> rules.add(new Rule(s, declarations)));
            }
        }
        rules.sort(Comparator.comparingInt(r -> r.selector.weight()));
    }

    static Map<String, String> declarations(String text) {
        Map<String, String> out = new LinkedHashMap<>();
        for (String d : text.split(";")) {
            int colon = d.indexOf(':');
            if (colon > 0) {
                out.put(
                        d.substring(0, colon).strip().toLowerCase(java.util.Locale.ROOT),
                        d.substring(colon + 1).replace("!important", "").strip());
            }
        }
        return out;
    }

    /** Presentation attributes, then rules by weight, then the style attribute, each overriding the one before. */
    Map<String, String> of(XmlNode node) {
        Map<String, String> out = new HashMap<>(node.attributes);
        for (Rule r : rules) {
            if (r.selector.matches(node)) {
                out.putAll(r.declarations);
            }
        }
        if (node.get("style") != null) {
            out.putAll(declarations(node.get("style")));
        }
        return out;
    }
}
