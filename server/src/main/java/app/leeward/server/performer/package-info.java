/**
 * The door for performers: whoever tracks a face speaks to a shot, and pages that play it listen. Nothing of it is stored. Start at
 * {@link app.leeward.server.performer.Scene}.
 */
package app.leeward.server.performer;
