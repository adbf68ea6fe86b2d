/** Exposure sheets as files. */
package app.leeward.formats.sheet;
