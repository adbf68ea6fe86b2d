package app.leeward.speech.acoustic;

/** Which of a sound's states each of its frames belongs to, the sound's first and last frame being known. */
final class StateTimes {
    private StateTimes() {}

    /** @return for every frame of the sound the number of its state, never falling */
    static int[] of(AcousticModel model, Scores scores, Search.Sounded sounded) {
        int frames = sounded.end() - sounded.start();
        int unit = sounded.node().unit();
        int count = sounded.node().states().length;
        float[][] score = new float[frames][count];
        boolean[][] stayed = new boolean[frames][count];
        for (int t = 0; t < frames; t++) {
            for (int i = 0; i < count; i++) {
                float stay = t == 0 ? i == 0 ? 0 : Float.NEGATIVE_INFINITY : score[t - 1][i] + model.stay(unit, i);
                float on = t == 0 || i == 0 ? Float.NEGATIVE_INFINITY : score[t - 1][i - 1] + model.leave(unit, i - 1);
                stayed[t][i] = stay >= on;
                score[t][i] = Math.max(stay, on)
                        + scores.of(sounded.start() + t, sounded.node().states()[i]);
            }
        }
        int[] states = new int[frames];
        int state = count - 1;
        for (int t = frames - 1; t >= 0; t--) {
            states[t] = state;
            state -= stayed[t][state] || state == 0 ? 0 : 1;
        }
        return states;
    }
}
