package app.leeward.formats.raster;

import java.util.Arrays;
import java.util.Optional;
import java.util.function.DoubleBinaryOperator;

/** Ways to mix a channel (0 to 1) with what lies beneath it: W3C, Compositing and Blending Level 1, section 9.1. */
enum BlendMode {
    MULTIPLY("svg:multiply", "mul ", (b, s) -> b * s),
    SCREEN("svg:screen", "scrn", (b, s) -> b + s - b * s),
    OVERLAY("svg:overlay", "over", (b, s) -> hardLight(s, b)),
    DARKEN("svg:darken", "dark", Math::min),
    LIGHTEN("svg:lighten", "lite", Math::max),
    COLOR_DODGE("svg:color-dodge", "div ", (b, s) -> b == 0 ? 0 : s == 1 ? 1 : Math.min(1, b / (1 - s))),
    COLOR_BURN("svg:color-burn", "idiv", (b, s) -> b == 1 ? 1 : s == 0 ? 0 : 1 - Math.min(1, (1 - b) / s)),
    HARD_LIGHT("svg:hard-light", "hLit", BlendMode::hardLight),
    SOFT_LIGHT("svg:soft-light", "sLit", BlendMode::softLight),
    DIFFERENCE("svg:difference", "diff", (b, s) -> Math.abs(b - s));

    private final String op;
    private final String key;
    private final DoubleBinaryOperator mix;

    BlendMode(String op, String key, DoubleBinaryOperator mix) {
        this.op = op;
        this.key = key;
        this.mix = mix;
    }

    /** The mode an OpenRaster file or a PSD file calls so; empty for those that mix hues, and for any other word. */
    static Optional<BlendMode> called(String op) {
        return Arrays.stream(values())
                .filter(m -> m.op.equals(op) || m.key.equals(op))
                .findFirst();
    }

    /**
     * @param backdrop what lies beneath, 0 to 1
     * @param source what is laid over it, 0 to 1
     */
    double mixed(double backdrop, double source) {
        return mix.applyAsDouble(backdrop, source);
    }

    private static double hardLight(double b, double s) {
        return s <= 0.5 ? b * 2 * s : b + (2 * s - 1) - b * (2 * s - 1);
    }

    private static double softLight(double b, double s) {
        if (s <= 0.5) {
            return b - (1 - 2 * s) * b * (1 - b);
        }
        double d = b <= 0.25 ? ((16 * b - 12) * b + 4) * b : Math.sqrt(b);
        return b + (2 * s - 1) * (d - b);
    }
}
