package app.leeward.speech.acoustic;

import app.leeward.core.speech.Phone;
import java.util.List;

/** How often one sound follows another, by the words of a dictionary, each said once with any other before and behind it. */
public final class SoundPairs {
    /** Words between two silences, and sounds in a row that no word has, by rule of thumb. */
    private static final double WORDS = 5;

    private static final double UNHEARD = 2e-4;
    private static final int SILENCE = AcousticUnit.SILENCE;

    /** Natural logarithm of what follows what: the 39 sounds, then silence. */
    private final float[][] follows = new float[SILENCE + 1][SILENCE + 1];

    private SoundPairs() {}

    /** @param words how each word is said */
    public static SoundPairs of(Iterable<List<Phone>> words) {
        double[][] within = new double[SILENCE][SILENCE];
        double[] first = new double[SILENCE];
        double[] last = new double[SILENCE];
        double[] all = new double[SILENCE];
        double said = 0;
        for (List<Phone> word : words) {
            // short words are said far more often than long ones
            double often = 1.0 / (word.size() * word.size());
            said += often;
            first[word.get(0).ordinal()] += often;
            last[word.get(word.size() - 1).ordinal()] += often;
            for (int i = 0; i < word.size(); i++) {
                all[word.get(i).ordinal()] += often;
                if (i > 0) {
                    within[word.get(i - 1).ordinal()][word.get(i).ordinal()] += often;
                }
            }
        }
        SoundPairs pairs = new SoundPairs();
        for (int a = 0; a < SILENCE; a++) {
            double sum = Math.max(1e-9, all[a]);
            for (int b = 0; b < SILENCE; b++) {
                double next = within[a][b] / sum + last[a] / sum * (1 - 1 / WORDS) * first[b] / said;
                pairs.follows[a][b] = (float) Math.log(next + UNHEARD);
            }
            pairs.follows[a][SILENCE] = (float) Math.log(last[a] / sum / WORDS + UNHEARD);
            pairs.follows[SILENCE][a] = (float) Math.log(first[a] / said + UNHEARD);
        }
        pairs.follows[SILENCE][SILENCE] = (float) Math.log(UNHEARD);
        return pairs;
    }

    /** @param before a unit's number, up to that of silence */
    float follows(int before, int next) {
        return follows[before][next];
    }
}
