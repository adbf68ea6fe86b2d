package app.leeward.core.rig;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Optional;

/**
 * Where the character came from.
 *
 * @param source the art as the designer's file had it when it was last read
 * @param notes what the reader of the art had to say
 */
@RecordBuilder
public record Origin(Optional<ImportedSource> source, List<Note> notes) implements OriginBuilder.With {
    public static final Origin NONE = new Origin(Optional.empty(), List.of());

    public Origin {
        // stored before there was such a thing
        source = source == null ? Optional.empty() : source;
        notes = List.copyOf(notes);
    }
}
