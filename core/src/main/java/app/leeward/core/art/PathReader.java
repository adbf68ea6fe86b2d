package app.leeward.core.art;

import java.util.ArrayList;
import java.util.List;

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
        private static final double[] POWERS_OF_TEN = {
            1e0, 1e1, 1e2, 1e3, 1e4, 1e5, 1e6, 1e7, 1e8, 1e9, 1e10, 1e11, 1e12, 1e13, 1e14, 1e15, 1e16, 1e17, 1e18,
            1e19, 1e20, 1e21, 1e22
        };
        /** As many digits as a double holds exactly. */
        private static final int EXACT_DIGITS = 15;

        /** With a 0 behind its end, so that looking one further needs no question. */
        private final char[] data;

        private final int end;
        private int at;

        Scanner(String data) {
            this.end = data.length();
            this.data = new char[end + 2];
            data.getChars(0, end, this.data, 0);
        }

        private char look(int i) {
            return data[i];
        }

        private boolean digit(int i) {
            char c = look(i);
            return c >= '0' && c <= '9';
        }

        private static boolean blank(char c) {
            return c == ' ' || c == '\n' || c == '\t' || c == '\r' || c == '\f';
        }

        private void blanks() {
            while (blank(data[at])) {
                at++;
            }
        }

        private void separator() {
            blanks();
            if (data[at] == ',') {
                at++;
                blanks();
            }
        }

        /** The next command letter; 0 at the end. */
        char command() {
            blanks();
            if (at == end) {
                return 0;
            }
            char c = data[at];
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
            int from = look(at) == '+' || look(at) == '-' ? at + 1 : at;
            boolean more = digit(from) || look(from) == '.' && digit(from + 1);
            if (!more) {
                at = before;
            }
            return more;
        }

        /**
         * Large art is almost nothing but numbers. Most have few digits, and such a number is exactly its digits multiplied or
         * divided by an exact power of ten (Clinger, How to read floating point numbers accurately, 1990); others go the long way.
         */
        double number(boolean first) {
            if (!first) {
                separator();
            }
            int from = at;
            int i = look(from) == '+' || look(from) == '-' ? from + 1 : from;
            long digits = 0;
            int count = 0;
            int point = 0;
            int begun = i;
            for (; digit(i); i++, count++) {
                digits = count < EXACT_DIGITS ? 10 * digits + (data[i] - '0') : digits;
            }
            if (look(i) == '.' && (i > begun || digit(i + 1))) {
                for (i++; digit(i); i++, count++, point++) {
                    digits = count < EXACT_DIGITS ? 10 * digits + (data[i] - '0') : digits;
                }
            }
            if (count == 0) {
                throw wrong("a number is missing");
            }
            boolean plain = true;
            if (look(i) == 'e' || look(i) == 'E') {
                int exponent = look(i + 1) == '+' || look(i + 1) == '-' ? i + 2 : i + 1;
                if (digit(exponent)) {
                    plain = false;
                    for (i = exponent; digit(i); i++) {}
                }
            }
            at = i;
            double v;
            if (plain && count <= EXACT_DIGITS) {
                v = digits / POWERS_OF_TEN[point];
                v = data[from] == '-' ? -v : v;
            } else {
                v = Double.parseDouble(new String(data, from, i - from));
            }
            if (!(Math.abs(v) < 1e9)) {
                throw wrong("the number " + new String(data, from, i - from) + " is out of all bounds");
            }
            return v;
        }

        boolean flag() {
            separator();
            if (at == end || (data[at] != '0' && data[at] != '1')) {
                throw wrong("an arc's flag must be 0 or 1");
            }
            return data[at++] == '1';
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
                throw new IllegalArgumentException("after " + MOST_SEGMENTS + " segments, the most one path may have");
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
