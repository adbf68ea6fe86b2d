/**
 * Shots: a character saying a line over frames. Start at {@link app.leeward.core.shot.Shot}; {@link
 * app.leeward.core.shot.Playhead} is the pure function from a frame number to a picture. Uses rig, eval, cue, mouth and speech.
 */
package app.leeward.core.shot;
