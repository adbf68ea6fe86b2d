package app.leeward.core.intake;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Clip;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Shape;
import app.leeward.core.art.Stroke;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.locationtech.jts.geom.Geometry;

/**
 * Lets layers of pixels be taken to pieces like drawn ones. While pieces are told apart a picture is represented by the even
 * shapes it shows; what is then taken out of it is the picture again, cut to the piece's outline, and where it was taken out the
 * colour round it goes on. The picture at rest stays as it is, to a soft edge. A picture that nothing was taken from is put back
 * as it was.
 */
final class PicturePieces {
    /** How far beyond its outline a piece is cut out, and how far what lies under it is filled; pixels. */
    private static final double CUT = 1.0;

    private static final double FILLED = 1.6;
    /** How much of what is seen the pieces of a picture may leave out, which is nothing but rounding. */
    private static final double LOST = 0.001;
    /** How many corners the quarter of a rounded edge has. */
    private static final int ROUND = 2;

    private final Map<String, Piece> pieces = new HashMap<>();
    private final List<Opened> opened = new ArrayList<>();

    private PicturePieces() {}

    /** A shape that stands in for a part of a picture. */
    private record Piece(Opened of, int index) {}

    private record Opened(Shape picture, List<Shape> shapes) {}

    /** With every picture that may be taken to pieces represented by what it shows. */
    static PicturePieces open(List<LayerReading.Found> found) {
        PicturePieces all = new PicturePieces();
        for (LayerReading.Found f : found) {
            if (f.parts(found)) {
                Drawing d = f.drawings.get(0);
                all.shapes(d.art()).ifPresent(shapes -> f.drawings.set(0, d.withArt(new Artwork(shapes))));
            }
        }
        return all;
    }

    private Optional<List<Shape>> shapes(Artwork art) {
        Shape s = art.shapes().size() == 1 ? art.shapes().get(0) : null;
        boolean may = s != null
                && s.fill() instanceof Paint.Picture p
                && p.traced().size() > 1
                && s.opacity() == 1
                && s.clips().isEmpty();
        if (!may) {
            return Optional.empty();
        }
        Paint.Picture picture = (Paint.Picture) s.fill();
        if (!told(s, picture)) {
            return Optional.empty();
        }
        Opened one = new Opened(s, new ArrayList<>());
        for (int i = 0; i < picture.traced().size(); i++) {
            // a name nothing else has, and no word in it
            String name = "#" + opened.size() + "." + i;
            pieces.put(name, new Piece(one, i));
            one.shapes.add(picture.traced().get(i).transform(picture.place()).withName(name));
        }
        opened.add(one);
        return Optional.of(List.copyOf(one.shapes));
    }

    /** Whether its pieces together are all of it, and nothing that would have to be filled under is seen through. */
    private static boolean told(Shape s, Paint.Picture picture) {
        List<Shape> traced = picture.traced();
        List<Integer> grounds = grounds(traced);
        boolean through = traced.stream().anyMatch(t -> t.opacity() < 1);
        if (grounds.size() == 1) {
            return !through;
        }
        Geometry seen = Regions.of(s.path());
        List<Geometry> cut = grounds.stream()
                .map(k -> Regions.of(grown(traced.get(k), room(traced, k)).transform(picture.place())))
                .toList();
        double lost = Regions.without(seen, Regions.all(cut)).getArea();
        return lost <= LOST * seen.getArea() && !(through && grounds.size() < traced.size());
    }

    /** The pieces that lie in no other. */
    private static List<Integer> grounds(List<Shape> traced) {
        return IntStream.range(0, traced.size())
                .filter(k -> under(traced, k) < 0)
                .boxed()
                .toList();
    }

    /** How far beyond its outline a piece that lies in no other is cut out: halfway to the next, for soft edges and specks. Pixels. */
    private static double room(List<Shape> traced, int ground) {
        Geometry own = covered(traced.get(ground), 0);
        double nearest = grounds(traced).stream()
                .filter(k -> k != ground)
                .mapToDouble(k -> own.distance(covered(traced.get(k), 0)))
                .min()
                .orElse(0);
        return Math.max(CUT, nearest / 2);
    }

    /** Everything in pixels again. */
    void close(List<LayerReading.Found> found) {
        for (LayerReading.Found f : found) {
            f.drawings.replaceAll(d -> {
                List<Shape> now = inPixels(d.art().shapes());
                return now.equals(d.art().shapes()) ? d : d.withArt(new Artwork(now));
            });
        }
    }

    private List<Shape> inPixels(List<Shape> shapes) {
        List<Shape> out = new ArrayList<>();
        for (int i = 0; i < shapes.size(); i++) {
            Piece piece = pieces.get(shapes.get(i).name());
            if (piece == null) {
                out.add(shapes.get(i));
            } else if (whole(piece, shapes, i)) {
                out.add(piece.of.picture);
                i += piece.of.shapes.size() - 1;
            } else {
                out.addAll(cut(piece, shapes.get(i)));
            }
        }
        return out;
    }

    private static boolean whole(Piece first, List<Shape> shapes, int at) {
        int n = first.of.shapes.size();
        if (first.index != 0 || at + n > shapes.size()) {
            return false;
        }
        for (int k = 0; k < n; k++) {
            if (!shapes.get(at + k).name().equals(first.of.shapes.get(k).name())) {
                return false;
            }
        }
        return true;
    }

    private static List<Shape> cut(Piece piece, Shape known) {
        Paint.Picture picture = (Paint.Picture) piece.of.picture.fill();
        List<Shape> traced = picture.traced();
        Shape own = traced.get(piece.index);
        List<Integer> grounds = grounds(traced);
        boolean ground = grounds.contains(piece.index);
        List<Shape> out = new ArrayList<>();
        out.add(shown(
                piece.of.picture,
                known,
                picture,
                own,
                ground && grounds.size() == 1 ? -1 : ground ? room(traced, piece.index) : CUT));
        for (int k = piece.index + 1; k < traced.size(); k++) {
            if (under(traced, k) == piece.index) {
                Path over = grown(traced.get(k), FILLED).transform(picture.place());
                own.fill()
                        .mainColour()
                        .ifPresent(colour -> out.add(new Shape(
                                piece.of.picture.name(),
                                known.role(),
                                over,
                                Paint.flat(colour),
                                FillRule.EVENODD,
                                Stroke.NONE,
                                1,
                                known.masked())));
            }
        }
        return out;
    }

    /** @param by how far beyond its outline it is cut, pixels; below 0 where it is not cut at all */
    private static Shape shown(Shape of, Shape known, Paint.Picture picture, Shape own, double by) {
        boolean all = by < 0;
        Matrix place = picture.place();
        String colour = own.fill()
                .mainColour()
                .or(() -> own.stroke().paint().mainColour())
                .orElse(picture.average());
        Paint part = new Paint.Picture(
                picture.image(), picture.width(), picture.height(), place, colour, List.of(own.withName("")));
        Path edge = grown(own, Math.max(0, by)).transform(place);
        return new Shape(
                of.name(),
                known.role(),
                all ? of.path() : edge,
                part,
                FillRule.EVENODD,
                Stroke.NONE,
                1,
                known.masked(),
                all ? List.of() : List.of(new Clip(edge, FillRule.EVENODD)));
    }

    /** All a traced shape covers, its line as well, and a little more. */
    private static Path grown(Shape s, double by) {
        return Regions.outline(covered(s, by));
    }

    private static Geometry covered(Shape s, double by) {
        double line = s.stroke().visible() ? s.stroke().width() : 0;
        return s.fill() instanceof Paint.None
                ? Regions.along(s.path(), line + 2 * by)
                : Regions.of(s.path()).buffer(line / 2 + by, ROUND);
    }

    /** The last shape before it that it lies in, −1 for none. */
    private static int under(List<Shape> traced, int index) {
        Optional<Point> inside = inside(traced.get(index));
        for (int k = index - 1; k >= 0 && inside.isPresent(); k--) {
            if (!(traced.get(k).fill() instanceof Paint.None)
                    && Regions.holds(traced.get(k).path(), inside.get())) {
                return k;
            }
        }
        return -1;
    }

    private static Optional<Point> inside(Shape s) {
        if (s.fill() instanceof Paint.None) {
            List<Point> along = s.path().sampled(6);
            return along.isEmpty() ? Optional.empty() : Optional.of(along.get(along.size() / 2));
        }
        Geometry area = Regions.of(s.path());
        return area.isEmpty()
                ? Optional.empty()
                : Optional.of(new Point(
                        area.getInteriorPoint().getX(), area.getInteriorPoint().getY()));
    }
}
