package app.leeward.core.dial;

/** Two dials shown as one square control. */
public record Pad(String name, String across, String down) {}
