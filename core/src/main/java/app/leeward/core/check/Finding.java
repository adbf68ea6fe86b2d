package app.leeward.core.check;

import app.leeward.core.art.Point;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Something wrong with a character.
 *
 * @param check which check found it
 * @param code what is wrong, for programs
 * @param harm who notices
 * @param at dial values that show it at its worst; empty where it shows at rest
 * @param where the faulty places on the canvas in that pose, as outlines
 * @param message what is wrong, in words and numbers
 * @param mends what makes it smaller and nothing else worse; empty where only a hand can help
 * @param accepted why it is meant to be so; empty when nobody said so, or when it has become worse since
 */
public record Finding(
        String check,
        String code,
        Harm harm,
        Subject subject,
        Measure measure,
        Map<String, Double> at,
        List<List<Point>> where,
        String message,
        List<Mend> mends,
        Optional<String> accepted) {
    public Finding {
        at = Map.copyOf(at);
        where = List.copyOf(where);
        mends = List.copyOf(mends);
    }

    /** Whether both are about the same fault of the same thing, however large. */
    boolean same(Finding other) {
        return check.equals(other.check) && code.equals(other.code) && subject.equals(other.subject);
    }
}
