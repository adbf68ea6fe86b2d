package app.leeward.core.art;

import java.util.List;

/**
 * How a shape's line is drawn. A line without paint is {@link #NONE}.
 *
 * @param width user units, ≥ 0
 * @param miterLimit as in SVG, ≥ 1
 * @param dashes lengths of dash and gap in turn, an even number of them, user units; empty for an unbroken line
 * @param dashOffset how far into the dashes the line begins, user units
 */
public record Stroke(
        Paint paint, double width, Cap cap, Join join, double miterLimit, List<Double> dashes, double dashOffset) {
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
        // stored before lines could be dashed
        dashes = dashes == null ? List.of() : List.copyOf(dashes);
        Numbers.finite("line width", width);
        Numbers.finite("dash offset", dashOffset);
        if (width < 0 || miterLimit < 1) {
            throw new IllegalArgumentException(
                    "line width " + width + " or mitre limit " + miterLimit + " is too small");
        }
        boolean unsound = dashes.stream().anyMatch(d -> !(d >= 0 && d < 1e9));
        if (dashes.size() % 2 != 0
                || unsound
                || !dashes.isEmpty()
                        && dashes.stream().mapToDouble(Double::doubleValue).sum() <= 0) {
            throw new IllegalArgumentException("dashes come in pairs of lengths, not " + dashes);
        }
    }

    /** An unbroken line. */
    public Stroke(Paint paint, double width, Cap cap, Join join, double miterLimit) {
        this(paint, width, cap, join, miterLimit, List.of(), 0);
    }

    public boolean visible() {
        return !(paint instanceof Paint.None) && width > 0;
    }

    public Stroke withPaint(Paint newPaint) {
        return new Stroke(newPaint, width, cap, join, miterLimit, dashes, dashOffset);
    }

    /** As it is on a shape that was moved, turned or grown. */
    public Stroke transform(Matrix m) {
        double by = m.strokeScale();
        return new Stroke(
                paint.transform(m),
                width * by,
                cap,
                join,
                miterLimit,
                by > 0 ? dashes.stream().map(d -> d * by).toList() : List.of(),
                dashOffset * by);
    }
}
