/**
 * Core's values as JSON, for storage and the wire. Artwork is written by its hash and kept apart, since it never
 * changes; everything else is the plain form of the records, with a {@code kind} where there is a choice. Start at
 * {@link app.leeward.formats.json.LeewardJson}.
 */
package app.leeward.formats.json;
