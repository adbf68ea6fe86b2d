package app.leeward.formats.export;

/** A cell of comma-separated values (RFC 4180). */
public final class CsvCell {
    private CsvCell() {}

    /** In quotes where it has to be. */
    public static String of(String text) {
        // a leading sign would be run as a formula by a spreadsheet; a negative number is none
        boolean number = text.matches("-?\\d+(\\.\\d+)?");
        String safe = !number && text.matches("(?s)^[=+\\-@\t\r].*") ? "'" + text : text;
        return safe.matches("(?s).*[\",\r\n].*") ? '"' + safe.replace("\"", "\"\"") + '"' : safe;
    }
}
