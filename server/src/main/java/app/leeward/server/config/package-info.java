/**
 * What stands between the web and the API, and what starts with the server: who is let in and how much of what they send is read
 * ({@link app.leeward.server.config.WebDoors} is the place to start), a watched database, the queue of readings, health, JSON and
 * other wiring, warming up, and the demo.
 */
package app.leeward.server.config;
