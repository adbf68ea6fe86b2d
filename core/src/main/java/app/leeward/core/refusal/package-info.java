/** The reasons for which edits and makers refuse, by name; used by every room that refuses something. */
package app.leeward.core.refusal;
