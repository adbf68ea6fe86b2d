/**
 * The door for performers: whoever tracks a face speaks to a shot, and pages that play it listen; and the ear for voices, which tells
 * their sounds while they speak. Nothing of it is stored. Start at {@link app.leeward.server.performer.Scene}.
 */
package app.leeward.server.performer;
