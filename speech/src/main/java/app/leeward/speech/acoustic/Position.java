package app.leeward.speech.acoustic;

/** Where in its word a sound stands; the model has other states for each. */
enum Position {
    FIRST,
    INNER,
    LAST,
    ALONE
}
