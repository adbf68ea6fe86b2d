package app.leeward.core.rig;

import app.leeward.core.art.Numbers;
import java.util.Optional;

/**
 * What a rigger said a piece of a head is in the round.
 *
 * @param kind empty for the one that is guessed
 * @param forward how much further towards the viewer it stands than its kind says, as a share of half the head's width; -1.5 to 1.5
 */
public record Solid(Optional<SolidKind> kind, double forward) {
    /** Nothing said: kind and depth are guessed. */
    public static final Solid GUESSED = new Solid(Optional.empty(), 0);

    private static final double MOST = 1.5;

    public Solid {
        kind = kind == null ? Optional.empty() : kind;
        Numbers.finite("depth", forward);
        if (Math.abs(forward) > MOST) {
            throw new IllegalArgumentException(
                    "A piece stands at most one and a half times half the head's width further forward or back.");
        }
    }
}
