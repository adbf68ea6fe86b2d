package app.leeward.core.art;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * One filled and/or stroked path inside a drawing.
 *
 * @param name as the art named it; may be empty
 * @param masked whether it shows only through its drawing's own {@link ShapeRole#WINDOW} shape
 * @param opacity 0 to 1, over fill and line together
 * @param clips outlines that cut it, each of them; for what the art itself clips, while windows are the rig's
 */
public record Shape(
        String name,
        ShapeRole role,
        Path path,
        Paint fill,
        FillRule rule,
        Stroke stroke,
        double opacity,
        boolean masked,
        List<Clip> clips) {
    /** How far what shows past an edge reaches in under it, units of the drawing. */
    public static final double TUCKED = 0.75;

    public Shape {
        // stored before there were any
        clips = clips == null ? List.of() : List.copyOf(clips);
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(role, "role");
        Objects.requireNonNull(path, "path");
        if (!(opacity >= 0 && opacity <= 1)) {
            throw new IllegalArgumentException("opacity must lie between 0 and 1, but is " + opacity);
        }
    }

    /** A shape that nothing of its own cuts. */
    public Shape(
            String name,
            ShapeRole role,
            Path path,
            Paint fill,
            FillRule rule,
            Stroke stroke,
            double opacity,
            boolean masked) {
        this(name, role, path, fill, rule, stroke, opacity, masked, List.of());
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
                stroke.transform(m),
                opacity,
                masked,
                clips.stream().map(c -> c.transform(m)).toList());
    }

    public Shape withRole(ShapeRole newRole, boolean nowMasked) {
        return new Shape(name, newRole, path, fill, rule, stroke, opacity, nowMasked, clips);
    }

    /** With colours exchanged for others, in fill and line. */
    public Shape recoloured(Map<String, String> into) {
        Stroke line = stroke.withPaint(stroke.paint().recoloured(into));
        return new Shape(name, role, path, fill.recoloured(into), rule, line, opacity, masked, clips);
    }

    public Shape withClips(List<Clip> newClips) {
        return new Shape(name, role, path, fill, rule, stroke, opacity, masked, newClips);
    }

    /** Cut by more outlines. */
    public Shape cutBy(List<Clip> more) {
        List<Clip> all = new ArrayList<>(clips);
        all.addAll(more);
        return new Shape(name, role, path, fill, rule, stroke, opacity, masked, all);
    }

    public Shape withName(String newName) {
        return new Shape(newName, role, path, fill, rule, stroke, opacity, masked, clips);
    }

    public Shape withFill(Paint newFill) {
        return new Shape(name, role, path, newFill, rule, stroke, opacity, masked, clips);
    }

    public Shape withRule(FillRule newRule) {
        return new Shape(name, role, path, fill, newRule, stroke, opacity, masked, clips);
    }

    public Shape withStroke(Stroke newStroke) {
        return new Shape(name, role, path, fill, rule, newStroke, opacity, masked, clips);
    }

    /** Bounds of the outline, as far as its clips let it be seen; empty when nothing of it can be. */
    public Optional<Box> bounds() {
        Optional<Box> seen = path.bounds();
        for (Clip c : clips) {
            Optional<Box> through = c.path().bounds();
            seen = seen.flatMap(b -> through.flatMap(b::intersection));
        }
        return seen;
    }

    public Shape withPath(Path newPath) {
        return new Shape(name, role, newPath, fill, rule, stroke, opacity, masked, clips);
    }

    /** With its outline bent point by point; gradients go with it. */
    Shape bent(Path now) {
        if (now.equals(path)) {
            return this;
        }
        Paint filled = fill instanceof Paint.Gradient g ? g.bent(path, now) : fill;
        Stroke lined = stroke.paint() instanceof Paint.Gradient g ? stroke.withPaint(g.bent(path, now)) : stroke;
        return new Shape(name, role, now, filled, rule, lined, opacity, masked, clips);
    }

    /**
     * All it covers in one colour, nothing see-through about it.
     *
     * @param line whether its line covers too
     */
    public Shape silhouette(String colour, boolean line) {
        Paint one = Paint.flat(colour);
        boolean lined = line && stroke.visible();
        return new Shape(
                name,
                role,
                path,
                fill instanceof Paint.None ? Paint.NONE : one,
                rule,
                lined ? stroke.withPaint(one) : Stroke.NONE,
                1,
                masked,
                clips);
    }

    /**
     * All its fill covers in one colour, with a narrow border in another: as a mask it lets what shows past it reach in under its edge by
     * {@link #TUCKED}, where two smoothed edges side by side would show what lies beneath as a hair line.
     */
    public Shape tucked(String colour, String border) {
        Shape filled = silhouette(colour, false);
        return new Shape(
                name,
                role,
                path,
                filled.fill(),
                rule,
                new Stroke(Paint.flat(border), 2 * TUCKED, Stroke.Cap.BUTT, Stroke.Join.MITER, 4),
                1,
                masked,
                clips);
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
                        stroke.miterLimit(),
                        stroke.dashes(),
                        stroke.dashOffset());
        Paint area = fillColour.isEmpty() ? Paint.NONE : Paint.flat(fillColour);
        return new Shape(name, role, path, area, rule, line, opacity, masked, clips);
    }
}
