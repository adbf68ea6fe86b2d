package app.leeward.server.config;

import java.nio.charset.StandardCharsets;
import java.util.Locale;

/** A large layered file that nobody drew, to practise reading on. */
final class Practice {
    private static final int SHAPES = 400;
    private static final int CURVES = 120;

    private Practice() {}

    static byte[] file() {
        StringBuilder out = new StringBuilder(1 << 22);
        out.append("<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 4000 4000'>")
                .append("<g id='face'><circle cx='2000' cy='2000' r='900' fill='#eecbaa'/></g>");
        for (int i = 0; i < SHAPES; i++) {
            double x = 1200 + 40 * (i % 40);
            double y = 1300 + 100 * (i / 40);
            out.append("<g id='piece ").append(i).append("'><path fill='#5e8dd0' d='M");
            at(out, x, y);
            for (int k = 1; k <= CURVES; k++) {
                out.append('C');
                at(out, x + 31.7 * Math.sin(k), y + 27.3 * Math.cos(2.1 * k));
                at(out, x + 29.1 * Math.sin(1.3 * k), y + 30.9 * Math.cos(k));
                at(out, x + 30.3 * Math.sin(0.7 * k), y + 28.8 * Math.cos(0.4 * k));
            }
            out.append("Z'/></g>");
        }
        return out.append("</svg>").toString().getBytes(StandardCharsets.UTF_8);
    }

    private static void at(StringBuilder out, double x, double y) {
        out.append(String.format(Locale.ROOT, "%.4f %.4f ", x, y));
    }
}
