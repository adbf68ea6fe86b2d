package app.leeward.core.morph;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Path;

/**
 * How much of a drawing comes over from another one.
 *
 * @param pieces shapes it has
 * @param over those that come over: the shape they go with has the same points
 * @param could those that would, once their points are matched
 */
public record Crossing(int pieces, int over, int could) {
    public static Crossing between(Artwork from, Artwork to) {
        int[] partners = Pieces.paired(from, to);
        int over = 0;
        int could = 0;
        for (int s = 0; s < partners.length; s++) {
            if (partners[s] >= 0) {
                Path own = from.shapes().get(partners[s]).path();
                Path other = to.shapes().get(s).path();
                if (own.steppedLike(other)) {
                    over++;
                } else {
                    could++;
                }
            }
        }
        return new Crossing(partners.length, over, could);
    }
}
