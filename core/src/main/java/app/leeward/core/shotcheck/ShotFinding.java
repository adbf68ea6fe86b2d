package app.leeward.core.shotcheck;

import app.leeward.core.check.Measure;
import app.leeward.core.check.Subject;
import java.util.List;

/**
 * Something wrong along a shot.
 *
 * @param code what is wrong, for programs
 * @param subject what it is about; a look, a cue or a run that is gone stands in the dial's place
 * @param from the first frame that shows it
 * @param to the first frame that does not any more
 * @param frame the frame that shows it at its worst
 * @param message what is wrong, in words and numbers
 * @param mends what makes it smaller and nothing as harmful worse; empty where only a hand can help
 */
public record ShotFinding(
        String code,
        Subject subject,
        Measure measure,
        int from,
        int to,
        int frame,
        String message,
        List<ShotMend> mends) {
    public ShotFinding {
        mends = List.copyOf(mends);
    }

    /** Whether both are about the same fault of the same thing at the same time, however large. */
    boolean same(ShotFinding other) {
        return code.equals(other.code) && subject.equals(other.subject) && from <= other.to && other.from <= to;
    }

    ShotFinding with(List<ShotMend> found) {
        return new ShotFinding(code, subject, measure, from, to, frame, message, found);
    }
}
