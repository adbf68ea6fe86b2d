package app.leeward.core.shotcheck;

import app.leeward.core.check.Harm;
import java.util.List;

/** Which finding of a shot is worse than which. */
final class ShotHarm {
    private static final List<String> BREAKS = List.of("mouth-hidden", "closure-open", "white-shows", "pupil-lost");
    private static final List<String> MOVES = List.of(
            "view-jumps",
            "pops",
            "wrist-open",
            "off-canvas",
            "no-teeth-on-lip",
            "blink-never-shuts",
            "shorter-than-hold",
            "mouths-flicker");

    private ShotHarm() {}

    static Harm of(String code) {
        return BREAKS.contains(code) ? Harm.BREAKS : MOVES.contains(code) ? Harm.MOVES : Harm.UNTIDY;
    }

    /** The lower, the sooner an audience notices it. */
    static int rank(String code) {
        return switch (of(code)) {
            case BREAKS -> BREAKS.indexOf(code);
            case MOVES -> BREAKS.size() + MOVES.indexOf(code);
            case UNTIDY -> BREAKS.size() + MOVES.size();
        };
    }
}
