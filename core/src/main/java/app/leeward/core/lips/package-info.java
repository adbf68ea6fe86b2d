/**
 * Lips: makes a whole set of mouths from one, and measures whether a set stays on model. Start at
 * {@link app.leeward.core.lips.MouthSet}, then {@link app.leeward.core.lips.SetMaker}. Uses art, mouth and rig.
 */
package app.leeward.core.lips;
