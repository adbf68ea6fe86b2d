package app.leeward.formats.export;

/**
 * What a format is called and made of.
 *
 * @param id what it is asked for by: lower case, with hyphens, never changed
 * @param label as on a button
 * @param extension of the file's name, without the dot
 */
public record Format(String id, String label, String mediaType, String extension, Scope scope) {}
