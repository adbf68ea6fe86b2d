/** When what is said and shown, for programs that cut, subtitle or look at speech. */
package app.leeward.formats.timing;
