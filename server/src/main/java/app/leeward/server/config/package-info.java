/** Wiring: clock, JSON, the speech reader, caching of the page's files, the demo. */
package app.leeward.server.config;
