package app.leeward.core.lips;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import org.locationtech.jts.geom.Geometry;

/** How far the lips of a drawn mouth stay apart. */
public final class Opening {
    private Opening() {}

    /**
     * The mean height of what is seen between the lips, less the line that is drawn over it.
     *
     * @return units, 0 for lips that meet and for a drawing in which no opening is told apart
     */
    public static double of(Artwork mouth) {
        double widest = 0;
        double line = 0;
        for (Shape s : mouth.shapes()) {
            if (s.role() == ShapeRole.WINDOW) {
                widest = Math.max(widest, height(s));
            } else if (s.role() == ShapeRole.OUTLINE) {
                line = Math.max(line, s.stroke().width());
            }
        }
        return Math.max(0, widest - line);
    }

    private static double height(Shape window) {
        Geometry opening = Regions.of(window.path());
        double width = opening.getEnvelopeInternal().getWidth();
        return width < 1e-6 ? 0 : opening.getArea() / width;
    }
}
