package app.leeward.core.check;

/**
 * What a finding is about; what it is not about is empty.
 *
 * @param part id of a part
 * @param drawing id of one of its drawings
 * @param dial id of a dial
 */
public record Subject(String part, String drawing, String dial) {
    public static final Subject WHOLE = new Subject("", "", "");

    public static Subject part(String part) {
        return new Subject(part, "", "");
    }

    public static Subject drawing(String part, String drawing) {
        return new Subject(part, drawing, "");
    }

    public static Subject dial(String dial) {
        return new Subject("", "", dial);
    }
}
