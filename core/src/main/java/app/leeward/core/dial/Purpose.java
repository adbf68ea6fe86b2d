package app.leeward.core.dial;

/** What a ready-made dial is for, so that a bench can find it whatever it is called. */
public enum Purpose {
    TURN,
    NOD,
    BLINK,
    GAZE_ACROSS,
    GAZE_DOWN,
    /** A facial action unit, which looks are made of. */
    ACTION_UNIT,
    OWN
}
