package app.leeward.speech;

import java.util.Arrays;

/**
 * How high a voice is from moment to moment, by YIN: A. de Cheveigné and H. Kawahara, YIN, a fundamental frequency estimator for
 * speech and music, J. Acoust. Soc. Am. 111 (2002) 1917–1930, steps 1 to 5.
 */
final class Pitch {
    /** Seconds from one value to the next. */
    static final double STEP = 0.01;
    /** Samples a second that are looked at: voices are far below half of it. */
    private static final int RATE = 8000;

    private static final double LOWEST = 60;
    private static final double HIGHEST = 500;
    /** Dips of the normalised difference below this count; the authors' value. */
    private static final double THRESHOLD = 0.1;
    /** Above this the moment has no pitch: a rule of thumb, no source. */
    private static final double VOICED = 0.3;

    private final double[] hertz;

    private Pitch(double[] hertz) {
        this.hertz = hertz;
    }

    static Pitch of(Sound sound) {
        float[] x = sound.at(RATE).samples();
        int longest = (int) Math.ceil(RATE / LOWEST);
        int shortest = (int) Math.floor(RATE / HIGHEST);
        int window = longest;
        int hop = (int) Math.round(STEP * RATE);
        double[] hertz = new double[Math.max(0, (x.length - window - longest) / hop + 1)];
        double[] d = new double[longest + 1];
        for (int i = 0; i < hertz.length; i++) {
            normalised(x, i * hop, window, d);
            hertz[i] = RATE / period(d, shortest, longest);
        }
        return new Pitch(hertz);
    }

    /** The cumulative mean normalised difference (their equation 8) for every lag. */
    private static void normalised(float[] x, int from, int window, double[] d) {
        d[0] = 1;
        double sum = 0;
        for (int lag = 1; lag < d.length; lag++) {
            double difference = 0;
            for (int j = from; j < from + window; j++) {
                double by = x[j] - x[j + lag];
                difference += by * by;
            }
            sum += difference;
            d[lag] = sum == 0 ? 1 : difference * lag / sum;
        }
    }

    /** Samples of one period; infinite for a moment without pitch. */
    private static double period(double[] d, int shortest, int longest) {
        int best = shortest;
        for (int lag = shortest; lag <= longest; lag++) {
            if (d[lag] < THRESHOLD) {
                while (lag + 1 <= longest && d[lag + 1] < d[lag]) {
                    lag++;
                }
                return between(d, lag);
            }
            if (d[lag] < d[best]) {
                best = lag;
            }
        }
        return d[best] < VOICED ? between(d, best) : Double.POSITIVE_INFINITY;
    }

    /** The bottom of the parabola through a dip and its neighbours. */
    private static double between(double[] d, int lag) {
        if (lag < 1 || lag + 1 >= d.length) {
            return lag;
        }
        double a = d[lag - 1];
        double b = d[lag];
        double c = d[lag + 1];
        double bend = a - 2 * b + c;
        return bend == 0 ? lag : lag + 0.5 * (a - c) / bend;
    }

    /** Hertz at a moment; 0 where there is no pitch. */
    double at(double seconds) {
        if (hertz.length == 0) {
            return 0;
        }
        int i = (int) Math.round(seconds / STEP);
        return hertz[Math.max(0, Math.min(hertz.length - 1, i))];
    }

    /** The highest pitch within a stretch; 0 where there is none. */
    double highest(double from, double to) {
        double most = 0;
        for (double t = from; t <= to; t += STEP) {
            most = Math.max(most, at(t));
        }
        return most;
    }

    /** The middle of all there is; 0 for a recording without pitch. */
    double median() {
        double[] voiced = Arrays.stream(hertz).filter(h -> h > 0).sorted().toArray();
        return voiced.length == 0 ? 0 : voiced[voiced.length / 2];
    }
}
