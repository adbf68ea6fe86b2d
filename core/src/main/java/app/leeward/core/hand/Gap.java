package app.leeward.core.hand;

import app.leeward.core.art.Point;

/**
 * Where a joint opens: the largest circle that neither hand nor arm covers.
 *
 * @param width its width, units; 0 where nothing opens
 * @param at its middle, in the coordinates of the hand before it is turned
 * @param by degrees the hand is turned by where it opens so far
 */
public record Gap(double width, Point at, double by) {
    static final Gap NONE = new Gap(0, new Point(0, 0), 0);
}
