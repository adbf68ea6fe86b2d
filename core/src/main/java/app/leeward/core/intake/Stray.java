package app.leeward.core.intake;

/**
 * A shape that nobody will ever see.
 *
 * @param shape its place in the drawing, 0 for the back
 * @param message why, in words
 */
public record Stray(String part, String drawing, int shape, String name, String message) {}
