package app.leeward.core.check;

/**
 * How bad it is, as a number that says 0 where nothing is wrong.
 *
 * @param value 0 or more
 */
public record Measure(double value, Unit unit) {}
