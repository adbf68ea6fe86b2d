/**
 * Mouths: which sounds look alike, which drawing serves which sound, and which mouth each frame of a line shows. Start
 * at {@link app.leeward.core.mouth.MouthChart}, then {@link app.leeward.core.mouth.MouthSolver}. Uses speech.
 */
package app.leeward.core.mouth;
