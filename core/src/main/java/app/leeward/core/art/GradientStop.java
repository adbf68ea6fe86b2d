package app.leeward.core.art;

/**
 * One colour of a gradient.
 *
 * @param at how far along, 0 to 1
 * @param colour {@code #rrggbb}
 * @param opacity 0 to 1
 */
public record GradientStop(double at, String colour, double opacity) {
    public GradientStop {
        if (!(at >= 0 && at <= 1 && opacity >= 0 && opacity <= 1)) {
            throw new IllegalArgumentException("a gradient's stop lies at 0 to 1, not at " + at + " with " + opacity);
        }
    }

    /**
     * A colour between two, channel by channel as gradients are painted, {@code #rrggbb}.
     *
     * @param share 0 for the first, 1 for the second
     */
    static String mixed(GradientStop a, GradientStop b, double share) {
        int from = Integer.parseInt(a.colour.substring(1), 16);
        int to = Integer.parseInt(b.colour.substring(1), 16);
        int out = 0;
        for (int shift = 16; shift >= 0; shift -= 8) {
            double from8 = from >> shift & 255;
            out = out << 8 | (int) Math.round(from8 + share * ((to >> shift & 255) - from8));
        }
        return String.format("#%06x", out);
    }
}
