/**
 * A first pass: the acting a line asks for, proposed as ordinary keys. Start at {@link app.leeward.core.acting.FirstPass}. Uses shot,
 * cue, dial and rig.
 */
package app.leeward.core.acting;
