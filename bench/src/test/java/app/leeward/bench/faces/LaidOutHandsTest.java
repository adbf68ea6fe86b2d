package app.leeward.bench.faces;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.art.Drawing;
import app.leeward.core.art.Point;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.Outcome;
import app.leeward.core.edit.RegisterHand;
import app.leeward.core.hand.Hands;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Note;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.demo.DemoFiles;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.file.ArtReader;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.regex.Pattern;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.transform.TransformerFactory;
import javax.xml.transform.dom.DOMSource;
import javax.xml.transform.stream.StreamResult;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;

/**
 * Maren's hands taken off their arms and laid out beside her, turned any way and of any size, as on a model sheet: read in, each is on its
 * arm where it was drawn. Where they lie in her own file is the truth. Drawn again by a hand that shakes, none is put on a wrong wrist: it is
 * right, or asked about.
 */
class LaidOutHandsTest {
    private static final Pattern NUMBER = Pattern.compile("-?\\d+(?:\\.\\d+)?");

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void handsOfASheetComeOntoTheirArms(long seed) throws Exception {
        assertThat(hands(seed, 0)).allSatisfy(h -> {
            assertThat(h.asked).as(h.name).isFalse();
            assertThat(h.off).as(h.name).isLessThan(0.5);
        });
    }

    /** The shaking moves points by up to 1.5 units, the ends of a wrist of 48 units too: some 2° that a finger's tip is far from. */
    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13, 14})
    void shakyOnesAreRightOrAskedAbout(long seed) throws Exception {
        List<Hand> all = hands(seed, 1.5);
        assertThat(all).filteredOn(h -> !h.asked).hasSizeGreaterThan(10).allSatisfy(h -> assertThat(h.off)
                .as(h.name)
                .isLessThan(14));
    }

    /** The rougher they are drawn the less is certain: no mend moves what is asked about, which would be a guess. */
    @ParameterizedTest
    @ValueSource(longs = {21, 22, 23, 24})
    void whatIsAskedAboutHasNoMend(long seed) throws Exception {
        List<Hand> all = hands(seed, 5);
        assertThat(all).anyMatch(Hand::asked);
        assertThat(all)
                .filteredOn(Hand::asked)
                .allSatisfy(h -> assertThat(h.mended).as(h.name).isEmpty());
    }

    /**
     * @param off the furthest any of its points is from where it was drawn, units
     * @param mended the same after the mend that is offered for its wrist; empty where none is
     */
    private record Hand(String name, double off, boolean asked, OptionalDouble mended) {}

    private static List<Hand> hands(long seed, double shaking) throws Exception {
        Random random = new Random(seed);
        Document drawn = document();
        List<Element> all = hands(drawn);
        all.forEach(h -> shake(h, shaking, random));
        Character truth = read(drawn);
        for (int i = 0; i < all.size(); i++) {
            boolean right = i < all.size() / 2;
            Element h = all.get(i);
            h.removeAttribute("display");
            h.setAttribute(
                    "transform",
                    String.format(
                            Locale.ROOT,
                            "translate(%d %d) rotate(%.1f) scale(%.3f) translate(%d -936)",
                            1150 + i % 4 * 230,
                            150 + i / 4 * 220,
                            360 * random.nextDouble(),
                            0.7 + 0.6 * random.nextDouble(),
                            right ? -412 : -588));
        }
        drawn.getDocumentElement().setAttribute("viewBox", "0 0 2200 1000");
        drawn.getDocumentElement().setAttribute("width", "2200");
        Character laid = read(drawn);
        String notes = laid.origin().notes().stream()
                .filter(n -> n.code().equals("laid-out"))
                .map(Note::message)
                .reduce("", (a, b) -> a + b + "\n");
        assertThat(notes).contains("laid on the wrist");
        List<Hand> out = new ArrayList<>();
        for (Part p : truth.rig().parts()) {
            for (Drawing d : p.role() == PartRole.HAND ? p.drawings() : List.<Drawing>of()) {
                if (!d.id().equals(p.shown())) {
                    Drawing there =
                            laid.part(p.id()).orElseThrow().drawing(d.id()).orElseThrow();
                    String asked = "(?s).*" + Pattern.quote(p.name()) + "[^\n]*Where [^\n]*" + Pattern.quote(d.name())
                            + "[^\n]*not certain.*";
                    out.add(new Hand(
                            seed + " " + p.name() + " " + d.name(),
                            off(d, there),
                            notes.matches(asked),
                            mended(laid, p, d)));
                }
            }
        }
        assertThat(out).hasSize(14);
        return out;
    }

    private static OptionalDouble mended(Character laid, Part hand, Drawing truth) {
        boolean offered = Hands.of(laid).stream()
                .filter(h -> h.part().equals(hand.id()))
                .flatMap(h -> h.drawings().stream())
                .anyMatch(d -> d.drawing().equals(truth.id())
                        && d.wrist().isPresent()
                        && !d.message().isEmpty());
        Outcome outcome = Edits.apply(laid, new RegisterHand(hand.id(), truth.id(), false));
        return offered && outcome instanceof Outcome.Done done
                ? OptionalDouble.of(off(
                        truth,
                        done.character()
                                .part(hand.id())
                                .orElseThrow()
                                .drawing(truth.id())
                                .orElseThrow()))
                : OptionalDouble.empty();
    }

    private static double off(Drawing a, Drawing b) {
        List<Point> one = points(a);
        List<Point> two = points(b);
        assertThat(two).hasSameSizeAs(one);
        double most = 0;
        for (int i = 0; i < one.size(); i++) {
            most = Math.max(most, one.get(i).distance(two.get(i)));
        }
        return most;
    }

    private static List<Point> points(Drawing d) {
        return d.art().shapes().stream()
                .flatMap(s -> s.path().points().stream())
                .toList();
    }

    private static Document document() throws Exception {
        DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
        factory.setNamespaceAware(true);
        return factory.newDocumentBuilder().parse(new ByteArrayInputStream(DemoFiles.maren()));
    }

    /** All but the one in its place, those of the right hand first. */
    private static List<Element> hands(Document drawn) {
        List<Element> out = new ArrayList<>();
        for (String side : List.of("hand right", "hand left")) {
            NodeList groups = drawn.getElementsByTagNameNS("*", "g");
            for (int i = 0; i < groups.getLength(); i++) {
                Element g = (Element) groups.item(i);
                if (g.getParentNode() instanceof Element parent
                        && parent.getAttribute("id").equals(side)
                        && !g.getAttribute("id").equals("relaxed")) {
                    out.add(g);
                }
            }
        }
        return out;
    }

    private static void shake(Element hand, double by, Random random) {
        NodeList paths = hand.getElementsByTagNameNS("*", "path");
        for (int i = 0; by > 0 && i < paths.getLength(); i++) {
            Element path = (Element) paths.item(i);
            path.setAttribute(
                    "d",
                    NUMBER.matcher(path.getAttribute("d"))
                            .replaceAll(m -> String.format(
                                    Locale.ROOT,
                                    "%.2f",
                                    Double.parseDouble(m.group()) + by * (2 * random.nextDouble() - 1))));
        }
    }

    private static Character read(Document drawn) throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        TransformerFactory.newInstance().newTransformer().transform(new DOMSource(drawn), new StreamResult(out));
        LayeredArt art = ArtReader.read(out.toByteArray());
        return ((IntakeResult.Hung) art.assembled("Maren", 24)).character();
    }
}
