/**
 * The rig: a character's parts, who follows whom, who masks whom, and what is known about each.
 *
 * <p>Start at {@link app.leeward.core.rig.Character}. Every change that can be made is an edit in {@code edit}; {@code eval} is the
 * one place where a pose becomes a picture. May use art and dial.
 */
package app.leeward.core.rig;
