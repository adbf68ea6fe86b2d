package app.leeward.core.eye;

import java.util.Optional;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;

/** Where a vertical line meets an area. */
final class VerticalHit {
    private VerticalHit() {}

    /** The uppermost and lowermost places of an area at one {@code x}; empty beside it. */
    static Optional<double[]> vertical(Geometry area, double x) {
        Envelope e = area.getEnvelopeInternal();
        if (area.isEmpty() || x < e.getMinX() || x > e.getMaxX()) {
            return Optional.empty();
        }
        Geometry line = area.getFactory()
                .createLineString(
                        new Coordinate[] {new Coordinate(x, e.getMinY() - 1), new Coordinate(x, e.getMaxY() + 1)});
        Envelope cut = area.intersection(line).getEnvelopeInternal();
        return cut.isNull() ? Optional.empty() : Optional.of(new double[] {cut.getMinY(), cut.getMaxY()});
    }
}
