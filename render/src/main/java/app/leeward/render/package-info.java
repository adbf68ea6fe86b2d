/**
 * Frames to pixels, drawn by Skia on the processor. Start at {@link app.leeward.render.FramePainter}. Uses core; the
 * same {@link app.leeward.core.rig.Frame} the screen plays is what is drawn here.
 */
package app.leeward.render;
