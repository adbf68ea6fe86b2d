/** The colours of a character, for those who draw or build what stands beside it. */
package app.leeward.formats.palette;
