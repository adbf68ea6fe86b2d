package app.leeward.core.shotcheck;

import app.leeward.core.check.Harm;
import app.leeward.core.check.Measure;
import app.leeward.core.check.Subject;
import app.leeward.core.rig.AcceptedFinding;
import app.leeward.core.shot.Shot;
import java.util.List;
import java.util.Optional;

/**
 * Something wrong along a shot.
 *
 * @param code what is wrong, for programs
 * @param harm who notices
 * @param subject what it is about; a look, a cue or a run that is gone stands in the dial's place
 * @param from the first frame that shows it
 * @param to the first frame that does not any more
 * @param frame the frame that shows it at its worst
 * @param message what is wrong, in words and numbers
 * @param mends what makes it smaller and nothing as harmful worse; empty where only a hand can help
 * @param accepted why it is meant to be so; empty when nobody said so, or when it has become worse since
 */
public record ShotFinding(
        String code,
        Harm harm,
        Subject subject,
        Measure measure,
        int from,
        int to,
        int frame,
        String message,
        List<ShotMend> mends,
        Optional<String> accepted) {
    /** The check what is accepted of a shot was found by. */
    public static final String CHECK = "shot";

    public ShotFinding {
        mends = List.copyOf(mends);
    }

    /** Whether both are about the same fault of the same thing at the same time, however large. */
    boolean same(ShotFinding other) {
        return code.equals(other.code) && subject.equals(other.subject) && from <= other.to && other.from <= to;
    }

    /** One that nobody has said anything about, nor tried to mend. */
    ShotFinding(String code, Subject subject, Measure measure, int from, int to, int frame, String message) {
        this(code, ShotHarm.of(code), subject, measure, from, to, frame, message, List.of(), Optional.empty());
    }

    ShotFinding with(List<ShotMend> found, Shot shot) {
        Optional<String> reason = shot.accepted().stream()
                .filter(a -> a.holds(
                        AcceptedFinding.about(CHECK, code, subject.part(), subject.drawing(), subject.dial()),
                        measure.value()))
                .map(AcceptedFinding::reason)
                .findFirst();
        return new ShotFinding(code, harm, subject, measure, from, to, frame, message, found, reason);
    }
}
