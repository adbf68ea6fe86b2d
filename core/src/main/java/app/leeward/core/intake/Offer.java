package app.leeward.core.intake;

import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import java.util.Objects;

/** What a part is taken for. */
public record Offer(String part, PartRole role, Side side) {
    public Offer {
        Objects.requireNonNull(part, "part");
        Objects.requireNonNull(role, "role");
        Objects.requireNonNull(side, "side");
    }
}
