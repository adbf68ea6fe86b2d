package app.leeward.core.dial;

import app.leeward.core.art.Point;
import java.util.List;

/**
 * The edge of a pad while another dial is away from its rest, such as the gaze of narrowed or turned eyes.
 *
 * @param dial the other dial's id; one that is not there any more changes nothing
 * @param at where that dial stands
 * @param field as {@link Pad#field()}
 */
public record FieldAt(String dial, double at, List<Point> field) {
    public FieldAt {
        field = List.copyOf(field);
    }
}
