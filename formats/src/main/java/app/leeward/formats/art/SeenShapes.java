package app.leeward.formats.art;

import app.leeward.core.art.Clip;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.art.Stroke;
import java.awt.BasicStroke;
import java.awt.geom.Area;
import java.awt.geom.Path2D;
import java.awt.geom.PathIterator;
import java.util.ArrayList;
import java.util.List;

/**
 * What is seen of a shape that is clipped, without its clips. A clip that hides nothing goes; a fill ends at the clip's edge, its curves
 * staying curves; a line that is cut becomes the area it covers. Pictures keep their clips.
 */
final class SeenShapes {
    /** Square units: less than this left outside is nothing that is seen. */
    private static final double NOTHING = 0.02;

    private static final double NO_LENGTH = 0.001;

    private SeenShapes() {}

    /** What is seen of a shape, back to front; nothing where its clips hide all of it. */
    static List<Shape> of(Shape s) {
        boolean filled = !(s.fill() instanceof Paint.None);
        boolean lined = s.stroke().visible();
        boolean picture = s.fill() instanceof Paint.Picture || s.fill() instanceof Paint.Patch;
        // fill and line of one shape are seen through together
        if (s.clips().isEmpty() || picture || filled && lined && s.opacity() < 1) {
            return List.of(s);
        }
        Area through = through(s.clips());
        Area fill = filled ? new Area(of(s.path(), s.rule())) : new Area();
        Area line = lined ? new Area(pen(s.stroke()).createStrokedShape(of(s.path(), s.rule()))) : new Area();
        boolean fillWhole = whole(through, fill);
        boolean lineWhole = whole(through, line);
        if (fillWhole && lineWhole) {
            return List.of(s.withClips(List.of()));
        }
        List<Shape> out = new ArrayList<>();
        if (filled) {
            fill.intersect(through);
            if (!fill.isEmpty()) {
                out.add(bare(s, fill, s.fill()));
            }
        }
        if (lined && lineWhole) {
            out.add(s.withFill(Paint.NONE).withClips(List.of()));
        } else if (lined) {
            line.intersect(through);
            if (!line.isEmpty()) {
                out.add(bare(s, line, s.stroke().paint()));
            }
        }
        return out;
    }

    private static Shape bare(Shape s, Area area, Paint paint) {
        return new Shape(
                s.name(), s.role(), of(area), paint, FillRule.EVENODD, Stroke.NONE, s.opacity(), s.masked(), List.of());
    }

    private static Area through(List<Clip> clips) {
        Area through = new Area(of(clips.get(0).path(), clips.get(0).rule()));
        for (Clip c : clips.subList(1, clips.size())) {
            through.intersect(new Area(of(c.path(), c.rule())));
        }
        return through;
    }

    /** Whether nothing of an area is cut off. */
    private static boolean whole(Area through, Area area) {
        Area outside = new Area(area);
        outside.subtract(through);
        return outside.isEmpty()
                || outside.getBounds2D().getWidth() * outside.getBounds2D().getHeight() < NOTHING;
    }

    private static BasicStroke pen(Stroke s) {
        int cap =
                switch (s.cap()) {
                    case BUTT -> BasicStroke.CAP_BUTT;
                    case ROUND -> BasicStroke.CAP_ROUND;
                    case SQUARE -> BasicStroke.CAP_SQUARE;
                };
        int join =
                switch (s.join()) {
                    case MITER -> BasicStroke.JOIN_MITER;
                    case ROUND -> BasicStroke.JOIN_ROUND;
                    case BEVEL -> BasicStroke.JOIN_BEVEL;
                };
        float[] dashes = s.dashes().isEmpty() ? null : new float[s.dashes().size()];
        for (int i = 0; i < s.dashes().size(); i++) {
            dashes[i] = s.dashes().get(i).floatValue();
        }
        return new BasicStroke((float) s.width(), cap, join, (float) s.miterLimit(), dashes, (float) s.dashOffset());
    }

    private static Path2D of(Path path, FillRule rule) {
        Path2D out = new Path2D.Double(rule == FillRule.EVENODD ? Path2D.WIND_EVEN_ODD : Path2D.WIND_NON_ZERO);
        for (Segment s : path.segments()) {
            if (s instanceof Segment.Move m) {
                out.moveTo(m.to().x(), m.to().y());
            } else if (s instanceof Segment.Line l) {
                out.lineTo(l.to().x(), l.to().y());
            } else if (s instanceof Segment.Cubic c) {
                out.curveTo(c.c1().x(), c.c1().y(), c.c2().x(), c.c2().y(), c.to().x(), c.to().y());
            } else {
                out.closePath();
            }
        }
        return out;
    }

    private static Path of(Area area) {
        List<Segment> out = new ArrayList<>();
        Point pen = new Point(0, 0);
        double[] at = new double[6];
        for (PathIterator i = area.getPathIterator(null); !i.isDone(); i.next()) {
            int kind = i.currentSegment(at);
            Point a = new Point(at[0], at[1]);
            Point b = new Point(at[2], at[3]);
            Segment next =
                    switch (kind) {
                        case PathIterator.SEG_MOVETO -> new Segment.Move(a);
                        case PathIterator.SEG_LINETO -> new Segment.Line(a);
                        case PathIterator.SEG_QUADTO ->
                            new Segment.Cubic(pen.towards(a, 2.0 / 3), b.towards(a, 2.0 / 3), b);
                        case PathIterator.SEG_CUBICTO -> new Segment.Cubic(a, b, new Point(at[4], at[5]));
                        default -> new Segment.Close();
                    };
            // where curves were cut at their extremes, lines of no length are left
            if (kind != PathIterator.SEG_LINETO || pen.distance(a) > NO_LENGTH) {
                out.add(next);
            }
            pen = next.end().orElse(pen);
        }
        return new Path(out);
    }
}
