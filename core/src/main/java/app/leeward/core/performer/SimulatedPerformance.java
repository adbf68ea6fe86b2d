package app.leeward.core.performer;

import static app.leeward.core.signal.Signal.AU1;
import static app.leeward.core.signal.Signal.AU12;
import static app.leeward.core.signal.Signal.AU15;
import static app.leeward.core.signal.Signal.AU2;
import static app.leeward.core.signal.Signal.AU23;
import static app.leeward.core.signal.Signal.AU25;
import static app.leeward.core.signal.Signal.AU4;
import static app.leeward.core.signal.Signal.AU45;
import static app.leeward.core.signal.Signal.AU5;
import static app.leeward.core.signal.Signal.AU6;
import static app.leeward.core.signal.Signal.AU7;
import static app.leeward.core.signal.Signal.AU9;
import static app.leeward.core.signal.Signal.GAZE_ACROSS;
import static app.leeward.core.signal.Signal.GAZE_DOWN;
import static app.leeward.core.signal.Signal.HEAD_PITCH;
import static app.leeward.core.signal.Signal.HEAD_ROLL;
import static app.leeward.core.signal.Signal.HEAD_YAW;
import static app.leeward.core.signal.Signal.JAW;

import app.leeward.core.signal.Signal;
import app.leeward.core.signal.SignalSource;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * A performer that is a script: what it does at each moment is always the same, so that a rig can be tried, and a test repeated,
 * without a device. Between two places a head and a brow go as hands do, slowly off and slowly there (the minimum-jerk way: Flash
 * &amp; Hogan 1985); eyes jump. Heads are never quite still.
 */
public enum SimulatedPerformance {
    CALM_TALK("Calm talk", 12, p -> {
        p.goes(HEAD_YAW, 0.9, 0, 0, 1.1, 7, 2.9, -3, 4.6, 5, 6.3, -7, 8.4, 2, 10.2, 6, 11.3, 0);
        p.goes(HEAD_PITCH, 0.5, 0, 0, 0.8, 4, 1.5, -2, 3.1, 3, 4.4, -3, 5.7, 5, 7.0, -1, 8.8, 4, 9.6, -2, 11.4, 0);
        p.goes(HEAD_ROLL, 1.0, 0, 0, 2.2, 4, 5.0, -3, 7.9, 5, 10.6, 0);
        p.jumps(GAZE_ACROSS, 0, 0, 2.7, -0.5, 3.8, 0, 6.1, -0.6, 7.1, 0.1, 9.9, 0.5, 10.8, 0);
        p.jumps(GAZE_DOWN, 0, 0, 2.7, 0.3, 3.8, 0, 6.1, -0.3, 7.1, 0);
        p.goes(AU1, 0.25, 0, 0.05, 1.0, 0.35, 1.5, 0.05, 4.5, 0.5, 5.3, 0.1, 8.3, 0.4, 8.9, 0.05);
        p.goes(AU2, 0.25, 0, 0.05, 1.0, 0.3, 1.5, 0.05, 4.5, 0.45, 5.3, 0.1, 8.3, 0.3, 8.9, 0.05);
        p.goes(AU12, 0.6, 0, 0.1, 3.5, 0.25, 5.5, 0.1, 10.0, 0.3, 11.5, 0.1);
        p.speaks(0.3, 11.2, 0.45);
        p.blinks(1.4, 4.3, 6.2, 9.8);
    }),
    DELIGHT("Delight", 10, p -> {
        p.goes(HEAD_YAW, 0.5, 0, 0, 1.0, 6, 2.2, -8, 3.4, 9, 4.6, -5, 6.5, 10, 8.6, 0);
        p.goes(HEAD_PITCH, 0.35, 0, 0, 0.6, -9, 1.2, 3, 1.7, -6, 2.2, 2, 4.8, -10, 5.6, 4, 6.0, -3, 6.4, 3, 8.7, 0);
        p.goes(HEAD_ROLL, 0.6, 0, 0, 1.2, 8, 3.0, -7, 5.0, 9, 7.4, -4, 9.0, 0);
        p.jumps(GAZE_ACROSS, 0, 0, 2.0, -0.4, 3.2, 0.4, 4.4, 0);
        p.jumps(GAZE_DOWN, 0, 0, 4.7, -0.5, 5.6, 0);
        p.goes(AU1, 0.3, 0, 0, 0.5, 0.7, 2.6, 0.4, 4.7, 0.85, 6.8, 0.4, 8.8, 0);
        p.goes(AU2, 0.3, 0, 0, 0.5, 0.75, 2.6, 0.4, 4.7, 0.9, 6.8, 0.4, 8.8, 0);
        p.goes(AU5, 0.2, 0, 0, 0.5, 0.6, 1.6, 0.1, 4.7, 0.7, 5.6, 0);
        p.goes(AU6, 0.4, 0, 0, 0.8, 0.6, 2.4, 0.85, 8.4, 0.5, 9.2, 0);
        p.goes(AU12, 0.35, 0, 0, 0.6, 0.8, 2.4, 1, 4.4, 0.8, 5.2, 1, 8.6, 0.4, 9.3, 0);
        p.goes(JAW, 0.2, 0, 0, 0.6, 0.4, 1.4, 0.1, 2.2, 0.5, 2.6, 0.2, 3.0, 0.5, 3.4, 0.1, 4.8, 0.6, 6.0, 0.1, 8.0, 0);
        p.goes(AU25, 0.2, 0, 0, 0.5, 0.6, 8.4, 0);
        p.blinks(1.9, 3.3, 6.1, 8.9);
    }),
    DOUBT("Doubt", 11, p -> {
        p.goes(HEAD_YAW, 0.8, 0, 0, 1.0, -12, 3.6, 8, 4.3, -8, 5.0, 7, 5.7, 0, 7.6, -15, 9.8, 0);
        p.goes(HEAD_PITCH, 0.7, 0, 0, 1.0, 5, 3.5, -3, 7.5, 7, 9.9, 0);
        p.goes(HEAD_ROLL, 0.9, 0, 0, 0.9, 11, 3.6, -6, 7.6, 12, 9.9, 0);
        p.jumps(GAZE_ACROSS, 0, 0, 0.8, 0.6, 1.9, 0, 3.0, -0.7, 3.9, 0, 7.2, 0.8, 9.3, 0);
        p.jumps(GAZE_DOWN, 0, 0, 0.8, -0.2, 1.9, 0, 3.0, 0.4, 3.9, 0);
        p.goes(AU1, 0.5, 0, 0, 3.0, 0.5, 6.2, 0.1, 9.8, 0);
        p.goes(AU4, 0.5, 0, 0, 0.8, 0.6, 3.0, 0.35, 6.4, 0.75, 9.6, 0);
        p.goes(AU7, 0.5, 0, 0, 0.9, 0.7, 3.2, 0.3, 6.6, 0.8, 9.7, 0);
        p.goes(AU15, 0.6, 0, 0, 1.2, 0.4, 3.4, 0.6, 6.0, 0.3, 9.8, 0);
        p.goes(AU23, 0.5, 0, 0, 1.4, 0.5, 3.0, 0.1, 6.8, 0.6, 9.6, 0);
        p.blinks(1.9, 3.0, 7.2, 9.3);
    }),
    ANGER("Anger", 10, p -> {
        p.goes(HEAD_YAW, 0.22, 0, 0, 1.2, -6, 2.0, 9, 2.4, -9, 2.8, 8, 3.2, -4, 5.0, 12, 6.2, -12, 8.4, 0);
        p.goes(HEAD_PITCH, 0.3, 0, 0, 0.6, 9, 2.0, 5, 4.8, 11, 5.1, 3, 5.4, 11, 5.7, 4, 8.6, 0);
        p.goes(HEAD_ROLL, 0.4, 0, 0, 1.2, -4, 5.0, 5, 8.4, 0);
        p.jumps(GAZE_ACROSS, 0, 0, 4.8, 0.3, 6.0, -0.3, 7.0, 0);
        p.goes(AU4, 0.3, 0, 0, 0.5, 0.8, 2.0, 1, 4.4, 0.7, 4.9, 1, 8.4, 0);
        p.goes(AU5, 0.25, 0, 0, 1.0, 0.5, 3.4, 0.2, 4.9, 0.8, 7.0, 0.2, 8.4, 0);
        p.goes(AU7, 0.3, 0, 0, 0.6, 0.5, 8.3, 0);
        p.goes(AU9, 0.3, 0, 0, 2.0, 0.4, 3.4, 0.1, 4.9, 0.5, 6.4, 0);
        p.goes(AU15, 0.3, 0, 0, 0.7, 0.4, 8.3, 0);
        p.goes(AU23, 0.3, 0, 0, 0.7, 0.8, 1.8, 0.2, 3.5, 0.9, 4.7, 0.1, 6.6, 0.8, 8.4, 0);
        p.speaks(1.9, 3.3, 0.7);
        p.speaks(4.8, 6.4, 0.8);
        p.blinks(3.5, 7.0);
    }),
    LOOKING_ABOUT("Looking about", 12, p -> {
        // eyes go first, the head follows
        p.goes(HEAD_YAW, 0.7, 0, 0, 0.9, -32, 3.1, 34, 5.5, 12, 7.2, -20, 9.2, 24, 10.9, 0);
        p.goes(HEAD_PITCH, 0.7, 0, 0, 0.9, -4, 3.1, 2, 5.5, -13, 7.2, 12, 9.2, -3, 10.9, 0);
        p.goes(HEAD_ROLL, 0.9, 0, 0, 0.9, -3, 3.1, 4, 5.5, 6, 7.2, -4, 10.9, 0);
        p.jumps(
                GAZE_ACROSS,
                0,
                0,
                0.75,
                -0.9,
                1.7,
                -0.2,
                2.95,
                0.9,
                3.9,
                0.2,
                5.35,
                -0.4,
                6.2,
                0.1,
                7.05,
                -0.7,
                8.0,
                -0.1,
                9.05,
                0.8,
                9.9,
                0.1,
                10.75,
                0);
        p.jumps(GAZE_DOWN, 0, 0, 5.35, -0.7, 6.2, -0.2, 7.05, 0.6, 8.0, 0.1, 9.05, 0);
        p.goes(AU1, 0.4, 0, 0, 3.2, 0.3, 5.2, 0.6, 7.0, 0.1, 9.3, 0.4, 11, 0);
        p.goes(AU2, 0.4, 0, 0, 3.2, 0.3, 5.2, 0.6, 7.0, 0, 9.3, 0.4, 11, 0);
        p.goes(AU4, 0.4, 0, 0, 7.2, 0.3, 9.0, 0);
        p.goes(AU5, 0.3, 0, 0, 3.1, 0.4, 4.2, 0, 5.4, 0.5, 6.6, 0);
        p.blinks(0.8, 3.0, 5.4, 7.1, 9.1, 10.8);
    });

    /** How far a head that is held still goes all the same, degrees. By eye. */
    private static final double TREMBLE = 0.35;

    private final String title;
    private final double seconds;
    private final Map<Signal, List<Beat>> beats = new EnumMap<>(Signal.class);
    private final List<double[]> speech = new ArrayList<>();
    private final List<Double> lids = new ArrayList<>();

    SimulatedPerformance(String title, double seconds, Script script) {
        this.title = title;
        this.seconds = seconds;
        script.write(this);
    }

    private interface Script {
        void write(SimulatedPerformance p);
    }

    /**
     * @param at seconds at which it sets off
     * @param takes seconds it takes
     */
    private record Beat(double at, double takes, double to) {}

    public String title() {
        return title;
    }

    /** How long it is; then it begins again. */
    public double seconds() {
        return seconds;
    }

    private void goes(Signal signal, double takes, double... atAndTo) {
        List<Beat> all = new ArrayList<>();
        for (int i = 0; i < atAndTo.length; i += 2) {
            all.add(new Beat(atAndTo[i], takes, atAndTo[i + 1]));
        }
        beats.put(signal, all);
    }

    /** Saccades take some 40 ms. */
    private void jumps(Signal signal, double... atAndTo) {
        goes(signal, 0.04, atAndTo);
    }

    private void speaks(double from, double to, double wide) {
        speech.add(new double[] {from, to, wide});
    }

    private void blinks(double... at) {
        for (double a : at) {
            lids.add(a);
        }
    }

    /** What it says at a moment; every signal of a face. */
    public Map<Signal, Double> at(double moment) {
        double t = moment % seconds;
        Map<Signal, Double> all = new EnumMap<>(Signal.class);
        SignalSource.FACE.signals().forEach(s -> all.put(s, 0.0));
        beats.forEach((s, list) -> all.put(s, along(list, t)));
        // two slow waves that never meet: breath and pulse
        all.merge(HEAD_YAW, TREMBLE * Math.sin(moment * 2.1), Double::sum);
        all.merge(HEAD_PITCH, TREMBLE * Math.sin(moment * 1.37 + 1), Double::sum);
        all.merge(HEAD_ROLL, TREMBLE * Math.sin(moment * 0.93 + 2), Double::sum);
        for (double[] s : speech) {
            if (t >= s[0] && t <= s[1]) {
                double edge = Math.min(1, Math.min(t - s[0], s[1] - t) / 0.15);
                // four syllables a second, of different weight
                double open = Math.pow(Math.sin(Math.PI * 2.1 * t), 2) * (0.6 + 0.4 * Math.sin(1.7 * t));
                all.merge(JAW, s[2] * edge * open, Double::sum);
                all.merge(AU25, 0.3 * edge + 0.7 * edge * open, Double::sum);
            }
        }
        for (double lid : lids) {
            // down in 0.08 s, up in 0.14 s
            double since = t - lid;
            double shut = since < 0 ? 0 : since < 0.08 ? since / 0.08 : Math.max(0, 1 - (since - 0.12) / 0.14);
            all.merge(AU45, Math.min(1, shut), Math::max);
        }
        all.replaceAll((s, v) -> s.hold(v));
        return all;
    }

    private static double along(List<Beat> beats, double t) {
        double value = beats.get(0).to();
        for (Beat b : beats) {
            if (t <= b.at()) {
                break;
            }
            double u = Math.min(1, (t - b.at()) / b.takes());
            value += (b.to() - value) * u * u * u * (10 - 15 * u + 6 * u * u);
        }
        return value;
    }
}
