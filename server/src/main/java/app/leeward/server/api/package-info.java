/**
 * The HTTP API under {@code /api/v1}, described at {@code /api/openapi}. Thin: each method names what comes in and goes
 * out and lets the studio do the work. Errors are problem documents (RFC 9457) with a stable {@code code}.
 */
package app.leeward.server.api;
