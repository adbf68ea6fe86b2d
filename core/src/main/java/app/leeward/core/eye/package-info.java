/**
 * Eyes: dials for blinking and looking, made from the pieces of an eye so that nothing is uncovered and no pupil is
 * lost. Start at {@link app.leeward.core.eye.BlinkMaker} and {@link app.leeward.core.eye.GazeMaker}. Uses rig and JTS.
 */
package app.leeward.core.eye;
