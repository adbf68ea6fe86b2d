package app.leeward.formats.svg;

import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads SVG path data into absolute lines and cubics, after the grammar and formulas of SVG 1.1, chapter 8.3 and
 * appendix F.6. Ours, because the parsers at hand keep numbers in single precision: coordinates beyond a thousand units
 * would change each time a drawing is stored.
 */
public final class PathReader {
    /** Most segments one path may have. */
    public static final int MOST_SEGMENTS = 20_000;

    private PathReader() {}

    /**
     * @param path everything up to the first error, as the specification asks of viewers
     * @param error what was wrong with the rest and where; null when nothing was
     */
    public record Result(Path path, String error) {}

    public static Result read(String data) {
        Builder builder = new Builder();
        Scanner in = new Scanner(data);
        String error = null;
        try {
            for (char command = in.command(); command != 0; command = in.command()) {
                do {
                    command = builder.segment(command, in);
                } while (java.lang.Character.toLowerCase(command) != 'z' && in.moreNumbers());
            }
        } catch (IllegalArgumentException e) {
            error = e.getMessage();
        }
        return new Result(new Path(builder.segments), error);
    }

    /** Takes numbers, flags and command letters off the front of path data. */
    private static final class Scanner {
        private static final Pattern NUMBER = Pattern.compile("[+-]?(\\d+\\.?\\d*|\\.\\d+)([eE][+-]?\\d+)?");
        private final String data;
        private final Matcher numbers;
        private int at;

        Scanner(String data) {
            this.data = data;
            this.numbers = NUMBER.matcher(data);
        }

        private void blanks() {
            while (at < data.length() && " \t\r\n\f".indexOf(data.charAt(at)) >= 0) {
                at++;
            }
        }

        private void separator() {
            blanks();
            if (at < data.length() && data.charAt(at) == ',') {
                at++;
                blanks();
            }
        }

        /** The next command letter; 0 at the end. */
        char command() {
            blanks();
            if (at == data.length()) {
                return 0;
            }
            char c = data.charAt(at);
            if ("MmZzLlHhVvCcSsQqTtAa".indexOf(c) < 0) {
                throw wrong("'" + c + "' is no path command");
            }
            at++;
            blanks();
            return c;
        }

        boolean moreNumbers() {
            int before = at;
            separator();
            boolean more = numbers.region(at, data.length()).lookingAt();
            if (!more) {
                at = before;
            }
            return more;
        }

        double number(boolean first) {
            if (!first) {
                separator();
            }
            if (!numbers.region(at, data.length()).lookingAt()) {
                throw wrong("a number is missing");
            }
            at = numbers.end();
            double v = Double.parseDouble(numbers.group());
            if (!(Math.abs(v) < 1e9)) {
                throw wrong("the number " + numbers.group() + " is out of all bounds");
            }
            return v;
        }

        boolean flag() {
            separator();
            if (at == data.length() || (data.charAt(at) != '0' && data.charAt(at) != '1')) {
                throw wrong("an arc's flag must be 0 or 1");
            }
            return data.charAt(at++) == '1';
        }

        private IllegalArgumentException wrong(String what) {
            return new IllegalArgumentException("at character " + at + ": " + what);
        }
    }

    private static final class Builder {
        private final List<Segment> segments = new ArrayList<>();
        private double x;
        private double y;
        private double startX;
        private double startY;
        /** Last control point, for the smooth commands; the pen itself behind any other command. */
        private double cubicX;

        private double cubicY;
        private double quadX;
        private double quadY;
        private boolean closed;

        private void add(Segment s) {
            if (segments.size() >= MOST_SEGMENTS) {
                throw new IllegalArgumentException("a path has more than " + MOST_SEGMENTS + " segments");
            }
            if (segments.isEmpty() && !(s instanceof Segment.Move)) {
                throw new IllegalArgumentException("at character 0: a path begins with a move");
            }
            if (closed && !(s instanceof Segment.Move)) {
                segments.add(new Segment.Move(new Point(x, y)));
            }
            closed = s instanceof Segment.Close;
            segments.add(s);
        }

        private void pen(double nx, double ny) {
            x = nx;
            y = ny;
            cubicX = quadX = nx;
            cubicY = quadY = ny;
        }

        /** Reads one segment; says which command goes on when only numbers follow. */
        char segment(char command, Scanner in) {
            boolean relative = java.lang.Character.isLowerCase(command);
            double ox = relative ? x : 0;
            double oy = relative ? y : 0;
            switch (java.lang.Character.toUpperCase(command)) {
                case 'M' -> {
                    move(ox + in.number(true), oy + in.number(false));
                    return relative ? 'l' : 'L';
                }
                case 'Z' -> close();
                case 'L' -> line(ox + in.number(true), oy + in.number(false));
                case 'H' -> line(ox + in.number(true), y);
                case 'V' -> line(x, oy + in.number(true));
                case 'C' -> {
                    double[] n = six(in, 6);
                    cubic(ox + n[0], oy + n[1], ox + n[2], oy + n[3], ox + n[4], oy + n[5]);
                }
                case 'S' -> {
                    double[] n = six(in, 4);
                    cubic(2 * x - cubicX, 2 * y - cubicY, ox + n[0], oy + n[1], ox + n[2], oy + n[3]);
                }
                case 'Q' -> {
                    double[] n = six(in, 4);
                    quad(ox + n[0], oy + n[1], ox + n[2], oy + n[3]);
                }
                case 'T' -> quad(2 * x - quadX, 2 * y - quadY, ox + in.number(true), oy + in.number(false));
                default -> {
                    double[] n = six(in, 3);
                    boolean large = in.flag();
                    boolean sweep = in.flag();
                    arc(n[0], n[1], n[2], large, sweep, ox + in.number(false), oy + in.number(false));
                }
            }
            return command;
        }

        private static double[] six(Scanner in, int count) {
            double[] n = new double[count];
            for (int i = 0; i < count; i++) {
                n[i] = in.number(i == 0);
            }
            return n;
        }

        private void move(double nx, double ny) {
            add(new Segment.Move(new Point(nx, ny)));
            startX = nx;
            startY = ny;
            pen(nx, ny);
        }

        private void close() {
            if (!closed) {
                add(new Segment.Close());
            }
            pen(startX, startY);
        }

        private void line(double nx, double ny) {
            add(new Segment.Line(new Point(nx, ny)));
            pen(nx, ny);
        }

        private void cubic(double x1, double y1, double x2, double y2, double nx, double ny) {
            add(new Segment.Cubic(new Point(x1, y1), new Point(x2, y2), new Point(nx, ny)));
            pen(nx, ny);
            cubicX = x2;
            cubicY = y2;
        }

        private void quad(double qx, double qy, double nx, double ny) {
            // a quadratic raised to a cubic: its controls lie two thirds of the way to the one control point
            cubic(
                    x + 2.0 / 3 * (qx - x),
                    y + 2.0 / 3 * (qy - y),
                    nx + 2.0 / 3 * (qx - nx),
                    ny + 2.0 / 3 * (qy - ny),
                    nx,
                    ny);
            pen(nx, ny);
            quadX = qx;
            quadY = qy;
        }

        private void arc(double rx, double ry, double turn, boolean large, boolean sweep, double nx, double ny) {
            if (x == nx && y == ny) {
                return;
            }
            if (rx == 0 || ry == 0) {
                line(nx, ny);
                return;
            }
            Arcs.toCubics(x, y, Math.abs(rx), Math.abs(ry), turn, large, sweep, nx, ny)
                    .forEach(this::add);
            pen(nx, ny);
        }
    }
}
