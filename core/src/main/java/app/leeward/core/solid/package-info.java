/**
 * Heads as solids: what each piece of a head is in the round, and where every point of it lies once the head is turned or
 * nodded. A solid is a stack of level slices; a yaw turns each slice by itself. Start at
 * {@link app.leeward.core.solid.HeadSolids}. Nothing here knows of dials; the turn writes what it learns here as stops.
 */
package app.leeward.core.solid;
