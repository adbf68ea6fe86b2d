/**
 * Pages are told what changed, so that none has to ask again and again: the database tells every server, and each its pages. Start at
 * {@link app.leeward.server.changes.ChangeListener}.
 */
package app.leeward.server.changes;
