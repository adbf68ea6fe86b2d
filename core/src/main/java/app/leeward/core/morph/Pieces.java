package app.leeward.core.morph;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Shape;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Which piece of one drawing is which of another. */
public final class Pieces {
    /** What another colour, and another name, weigh against lying a whole size of the drawing away. */
    private static final double COLOUR = 0.4;

    private static final double NAME = 0.2;
    /** What twice the size weighs. */
    private static final double SIZE = 0.15;
    /** What the place in the order of drawing weighs, from first to last. */
    private static final double ORDER = 0.2;

    private Pieces() {}

    private record Pair(int from, int to, double cost) {}

    /**
     * For each shape of {@code to} the one of {@code from} that it comes from, or -1. Two drawings whose shapes take the same steps
     * throughout were made for each other and go one by one. Else shapes are paired that are of one kind (role, fill, line, open or
     * closed), the likest first by place, size, colour, name and order. Pictures go with nothing, and dashed lines do not where they
     * would have to begin elsewhere.
     */
    public static int[] paired(Artwork from, Artwork to) {
        List<Shape> a = from.shapes();
        List<Shape> b = to.shapes();
        int[] partner = new int[b.size()];
        boolean same = a.size() == b.size();
        for (int i = 0; i < partner.length; i++) {
            partner[i] = i < a.size() && moves(b.get(i)) && moves(a.get(i)) ? i : -1;
            same = same && a.get(i).path().steppedLike(b.get(i).path());
        }
        if (same) {
            return partner;
        }
        double size = size(b.stream().map(Shape::path).toList());
        List<Pair> pairs = new ArrayList<>();
        for (int i = 0; i < a.size(); i++) {
            for (int j = 0; j < b.size(); j++) {
                Shape s = a.get(i);
                Shape t = b.get(j);
                if (ofOneKind(s, t)) {
                    double order = Math.abs((i + 0.5) / a.size() - (j + 0.5) / b.size());
                    double cost = apart(s.path(), t.path(), size)
                            + (colour(s).equals(colour(t)) ? 0 : COLOUR)
                            + (s.name().equals(t.name()) ? 0 : NAME)
                            + ORDER * order;
                    pairs.add(new Pair(i, j, cost));
                }
            }
        }
        return likestFirst(pairs, a.size(), b.size(), true);
    }

    /** For each sub-path of {@code a} the one of {@code b} it goes with, or -1. */
    static int[] paired(List<Path> a, List<Path> b) {
        double size = size(b);
        List<Pair> pairs = new ArrayList<>();
        for (int i = 0; i < a.size(); i++) {
            for (int j = 0; j < b.size(); j++) {
                if (a.get(i).closes() == b.get(j).closes()) {
                    pairs.add(new Pair(i, j, apart(a.get(i), b.get(j), size)));
                }
            }
        }
        return likestFirst(pairs, a.size(), b.size(), false);
    }

    private static int[] likestFirst(List<Pair> pairs, int froms, int tos, boolean forTo) {
        pairs.sort(Comparator.comparingDouble(Pair::cost));
        int[] partner = new int[forTo ? tos : froms];
        Arrays.fill(partner, -1);
        boolean[] fromTaken = new boolean[froms];
        boolean[] toTaken = new boolean[tos];
        for (Pair p : pairs) {
            if (!fromTaken[p.from] && !toTaken[p.to]) {
                fromTaken[p.from] = true;
                toTaken[p.to] = true;
                partner[forTo ? p.to : p.from] = forTo ? p.from : p.to;
            }
        }
        return partner;
    }

    /** A picture stays where its pixels are: its outline going elsewhere would only cut it. */
    private static boolean moves(Shape s) {
        return !(s.fill() instanceof Paint.Picture) && !(s.fill() instanceof Paint.Patch);
    }

    private static boolean ofOneKind(Shape s, Shape t) {
        List<Path> a = s.path().subPaths();
        List<Path> b = t.path().subPaths();
        return moves(s)
                && moves(t)
                && s.role() == t.role()
                && (s.fill() == Paint.NONE) == (t.fill() == Paint.NONE)
                && s.stroke().visible() == t.stroke().visible()
                && s.stroke().dashes().isEmpty()
                && t.stroke().dashes().isEmpty()
                && a.size() == b.size()
                && a.stream().filter(Path::closes).count()
                        == b.stream().filter(Path::closes).count();
    }

    private static Optional<String> colour(Shape s) {
        return (s.fill() == Paint.NONE ? s.stroke().paint() : s.fill())
                .colours()
                .findFirst();
    }

    private static double size(List<Path> all) {
        Box whole = null;
        for (Path p : all) {
            Box box = p.bounds().orElse(null);
            whole = whole == null ? box : box == null ? whole : whole.union(box);
        }
        return whole == null ? 1 : Math.max(1e-6, Math.hypot(whole.width(), whole.height()));
    }

    /** How far two outlines are from being in one place and of one size; a whole drawing apart is 1. */
    private static double apart(Path a, Path b, double size) {
        Optional<Box> own = a.bounds();
        Optional<Box> other = b.bounds();
        if (own.isEmpty() || other.isEmpty()) {
            return 1;
        }
        double ownSize = Math.hypot(own.get().width(), own.get().height()) + 1e-6;
        double otherSize = Math.hypot(other.get().width(), other.get().height()) + 1e-6;
        return own.get().centre().distance(other.get().centre()) / size
                + SIZE * Math.abs(Math.log(ownSize / otherSize)) / Math.log(2);
    }
}
