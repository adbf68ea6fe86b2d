package app.leeward.speech.acoustic;

import app.leeward.core.speech.Phone;

/**
 * By how much a recording's sounds of each kind lie beside what the model expects of them, because of the voice, the room or
 * the microphone; the features are moved by it before they are scored. Shifts of means by class of sounds after Leggetter and
 * Woodland (1995), with nothing but a shift.
 */
final class VoiceShift {
    /** Frames' worth of doubt: where little was heard of a kind, little is moved. */
    private static final double PRIOR = 20;

    private static final int KINDS = 5;

    private final float[][] byKind;
    private final int[] kindOf;

    private VoiceShift(float[][] byKind, int[] kindOf) {
        this.byKind = byKind;
        this.kindOf = kindOf;
    }

    static VoiceShift none(AcousticModel model) {
        return new VoiceShift(new float[1][Codebook.FEATURES], new int[model.codebooks()]);
    }

    private static int kind(int unit) {
        if (!AcousticUnit.spoken(unit)) {
            return 0;
        }
        Phone phone = Phone.values()[unit];
        if (phone.vowel()) {
            return 4;
        }
        return switch (phone) {
            case P, B, T, D, K, G, CH, JH -> 1;
            case F, V, TH, DH, S, Z, SH, ZH, HH -> 2;
            default -> 3;
        };
    }

    /** Which kind of sounds a codebook is for. */
    int kindOf(int book) {
        return kindOf[book];
    }

    /** What a frame sounds like to each kind. */
    float[][] heard(float[] frame) {
        float[][] out = new float[byKind.length][frame.length];
        for (int kind = 0; kind < out.length; kind++) {
            for (int d = 0; d < frame.length; d++) {
                out[kind][d] = frame[d] - byKind[kind][d];
            }
        }
        return out;
    }

    /**
     * @param states the state of every frame, as a first search found it; -1 for none
     * @param units whose state it is
     */
    static VoiceShift of(AcousticModel model, Scores scores, int[] states, int[] units) {
        double[][] away = new double[KINDS][Codebook.FEATURES];
        double[][] sure = new double[KINDS][Codebook.FEATURES];
        int[] frames = new int[KINDS];
        for (int t = 0; t < states.length; t++) {
            if (states[t] >= 0) {
                int kind = kind(units[t]);
                scores.lean(t, states[t], away[kind], sure[kind]);
                frames[kind]++;
            }
        }
        float[][] shifts = new float[KINDS][Codebook.FEATURES];
        for (int kind = 0; kind < KINDS; kind++) {
            for (int d = 0; frames[kind] > 0 && d < Codebook.FEATURES; d++) {
                double prior = PRIOR * sure[kind][d] / frames[kind];
                shifts[kind][d] = (float) (away[kind][d] / (sure[kind][d] + prior));
            }
        }
        int[] kindOf = new int[model.codebooks()];
        for (int unit = 0; unit < AcousticUnit.COUNT; unit++) {
            kindOf[model.codebookOf(model.states(unit)[0])] = kind(unit);
        }
        return new VoiceShift(shifts, kindOf);
    }
}
