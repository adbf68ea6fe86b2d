package app.leeward.core.trace;

/**
 * Takes soft edges away: where two colours meet, the pixels between them are mixed of both and may look like a third. They are
 * given the colour beside them.
 */
final class Ribbons {
    /** A pixel further from its colour than this is mixed, in CIE L*a*b*. By eye. */
    private static final double MIXED = 7;

    private static final int ROUNDS = 4;

    private Ribbons() {}

    /** @param labels the colour of each pixel; −1 where none is seen */
    static int[] away(int[] labels, int[] argb, Tones tones, int w, int h) {
        int[] now = labels.clone();
        boolean[] open = new boolean[now.length];
        for (int i = 0; i < now.length; i++) {
            open[i] = now[i] >= 0
                    && tones.labs().get(now[i]).difference(tones.of(argb[i])) > MIXED
                    && !among(labels, i, w, h);
        }
        for (int round = 0; round < ROUNDS; round++) {
            int[] before = now.clone();
            boolean[] was = open.clone();
            for (int i = 0; i < now.length; i++) {
                if (was[i]) {
                    int best = nearest(before, was, argb[i], tones, i, w, h);
                    now[i] = best < 0 ? now[i] : best;
                    open[i] = best < 0;
                }
            }
        }
        return now;
    }

    /** Whether all round it have its label: then it is shading, not an edge. */
    private static boolean among(int[] labels, int i, int w, int h) {
        int x = i % w;
        int y = i / w;
        for (int dy = -1; dy <= 1; dy++) {
            for (int dx = -1; dx <= 1; dx++) {
                int nx = x + dx;
                int ny = y + dy;
                if (nx < 0 || ny < 0 || nx >= w || ny >= h || labels[ny * w + nx] != labels[i]) {
                    return false;
                }
            }
        }
        return true;
    }

    /** The colour it looks most like, of those round it that are sure. */
    private static int nearest(int[] labels, boolean[] open, int argb, Tones tones, int i, int w, int h) {
        int best = -1;
        double least = Double.POSITIVE_INFINITY;
        for (int dy = -1; dy <= 1; dy++) {
            for (int dx = -1; dx <= 1; dx++) {
                int x = i % w + dx;
                int y = i / w + dy;
                if (x < 0 || y < 0 || x >= w || y >= h) {
                    continue;
                }
                int n = y * w + x;
                if (labels[n] >= 0 && !open[n]) {
                    double d = tones.labs().get(labels[n]).difference(tones.of(argb));
                    if (d < least) {
                        least = d;
                        best = labels[n];
                    }
                }
            }
        }
        return best;
    }
}
