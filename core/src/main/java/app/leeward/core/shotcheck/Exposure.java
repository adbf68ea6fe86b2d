package app.leeward.core.shotcheck;

import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Pose;

/**
 * One photographed frame of a shot.
 *
 * @param frame its number in the shot
 */
record Exposure(int frame, Pose pose, Frame picture) {}
