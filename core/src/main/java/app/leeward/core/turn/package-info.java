/**
 * The head turn: an ellipsoid under the face says where every feature goes, and the answer is written as the stops of an
 * ordinary dial. Start at {@link app.leeward.core.turn.TurnMaker}.
 */
package app.leeward.core.turn;
