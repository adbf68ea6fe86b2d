/**
 * The shot check: every photographed frame of a shot measured for what an animator would send back, told with frame, number and what
 * mends it.
 *
 * <p>Start at {@link app.leeward.core.shotcheck.ShotCheck}. A gauge is one class that looks at one exposure and its neighbours, a
 * review is one that looks along the whole shot. May use every other room of the core.
 */
package app.leeward.core.shotcheck;
