package app.leeward.bench.heard;

import app.leeward.speech.Flite;
import app.leeward.speech.LineReader;
import app.leeward.speech.LiveTally;
import app.leeward.speech.Sound;
import app.leeward.speech.Surroundings;
import app.leeward.speech.WavFile;
import java.util.List;

/** Mouths of a voice that is listened to while it speaks, by voice and surroundings, over the twenty sentences kept for checking. */
public final class SpokenFigures {
    private static final int FIRST = 20;
    /** Seconds of sound that a page sends at once. */
    private static final double PIECE = 0.02;

    private SpokenFigures() {}

    public static void main(String[] args) throws Exception {
        LineReader reader = new LineReader();
        reader.warmUp();
        List<String> sentences = HeardFigures.sentences();
        for (Surroundings around : Surroundings.values()) {
            LiveTally all = new LiveTally();
            for (String voice : HeardFigures.VOICES) {
                LiveTally tally = new LiveTally();
                for (int i = FIRST; i < sentences.size(); i++) {
                    Flite.Said said = Flite.say(voice, sentences.get(i));
                    Sound sound = around.around(WavFile.read(said.wav()), i * 7L + voice.hashCode());
                    tally.add(reader.live(), said, sound, PIECE);
                }
                all.add(tally);
                System.out.println(tally.figures(around + " " + voice));
            }
            System.out.println(all.figures(around + " all"));
        }
    }
}
