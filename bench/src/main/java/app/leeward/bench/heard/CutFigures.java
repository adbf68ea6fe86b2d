package app.leeward.bench.heard;

import app.leeward.core.speech.Lexicon;
import app.leeward.speech.Flite;
import app.leeward.speech.LineReader;
import app.leeward.speech.Listening;
import app.leeward.speech.Sound;
import app.leeward.speech.Surroundings;
import app.leeward.speech.WavFile;
import app.leeward.speech.acoustic.LongSound;
import app.leeward.speech.acoustic.ScriptFinder;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;

/**
 * How well lines of a script are found in a long recording, by voice and surroundings: of ten lines one is never said, one is
 * said twice and one has something nobody wrote before it. Where each is said is what flite says of its own speech.
 */
public final class CutFigures {
    private static final int RATE = 16_000;
    private static final String CHATTER = "Wait a minute, can we try that once again please";
    /** An end so far off, seconds, is still inside the quiet that is kept around a line. */
    private static final double NEAR = 0.35;

    private final LineReader reader = new LineReader();
    private final List<float[]> parts = new ArrayList<>();
    private int samples;

    private CutFigures() {}

    /** @param args seconds of each recording */
    public static void main(String[] args) throws Exception {
        int seconds = args.length > 0 ? Integer.parseInt(args[0]) : 180;
        for (Surroundings around : Surroundings.values()) {
            for (String voice : List.of("slt", "rms", "awb")) {
                new CutFigures().print(around, voice, seconds);
            }
        }
    }

    private void add(float[] x) {
        parts.add(x);
        samples += x.length;
    }

    /** @return where it begins and ends, seconds */
    private double[] say(String voice, String words, double pause) throws Exception {
        Flite.Said said = Flite.say(voice, words);
        double from = (double) samples / RATE;
        add(WavFile.read(said.wav()).at(RATE).samples());
        add(new float[(int) (pause * RATE)]);
        return new double[] {
            from + said.phones().get(0).start(),
            from + said.phones().get(said.phones().size() - 1).end()
        };
    }

    private void print(Surroundings around, String voice, int seconds) throws Exception {
        List<String> sentences = HeardFigures.sentences();
        Random random = new Random(voice.hashCode());
        List<String> script = new ArrayList<>();
        // the times each line is said at; none for one that is not
        List<List<double[]>> truth = new ArrayList<>();
        while (samples < seconds * RATE) {
            String line = sentences.get(script.size() % sentences.size());
            script.add(line);
            List<double[]> said = new ArrayList<>();
            truth.add(said);
            double chance = random.nextDouble();
            if (chance < 0.1) {
                continue;
            }
            if (chance < 0.2) {
                say(voice, CHATTER, 0.8);
            } else if (chance < 0.3) {
                said.add(say(voice, line, 1.2));
            }
            said.add(say(voice, line, 0.3 + 1.5 * random.nextDouble()));
        }
        float[] all = new float[samples];
        int at = 0;
        for (float[] p : parts) {
            System.arraycopy(p, 0, all, at, p.length);
            at += p.length;
        }
        Sound sound = around.around(new Sound(RATE, all), 5);
        LongSound recording = new LongSound() {
            @Override
            public double seconds() {
                return sound.seconds();
            }

            @Override
            public Sound part(double from, double to) {
                return sound.part(from, to);
            }
        };
        reader.warmUp();
        long start = System.nanoTime();
        List<ScriptFinder.Found> found = reader.find(script, recording, Lexicon.EMPTY, false, Listening.ALONE);
        double took = (System.nanoTime() - start) / 1e9;
        print(around, voice, sound.seconds(), truth, found, took);
    }

    private static void print(
            Surroundings around,
            String voice,
            double seconds,
            List<List<double[]>> truth,
            List<ScriptFinder.Found> found,
            double took) {
        Map<Integer, ScriptFinder.Found> byLine = new HashMap<>();
        found.forEach(f -> byLine.put(f.line(), f));
        int right = 0;
        int said = 0;
        int false_ = 0;
        for (int i = 0; i < truth.size(); i++) {
            ScriptFinder.Found f = byLine.get(i);
            if (truth.get(i).isEmpty()) {
                false_ += f == null ? 0 : 1;
                continue;
            }
            said++;
            boolean near = f != null
                    && truth.get(i).stream()
                            .anyMatch(t -> Math.abs(t[0] - f.from()) < NEAR && Math.abs(t[1] - f.to()) < NEAR);
            right += near ? 1 : 0;
        }
        System.out.printf(
                Locale.ROOT,
                "%-9s %s: %3.0f s, %d of %d lines that are said found in their place, %d of %d that are not said found, %.3f of its length%n",
                around,
                voice,
                seconds,
                right,
                said,
                false_,
                truth.size() - said,
                took / seconds);
    }
}
