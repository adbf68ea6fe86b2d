package app.leeward.core.art;

import app.leeward.core.text.Decimals;
import java.util.Arrays;

/**
 * Writes path data. Large art is mostly coordinates, and they are written several times on their way: characters put down one
 * after the other take a quarter of the time of a string for each.
 */
final class PathText {
    /** The most a coordinate takes that is written digit by digit: a sign, eleven digits, a point, four digits. */
    private static final int LONGEST = 24;
    /** Below this a number's ten thousandths are counted exactly. */
    private static final double COUNTED = 1e15;

    private char[] out = new char[LONGEST];
    private int size;

    void letter(char c) {
        room(1);
        out[size++] = c;
    }

    void pair(Point p) {
        number(p.x());
        letter(' ');
        number(p.y());
    }

    /** At most four decimals, no trailing zeros, never an exponent. */
    void number(double value) {
        double scaled = Math.rint(value * 1e4);
        if (!(Math.abs(scaled) < COUNTED)) {
            huge(scaled / 1e4);
            return;
        }
        room(LONGEST);
        if (scaled < 0) {
            out[size++] = '-';
            scaled = -scaled;
        }
        int left;
        if (scaled <= Integer.MAX_VALUE) {
            int whole = (int) scaled;
            left = whole % 10_000;
            digits(whole / 10_000);
        } else {
            long whole = (long) scaled;
            left = (int) (whole % 10_000);
            digits(whole / 10_000);
        }
        if (left != 0) {
            out[size++] = '.';
            for (int digit = 1000; left != 0; left %= digit, digit /= 10) {
                out[size++] = (char) ('0' + left / digit);
            }
        }
    }

    private void huge(double rounded) {
        String text = Decimals.huge(rounded);
        for (int i = 0; i < text.length(); i++) {
            letter(text.charAt(i));
        }
    }

    /** What nearly all coordinates are: in a browser long numbers are ten times as slow. */
    private void digits(int n) {
        int count = 1;
        for (int more = n / 10; more != 0; more /= 10) {
            count++;
        }
        for (int i = size + count - 1; i >= size; i--, n /= 10) {
            out[i] = (char) ('0' + n % 10);
        }
        size += count;
    }

    private void digits(long n) {
        int count = 1;
        for (long more = n / 10; more != 0; more /= 10) {
            count++;
        }
        for (int i = size + count - 1; i >= size; i--, n /= 10) {
            out[i] = (char) ('0' + n % 10);
        }
        size += count;
    }

    private void room(int more) {
        if (size + more > out.length) {
            out = Arrays.copyOf(out, Math.max(size + more, 2 * out.length));
        }
    }

    @Override
    public String toString() {
        return new String(out, 0, size);
    }
}
