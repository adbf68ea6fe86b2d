package app.leeward.core.cue;

/**
 * How often adults blink, a minute, by what they do: Bentivoglio et al., Movement Disorders 12 (1997) 1028–1034; values from
 * memory.
 */
public enum BlinkRate {
    REST(17),
    READING(4.5),
    CONVERSATION(26);

    private final double perMinute;

    BlinkRate(double perMinute) {
        this.perMinute = perMinute;
    }

    public double perMinute() {
        return perMinute;
    }
}
