package app.leeward.server.config;

import java.nio.charset.StandardCharsets;
import java.util.Locale;

/** A large layered file that nobody drew, with a hand of many drawings, to practise reading and measuring on. */
final class WarmUpSample {
    private static final int SHAPES = 400;
    private static final int CURVES = 120;
    private static final int HANDS = 24;

    private WarmUpSample() {}

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
        out.append("<g id='forearm L'><rect x='2400' y='2960' width='600' height='80' fill='#f0c040'/></g>")
                .append("<g id='hand L'>");
        for (int i = 0; i < HANDS; i++) {
            out.append(String.format(
                    Locale.ROOT,
                    "<g id='drawing %d'><path fill='#eecbaa' d='M2420 2970C2380 %d 2260 2940 2240 3000C2260 %d 2380 3060 2420 3030Z'/>"
                            + "<path fill='#eecbaa' d='M2400 2980C2360 2960 2340 2970 2330 2990C2350 3010 2380 3010 2400 3000Z'/></g>",
                    i,
                    2900 + i,
                    3100 - i));
        }
        return out.append("</g></svg>").toString().getBytes(StandardCharsets.UTF_8);
    }

    private static void at(StringBuilder out, double x, double y) {
        out.append(String.format(Locale.ROOT, "%.4f %.4f ", x, y));
    }
}
