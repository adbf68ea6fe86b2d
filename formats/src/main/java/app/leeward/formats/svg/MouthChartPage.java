package app.leeward.formats.svg;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.ImageShelf;
import app.leeward.core.art.Numbers;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.mouth.Mood;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.speech.Phone;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * One row of mouths as a page to print, A4 upright, in millimetres: every class with the drawing that serves it, all at one
 * scale, its sounds and example words, and where it was borrowed from when it has none of its own.
 */
public final class MouthChartPage {
    private static final double WIDE = 210;
    private static final double HIGH = 297;
    private static final double MARGIN = 12;
    private static final double TOP = 32;
    private static final int COLUMNS = 4;
    private static final double CELL = (WIDE - 2 * MARGIN) / COLUMNS;
    private static final double TALL = (HIGH - TOP - MARGIN) / 5;
    private static final double PICTURE = TALL - 17;

    private final Character character;
    private final StringBuilder body = new StringBuilder();
    private final StringBuilder defs = new StringBuilder();
    private final ShapeMarkup shapes;

    private MouthChartPage(Character character, ImageShelf images) {
        this.character = character;
        this.shapes = new ShapeMarkup(body, defs, images);
    }

    /**
     * @param mood id of the row; empty, or one that is not there, for the neutral one
     * @param images where the character's pictures made of pixels are; they are embedded
     */
    public static String write(Character character, String mood, ImageShelf images) {
        return new MouthChartPage(character, images).page(mood);
    }

    private String page(String mood) {
        MouthChart chart = character.voice().mouths();
        Map<Viseme, MouthChart.Service> served = new LinkedHashMap<>();
        for (Viseme v : Viseme.values()) {
            chart.serve(mood, v).ifPresent(s -> served.put(v, s));
        }
        Part mouth = chart.part().flatMap(character::part).orElse(null);
        Box all = mouth == null
                ? null
                : served.values().stream()
                        .flatMap(s -> mouth.drawing(s.drawing()).stream())
                        .flatMap(d -> d.art().bounds().stream())
                        .reduce(Box::union)
                        .orElse(null);
        text(MARGIN, 18, 7, true, character.name());
        String row = chart.mood(mood).map(Mood::name).map(n -> ", " + n).orElse("");
        text(
                MARGIN,
                25.5,
                3.8,
                false,
                "Mouth chart" + row + " – " + served.size() + " classes, "
                        + served.values().stream()
                                .map(MouthChart.Service::drawing)
                                .distinct()
                                .count() + " drawings");
        if (served.isEmpty() || all == null) {
            text(MARGIN, 44, 4, false, "No mouth has been drawn yet.");
        }
        int i = 0;
        for (MouthChart.Service s : served.values()) {
            if (all != null) {
                cell(s, mouth, all, mood, MARGIN + i % COLUMNS * CELL, TOP + i / COLUMNS * TALL);
            }
            i++;
        }
        return "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"210mm\""
                + " height=\"297mm\" viewBox=\"0 0 210 297\" font-family=\"sans-serif\">\n<title>Mouth chart of "
                + ShapeMarkup.escape(character.name()) + "</title>\n<defs>\n" + defs
                + "</defs>\n<rect width=\"210\" height=\"297\" fill=\"#ffffff\"/>\n" + body + "</svg>\n";
    }

    private void cell(MouthChart.Service s, Part mouth, Box all, String mood, double x, double y) {
        double w = CELL - 3;
        body.append("<rect x=\"")
                .append(n(x))
                .append("\" y=\"")
                .append(n(y))
                .append("\" width=\"")
                .append(n(w));
        body.append("\" height=\"")
                .append(n(PICTURE))
                .append("\" rx=\"2\" fill=\"")
                .append(skin())
                .append("\"/>\n");
        Artwork art = mouth.drawing(s.drawing()).orElseThrow().art();
        double scale = Math.min(0.86 * w / all.width(), 0.86 * PICTURE / all.height());
        double tx = x + w / 2 - scale * all.centre().x();
        double ty = y + PICTURE / 2 - scale * all.centre().y();
        body.append("<g transform=\"matrix(")
                .append(n(scale))
                .append(" 0 0 ")
                .append(n(scale))
                .append(' ');
        body.append(n(tx)).append(' ').append(n(ty)).append(")\">\n");
        String own = window(s, art);
        for (Shape shape : art.shapes()) {
            shapes.write(shape, shape.masked() ? own : null);
        }
        body.append("</g>\n");
        Viseme v = s.asked();
        text(x, y + PICTURE + 4.6, 4, true, v.number() + "  " + v.words());
        String sounds = Arrays.stream(Phone.values())
                .filter(p -> p != Phone.HH && Viseme.of(p) == v)
                .map(Phone::ipa)
                .collect(Collectors.joining(" "));
        text(
                x,
                y + PICTURE + 8.6,
                3,
                false,
                sounds + (v.examples().isEmpty() ? "" : "  ·  " + String.join(", ", v.examples())));
        if (!s.own() || !s.row().equals(mood) && !s.row().isEmpty() || s.row().isEmpty() && !mood.isEmpty()) {
            String from = s.own() ? "the neutral row" : s.from().words();
            text(x, y + PICTURE + 12.4, 2.8, false, "served by " + from);
        }
    }

    private String window(MouthChart.Service s, Artwork art) {
        boolean none = art.shapes().stream().noneMatch(x -> x.role() == ShapeRole.WINDOW);
        if (none) {
            return null;
        }
        String id = "in-" + s.asked().number();
        defs.append("<clipPath id=\"").append(id).append("\">");
        art.shapes().stream()
                .filter(x -> x.role() == ShapeRole.WINDOW)
                .forEach(x -> defs.append("<path d=\"").append(x.path().toSvg()).append("\"/>"));
        defs.append("</clipPath>\n");
        return id;
    }

    /** What the mouths lie on. */
    private String skin() {
        return character
                .part(PartRole.FACE)
                .flatMap(p -> p.drawing(p.shown()))
                .flatMap(d -> d.art().colours().stream().findFirst())
                .orElse("#f3ece0");
    }

    private void text(double x, double y, double size, boolean bold, String words) {
        PageMarkup.text(body, x, y, size, bold, "#17303d", words);
    }

    private static String n(double v) {
        return Numbers.text(v);
    }
}
