package app.leeward.core.trace;

import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;

/**
 * The lines along the middle of what was drawn as a stroke: its pixels are thinned (Zhang and Suen 1984), the longest way along
 * what is left is the line, what branches off it are lines of their own.
 *
 * @param lines smooth, open, in pixels, the longest first
 * @param width of the stroke, pixels
 */
record CentreLine(List<Path> lines, double width) {
    /** A stroke is at least this many times as long as it is wide. By eye, as the others. */
    private static final double LONG = 7;
    /** A branch is at least this many times as long as the stroke is wide. */
    private static final double BRANCH = 1.5;
    /** How many times as wide as on the whole a short one may be anywhere, and by how much more for each time it is longer. */
    private static final double BULGE = 1.25;

    private static final double TAPER = 0.03;
    private static final double MOST_BULGE = 2.2;

    /** No stroke covers fewer pixels than so many times the square of its deepest, whatever it tapers to. */
    private static final double DEEP = 12;

    private static final int MOST = 4;

    /** Empty where the piece is no stroke but an area. */
    static Optional<CentreLine> of(Grid piece) {
        double[] depths = piece.depths();
        double deepest = Arrays.stream(depths).max().orElse(0);
        int area = piece.count();
        // an area that is clearly none is not thinned, which would take long
        if (area < 8 || area < DEEP * deepest * deepest) {
            return Optional.empty();
        }
        boolean[] left = thinned(piece);
        List<List<Point>> ways = new ArrayList<>();
        double length = 0;
        double width = 0;
        while (ways.size() < MOST) {
            List<Integer> way = longest(left, piece.width());
            double own = length(way, piece.width());
            if (ways.isEmpty()) {
                width = area / Math.max(1, own);
            }
            if (own < (ways.isEmpty() ? LONG : BRANCH) * Math.max(1, Math.min(width, deepest * 2))) {
                break;
            }
            length += own;
            ways.add(way.stream()
                    .map(i -> new Point(piece.left() + i % piece.width() + 0.5, piece.top() + i / piece.width() + 0.5))
                    .toList());
            way.forEach(i -> left[i] = false);
        }
        width = area / Math.max(1, length);
        if (ways.isEmpty() || length < LONG * width || 2 * deepest > bulge(length / width) * width + 1) {
            return Optional.empty();
        }
        double thick = width;
        return Optional.of(new CentreLine(
                ways.stream().map(w -> smooth(w, Math.max(2, thick))).toList(), width));
    }

    /** A long line of ink swells and tapers; something short that does is a crescent. */
    private static double bulge(double times) {
        return Math.min(MOST_BULGE, BULGE + TAPER * (times - LONG));
    }

    private static boolean[] thinned(Grid piece) {
        boolean[] on = piece.on().clone();
        int w = piece.width();
        int h = piece.height();
        boolean changed = true;
        while (changed) {
            changed = false;
            for (int pass = 0; pass < 2; pass++) {
                List<Integer> gone = new ArrayList<>();
                for (int i = 0; i < on.length; i++) {
                    if (on[i] && goes(on, w, h, i, pass)) {
                        gone.add(i);
                    }
                }
                for (int i : gone) {
                    on[i] = false;
                }
                changed |= !gone.isEmpty();
            }
        }
        return on;
    }

    private static boolean goes(boolean[] on, int w, int h, int i, int pass) {
        int x = i % w;
        int y = i / w;
        int[] dx = {0, 1, 1, 1, 0, -1, -1, -1};
        int[] dy = {-1, -1, 0, 1, 1, 1, 0, -1};
        boolean[] n = new boolean[8];
        int count = 0;
        for (int k = 0; k < 8; k++) {
            int nx = x + dx[k];
            int ny = y + dy[k];
            n[k] = nx >= 0 && ny >= 0 && nx < w && ny < h && on[ny * w + nx];
            count += n[k] ? 1 : 0;
        }
        int turns = 0;
        for (int k = 0; k < 8; k++) {
            turns += !n[k] && n[(k + 1) % 8] ? 1 : 0;
        }
        boolean ends = pass == 0
                ? !(n[0] && n[2] && n[4]) && !(n[2] && n[4] && n[6])
                : !(n[0] && n[2] && n[6]) && !(n[0] && n[4] && n[6]);
        return count >= 2 && count <= 6 && turns == 1 && ends;
    }

    /** The longest of the shortest ways between two of the pixels, found from the far end of any: exact on lines that branch. */
    private static List<Integer> longest(boolean[] on, int w) {
        List<Integer> best = List.of();
        boolean[] seen = new boolean[on.length];
        for (int i = 0; i < on.length; i++) {
            if (on[i] && !seen[i]) {
                List<Integer> first = farthest(on, w, i, seen);
                List<Integer> way = farthest(on, w, first.get(0), seen);
                best = way.size() > best.size() ? way : best;
            }
        }
        return best;
    }

    /** From the pixel that lies farthest along the others back to where it was begun. */
    private static List<Integer> farthest(boolean[] on, int w, int from, boolean[] seen) {
        int[] before = new int[on.length];
        Arrays.fill(before, -2);
        ArrayDeque<Integer> next = new ArrayDeque<>(List.of(from));
        before[from] = -1;
        int last = from;
        while (!next.isEmpty()) {
            last = next.poll();
            seen[last] = true;
            for (int dy = -1; dy <= 1; dy++) {
                for (int dx = -1; dx <= 1; dx++) {
                    int x = last % w + dx;
                    int n = last + dy * w + dx;
                    if (x >= 0 && x < w && n >= 0 && n < on.length && on[n] && before[n] == -2) {
                        before[n] = last;
                        next.add(n);
                    }
                }
            }
        }
        List<Integer> way = new ArrayList<>();
        for (int i = last; i >= 0; i = before[i]) {
            way.add(i);
        }
        return way;
    }

    private static double length(List<Integer> way, int w) {
        double sum = 0;
        for (int i = 1; i < way.size(); i++) {
            int a = way.get(i - 1);
            int b = way.get(i);
            sum += Math.hypot(a % w - b % w, a / w - b / w);
        }
        return sum;
    }

    /** Through points about so far apart, each the mean of those round it (Catmull-Rom). */
    private static Path smooth(List<Point> way, double apart) {
        List<Point> run = new ArrayList<>(way);
        if (run.get(0).x() > run.get(run.size() - 1).x()) {
            Collections.reverse(run);
        }
        int steps = Math.max(1, Math.min(16, (int) Math.round(run.size() / (2 * apart))));
        int round = Math.max(1, (int) (apart / 2));
        List<Point> at = new ArrayList<>();
        for (int k = 0; k <= steps; k++) {
            int i = k * (run.size() - 1) / steps;
            int reach = Math.min(round, Math.min(i, run.size() - 1 - i));
            double x = 0;
            double y = 0;
            for (int j = i - reach; j <= i + reach; j++) {
                x += run.get(j).x();
                y += run.get(j).y();
            }
            at.add(new Point(x / (2 * reach + 1), y / (2 * reach + 1)));
        }
        return Path.through(at);
    }
}
