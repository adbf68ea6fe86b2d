package app.leeward.core.acting;

import app.leeward.core.cue.BlinkRate;

/**
 * How somebody is while they speak. The blink rates are published ones (see {@link BlinkRate}); how the other numbers differ is a rule
 * of thumb, no source.
 */
public enum Temperament {
    CALM(BlinkRate.REST.perMinute(), 0.40, 0.75, 0.2, 0.4, 0.6),
    LIVELY(BlinkRate.CONVERSATION.perMinute(), 0.70, 1.1, 0.5, 0.55, 1.0),
    GRAVE(BlinkRate.READING.perMinute() * 2, 0.30, 1.0, 0.1, 0.25, 0.4),
    SHY(BlinkRate.CONVERSATION.perMinute() * 1.15, 0.25, 0.55, 0.3, 0.85, 0.8);

    /** Blinks a minute. */
    final double blinks;
    /** Share of the words that stand out which get a nod. */
    final double nods;
    /** How large the head's movements are, against the usual. */
    final double size;
    /** Share of the words that stand out which get a brow raise. */
    final double brows;
    /** Share of the sentences that begin with a look away. */
    final double away;
    /** How far the head turns while a sentence is spoken, against the usual. */
    final double drift;

    Temperament(double blinks, double nods, double size, double brows, double away, double drift) {
        this.blinks = blinks;
        this.nods = nods;
        this.size = size;
        this.brows = brows;
        this.away = away;
        this.drift = drift;
    }
}
