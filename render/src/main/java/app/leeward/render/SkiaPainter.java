package app.leeward.render;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Clip;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.ImageShelf;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Stroke;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import io.github.humbleui.skija.Bitmap;
import io.github.humbleui.skija.BlendMode;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.ClipMode;
import io.github.humbleui.skija.ColorAlphaType;
import io.github.humbleui.skija.ColorSpace;
import io.github.humbleui.skija.ColorType;
import io.github.humbleui.skija.EncodePNGOptions;
import io.github.humbleui.skija.EncoderPNG;
import io.github.humbleui.skija.FilterTileMode;
import io.github.humbleui.skija.GradientStyle;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.ImageInfo;
import io.github.humbleui.skija.Matrix33;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.PaintMode;
import io.github.humbleui.skija.PaintStrokeCap;
import io.github.humbleui.skija.PaintStrokeJoin;
import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathBuilder;
import io.github.humbleui.skija.PathEffect;
import io.github.humbleui.skija.PathFillMode;
import io.github.humbleui.skija.PathOp;
import io.github.humbleui.skija.SamplingMode;
import io.github.humbleui.skija.Shader;
import io.github.humbleui.skija.Surface;
import io.github.humbleui.types.Rect;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;

/** Draws with Skia, whose natives are there for most machines. */
final class SkiaPainter implements FramePainter {
    private final Character character;
    private final double scale;
    private final Map<String, Artwork> art = new HashMap<>();
    private final ImageShelf images;
    private final Map<String, Image> pictures = new HashMap<>();
    /** By the shape itself: to compare outlines point by point takes longer than to build one. */
    private final Map<Shape, Path> paths = new IdentityHashMap<>();

    private static final int MOST_PATHS = 4_000;
    /** Some 14 % larger than at the usual level, and written in two thirds of the time. */
    private static final EncodePNGOptions QUICK = EncodePNGOptions.DEFAULT.withZlibLevel(3);

    SkiaPainter(Character character, int width, ImageShelf images) {
        this.character = character;
        this.images = images;
        this.scale = width / character.sheet().canvas().width();
    }

    @Override
    public int width() {
        return (int) Math.round(character.sheet().canvas().width() * scale);
    }

    @Override
    public int height() {
        return Math.max(1, (int) Math.round(character.sheet().canvas().height() * scale));
    }

    @Override
    public byte[] png(Frame frame) {
        try (Surface surface = Surface.makeRasterN32Premul(width(), height())) {
            draw(surface, frame, 0);
            try (Image image = surface.makeImageSnapshot()) {
                return EncoderPNG.encode(image, QUICK).getBytes();
            }
        }
    }

    @Override
    public byte[] pixels(Frame frame, boolean ground) {
        try (Surface surface = Surface.makeRasterN32Premul(width(), height());
                Bitmap bitmap = new Bitmap()) {
            draw(surface, frame, ground ? 0xFFFFFFFF : 0);
            ImageInfo straight = new ImageInfo(
                    width(), height(), ColorType.RGBA_8888, ColorAlphaType.UNPREMUL, ColorSpace.getSRGB());
            bitmap.allocPixels(straight);
            surface.readPixels(bitmap, 0, 0);
            return bitmap.readPixels(straight, 4L * width(), 0, 0);
        }
    }

    private void draw(Surface surface, Frame frame, int ground) {
        Canvas canvas = surface.getCanvas();
        canvas.clear(ground);
        canvas.scale((float) scale, (float) scale);
        Map<String, Frame.Placed> placed = new HashMap<>();
        frame.placed().forEach(p -> placed.put(p.part(), p));
        for (Frame.Placed p : frame.placed()) {
            part(canvas, p, placed);
        }
    }

    private void part(Canvas canvas, Frame.Placed p, Map<String, Frame.Placed> placed) {
        if (p.opacity() <= 0) {
            return;
        }
        int depth = canvas.save();
        for (String window : p.windows()) {
            Frame.Placed by = placed.get(window);
            clip(canvas, artOf(by).windowShapes(), by.matrix(), ClipMode.INTERSECT);
        }
        for (String outer : p.outside()) {
            Frame.Placed by = placed.get(outer);
            clip(canvas, artOf(by).windowShapes(), by.matrix(), ClipMode.DIFFERENCE);
        }
        List<Frame.Placed> before = p.behind().stream()
                .filter(placed::containsKey)
                .map(placed::get)
                .filter(h -> !artOf(h).fingers().isEmpty())
                .toList();
        int whole = canvas.getSaveCount();
        if (!before.isEmpty()) {
            canvas.saveLayer(null, null);
        }
        if (p.opacity() < 1) {
            try (Paint layer = new Paint()) {
                canvas.saveLayer(null, layer.setAlphaf((float) p.opacity()));
            }
        }
        canvas.concat(matrix(p.matrix()));
        Artwork drawing = artOf(p);
        List<Shape> window = drawing.shapes().stream()
                .filter(s -> s.role() == ShapeRole.WINDOW)
                .toList();
        for (Shape s : drawing.shapes()) {
            boolean masked = s.masked() && !window.isEmpty();
            if (masked) {
                canvas.save();
                clip(canvas, window, Matrix.IDENTITY, ClipMode.INTERSECT);
            }
            shape(canvas, s);
            if (masked) {
                canvas.restore();
            }
        }
        for (Frame.Placed hand : before) {
            canvas.restoreToCount(whole + 1);
            takeOut(canvas, hand);
        }
        canvas.restoreToCount(depth);
    }

    /** Takes what a hand's fingers paint out of the layer: they lie before it. */
    private void takeOut(Canvas canvas, Frame.Placed hand) {
        try (Paint out = new Paint()) {
            canvas.saveLayer(null, out.setBlendMode(BlendMode.DST_OUT));
        }
        canvas.concat(matrix(hand.matrix()));
        for (Shape s : artOf(hand).fingers()) {
            shape(canvas, s.silhouette("#000000", true));
        }
        canvas.restore();
    }

    private Artwork artOf(Frame.Placed p) {
        Artwork drawn = art.computeIfAbsent(p.part() + "/" + p.drawing(), k -> character
                .part(p.part())
                .flatMap(part -> part.drawing(p.drawing()))
                .map(Drawing::art)
                .orElseThrow());
        return p.shown(drawn);
    }

    /** By what any of the shapes fills: in one path, two that were drawn in opposite directions would take each other away. */
    private void clip(Canvas canvas, List<Shape> shapes, Matrix m, ClipMode mode) {
        if (mode == ClipMode.DIFFERENCE || shapes.size() == 1) {
            boolean tucked = mode == ClipMode.DIFFERENCE && shapes.size() == 1;
            for (Shape s : shapes) {
                try (Path path = path(s).makeTransform(matrix(m));
                        Path inner = tucked ? inner(path, m.strokeScale()) : null) {
                    canvas.clipPath(inner == null ? path : inner, mode, true);
                }
            }
            return;
        }
        try (PathBuilder none = new PathBuilder()) {
            Path all = none.build();
            for (Shape s : shapes) {
                Path both = Path.makeCombining(all, path(s), PathOp.UNION);
                if (both != null) {
                    all.close();
                    all = both;
                }
            }
            try (Path path = all.makeTransform(matrix(m))) {
                canvas.clipPath(path, mode, true);
            }
            all.close();
        }
    }

    /** What a path holds but for a narrow border, as {@link Shape#tucked} has it; null where that cannot be worked out. */
    private static Path inner(Path path, double scale) {
        try (Paint line = new Paint();
                Path border = line.setMode(PaintMode.STROKE)
                        .setStrokeWidth((float) (2 * Shape.TUCKED * scale))
                        .getFillPath(path)) {
            return Path.makeCombining(path, border, PathOp.DIFFERENCE);
        }
    }

    private void picture(
            Canvas canvas, app.leeward.core.art.Paint.Picture p, app.leeward.core.art.Matrix place, double opacity) {
        Image image = pictures.computeIfAbsent(p.image(), h -> Image.makeDeferredFromEncodedBytes(images.png(h)));
        int depth = canvas.save();
        canvas.concat(matrix(place));
        try (Paint paint = new Paint()) {
            paint.setAntiAlias(true).setAlphaf((float) opacity);
            Rect whole = Rect.makeWH(p.width(), p.height());
            canvas.drawImageRect(image, whole, whole, SamplingMode.MITCHELL, paint, true);
        }
        canvas.restoreToCount(depth);
    }

    private void shape(Canvas canvas, Shape s) {
        int depth = canvas.save();
        for (Clip c : s.clips()) {
            try (Path path = cut(c)) {
                canvas.clipPath(path, true);
            }
        }
        bare(canvas, s);
        canvas.restoreToCount(depth);
    }

    private static Path cut(Clip c) {
        Path path =
                Path.makeFromSVGString(c.path().isEmpty() ? "M0 0" : c.path().toSvg());
        return path.makeWithFillMode(c.rule() == FillRule.EVENODD ? PathFillMode.EVEN_ODD : PathFillMode.WINDING);
    }

    private void bare(Canvas canvas, Shape s) {
        if (s.fill() instanceof app.leeward.core.art.Paint.Picture p) {
            picture(canvas, p, p.place(), s.opacity());
            return;
        }
        if (s.fill() instanceof app.leeward.core.art.Paint.Patch p) {
            int depth = canvas.save();
            canvas.clipPath(path(s.withPath(p.covered(s.path()))), true);
            picture(canvas, p.picture(), p.placeIn(s.path()), s.opacity());
            canvas.restoreToCount(depth);
            return;
        }
        Path path = path(s);
        try (Paint paint = new Paint()) {
            paint.setAntiAlias(true);
            if (s.fill() instanceof app.leeward.core.art.Paint.Flat f) {
                canvas.drawPath(path, paint.setColor(argb(f.colour(), f.opacity() * s.opacity())));
            }
            if (s.fill() instanceof app.leeward.core.art.Paint.Gradient g) {
                try (Shader shader = shader(g)) {
                    paint.setColor(0xFF000000).setAlphaf((float) s.opacity()).setShader(shader);
                    canvas.drawPath(path, paint);
                    paint.setShader(null);
                }
            }
            if (s.stroke().visible()) {
                Stroke stroke = s.stroke();
                paint.setMode(PaintMode.STROKE)
                        .setStrokeWidth((float) stroke.width())
                        .setStrokeCap(PaintStrokeCap.valueOf(stroke.cap().name()))
                        .setStrokeJoin(PaintStrokeJoin.valueOf(stroke.join().name()))
                        .setStrokeMiter((float) stroke.miterLimit());
                line(canvas, path, stroke, s.opacity(), paint);
            }
        }
    }

    private static void line(Canvas canvas, Path path, Stroke stroke, double opacity, Paint paint) {
        try (PathEffect dashes = dashes(stroke);
                Shader shader = stroke.paint() instanceof app.leeward.core.art.Paint.Gradient g ? shader(g) : null) {
            paint.setPathEffect(dashes).setShader(shader);
            if (stroke.paint() instanceof app.leeward.core.art.Paint.Flat flat) {
                paint.setColor(argb(flat.colour(), flat.opacity() * opacity));
            } else {
                paint.setColor(0xFF000000).setAlphaf((float) opacity);
            }
            canvas.drawPath(path, paint);
            paint.setPathEffect(null).setShader(null);
        }
    }

    private static PathEffect dashes(Stroke stroke) {
        if (stroke.dashes().isEmpty()) {
            return null;
        }
        float[] lengths = new float[stroke.dashes().size()];
        for (int i = 0; i < lengths.length; i++) {
            lengths[i] = stroke.dashes().get(i).floatValue();
        }
        return PathEffect.makeDash(lengths, (float) stroke.dashOffset());
    }

    /** Colours are mixed before their opacity is applied, as SVG does. */
    private static Shader shader(app.leeward.core.art.Paint.Gradient g) {
        int[] colours =
                g.stops().stream().mapToInt(s -> argb(s.colour(), s.opacity())).toArray();
        float[] at = new float[colours.length];
        for (int i = 0; i < at.length; i++) {
            at[i] = (float) g.stops().get(i).at();
        }
        FilterTileMode beyond =
                switch (g.spread()) {
                    case PAD -> FilterTileMode.CLAMP;
                    case REFLECT -> FilterTileMode.MIRROR;
                    case REPEAT -> FilterTileMode.REPEAT;
                };
        GradientStyle style = new GradientStyle(beyond, false, matrix(g.place()));
        if (g.radial() && !g.focus().equals(new Point(0, 0))) {
            return Shader.makeTwoPointConicalGradient(
                    (float) g.focus().x(), (float) g.focus().y(), 0, 0, 0, 1, colours, at, style);
        }
        return g.radial()
                ? Shader.makeRadialGradient(0, 0, 1, colours, at, style)
                : Shader.makeLinearGradient(0, 0, 1, 0, colours, at, style);
    }

    private Path path(Shape s) {
        // outlines that bend are others in every frame: over a film they would fill the memory
        if (paths.size() > MOST_PATHS) {
            paths.values().forEach(Path::close);
            paths.clear();
        }
        return paths.computeIfAbsent(s, SkiaPainter::built);
    }

    private static Path built(Shape shape) {
        try (PathBuilder to = new PathBuilder()) {
            to.setFillMode(shape.rule() == FillRule.EVENODD ? PathFillMode.EVEN_ODD : PathFillMode.WINDING);
            for (Segment segment : shape.path().segments()) {
                if (segment instanceof Segment.Move m) {
                    to.moveTo((float) m.to().x(), (float) m.to().y());
                } else if (segment instanceof Segment.Line l) {
                    to.lineTo((float) l.to().x(), (float) l.to().y());
                } else if (segment instanceof Segment.Cubic c) {
                    to.cubicTo(
                            (float) c.c1().x(),
                            (float) c.c1().y(),
                            (float) c.c2().x(),
                            (float) c.c2().y(),
                            (float) c.to().x(),
                            (float) c.to().y());
                } else {
                    to.closePath();
                }
            }
            return to.build();
        }
    }

    private static int argb(String colour, double opacity) {
        int alpha = (int) Math.round(255 * Math.max(0, Math.min(1, opacity)));
        return alpha << 24 | Integer.parseInt(colour.substring(1), 16);
    }

    private static Matrix33 matrix(Matrix m) {
        return new Matrix33(
                (float) m.a(), (float) m.c(), (float) m.e(), (float) m.b(), (float) m.d(), (float) m.f(), 0, 0, 1);
    }
}
