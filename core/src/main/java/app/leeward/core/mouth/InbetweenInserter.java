package app.leeward.core.mouth;

/**
 * Puts in-between drawings into a track that is already the cheapest. One takes a single exposure: the last of the mouth
 * before, or, where that one is needed to show its sound, is pinned or would be gone, the first of the mouth it leads into.
 * Where neither can be spared there is none.
 */
final class InbetweenInserter {
    private InbetweenInserter() {}

    /** For every exposure the drawing to show instead; null where the track's own stays. */
    static String[] of(TrackProblem problem, int[] track) {
        String[] out = new String[track.length];
        if (problem.betweens.isEmpty()) {
            return out;
        }
        for (int e = 1; e < track.length; e++) {
            if (track[e] == track[e - 1]) {
                continue;
            }
            MouthChart.Between way = problem.betweens.get(problem.drawings.get(track[e]));
            if (way == null) {
                continue;
            }
            boolean leaves = e >= 2 && track[e - 2] == track[e - 1] && out[e - 2] == null;
            boolean stays = e + 1 < track.length && track[e + 1] == track[e];
            if (leaves && spared(problem, track, e - 1)) {
                out[e - 1] = way.drawing();
            } else if (stays && spared(problem, track, e)) {
                out[e] = way.drawing();
            }
        }
        return out;
    }

    private static boolean spared(TrackProblem problem, int[] track, int e) {
        return !problem.pinned.contains(e) && !problem.needed(track, e);
    }
}
