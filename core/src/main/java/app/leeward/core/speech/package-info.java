/**
 * Speech as a rigger meets it: the sounds of a line, when they are spoken, and how this crew pronounces names. Start at
 * {@link app.leeward.core.speech.DialogueLine}. Finding the times in a recording is the speech module's work, not ours.
 */
package app.leeward.core.speech;
