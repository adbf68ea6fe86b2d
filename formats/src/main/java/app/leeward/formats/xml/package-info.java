/** XML read within bounds, for every format that is written in it. Start at {@link app.leeward.formats.xml.XmlReader}. */
package app.leeward.formats.xml;
