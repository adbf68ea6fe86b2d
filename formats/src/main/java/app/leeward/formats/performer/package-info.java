/**
 * What face trackers and Leeward say to each other, message by message. Start at {@link
 * app.leeward.formats.performer.DoorReader}; docs/formats.md describes it, {@code performer/door.schema.json} says it exactly.
 */
package app.leeward.formats.performer;
