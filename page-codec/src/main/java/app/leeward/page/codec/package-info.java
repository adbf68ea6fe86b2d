/**
 * A step of the build: reads core's records by reflection and writes the Java source of a codec that needs none, because the
 * browser has no reflection. What tells the options of a choice apart stands in {@link app.leeward.formats.json.Kinds} alone.
 * Begin with {@link app.leeward.page.codec.CodecSource}.
 */
package app.leeward.page.codec;
