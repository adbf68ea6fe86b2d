package app.leeward.core.trace;

import app.leeward.core.art.FillRule;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Stroke;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.IntBinaryOperator;

/** Tells what a picture shows as shapes of even colours. */
public final class Tracer {
    /** Pixels along the longer side; larger pictures are looked at with every second pixel, third and so on. */
    private static final int LOOKED_AT = 640;
    /** A pixel is seen from this alpha on, of 255. */
    private static final int SEEN = 96;
    /** What is less solid than this is seen through, 0 to 1. */
    private static final double SOLID = 0.9;
    /** Below this alpha, of 255, it is soft edge. */
    private static final int FAINT = 24;
    /** Pieces that cover less of the picture are left out. */
    private static final double LEAST = 0.004;

    private static final int LEAST_PIXELS = 9;
    private static final int MOST = 14;

    private Tracer() {}

    /**
     * Its shapes, back to front, in the picture's pixels: for each piece the area within its line and the line round it, or the
     * stroke it is; then what lies in it, where it is painted in even colours; as solid as most of it is. None where nothing is seen.
     *
     * @param pixels at a column and a row {@code 0xaarrggbb}, not multiplied by alpha
     */
    public static List<Shape> of(IntBinaryOperator pixels, int width, int height) {
        int step = Math.max(1, (Math.max(width, height) + LOOKED_AT - 1) / LOOKED_AT);
        int w = (width + step - 1) / step;
        int h = (height + step - 1) / step;
        int[] seen = new int[w * h];
        for (int y = 0; y < h; y++) {
            for (int x = 0; x < w; x++) {
                seen[y * w + x] = pixels.applyAsInt(x * step, y * step);
            }
        }
        double solid = solid(seen);
        if (solid < SOLID) {
            for (int i = 0; i < seen.length; i++) {
                int alpha = (int) Math.min(255, (seen[i] >>> 24) / solid);
                seen[i] = alpha << 24 | seen[i] & 0xffffff;
            }
        }
        return traced(seen, w, h).stream()
                .map(s -> s.transform(Matrix.scale(step, step)))
                .map(s -> solid < SOLID ? through(s, solid) : s)
                .toList();
    }

    /** How solid most of what is seen is, 0 to 1: the median of its alphas, soft edges left out as far as they are faint. */
    private static double solid(int[] argb) {
        int[] alphas = Arrays.stream(argb)
                .map(p -> p >>> 24)
                .filter(a -> a >= FAINT)
                .sorted()
                .toArray();
        return alphas.length == 0 ? 1 : alphas[alphas.length / 2] / 255.0;
    }

    private static Shape through(Shape s, double opacity) {
        return new Shape(s.name(), s.role(), s.path(), s.fill(), s.rule(), s.stroke(), opacity, false);
    }

    private static List<Shape> traced(int[] argb, int w, int h) {
        Tones tones = Tones.of(argb, w, h);
        if (tones.colours().isEmpty()) {
            return List.of();
        }
        boolean[] on = new boolean[argb.length];
        for (int i = 0; i < argb.length; i++) {
            on[i] = argb[i] >>> 24 >= SEEN;
        }
        Grid all = new Grid(on, w, h, 0, 0);
        int[] labels = Ribbons.away(tones.labels(argb, SEEN), argb, tones, w, h);
        double least = Math.max(LEAST_PIXELS, LEAST * all.count());
        List<Shape> out = new ArrayList<>();
        all.pieces().stream()
                .filter(p -> p.count() >= least)
                .sorted(Comparator.comparingInt((Grid p) -> -p.count()))
                .limit(MOST)
                .forEach(piece -> out.addAll(piece(piece, labels, w, tones, least)));
        return out.size() > MOST ? out.subList(0, MOST) : out;
    }

    private static List<Shape> piece(Grid piece, int[] labels, int w, Tones tones, double least) {
        Rim rim = Rim.of(piece, labels, w, tones.colours().size());
        // what has a line round it is an area, however thin
        Optional<CentreLine> stroke = rim.line().isPresent() ? Optional.empty() : CentreLine.of(piece);
        if (stroke.isPresent()) {
            return strokes(stroke.get(), tones.colours().get(rim.main()));
        }
        Grid within = rim.line().isPresent() ? rim.within(piece, rim.width() / 2) : piece;
        Stroke line = rim.line()
                .map(l -> new Stroke(
                        Paint.flat(Tones.hex(tones.colours().get(l))),
                        rim.width(),
                        Stroke.Cap.ROUND,
                        Stroke.Join.ROUND,
                        4))
                .orElse(Stroke.NONE);
        List<Shape> out = new ArrayList<>();
        out.add(area(within.edges(), tones.colours().get(rim.main()), line));
        List<Grid> inner = new ArrayList<>();
        List<Integer> colours = new ArrayList<>();
        for (int t = 0; t < tones.colours().size(); t++) {
            if (t == rim.main() || !tones.even()) {
                continue;
            }
            for (Grid part : of(piece, labels, w, t).pieces()) {
                boolean round = rim.line().filter(Integer.valueOf(t)::equals).isPresent() && rim.touches(part, piece);
                if (part.count() >= least && !round) {
                    inner.add(part);
                    colours.add(tones.colours().get(t));
                }
            }
        }
        List<Integer> order = new ArrayList<>();
        for (int i = 0; i < inner.size(); i++) {
            order.add(i);
        }
        order.sort(Comparator.comparingInt(i -> -inner.get(i).count()));
        for (int i : order) {
            out.addAll(CentreLine.of(inner.get(i))
                    .map(s -> strokes(s, colours.get(i)))
                    .orElseGet(() -> List.of(area(inner.get(i).outside(), colours.get(i), Stroke.NONE))));
        }
        return out;
    }

    /** Those pixels of a piece that have one colour. */
    private static Grid of(Grid piece, int[] labels, int w, int tone) {
        boolean[] on = new boolean[piece.on().length];
        for (int i = 0; i < on.length; i++) {
            int x = piece.left() + i % piece.width();
            int y = piece.top() + i / piece.width();
            on[i] = piece.on()[i] && labels[y * w + x] == tone;
        }
        return new Grid(on, piece.width(), piece.height(), piece.left(), piece.top());
    }

    private static List<Shape> strokes(CentreLine line, int colour) {
        Stroke stroke = new Stroke(Paint.flat(Tones.hex(colour)), line.width(), Stroke.Cap.ROUND, Stroke.Join.ROUND, 4);
        return line.lines().stream()
                .map(p -> new Shape("", ShapeRole.OTHER, p, Paint.NONE, FillRule.NONZERO, stroke, 1, false))
                .toList();
    }

    private static Shape area(Path edge, int colour, Stroke line) {
        return new Shape("", ShapeRole.OTHER, edge, Paint.flat(Tones.hex(colour)), FillRule.EVENODD, line, 1, false);
    }
}
