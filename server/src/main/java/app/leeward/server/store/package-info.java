/** Storage through Hibernate: documents as chains of revisions, artwork and sound by their hash. */
package app.leeward.server.store;
