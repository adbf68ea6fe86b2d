package app.leeward.core.eye;

import app.leeward.core.art.Point;
import java.util.List;
import java.util.Map;

/**
 * Something wrong with an eye, measured.
 *
 * @param eye id of the eye
 * @param part id of the piece at fault, or to be mended
 * @param measure how bad it is: square units of white, the share of a pupil that is missing, units two eyes differ by; 1 where
 *     it is there or is not
 * @param message what is wrong, in words and numbers
 * @param at dial values that show it at its worst
 * @param where the faulty places on the canvas in that pose, as outlines
 */
public record EyeFinding(
        Kind kind,
        String eye,
        String part,
        double measure,
        String message,
        Map<String, Double> at,
        List<List<Point>> where) {
    /** What can be wrong. */
    public enum Kind {
        /** White is seen although the eye is shut. */
        UNCOVERED,
        /** Nothing is seen now, but the lids or their edges meet so closely that a renderer may show a line. */
        HAIRLINE,
        /** The eye is squashed flat, or shut by one lid alone, because a lid is missing or too small. */
        LID_SHORT,
        /** At full throw too little of the pupil is left in its window. */
        PUPIL_LOST,
        /** The two eyes are not each other's reflection. */
        NOT_MIRRORED,
        /** The white has no fill, so it is no window. */
        NO_FILL,
        /** The white's outline crosses itself or is not closed. */
        BAD_OUTLINE,
        /** A pupil without any area. */
        NO_PUPIL
    }

    public EyeFinding {
        at = Map.copyOf(at);
        where = List.copyOf(where);
    }
}
