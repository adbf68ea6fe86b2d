/** Scripts of many lines and long recordings: a script is read into its lines, and a recording cut where they are said. */
package app.leeward.speech.script;
