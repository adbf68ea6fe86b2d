package app.leeward.core.art;

/** A named colour of the palette; {@code colour} is {@code #rrggbb}. */
public record Swatch(String name, String colour) {}
