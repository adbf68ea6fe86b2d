package app.leeward.speech.acoustic;

import app.leeward.core.speech.Phone;

/** Numbers of the units the model knows: the 39 sounds in their own order, then what is no speech. */
final class AcousticUnit {
    static final int SILENCE = Phone.values().length;
    static final int NOISE = SILENCE + 1;
    static final int SPOKEN_NOISE = SILENCE + 2;
    static final int COUNT = SILENCE + 3;

    private AcousticUnit() {}

    /** @return the number of a unit by the name the model has for it */
    static int of(String name) {
        return switch (name) {
            case "SIL" -> SILENCE;
            case "+NSN+", "+NOISE+" -> NOISE;
            case "+SPN+" -> SPOKEN_NOISE;
            default -> Phone.valueOf(name).ordinal();
        };
    }

    static boolean spoken(int unit) {
        return unit < SILENCE;
    }
}
