/**
 * The server: HTTP API, storage and serving the page. {@code api} speaks HTTP, {@code studio} does the work, {@code
 * store} keeps it. Start at {@link app.leeward.server.LeewardApplication}.
 */
package app.leeward.server;
