package app.leeward.formats.xml;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** One element of the file, before it is understood. */
public final class XmlNode {
    /** Where drawing programs keep the name a person gave, when it is no good id. */
    private static final List<String> NAMES = List.of("label", "data-name", "serif:id");

    /** Name of a node that stands for letters between the elements of a text. */
    public static final String TEXT = "#text";

    public final String name;
    public final int line;
    /** What it lies in; null for the outermost. */
    public XmlNode parent;

    public final Map<String, String> attributes = new HashMap<>();
    public final List<XmlNode> children = new ArrayList<>();
    public final StringBuilder text = new StringBuilder();

    public XmlNode(String name, int line) {
        this.name = name;
        this.line = line;
    }

    public String get(String attribute) {
        return attributes.get(attribute);
    }

    public String get(String attribute, String otherwise) {
        return attributes.getOrDefault(attribute, otherwise);
    }

    /** What a person called it: the label a drawing program shows, else its title, else its id made readable. */
    public String label() {
        for (String attribute : NAMES) {
            String said = get(attribute);
            if (said != null && !said.isBlank()) {
                return said.strip();
            }
        }
        for (XmlNode child : children) {
            if (child.name.equals("title") && !child.text.toString().isBlank()) {
                return child.text.toString().strip();
            }
        }
        return readable(get("id", ""));
    }

    /** Where it is, for a person: its own name or that of the layer it lies in, and its line. */
    public String place() {
        for (XmlNode n = this; n != null && n.parent != null; n = n.parent) {
            if (!n.label().isBlank()) {
                return "'" + n.label() + "' (line " + line + ")";
            }
        }
        return "line " + line;
    }

    /** Some programs write a space as _x20_ and put _1_ behind a name used twice. */
    private static String readable(String id) {
        StringBuilder out = new StringBuilder();
        java.util.regex.Matcher m =
                java.util.regex.Pattern.compile("_x([0-9A-Fa-f]{2})_").matcher(id.replaceAll("_\\d+_$", ""));
        while (m.find()) {
            m.appendReplacement(out, java.util.regex.Matcher.quoteReplacement(String.valueOf((char)
                    Integer.parseInt(m.group(1), 16))));
        }
        m.appendTail(out);
        return out.toString().strip();
    }
}
