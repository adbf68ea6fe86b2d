package app.leeward.speech.acoustic;

/**
 * The Gaussians that all states of one unit share, in {@link #STREAMS} streams of {@link #WIDTH} features each.
 *
 * @param means stream by stream and feature by feature, one a Gaussian
 * @param halfPrecisions half of one over each variance, in the same order
 * @param offsets logarithm of what stands before each exponential, natural
 */
record Codebook(float[][][] means, float[][][] halfPrecisions, float[][] offsets) {
    static final int STREAMS = 3;
    static final int WIDTH = 13;
    static final int FEATURES = STREAMS * WIDTH;

    int size() {
        return offsets[0].length;
    }
}
