/**
 * Shots: a character acting and speaking over frames. {@link app.leeward.core.shot.Tracks} hold what is acted, {@link
 * app.leeward.core.shot.ActingEdit} changes it. Start at {@link app.leeward.core.shot.Shot}; {@link
 * app.leeward.core.shot.Playhead} is the pure function from a frame number to a picture. Uses rig, eval, cue, mouth and speech.
 */
package app.leeward.core.shot;
