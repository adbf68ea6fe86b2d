/** What every WebSocket of this server is spoken to through. Start at {@link app.leeward.server.socket.OpenSocket}. */
package app.leeward.server.socket;
