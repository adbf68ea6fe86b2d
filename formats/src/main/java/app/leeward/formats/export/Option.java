package app.leeward.formats.export;

/**
 * A number that can be chosen about a format.
 *
 * @param usual what is taken when nobody chooses
 */
public record Option(String id, String label, String unit, double from, double to, double usual) {}
