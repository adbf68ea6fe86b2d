/**
 * A character with all that belongs to it as one file, to go on with in another Leeward: {@link app.leeward.formats.bundle.BundleWriter}
 * writes it, {@link app.leeward.formats.bundle.BundleReader} reads it back, the same to the last hash. docs/formats.md describes it.
 */
package app.leeward.formats.bundle;
