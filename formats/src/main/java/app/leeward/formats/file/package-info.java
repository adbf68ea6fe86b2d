/** Tells files apart by what is in them, whatever they are called, and has the right reader read them. */
package app.leeward.formats.file;
