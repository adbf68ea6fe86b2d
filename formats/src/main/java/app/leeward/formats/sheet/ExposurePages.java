package app.leeward.formats.sheet;

import app.leeward.core.art.Numbers;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.formats.svg.PageMarkup;
import java.util.ArrayList;
import java.util.List;

/**
 * The exposure sheet of a shot as pages to print, A4 upright, in millimetres: time runs downwards, two seconds a page, a column a track.
 * What stands from one frame to the next is a line; a key is a dot. Where there are more tracks than a page is wide, the same frames come
 * again with the next ones.
 */
public final class ExposurePages {
    private static final double WIDE = 210;
    private static final double HIGH = 297;
    private static final double MARGIN = 10;
    private static final double TOP = 34;
    private static final double FOOT = 12;
    /** Least width of a column, in which a name can be read. */
    private static final double NARROW = 19;

    private static final double FRAMES = 10;
    private static final double MOST_ROWS = 60;
    /** A letter is about half as wide as it is high. */
    private static final double LETTER = 0.54;

    private static final String INK = "#17303d";
    private static final String FAINT = "#6d7d85";
    private static final String RULE = "#c9d2d6";

    private final Shot shot;
    private final String character;
    private final int rows;
    private final double row;
    private final StringBuilder body = new StringBuilder();

    private ExposurePages(Shot shot, String character) {
        this.shot = shot;
        this.character = character;
        int rate = shot.rules().frameRate();
        this.rows = rate * 2 <= MOST_ROWS ? rate * 2 : Math.min(rate, (int) MOST_ROWS);
        this.row = (HIGH - TOP - FOOT) / rows;
    }

    /** @return SVG documents, one a page */
    public static List<String> write(Playhead playhead) {
        List<SheetColumn> columns = new ArrayList<>(SheetColumns.heard(playhead).stream()
                .filter(c -> !List.of("class", "heard", "pinned").contains(c.name()))
                .toList());
        columns.addAll(SheetColumns.acted(playhead));
        return new ExposurePages(
                        playhead.shot(), playhead.evaluator().character().name())
                .pages(columns);
    }

    private List<String> pages(List<SheetColumn> columns) {
        int most = (int) ((WIDE - 2 * MARGIN - FRAMES) / NARROW);
        int strips = (columns.size() + most - 1) / most;
        int each = (columns.size() + strips - 1) / strips;
        int stretches = (shot.frames() + rows - 1) / rows;
        List<String> pages = new ArrayList<>();
        for (int stretch = 0; stretch < stretches; stretch++) {
            for (int strip = 0; strip < strips; strip++) {
                body.setLength(0);
                List<SheetColumn> some = columns.subList(strip * each, Math.min(columns.size(), (strip + 1) * each));
                page(some, stretch * rows, pages.size() + 1, stretches * strips);
                pages.add(PageMarkup.page(body));
            }
        }
        return pages;
    }

    private void page(List<SheetColumn> columns, int from, int number, int of) {
        int to = Math.min(shot.frames(), from + rows);
        text(MARGIN, 16, 6, true, INK, shot.name());
        String on =
                switch (shot.rules().exposure()) {
                    case 1 -> "ones";
                    case 2 -> "twos";
                    case 3 -> "threes";
                    default -> shot.rules().exposure() + "s";
                };
        text(
                MARGIN,
                21.5,
                3,
                false,
                FAINT,
                character + "  ·  frames " + (from + 1) + " to " + to + " of " + shot.frames() + "  ·  "
                        + shot.rules().frameRate() + " a second, on " + on + "  ·  page " + number + " of " + of);
        double wide = (WIDE - 2 * MARGIN - FRAMES) / columns.size();
        double bottom = TOP + (to - from) * row;
        for (int f = from; f < to; f++) {
            double y = TOP + (f - from) * row;
            int beat = shot.rules().frameRate() / 2;
            boolean second = f % shot.rules().frameRate() == 0;
            boolean strong = second || f % Math.max(1, beat) == 0;
            rule(MARGIN, y, WIDE - MARGIN, y, second ? FAINT : RULE, second ? 0.35 : strong ? 0.25 : 0.1);
            boolean photographed = f % shot.rules().exposure() == 0;
            text(
                    MARGIN + 1,
                    y + 0.72 * row,
                    Math.min(2.6, 0.62 * row),
                    second,
                    photographed ? INK : RULE,
                    String.valueOf(f + 1));
        }
        rule(MARGIN, bottom, WIDE - MARGIN, bottom, FAINT, 0.35);
        rule(MARGIN, TOP - 8, MARGIN, bottom, RULE, 0.2);
        for (int c = 0; c < columns.size(); c++) {
            double x = MARGIN + FRAMES + c * wide;
            rule(x, TOP - 8, x, bottom, RULE, 0.2);
            name(x + 1, wide - 2, columns.get(c).name());
            column(columns.get(c), x + 1, wide - 2, from, to);
        }
        rule(WIDE - MARGIN, TOP - 8, WIDE - MARGIN, bottom, RULE, 0.2);
    }

    /** In two lines when one is too short. */
    private void name(double x, double wide, String name) {
        double size = 2.5;
        int fit = letters(wide, size);
        int cut = name.length() <= fit ? -1 : name.lastIndexOf(' ', fit);
        if (cut > 0) {
            text(x, TOP - 4.6, size, true, INK, name.substring(0, cut));
            text(x, TOP - 1.6, size, true, INK, shortened(name.substring(cut + 1), wide, size));
        } else {
            text(x, TOP - 1.6, size, true, INK, shortened(name, wide, size));
        }
    }

    private void column(SheetColumn column, double x, double wide, int from, int to) {
        double size = Math.min(2.5, 0.6 * row);
        String before = "";
        for (int f = from; f < to; f++) {
            SheetColumn.Cell cell = column.cells().get(f);
            double y = TOP + (f - from) * row;
            if (!cell.text().isEmpty()) {
                // the first row of a page says again what stands since the page before
                if (cell.begins() || !cell.text().equals(before) || f == from) {
                    if (cell.begins()) {
                        body.append("<circle cx=\"")
                                .append(n(x + 0.8))
                                .append("\" cy=\"")
                                .append(n(y + row / 2));
                        body.append("\" r=\"0.7\" fill=\"").append(INK).append("\"/>\n");
                    }
                    String ink = cell.begins() ? INK : FAINT;
                    text(x + 2.2, y + 0.72 * row, size, cell.begins(), ink, shortened(cell.text(), wide - 2.2, size));
                } else {
                    rule(x + 0.8, y, x + 0.8, y + row, FAINT, 0.3);
                }
            }
            before = cell.text();
        }
    }

    private static int letters(double wide, double size) {
        return Math.max(1, (int) (wide / (LETTER * size)));
    }

    private static String shortened(String text, double wide, double size) {
        int fit = letters(wide, size);
        return text.length() <= fit ? text : text.substring(0, Math.max(1, fit - 1)) + "…";
    }

    private void rule(double x1, double y1, double x2, double y2, String ink, double width) {
        body.append("<path d=\"M")
                .append(n(x1))
                .append(' ')
                .append(n(y1))
                .append('L')
                .append(n(x2))
                .append(' ');
        body.append(n(y2)).append("\" fill=\"none\" stroke=\"").append(ink).append("\" stroke-width=\"");
        body.append(n(width)).append("\"/>\n");
    }

    private void text(double x, double y, double size, boolean bold, String ink, String words) {
        PageMarkup.text(body, x, y, size, bold, ink, words);
    }

    private static String n(double v) {
        return Numbers.text(v);
    }
}
