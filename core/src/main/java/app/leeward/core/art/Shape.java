package app.leeward.core.art;

import java.util.Objects;

/**
 * One filled and/or stroked path inside a drawing.
 *
 * @param name as the art named it; may be empty
 * @param masked whether it shows only through its drawing's own {@link ShapeRole#WINDOW} shape
 * @param opacity 0 to 1, over fill and line together
 */
public record Shape(
        String name,
        ShapeRole role,
        Path path,
        Paint fill,
        FillRule rule,
        Stroke stroke,
        double opacity,
        boolean masked) {
    public Shape {
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(role, "role");
        Objects.requireNonNull(path, "path");
        if (!(opacity >= 0 && opacity <= 1)) {
            throw new IllegalArgumentException("opacity must lie between 0 and 1, but is " + opacity);
        }
    }

    public static Shape filled(String name, Path path, String colour) {
        return new Shape(name, ShapeRole.OTHER, path, Paint.flat(colour), FillRule.NONZERO, Stroke.NONE, 1, false);
    }

    public Shape transform(Matrix m) {
        return new Shape(
                name,
                role,
                path.transform(m),
                fill.transform(m),
                rule,
                stroke.scaled(m.strokeScale()),
                opacity,
                masked);
    }

    public Shape withRole(ShapeRole newRole, boolean nowMasked) {
        return new Shape(name, newRole, path, fill, rule, stroke, opacity, nowMasked);
    }

    /** With one colour exchanged for another, in fill and line. */
    public Shape recoloured(String from, String to) {
        Stroke line = new Stroke(
                stroke.paint().recoloured(from, to), stroke.width(), stroke.cap(), stroke.join(), stroke.miterLimit());
        return new Shape(name, role, path, fill.recoloured(from, to), rule, line, opacity, masked);
    }

    public Shape withPath(Path newPath) {
        return new Shape(name, role, newPath, fill, rule, stroke, opacity, masked);
    }

    /** With even colours, {@code #rrggbb} or empty for none, and a line {@code width} units wide. */
    public Shape painted(String fillColour, String lineColour, double width) {
        Stroke line = lineColour.isEmpty() || width == 0
                ? Stroke.NONE
                : new Stroke(
                        Paint.flat(lineColour),
                        width,
                        stroke.visible() ? stroke.cap() : Stroke.Cap.ROUND,
                        stroke.visible() ? stroke.join() : Stroke.Join.ROUND,
                        stroke.miterLimit());
        Paint area = fillColour.isEmpty() ? Paint.NONE : Paint.flat(fillColour);
        return new Shape(name, role, path, area, rule, line, opacity, masked);
    }
}
