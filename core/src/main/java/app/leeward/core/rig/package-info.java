/**
 * The rig: a character's parts, who follows whom, who masks whom, its edits, and what one pose of it looks like.
 *
 * <p>Start at {@link app.leeward.core.rig.Character}; then {@link app.leeward.core.rig.Edit} for every change that can
 * be made, and {@link app.leeward.core.rig.Evaluator} for the one place where a pose becomes a picture. May use art and
 * dial.
 */
package app.leeward.core.rig;
