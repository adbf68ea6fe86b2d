/**
 * A shot taken apart into layers that last: what a format needs that moves layers instead of showing one picture after the other.
 * Begins in {@link app.leeward.core.motion.Motion}. Uses frames as the playhead gives them, and adds no rule of its own.
 */
package app.leeward.core.motion;
