package app.leeward.core.art;

/**
 * A colour as the eye tells colours apart: CIE 1976 L*a*b* under D65, from sRGB by the formulas of IEC 61966-2-1 and CIE
 * 15.
 *
 * @param l lightness, 0 to 100
 */
public record Lab(double l, double a, double b) {
    private static final double LIGHT = 80;
    private static final double TINT = 24;
    private static final double SHADED = 62;
    private static final double GREY = 8;

    /** @param colour {@code #rrggbb} */
    public static Lab of(String colour) {
        int rgb = Integer.parseInt(colour.substring(1), 16);
        double r = linear(rgb >> 16 & 255);
        double g = linear(rgb >> 8 & 255);
        double b = linear(rgb & 255);
        double x = f((0.4124564 * r + 0.3575761 * g + 0.1804375 * b) / 0.95047);
        double y = f(0.2126729 * r + 0.7151522 * g + 0.0721750 * b);
        double z = f((0.0193339 * r + 0.1191920 * g + 0.9503041 * b) / 1.08883);
        return new Lab(116 * y - 16, 500 * (x - y), 200 * (y - z));
    }

    private static double linear(int v) {
        double s = v / 255.0;
        return s <= 0.04045 ? s / 12.92 : Math.pow((s + 0.055) / 1.055, 2.4);
    }

    private static double f(double t) {
        return t > 216.0 / 24389 ? Math.cbrt(t) : (24389.0 / 27 * t + 16) / 116;
    }

    /** How much colour there is beside grey: the chroma of CIE 1976. */
    public double chroma() {
        return Math.hypot(a, b);
    }

    /**
     * Whether it passes for white where one is looked for, as in an eye or a mouth: light with a tint, or plainly grey where it was painted
     * in shade. By eye.
     */
    public boolean white() {
        return l > LIGHT && chroma() < TINT || l > SHADED && chroma() < GREY;
    }

    /** CIE 1976 colour difference; about 2.3 is just noticeable. */
    public double difference(Lab o) {
        return Math.sqrt((l - o.l) * (l - o.l) + (a - o.a) * (a - o.a) + (b - o.b) * (b - o.b));
    }
}
