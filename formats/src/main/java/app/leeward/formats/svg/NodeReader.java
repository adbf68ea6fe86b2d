package app.leeward.formats.svg;

import java.io.ByteArrayInputStream;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * Reads the XML within bounds and refuses what could do harm: scripts, entities, references out of the file, nesting or
 * sizes beyond reason. Nothing outside the file is ever opened.
 */
final class NodeReader {
    static final int DEEPEST = 200;
    static final int MOST_ELEMENTS = 50_000;
    private static final int LONGEST_TEXT = 1_000_000;

    private final Map<String, Node> byId = new HashMap<>();
    private int elements;

    Map<String, Node> byId() {
        return byId;
    }

    Node read(byte[] file) {
        XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        factory.setProperty(XMLInputFactory.IS_REPLACING_ENTITY_REFERENCES, false);
        // the library would print every error it reports
        factory.setXMLReporter((message, type, related, location) -> {});
        try {
            XMLStreamReader xml = factory.createXMLStreamReader(new ByteArrayInputStream(file));
            Node root = tree(xml);
            if (root == null || !root.name.equals("svg")) {
                throw new ArtProblem(
                        "svg-not",
                        "line 1",
                        "This is XML, but not an SVG drawing: it begins with <" + (root == null ? "" : root.name)
                                + ">.");
            }
            return root;
        } catch (XMLStreamException e) {
            throw broken(e, file);
        }
    }

    private static ArtProblem broken(XMLStreamException e, byte[] file) {
        int line = e.getLocation() == null ? 1 : Math.max(1, e.getLocation().getLineNumber());
        String start = new String(file, 0, Math.min(file.length, 200), java.nio.charset.StandardCharsets.UTF_8);
        if (!start.contains("<")) {
            return new ArtProblem("svg-not", "the whole file", "This is not an SVG drawing: it holds no XML.");
        }
        String why =
                String.valueOf(e.getMessage()).replaceAll("(?s).*Message: ", "").replaceAll("\\s+", " ");
        return new ArtProblem("svg-broken", "line " + line, "The SVG is broken at line " + line + ": " + why);
    }

    private Node tree(XMLStreamReader xml) throws XMLStreamException {
        Deque<Node> open = new ArrayDeque<>();
        Node root = null;
        while (xml.hasNext()) {
            switch (xml.next()) {
                case XMLStreamConstants.START_ELEMENT -> {
                    Node node = start(xml, open.size());
                    if (open.isEmpty()) {
                        root = node;
                    } else {
                        open.peek().children.add(node);
                    }
                    open.push(node);
                }
                case XMLStreamConstants.END_ELEMENT -> open.pop();
                case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA -> text(xml, open);
                case XMLStreamConstants.ENTITY_REFERENCE -> throw entities(xml);
                case XMLStreamConstants.DTD -> {
                    String dtd = xml.getText();
                    if (dtd != null && dtd.contains("<!ENTITY")) {
                        throw entities(xml);
                    }
                }
                default -> {
                    // comments and processing instructions say nothing about the art
                }
            }
        }
        return root;
    }

    private static ArtProblem entities(XMLStreamReader xml) {
        int line = xml.getLocation().getLineNumber();
        return new ArtProblem(
                "svg-entities",
                "line " + line,
                "The SVG uses XML entities at line " + line
                        + ", which Leeward does not open. Save it as plain SVG and drop it again.");
    }

    private static void text(XMLStreamReader xml, Deque<Node> open) {
        Node at = open.peek();
        if (at != null && (at.name.equals("title") || at.name.equals("style")) && at.text.length() < LONGEST_TEXT) {
            at.text.append(xml.getText());
        }
    }

    private Node start(XMLStreamReader xml, int depth) {
        int line = xml.getLocation().getLineNumber();
        if (depth >= DEEPEST) {
            throw new ArtProblem(
                    "svg-deep",
                    "line " + line,
                    "The SVG nests groups more than " + DEEPEST + " deep at line " + line + "; flatten it.");
        }
        if (++elements > MOST_ELEMENTS) {
            throw new ArtProblem(
                    "svg-large", "line " + line, "The SVG has more than " + MOST_ELEMENTS + " elements; simplify it.");
        }
        Node node = new Node(xml.getLocalName(), line);
        for (int i = 0; i < xml.getAttributeCount(); i++) {
            node.attributes.put(xml.getAttributeLocalName(i), xml.getAttributeValue(i));
        }
        refuseHarm(node);
        if (node.get("id") != null) {
            byId.putIfAbsent(node.get("id"), node);
        }
        return node;
    }

    private static void refuseHarm(Node node) {
        boolean handler = node.attributes.keySet().stream()
                .anyMatch(a -> a.toLowerCase(Locale.ROOT).matches("on[a-z]+"));
        if (node.name.equalsIgnoreCase("script") || handler) {
            throw new ArtProblem(
                    "svg-script",
                    "line " + node.line,
                    "The SVG holds a script at line " + node.line + "; art is read without programs in it.");
        }
        String href = node.get("href", "").strip();
        boolean linked = node.name.equals("a");
        if (!linked && !href.isEmpty() && !href.startsWith("#") && !href.startsWith("data:")) {
            throw new ArtProblem(
                    "svg-external",
                    "line " + node.line,
                    "The SVG refers to another file at line " + node.line + " (" + shortened(href)
                            + "); embed it, or take it out.");
        }
    }

    private static String shortened(String s) {
        return s.length() > 60 ? s.substring(0, 57) + "…" : s;
    }
}
