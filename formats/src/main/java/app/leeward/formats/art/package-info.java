/** What every reader of layered files gives, and how it says that a file cannot be used. */
package app.leeward.formats.art;
