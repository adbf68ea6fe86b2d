package app.leeward.core.art;

/**
 * How a shape's line is drawn. A line without paint is {@link #NONE}.
 *
 * @param width user units, ≥ 0
 * @param miterLimit as in SVG, ≥ 1
 */
public record Stroke(Paint paint, double width, Cap cap, Join join, double miterLimit) {
    public static final Stroke NONE = new Stroke(Paint.NONE, 0, Cap.BUTT, Join.MITER, 4);

    public enum Cap {
        BUTT,
        ROUND,
        SQUARE
    }

    public enum Join {
        MITER,
        ROUND,
        BEVEL
    }

    public Stroke {
        Numbers.finite("line width", width);
        if (width < 0 || miterLimit < 1) {
            throw new IllegalArgumentException(
                    "line width " + width + " or mitre limit " + miterLimit + " is too small");
        }
    }

    public boolean visible() {
        return paint instanceof Paint.Flat && width > 0;
    }

    public Stroke scaled(double factor) {
        return new Stroke(paint, width * factor, cap, join, miterLimit);
    }
}
