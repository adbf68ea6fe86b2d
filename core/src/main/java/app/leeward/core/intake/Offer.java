package app.leeward.core.intake;

import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;

/** What a part is taken for. */
public record Offer(String part, PartRole role, Side side) {}
