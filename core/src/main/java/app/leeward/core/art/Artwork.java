package app.leeward.core.art;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;

/** The shapes of one drawing, back to front, in canvas coordinates with every transform resolved. */
public record Artwork(List<Shape> shapes) {
    public Artwork {
        shapes = List.copyOf(shapes);
    }

    public static Artwork of(Shape... shapes) {
        return new Artwork(List.of(shapes));
    }

    public Artwork transform(Matrix m) {
        return new Artwork(shapes.stream().map(s -> s.transform(m)).toList());
    }

    /** The same shapes with other outlines, in their order; gradients go with them. */
    public Artwork withOutlines(List<Path> outlines) {
        List<Shape> moved = new ArrayList<>();
        for (int i = 0; i < shapes.size(); i++) {
            moved.add(shapes.get(i).bent(outlines.get(i)));
        }
        return new Artwork(moved);
    }

    /**
     * With the even shapes its pictures show in place of the pictures, for rules that ask for lines, colours and pieces; never for
     * painting. Pictures nothing is known of stay.
     */
    public Artwork inShapes() {
        Set<String> told = new TreeSet<>();
        List<Shape> out = new ArrayList<>();
        for (Shape s : shapes) {
            if (s.fill() instanceof Paint.Picture p && !p.traced().isEmpty()) {
                out.addAll(shown(s, p));
            } else if (s.fill() instanceof Paint.Patch p && !p.traced().isEmpty()) {
                told.add(p.image());
                out.addAll(shown(s, p.picture()));
            } else if (!(s.fill() instanceof Paint.Patch p && told.contains(p.image()))) {
                // the first piece of a picture told what all of it shows
                out.add(s);
            }
        }
        return new Artwork(out);
    }

    /** What is known as one piece is one. */
    private static List<Shape> shown(Shape of, Paint.Picture picture) {
        return picture.traced().stream()
                .limit(of.role() == ShapeRole.OTHER ? Integer.MAX_VALUE : 1)
                .map(t -> t.transform(picture.place()))
                .map(t -> new Shape(
                        of.name(),
                        of.role() == ShapeRole.OTHER ? t.role() : of.role(),
                        t.path(),
                        t.fill(),
                        t.rule(),
                        t.stroke(),
                        of.opacity() * t.opacity(),
                        of.masked(),
                        of.clips()))
                .toList();
    }

    /** Where its shapes can paint, lines and the points of mitred corners included; rather too large than too small. */
    public Optional<Box> paintedBounds() {
        return shapes.stream()
                .flatMap(s -> s.bounds().map(b -> grown(b, s.stroke())).stream())
                .reduce(Box::union);
    }

    private static Box grown(Box b, Stroke line) {
        double by = !line.visible() ? 0 : line.width() / 2 * (line.join() == Stroke.Join.MITER ? line.miterLimit() : 1);
        return new Box(b.minX() - by, b.minY() - by, b.maxX() + by, b.maxY() + by);
    }

    /** Bounds of all outlines (line widths left out); empty when nothing is drawn. */
    public Optional<Box> bounds() {
        return shapes.stream().map(Shape::bounds).flatMap(Optional::stream).reduce(Box::union);
    }

    /** The shapes whose fill masks: those in the window role, or, when there are none, every filled shape. */
    public List<Shape> windowShapes() {
        List<Shape> named =
                shapes.stream().filter(s -> s.role() == ShapeRole.WINDOW).toList();
        return named.isEmpty()
                ? shapes.stream().filter(s -> !(s.fill() instanceof Paint.None)).toList()
                : named;
    }

    /** The shapes that lie before what a hand holds. */
    public List<Shape> fingers() {
        return shapes.stream().filter(s -> s.role() == ShapeRole.FINGERS).toList();
    }

    /** Every colour used, in order of first use. */
    public List<String> colours() {
        return shapes.stream()
                .flatMap(s ->
                        Stream.of(s.fill(), s.stroke().visible() ? s.stroke().paint() : Paint.NONE))
                .flatMap(Paint::colours)
                .distinct()
                .toList();
    }

    /** Hashes of the pictures made of pixels that it refers to. */
    public Set<String> images() {
        Set<String> all = new TreeSet<>();
        for (Shape s : shapes) {
            if (s.fill() instanceof Paint.Picture p) {
                all.add(p.image());
            } else if (s.fill() instanceof Paint.Patch p) {
                all.add(p.image());
            }
        }
        return all;
    }
}
