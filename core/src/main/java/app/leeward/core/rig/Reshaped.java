package app.leeward.core.rig;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Path;
import app.leeward.core.art.Shape;
import app.leeward.core.dial.Reshaping;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Which dials reshape which outlines; looked up once a character. */
final class Reshaped {
    private record By(int dial, Reshaping way) {}

    private final Map<String, List<By>> ofPart = new HashMap<>();

    Reshaped(Character c) {
        for (int i = 0; i < c.dials().size(); i++) {
            for (Reshaping r : Reshaping.of(c.dials().get(i))) {
                ofPart.computeIfAbsent(r.part(), k -> new ArrayList<>()).add(new By(i, r));
            }
        }
    }

    /** Whether any dial reshapes anything of a part. */
    boolean touches(String part) {
        return ofPart.containsKey(part);
    }

    /** A drawing's art as the dials reshape it; the same art when none does. What no longer fits its outline does nothing. */
    Artwork of(String part, String drawing, Artwork art, Character c, double[] settings) {
        List<By> all = ofPart.get(part);
        if (all == null) {
            return art;
        }
        List<Path> outlines = null;
        for (int s = 0; s < art.shapes().size(); s++) {
            Shape shape = art.shapes().get(s);
            double[] shifts = null;
            for (By by : all) {
                boolean about = by.way.shape() == s
                        && by.way.drawing().equals(drawing)
                        && settings[by.dial] != c.dials().get(by.dial).rest();
                if (about && by.way.points() == shape.path().points().size()) {
                    shifts = shifts == null ? new double[2 * by.way.points()] : shifts;
                    by.way.addTo(shifts, settings[by.dial]);
                }
            }
            if (shifts != null) {
                if (outlines == null) {
                    outlines = new ArrayList<>(
                            art.shapes().stream().map(Shape::path).toList());
                }
                outlines.set(s, shape.path().shifted(shifts));
            }
        }
        return outlines == null ? art : art.withOutlines(outlines);
    }
}
