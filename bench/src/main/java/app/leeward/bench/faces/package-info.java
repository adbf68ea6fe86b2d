/** Seeded faces taken through the program: whether every promise holds, and how much is recognised. */
package app.leeward.bench.faces;
