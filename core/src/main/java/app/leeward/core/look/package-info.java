/**
 * Expressions: facial action units as dials, looks made of them, and looks kept from a pose. Start at {@link
 * app.leeward.core.look.Prototype}. Uses rig, dial and the ready-made movements of the eye room.
 */
package app.leeward.core.look;
