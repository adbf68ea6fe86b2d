package app.leeward.formats.export;

/**
 * What a format is called and made of.
 *
 * @param id what it is asked for by: lower case, with hyphens, never changed
 * @param label as on a button, two words at most
 * @param extension of the file's name, without the dot
 * @param about what of the shot or the character it keeps, in a few words
 */
public record Format(
        String id, String label, String mediaType, String extension, Scope scope, Family family, String about) {}
