/**
 * Everything that can be done to a character: one record an edit, each of which describes itself in a rigger's words,
 * says what it touches and gives the changed character or a refusal with a reason.
 *
 * <p>Start at {@link app.leeward.core.edit.Edit}. May use every other room of the core but shot.
 */
package app.leeward.core.edit;
