/**
 * What is wrong with a character, told in one shape whatever it is about, and what puts it right.
 *
 * <p>Start at {@link app.leeward.core.check.Checks}. A check is one class that gives a stream of findings; what it measures with is
 * in the room of the thing it measures. May use every other room of the core but shot.
 */
package app.leeward.core.check;
