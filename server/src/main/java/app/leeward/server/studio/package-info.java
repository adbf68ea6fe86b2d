/**
 * What can be done with characters and lines, each accepted change one committed revision. Start at {@link
 * app.leeward.server.studio.Characters}.
 */
package app.leeward.server.studio;
