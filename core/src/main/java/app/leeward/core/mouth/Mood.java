package app.leeward.core.mouth;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;

/**
 * One more row of mouths: the same sounds in another mood.
 *
 * @param corners −1 down to 1 up, against the neutral row
 * @param tension 0 loose to 1 tight: lips drawn flat and wide
 * @param drawn class to the id of the drawing made for it in this mood
 */
public record Mood(String id, String name, double corners, double tension, Map<Viseme, String> drawn) {
    public Mood {
        if (id.isBlank() || name.isBlank()) {
            throw new IllegalArgumentException("a mood needs a name");
        }
        if (!(corners >= -1 && corners <= 1 && tension >= 0 && tension <= 1)) {
            throw new IllegalArgumentException(
                    "corners go from -1 to 1 and tension from 0 to 1, not to " + corners + " and " + tension);
        }
        Map<Viseme, String> copy = new EnumMap<>(Viseme.class);
        copy.putAll(drawn);
        drawn = Collections.unmodifiableMap(copy);
    }

    public Mood with(Viseme viseme, String drawing) {
        Map<Viseme, String> more = new EnumMap<>(Viseme.class);
        more.putAll(drawn);
        more.put(viseme, drawing);
        return withDrawn(more);
    }

    public Mood withDrawn(Map<Viseme, String> newDrawn) {
        return new Mood(id, name, corners, tension, newDrawn);
    }
}
