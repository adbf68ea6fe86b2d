package app.leeward.core.intake;

import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;

/**
 * What a part that no name explains looks like.
 *
 * @param sure 0 to 1
 * @param why in words: position, colour, mirrored twin, nesting
 */
public record Recognition(String part, PartRole role, Side side, double sure, String why) {
    public Offer offer() {
        return new Offer(part, role, side);
    }
}
