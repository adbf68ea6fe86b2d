/**
 * What is done to a studio to see what it bears: killing servers and database in the middle of edits ({@link
 * app.leeward.bench.attack.Chaos}), calls nobody would make ({@link app.leeward.bench.attack.Fuzz}), and clients that harm
 * others ({@link app.leeward.bench.attack.RudeClients}). Everything is asked of 127.0.0.1 only, drawn from a seed, and ends by
 * itself. The end-to-end tests run the same for a shorter time.
 */
package app.leeward.bench.attack;
