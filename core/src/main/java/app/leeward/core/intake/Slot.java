package app.leeward.core.intake;

import app.leeward.core.rig.PartRole;
import java.util.List;

/**
 * A place a talking head has for a piece.
 *
 * @param cost what its absence costs; empty for a piece nobody misses
 * @param paired whether there is one for each side
 * @param parts what fills it, the character's right first, as it stands on the left of the screen
 * @param missing what is lost with the art as it is; empty when nothing is
 */
public record Slot(PartRole role, String name, String cost, boolean paired, List<String> parts, String missing) {}
