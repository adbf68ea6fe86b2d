package app.leeward.core.rig;

/** The wrist of one drawing, where somebody put it; drawings without have theirs found. */
public record DrawnWrist(String part, String drawing, Wrist wrist) {}
