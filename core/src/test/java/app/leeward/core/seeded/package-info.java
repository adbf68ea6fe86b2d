/** Tests over drawn values: {@link app.leeward.core.seeded.Seeded} on a test method, {@link app.leeward.core.seeded.Between} on its numbers. */
package app.leeward.core.seeded;
