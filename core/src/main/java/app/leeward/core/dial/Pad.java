package app.leeward.core.dial;

import app.leeward.core.art.Point;
import java.util.List;

/**
 * Two dials shown as one square control.
 *
 * @param field the edge of what the two may reach together, in their own units (across, down), once round their rest,
 *     every point of it in sight of the rest; empty when the whole square is free
 * @param elsewhere the edge while other dials are away from rest
 */
public record Pad(String name, String across, String down, List<Point> field, List<FieldAt> elsewhere) {
    public Pad {
        // stored before pads had an edge, and before it followed other dials
        field = field == null ? List.of() : List.copyOf(field);
        elsewhere = elsewhere == null ? List.of() : List.copyOf(elsewhere);
    }

    public Pad(String name, String across, String down) {
        this(name, across, down, List.of(), List.of());
    }

    public Pad withField(List<Point> newField, List<FieldAt> newElsewhere) {
        return new Pad(name, across, down, newField, newElsewhere);
    }
}
