package app.leeward.core.rig;

import app.leeward.core.art.Numbers;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import java.util.List;
import java.util.stream.Stream;

/**
 * Something a check finds wrong that a rigger means to be so. It holds as long as it does not get worse.
 *
 * @param check what the check is asked for by
 * @param code what is wrong, for programs
 * @param part id of the part it is about, empty for none
 * @param drawing id of the drawing it is about, empty for none
 * @param dial id of the dial it is about, empty for none
 * @param measure how bad it was when it was accepted
 * @param reason why, in the rigger's words
 */
public record AcceptedFinding(
        String check, String code, String part, String drawing, String dial, double measure, String reason) {
    /** Longest reason, so that it can be read beside the finding. */
    public static final int LONGEST_REASON = 300;

    public AcceptedFinding {
        Numbers.finite("measure", measure);
    }

    /** Whether both are about the same fault of the same thing. */
    public boolean same(AcceptedFinding other) {
        return check.equals(other.check)
                && code.equals(other.code)
                && part.equals(other.part)
                && drawing.equals(other.drawing)
                && dial.equals(other.dial);
    }

    /** By how much something has to become worse to count as worse, as a share of it. */
    public static final double WORSE = 0.01;

    /**
     * Whether something that was found now is what was accepted, and no worse.
     *
     * @param measured how bad it is now
     */
    public boolean holds(AcceptedFinding found, double measured) {
        return same(found) && measured <= measure * (1 + WORSE);
    }

    /** What it is about, in words for lists of edits. */
    public String words() {
        return code.replace('-', ' ');
    }

    /** What was found, as something it can be compared with. */
    public static AcceptedFinding about(String check, String code, String part, String drawing, String dial) {
        return new AcceptedFinding(check, code, part, drawing, dial, 0, "");
    }

    /**
     * Among others, the newest last; said again, the newer reason counts.
     *
     * @throws Refusal without a reason, and for one that is too long
     */
    public List<AcceptedFinding> among(List<AcceptedFinding> accepted) {
        String said = reason.strip();
        if (said.isEmpty()) {
            throw new Refusal(RefusalCode.NO_REASON, "Say why it is meant to be so; others will ask.");
        }
        if (said.length() > LONGEST_REASON) {
            throw new Refusal(
                    RefusalCode.LONG_NAME,
                    "A reason has at most " + LONGEST_REASON + " letters; this one has " + said.length() + ".");
        }
        return Stream.concat(
                        accepted.stream().filter(a -> !a.same(this)),
                        Stream.of(new AcceptedFinding(check, code, part, drawing, dial, measure, said)))
                .toList();
    }

    /**
     * The others without it.
     *
     * @throws Refusal when it is not among them
     */
    public List<AcceptedFinding> takenFrom(List<AcceptedFinding> accepted) {
        List<AcceptedFinding> left =
                accepted.stream().filter(a -> !a.same(this)).toList();
        if (left.size() == accepted.size()) {
            throw new Refusal(RefusalCode.NOT_ACCEPTED, "That was not accepted, or not any more.");
        }
        return left;
    }
}
