/**
 * Hands on their forearms: where a drawing's wrist is, how it is brought onto the arm's, and what opens there when the arm
 * swings. Start at {@link app.leeward.core.hand.Hands}.
 */
package app.leeward.core.hand;
