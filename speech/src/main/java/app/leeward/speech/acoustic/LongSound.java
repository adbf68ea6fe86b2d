package app.leeward.speech.acoustic;

import app.leeward.speech.Sound;

/** A recording too long to be held at once. */
public interface LongSound {
    double seconds();

    /** From one second to another; as little as there is of it. */
    Sound part(double from, double to);
}
