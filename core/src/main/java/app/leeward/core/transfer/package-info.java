/**
 * What one character has, taken into another by role: mouths, hands, whole parts, dials, looks and cues. A rig serves as the template
 * of the next.
 *
 * <p>Start at {@link app.leeward.core.transfer.Transfer}, which lists what could be taken and what would become of it; each kind of
 * thing is a class of its own. {@link app.leeward.core.transfer.Counterparts} says who stands for whom, {@code PartScale} how
 * much larger things are there. Nothing of the character that takes is lost: what it had stays unless a thing is taken in its place
 * by name.
 */
package app.leeward.core.transfer;
