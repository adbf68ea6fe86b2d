package app.leeward.render;

import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Numbers;
import app.leeward.core.art.Swatch;
import app.leeward.core.dial.Dial;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Canvas;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.DrawingKey;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Kit;
import app.leeward.core.rig.Look;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.text.Decimals;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.svg.PageMarkup;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import javax.imageio.ImageIO;

/**
 * What a character is and can do, on pages to pin to the wall: the figure and its palette, every dial from end to end, looks, mouths,
 * hands, kits and keys. Pages are SVG, A4 upright, in millimetres.
 */
final class RigSheet {
    private static final double WIDE = 210;
    private static final double HIGH = 297;
    private static final double MARGIN = 12;
    private static final double ROOM = WIDE - 2 * MARGIN;
    private static final double GAP = 2;
    /** Pixels for each millimetre of a picture, some 150 to the inch. */
    private static final double SHARP = 6;

    private static final int STEPS = 7;
    private static final String INK = "#17303d";
    private static final String FAINT = "#6d7d85";

    private final Character character;
    private final Evaluator evaluator;
    private final ExportSource source;
    private final List<String> pages = new ArrayList<>();
    private final Map<Integer, FramePainter> painters = new HashMap<>();
    private final StringBuilder body = new StringBuilder();
    private double y = MARGIN;

    private RigSheet(ExportSource source) {
        this.source = source;
        this.character = source.character();
        this.evaluator = new Evaluator(character);
    }

    static List<String> pages(ExportSource source) {
        return new RigSheet(source).all();
    }

    private List<String> all() {
        figure();
        Box head = head();
        dials();
        looks(head);
        mouths();
        hands();
        kits();
        keys();
        turnPage();
        return List.copyOf(pages);
    }

    private Box canvas() {
        Canvas c = character.sheet().canvas();
        return new Box(0, 0, c.width(), c.height());
    }

    /** What follows the head; all of the canvas where there is none. */
    private Box head() {
        Optional<Part> head = character.part(PartRole.HEAD).or(() -> character.part(PartRole.FACE));
        return head.flatMap(p -> character.rig().boundsWithFollowers(p.id()))
                .flatMap(b -> grown(b, 0.08).intersection(canvas()))
                .orElse(canvas());
    }

    private static Box grown(Box b, double share) {
        double by = share * Math.max(b.width(), b.height());
        return new Box(b.minX() - by, b.minY() - by, b.maxX() + by, b.maxY() + by);
    }

    private void figure() {
        text(MARGIN, y + 7, 8, true, INK, character.name());
        Canvas c = character.sheet().canvas();
        int drawings = character.rig().parts().stream()
                .mapToInt(p -> p.drawings().size())
                .sum();
        text(
                MARGIN,
                y + 13,
                3.2,
                false,
                FAINT,
                character.rig().parts().size() + " parts  ·  " + drawings + " drawings  ·  "
                        + character.controls().dials().size() + " dials  ·  canvas " + Numbers.text(c.width()) + " × "
                        + Numbers.text(c.height()) + "  ·  " + character.sheet().frameRate() + " frames a second");
        y += 18;
        double wide = 92;
        double tall = Math.min(105, wide * c.height() / c.width());
        picture(Pose.REST, canvas(), MARGIN, y, tall * c.width() / c.height(), tall);
        palette(MARGIN + 100, y, tall);
        y += tall + 6;
    }

    private void palette(double x, double top, double tall) {
        text(x, top + 3, 4, true, INK, "Palette");
        List<Swatch> all = character.sheet().palette();
        int rows = (int) ((tall - 6) / 8);
        for (int i = 0; i < all.size() && i < 2 * rows; i++) {
            double left = x + i / rows * 44;
            double at = top + 7 + i % rows * 8;
            if (i == 2 * rows - 1 && all.size() > 2 * rows) {
                text(left, at + 4, 2.8, false, FAINT, "and " + (all.size() - i) + " more");
                return;
            }
            body.append("<rect x=\"")
                    .append(n(left))
                    .append("\" y=\"")
                    .append(n(at))
                    .append("\" width=\"6.5\"");
            body.append(" height=\"6.5\" rx=\"1\" stroke=\"").append(FAINT).append("\" stroke-width=\"0.15\" fill=\"");
            body.append(all.get(i).colour()).append("\"/>\n");
            text(left + 8, at + 2.9, 2.6, true, INK, shortened(all.get(i).name(), 22));
            text(left + 8, at + 6.1, 2.4, false, FAINT, all.get(i).colour());
        }
    }

    private void dials() {
        double wide = (ROOM - (STEPS - 1) * GAP) / STEPS;
        double tall = 25;
        boolean first = true;
        for (Dial d : character.controls().dials()) {
            need(tall + 10 + (first ? 8 : 0));
            if (first) {
                heading("Dials");
                first = false;
            }
            text(MARGIN, y + 3, 3, true, INK, d.name());
            Box moves = fitted(moved(d), wide / tall);
            for (int i = 0; i < STEPS; i++) {
                double value = d.from() + (d.to() - d.from()) * i / (STEPS - 1);
                double x = MARGIN + i * (wide + GAP);
                picture(Pose.REST.withDial(d.id(), value), moves, x, y + 4.5, wide, tall);
                text(x, y + tall + 7.5, 2.3, false, FAINT, Decimals.plain(value, 2) + d.unit());
            }
            y += tall + 10;
        }
    }

    /** Where something moves or is exchanged from one end of a dial to the other; all of the canvas where nothing does. */
    private Box moved(Dial d) {
        Map<String, Frame.Placed> rest = new HashMap<>();
        evaluator.frame(Pose.REST).placed().forEach(p -> rest.put(p.part(), p));
        Optional<Box> all = Optional.empty();
        for (double end : new double[] {d.from(), d.to()}) {
            for (Frame.Placed p :
                    evaluator.frame(Pose.REST.withDial(d.id(), end)).placed()) {
                if (!p.equals(rest.get(p.part()))) {
                    all = Stream.concat(all.stream(), bounds(p).stream()).reduce(Box::union);
                }
            }
        }
        return all.flatMap(b -> grown(b, 0.12).intersection(canvas())).orElse(canvas());
    }

    /** More of what lies about it, so that it fills a frame of other proportions. */
    private Box fitted(Box b, double proportion) {
        double wide = Math.min(canvas().width(), Math.max(b.width(), b.height() * proportion));
        double tall = Math.min(canvas().height(), Math.max(b.height(), b.width() / proportion));
        double left = Math.max(0, Math.min(canvas().width() - wide, b.centre().x() - wide / 2));
        double top = Math.max(0, Math.min(canvas().height() - tall, b.centre().y() - tall / 2));
        return new Box(left, top, left + wide, top + tall);
    }

    private Optional<Box> bounds(Frame.Placed p) {
        return character
                .part(p.part())
                .flatMap(part -> part.drawing(p.drawing()))
                .flatMap(drawing -> p.shown(drawing.art()).transform(p.matrix()).bounds());
    }

    /** Pictures in rows, each with what it is called. */
    private void grid(String title, List<Cell> cells, int columns, double most) {
        if (cells.isEmpty()) {
            return;
        }
        double wide = (ROOM - (columns - 1) * GAP) / columns;
        Box first = cells.get(0).box();
        double tall = Math.min(most, wide * first.height() / first.width());
        for (int i = 0; i < cells.size(); i++) {
            if (i % columns == 0) {
                need(tall + 6 + (i == 0 ? 8 : 0));
                if (i == 0) {
                    heading(title);
                }
            }
            double x = MARGIN + i % columns * (wide + GAP);
            Cell c = cells.get(i);
            picture(c.pose(), c.box(), x, y, wide, tall);
            text(x, y + tall + 3, 2.5, false, INK, shortened(c.name(), (int) (wide / 1.35)));
            if (i % columns == columns - 1 || i == cells.size() - 1) {
                y += tall + 6;
            }
        }
        y += 2;
    }

    private record Cell(String name, Pose pose, Box box) {}

    private void looks(Box head) {
        List<Cell> cells = new ArrayList<>();
        for (Look l : character.library().looks()) {
            cells.add(new Cell(l.name(), Pose.REST.withLooks(Map.of(l.id(), 1.0)), head));
        }
        grid("Looks", cells, 6, 34);
    }

    private void mouths() {
        MouthChart chart = character.voice().mouths();
        Optional<Part> mouth = chart.part().flatMap(character::part);
        if (mouth.isEmpty()) {
            return;
        }
        Optional<Box> lips = mouth.get().drawings().stream()
                .flatMap(d -> d.art().bounds().stream())
                .reduce(Box::union);
        List<Cell> cells = new ArrayList<>();
        for (Viseme v : Viseme.values()) {
            chart.serve("", v)
                    .ifPresent(s -> cells.add(new Cell(
                            v.number() + "  " + v.words(),
                            Pose.REST.withPins(Map.of(mouth.get().id(), s.drawing())),
                            grown(lips.orElse(canvas()), 0.15))));
        }
        grid("Mouths", cells, 6, 22);
    }

    private void hands() {
        for (Part p : character.rig().parts()) {
            if (p.role() != PartRole.HAND || p.drawings().isEmpty()) {
                continue;
            }
            Box all = p.drawings().stream()
                    .flatMap(d -> d.art().bounds().stream())
                    .reduce(Box::union)
                    .orElse(canvas());
            List<Cell> cells = new ArrayList<>();
            for (Drawing d : p.drawings()) {
                cells.add(new Cell(d.id(), Pose.REST.withPicks(Map.of(p.id(), d.id())), grown(all, 0.1)));
            }
            grid(p.name().substring(0, 1).toUpperCase(Locale.ROOT) + p.name().substring(1), cells, 6, 30);
        }
    }

    private void kits() {
        List<Cell> cells = new ArrayList<>();
        for (Kit k : character.library().kits()) {
            cells.add(new Cell(k.name(), Pose.REST.withPicks(k.choices()), canvas()));
        }
        grid("Kits", cells, 5, 40);
    }

    private void keys() {
        List<DrawingKey> all = character.library().keys();
        for (int i = 0; i < all.size(); i++) {
            if (i % 3 == 0) {
                need(5 + (i == 0 ? 8 : 0));
                if (i == 0) {
                    heading("Keys");
                }
            }
            DrawingKey k = all.get(i);
            double x = MARGIN + i % 3 * ROOM / 3;
            text(x, y + 3, 3, true, INK, k.key());
            String part = character.part(k.part()).map(Part::name).orElse(k.part());
            text(x + 6, y + 3, 2.8, false, INK, shortened(part + ": " + k.drawing(), 36));
            if (i % 3 == 2 || i == all.size() - 1) {
                y += 5;
            }
        }
    }

    private void heading(String words) {
        text(MARGIN, y + 4, 4.4, true, INK, words);
        y += 8;
    }

    /** Begins a new page where there is not so much room, millimetres. */
    private void need(double room) {
        if (y + room > HIGH - MARGIN) {
            turnPage();
        }
    }

    private void turnPage() {
        if (body.isEmpty()) {
            return;
        }
        text(WIDE - MARGIN - 30, HIGH - 6, 2.4, false, FAINT, character.name() + "  ·  page " + (pages.size() + 1));
        pages.add(PageMarkup.page(body));
        body.setLength(0);
        y = MARGIN;
    }

    /** What is seen of a pose in a box, within a frame of the page. */
    private void picture(Pose pose, Box box, double x, double at, double wide, double tall) {
        double scale = Math.min(wide / box.width(), tall / box.height());
        Canvas c = character.sheet().canvas();
        int width = (int) Math.max(16, Math.min(4000, Math.round(SHARP * scale * c.width())));
        BufferedImage whole =
                decoded(painters.computeIfAbsent(width, w -> FramePainter.of(character, w, source.images()))
                        .png(evaluator.frame(pose)));
        double pixels = width / c.width();
        int left = clamped(box.minX() * pixels, whole.getWidth() - 1);
        int top = clamped(box.minY() * pixels, whole.getHeight() - 1);
        int right = Math.max(left + 1, clamped(box.maxX() * pixels, whole.getWidth()));
        int bottom = Math.max(top + 1, clamped(box.maxY() * pixels, whole.getHeight()));
        byte[] png = encoded(whole.getSubimage(left, top, right - left, bottom - top));
        double shownWide = (right - left) / pixels * scale;
        double shownTall = (bottom - top) / pixels * scale;
        body.append("<rect x=\"")
                .append(n(x))
                .append("\" y=\"")
                .append(n(at))
                .append("\" width=\"")
                .append(n(wide));
        body.append("\" height=\"").append(n(tall)).append("\" rx=\"1.2\" fill=\"#f7f3ea\"/>\n<image x=\"");
        body.append(n(x + (wide - shownWide) / 2)).append("\" y=\"").append(n(at + (tall - shownTall) / 2));
        body.append("\" width=\"").append(n(shownWide)).append("\" height=\"").append(n(shownTall));
        body.append("\" preserveAspectRatio=\"none\" href=\"data:image/png;base64,");
        body.append(Base64.getEncoder().encodeToString(png)).append("\"/>\n");
    }

    private static int clamped(double v, int most) {
        return (int) Math.max(0, Math.min(most, Math.round(v)));
    }

    private static BufferedImage decoded(byte[] png) {
        try {
            return ImageIO.read(new ByteArrayInputStream(png));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static byte[] encoded(BufferedImage picture) {
        try {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            ImageIO.write(picture, "png", out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String shortened(String text, int letters) {
        return text.length() <= letters ? text : text.substring(0, Math.max(1, letters - 1)) + "…";
    }

    private void text(double x, double at, double size, boolean bold, String ink, String words) {
        PageMarkup.text(body, x, at, size, bold, ink, words);
    }

    private static String n(double v) {
        return Numbers.text(v);
    }
}
