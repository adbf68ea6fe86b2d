package app.leeward.core.trace;

import java.util.Optional;

/**
 * What runs along the edge of a piece: a line, where the edge has another colour than most of what lies within.
 *
 * @param line index of its colour
 * @param main index of the colour that covers most besides it
 * @param width of the line, pixels
 */
record Rim(Optional<Integer> line, int main, double width, double[] depths) {
    /** How much of the edge the line has to be. By eye, as the others. */
    private static final double MOST = 0.55;
    /** Where the softness of the edge ends, pixels. */
    private static final double SOFT = 1;
    /** A line is at most so wide, as a share of how deep the piece is. */
    private static final double THIN = 0.6;

    static Rim of(Grid piece, int[] labels, int w, int tones) {
        double[] depths = piece.depths();
        double deepest = 0;
        for (double d : depths) {
            deepest = Math.max(deepest, d);
        }
        int rings = (int) Math.ceil(deepest) + 1;
        int[][] counts = new int[rings + 1][tones];
        int[] all = new int[tones];
        int[] ring = new int[rings + 1];
        for (int i = 0; i < depths.length; i++) {
            if (!piece.on()[i]) {
                continue;
            }
            int label = labels[(piece.top() + i / piece.width()) * w + piece.left() + i % piece.width()];
            int at = (int) depths[i];
            counts[at][label]++;
            ring[at]++;
            all[label]++;
        }
        int edge = most(counts[1], -1);
        int ends = 1;
        double width = 0;
        while (ends < rings && ring[ends] > 0 && counts[ends][edge] >= MOST * ring[ends]) {
            width += counts[ends][edge] / (double) ring[ends];
            ends++;
        }
        width += ring[ends] > 0 ? counts[ends][edge] / (double) ring[ends] : 0;
        boolean lined = ends > 1 && ends <= Math.max(2, THIN * deepest);
        int main = lined ? most(all, edge) : most(all, -1);
        boolean other = lined && all[main] > 0;
        return new Rim(
                other ? Optional.of(edge) : Optional.empty(),
                other ? main : most(all, -1),
                other ? Math.max(1, width) : 0,
                depths);
    }

    private static int most(int[] counts, int but) {
        int best = -1;
        for (int i = 0; i < counts.length; i++) {
            if (i != but && counts[i] > 0 && (best < 0 || counts[i] > counts[best])) {
                best = i;
            }
        }
        return best < 0 ? Math.max(0, but) : best;
    }

    /** The piece without its outermost pixels. */
    Grid within(Grid piece, double by) {
        boolean[] on = new boolean[depths.length];
        boolean any = false;
        for (int i = 0; i < on.length; i++) {
            on[i] = piece.on()[i] && depths[i] > by;
            any |= on[i];
        }
        return any ? new Grid(on, piece.width(), piece.height(), piece.left(), piece.top()) : piece;
    }

    /** Whether some of a part of the piece lies on its edge. */
    boolean touches(Grid part, Grid piece) {
        for (int i = 0; i < part.on().length; i++) {
            int x = part.left() - piece.left() + i % part.width();
            int y = part.top() - piece.top() + i / part.width();
            if (part.on()[i] && depths[y * piece.width() + x] <= SOFT) {
                return true;
            }
        }
        return false;
    }
}
