/**
 * A performer in front of a rig: signals from a face tracker, a device or a script, from their neutral pose, smoothed, into dials
 * and looks; held and eased to rest when they are lost. Start at {@link app.leeward.core.performer.Performing}. Uses rigs and
 * signals; times are handed in.
 */
package app.leeward.core.performer;
