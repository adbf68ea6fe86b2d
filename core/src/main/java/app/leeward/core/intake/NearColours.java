package app.leeward.core.intake;

import app.leeward.core.art.Lab;
import app.leeward.core.art.Swatch;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Two colours of a palette that are hard to tell apart, so that one of them is likely a slip.
 *
 * @param keep the one met first in the art
 * @param merge the one that would become it
 * @param difference CIE 1976; about 2.3 is just noticeable
 */
public record NearColours(Swatch keep, Swatch merge, double difference) {
    /** From here on two colours are taken for meant. */
    public static final double APART = 4;

    /** The closest first. */
    public static List<NearColours> in(List<Swatch> palette) {
        List<NearColours> near = new ArrayList<>();
        for (int i = 0; i < palette.size(); i++) {
            for (int k = i + 1; k < palette.size(); k++) {
                double d = Lab.of(palette.get(i).colour())
                        .difference(Lab.of(palette.get(k).colour()));
                if (d < APART) {
                    near.add(new NearColours(palette.get(i), palette.get(k), d));
                }
            }
        }
        near.sort(Comparator.comparingDouble(NearColours::difference));
        return near;
    }
}
