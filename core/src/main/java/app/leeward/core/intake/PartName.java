package app.leeward.core.intake;

import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;

/**
 * What a layer's name says.
 *
 * @param side as written; whose left it is, is settled for the whole file later
 * @param rest the words left over, lower case: the name of one of several drawings; empty when there are none
 */
record PartName(PartRole role, Side side, String rest) {}
