package app.leeward.formats.xml;

import app.leeward.core.rig.Note;
import app.leeward.formats.art.ArtProblem;
import java.io.ByteArrayInputStream;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * Reads the XML within bounds and refuses what could do harm: entities, references out of the file, nesting or
 * sizes beyond reason. Nothing outside the file is ever opened.
 */
public final class XmlReader {
    /** Elements whose letters are kept where they stand among others. */
    private static final Set<String> LETTERS = Set.of("text", "tspan", "textPath");

    static final int DEEPEST = 200;
    static final int MOST_ELEMENTS = 50_000;
    private static final int LONGEST_TEXT = 1_000_000;

    private final Map<String, XmlNode> byId = new HashMap<>();
    private int elements;

    private final String code;
    private final String what;
    private final List<Note> notes = new ArrayList<>();

    /**
     * @param code what the codes of problems begin with
     * @param what the kind of file, as people say it
     */
    public XmlReader(String code, String what) {
        this.code = code;
        this.what = what;
    }

    /** What was taken out while reading. */
    public List<Note> notes() {
        return notes;
    }

    public Map<String, XmlNode> byId() {
        return byId;
    }

    /**
     * @param rootName what the outermost element must be
     * @throws ArtProblem when it cannot be read or must not be
     */
    public XmlNode read(byte[] file, String rootName) {
        XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        factory.setProperty(XMLInputFactory.IS_REPLACING_ENTITY_REFERENCES, false);
        // the library would print every error it reports
        factory.setXMLReporter((message, type, related, location) -> {});
        try {
            XMLStreamReader xml = factory.createXMLStreamReader(new ByteArrayInputStream(file));
            XmlNode root = tree(xml);
            if (root == null || !root.name.equals(rootName)) {
                throw new ArtProblem(
                        code + "-not",
                        "line 1",
                        "This is XML, but not an " + what + ": it begins with <" + (root == null ? "" : root.name)
                                + ">.");
            }
            return root;
        } catch (XMLStreamException e) {
            throw broken(e, file);
        }
    }

    private ArtProblem broken(XMLStreamException e, byte[] file) {
        int line = e.getLocation() == null ? 1 : Math.max(1, e.getLocation().getLineNumber());
        String start = new String(file, 0, Math.min(file.length, 200), java.nio.charset.StandardCharsets.UTF_8);
        if (!start.contains("<")) {
            return new ArtProblem(code + "-not", "the whole file", "This is not an " + what + ": it holds no XML.");
        }
        int column = e.getLocation() == null ? 1 : Math.max(1, e.getLocation().getColumnNumber());
        String why =
                String.valueOf(e.getMessage()).replaceAll("(?s).*Message: ", "").replaceAll("\\s+", " ");
        return new ArtProblem(
                code + "-broken",
                "line " + line + ", column " + column,
                "The " + what + " is broken at line " + line + ", column " + column + ": " + plainly(why));
    }

    /** What the library says, where it says it in its own terms. */
    private static String plainly(String why) {
        if (why.contains("must start and end within the same entity") || why.contains("Premature end of file")) {
            return "it ends in the middle. The file was cut off.";
        }
        Matcher twice = Pattern.compile("AttributeNotUnique\\?([^&]*)&(.*)").matcher(why);
        return twice.find() ? "<" + twice.group(1) + "> has '" + twice.group(2) + "' twice." : why;
    }

    private XmlNode tree(XMLStreamReader xml) throws XMLStreamException {
        Deque<XmlNode> open = new ArrayDeque<>();
        XmlNode root = null;
        while (xml.hasNext()) {
            switch (xml.next()) {
                case XMLStreamConstants.START_ELEMENT -> {
                    if (xml.getLocalName().equalsIgnoreCase("script")) {
                        skip(xml);
                        break;
                    }
                    XmlNode node = start(xml, open.size());
                    if (open.isEmpty()) {
                        root = node;
                    } else {
                        node.parent = open.peek();
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

    /** Programs have no business in a drawing: they are left out, and that is told. */
    private void skip(XMLStreamReader xml) throws XMLStreamException {
        int line = xml.getLocation().getLineNumber();
        notes.add(new Note(
                "script-removed",
                "line " + line,
                "A script at line " + line + " was left out: art holds no programs."));
        for (int depth = 1; depth > 0; ) {
            int event = xml.next();
            depth += event == XMLStreamConstants.START_ELEMENT ? 1 : event == XMLStreamConstants.END_ELEMENT ? -1 : 0;
            if (++elements > MOST_ELEMENTS) {
                throw new ArtProblem(
                        code + "-large",
                        "line " + line,
                        "The " + what + " holds an endless script at line " + line + ".");
            }
        }
    }

    private ArtProblem entities(XMLStreamReader xml) {
        int line = xml.getLocation().getLineNumber();
        return new ArtProblem(
                code + "-entities",
                "line " + line,
                "The " + what + " uses XML entities at line " + line
                        + ", which Leeward does not open. Save it plainly and drop it again.");
    }

    private static void text(XMLStreamReader xml, Deque<XmlNode> open) {
        XmlNode at = open.peek();
        if (at != null && (at.name.equals("title") || at.name.equals("style")) && at.text.length() < LONGEST_TEXT) {
            at.text.append(xml.getText());
        }
        if (at != null && LETTERS.contains(at.name) && xml.getTextLength() < LONGEST_TEXT) {
            XmlNode letters = new XmlNode(XmlNode.TEXT, xml.getLocation().getLineNumber());
            letters.text.append(xml.getText());
            letters.parent = at;
            at.children.add(letters);
        }
    }

    private XmlNode start(XMLStreamReader xml, int depth) {
        int line = xml.getLocation().getLineNumber();
        if (depth >= DEEPEST) {
            throw new ArtProblem(
                    code + "-deep",
                    "line " + line,
                    "The " + what + " nests groups more than " + DEEPEST + " deep at line " + line + "; flatten it.");
        }
        if (++elements > MOST_ELEMENTS) {
            throw new ArtProblem(
                    code + "-large",
                    "line " + line,
                    "The " + what + " has more than " + MOST_ELEMENTS + " elements; simplify it.");
        }
        XmlNode node = new XmlNode(xml.getLocalName(), line);
        for (int i = 0; i < xml.getAttributeCount(); i++) {
            String attribute = xml.getAttributeLocalName(i);
            if (attribute.toLowerCase(Locale.ROOT).matches("on[a-z]+")) {
                notes.add(new Note(
                        "script-removed",
                        "line " + line,
                        "The event handler '" + attribute + "' at line " + line + " was left out."));
            } else {
                // another vocabulary's id is a name beside the real one
                String prefix = xml.getAttributePrefix(i);
                boolean foreign =
                        attribute.equals("id") && prefix != null && !prefix.isEmpty() && !prefix.equals("xml");
                node.attributes.put(foreign ? prefix + ":id" : attribute, xml.getAttributeValue(i));
            }
        }
        refuseRemote(node);
        if (node.get("href", "").strip().toLowerCase(Locale.ROOT).startsWith("javascript:")) {
            notes.add(new Note(
                    "script-removed",
                    "line " + line,
                    "The link on '" + node.label() + "' at line " + line + " runs a program and was left out."));
            node.attributes.remove("href");
        }
        if (node.get("id") != null) {
            byId.putIfAbsent(node.get("id"), node);
        }
        return node;
    }

    private void refuseRemote(XmlNode node) {
        String href = node.get("href", "").strip();
        boolean linked = node.name.equals("a");
        if (!linked && !href.isEmpty() && !href.startsWith("#") && !href.startsWith("data:")) {
            throw new ArtProblem(
                    code + "-external",
                    "line " + node.line,
                    "The " + what + " refers to another file at line " + node.line + " (" + shortened(href)
                            + "); embed it, or take it out.");
        }
    }

    private static String shortened(String s) {
        return s.length() > 60 ? s.substring(0, 57) + "…" : s;
    }
}
