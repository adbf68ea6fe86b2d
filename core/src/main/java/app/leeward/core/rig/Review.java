package app.leeward.core.rig;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;

/**
 * What its rigger said about what the checks find.
 *
 * @param accepted what is meant to be as it is, in the order it was said
 */
@RecordBuilder
public record Review(List<AcceptedFinding> accepted) implements ReviewBuilder.With {
    public static final Review NONE = new Review(List.of());

    public Review {
        accepted = List.copyOf(accepted);
    }

    /** Without what was said of a part. */
    Review without(String part) {
        return withAccepted(
                accepted.stream().filter(a -> !a.part().equals(part)).toList());
    }
}
