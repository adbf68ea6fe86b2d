package app.leeward.bench.heard;

import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Lexicon;
import app.leeward.speech.Flite;
import app.leeward.speech.HeardTally;
import app.leeward.speech.LineReader;
import app.leeward.speech.Sound;
import app.leeward.speech.Surroundings;
import app.leeward.speech.WavFile;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Random;

/**
 * Times, lips and left-out words by voice and surroundings, and what a reading costs. Limits were set by the first twenty
 * sentences; the last twenty, which are read unless others are asked for, were kept for checking.
 */
public final class HeardFigures {
    static final List<String> VOICES = List.of("slt", "rms", "awb");
    private static final int TUNED = 20;

    private final LineReader reader = new LineReader();

    private HeardFigures() {}

    /** @param args the first sentence, from 0, and the one behind the last */
    public static void main(String[] args) throws Exception {
        int from = args.length > 0 ? Integer.parseInt(args[0]) : TUNED;
        List<String> all = sentences();
        int to = args.length > 1 ? Integer.parseInt(args[1]) : all.size();
        HeardFigures figures = new HeardFigures();
        figures.reader.warmUp();
        for (Surroundings around : Surroundings.values()) {
            figures.print(around, all, from, to);
        }
    }

    static List<String> sentences() throws IOException {
        try (InputStream in = HeardFigures.class.getResourceAsStream("/heard/sentences.txt")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8).lines().toList();
        }
    }

    private void print(Surroundings around, List<String> sentences, int from, int to) throws Exception {
        HeardTally all = new HeardTally();
        Missing missing = new Missing();
        long took = 0;
        double seconds = 0;
        for (String voice : VOICES) {
            HeardTally byVoice = new HeardTally();
            for (int i = from; i < to; i++) {
                Flite.Said said = Flite.say(voice, sentences.get(i));
                Sound sound = around.around(WavFile.read(said.wav()), i * 7L + voice.hashCode());
                long start = System.nanoTime();
                DialogueLine line = reader.read(sentences.get(i), sound, "h", Lexicon.EMPTY);
                took += System.nanoTime() - start;
                seconds += sound.seconds();
                String name = voice + " " + i;
                all.add(said, line, name);
                byVoice.add(said, line, name);
                missing.alarms += line.unwritten().isEmpty() ? 0 : 1;
                missing.right++;
                leftOut(sentences.get(i), sound, new Random(i * 31L + voice.hashCode()), missing);
            }
            System.out.println(byVoice.figures(around + " " + voice));
        }
        System.out.println(all.figures(around + " all"));
        System.out.println(missing.figures(around.toString()));
        System.out.printf(Locale.ROOT, "%s: read in %.3f of its length%n", around, took / 1e9 / seconds);
    }

    private static final class Missing {
        private int words;
        private int told;
        private int placed;
        private int longWords;
        private int longTold;
        private int right;
        private int alarms;

        String figures(String what) {
            return String.format(
                    Locale.ROOT,
                    "%s: of %d left-out words %d told, %d of them in the right gap; of %d with three sounds or more %d; told in %d of %d lines where nothing is left out",
                    what,
                    words,
                    told,
                    placed,
                    longWords,
                    longTold,
                    alarms,
                    right);
        }
    }

    private void leftOut(String sentence, Sound sound, Random random, Missing missing) {
        List<String> words = new ArrayList<>(Arrays.asList(sentence.split(" ")));
        int which = random.nextInt(words.size());
        String gone = words.remove(which);
        DialogueLine line = reader.read(String.join(" ", words), sound, "h", Lexicon.EMPTY);
        boolean told = !line.unwritten().isEmpty();
        missing.words++;
        missing.told += told ? 1 : 0;
        missing.placed += line.unwritten().stream().anyMatch(u -> u.word() == which) ? 1 : 0;
        int sounds = reader.pronunciations(gone.replaceAll("[^\\p{L}']", "").toLowerCase(Locale.ROOT), Lexicon.EMPTY)
                .get(0)
                .size();
        if (sounds >= 3) {
            missing.longWords++;
            missing.longTold += told ? 1 : 0;
        }
    }
}
