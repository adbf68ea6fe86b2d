package app.leeward.formats.raster;

import java.util.Arrays;
import java.util.Optional;
import java.util.function.DoubleBinaryOperator;

/** Ways to mix a channel (0 to 1) with what lies beneath it: W3C, Compositing and Blending Level 1, section 9.1. */
enum BlendMode {
    MULTIPLY("svg:multiply", (b, s) -> b * s),
    SCREEN("svg:screen", (b, s) -> b + s - b * s),
    OVERLAY("svg:overlay", (b, s) -> hardLight(s, b)),
    DARKEN("svg:darken", Math::min),
    LIGHTEN("svg:lighten", Math::max),
    COLOR_DODGE("svg:color-dodge", (b, s) -> b == 0 ? 0 : s == 1 ? 1 : Math.min(1, b / (1 - s))),
    COLOR_BURN("svg:color-burn", (b, s) -> b == 1 ? 1 : s == 0 ? 0 : 1 - Math.min(1, (1 - b) / s)),
    HARD_LIGHT("svg:hard-light", BlendMode::hardLight),
    SOFT_LIGHT("svg:soft-light", BlendMode::softLight),
    DIFFERENCE("svg:difference", (b, s) -> Math.abs(b - s));

    private final String op;
    private final DoubleBinaryOperator mix;

    BlendMode(String op, DoubleBinaryOperator mix) {
        this.op = op;
        this.mix = mix;
    }

    /** The mode an OpenRaster file calls so; empty for those that mix hues, and for any other word. */
    static Optional<BlendMode> called(String op) {
        return Arrays.stream(values()).filter(m -> m.op.equals(op)).findFirst();
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
